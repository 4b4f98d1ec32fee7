package org.sallowbrook.server.platform;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.core.type.filter.AssignableTypeFilter;
import org.springframework.util.ClassUtils;

/** The kinds of a request that is told apart by a member of it. */
public final class Kinds {

    private static final Map<Class<?>, List<Class<?>>> KNOWN = new ConcurrentHashMap<>();

    private Kinds() {}

    /**
     * Those that a sealed type permits; of another every one in its package and inside it, so that a room need not know those
     * that build on it.
     *
     * @return in the order of their names; none for what is not told apart by a member
     */
    public static List<Class<?>> of(Class<?> base) {
        return base.isAnnotationPresent(JsonTypeInfo.class) ? KNOWN.computeIfAbsent(base, Kinds::find) : List.of();
    }

    /** @throws IllegalStateException for a kind without a {@link JsonTypeName} */
    public static String name(Class<?> kind) {
        JsonTypeName name = kind.getAnnotation(JsonTypeName.class);
        if (name == null) {
            throw new IllegalStateException(kind + " does not say which kind it is");
        }
        return name.value();
    }

    private static List<Class<?>> find(Class<?> base) {
        List<Class<?>> kinds = base.isSealed() ? Arrays.asList(base.getPermittedSubclasses()) : scanned(base);
        return kinds.stream().sorted(Comparator.comparing(Kinds::name)).toList();
    }

    private static List<Class<?>> scanned(Class<?> base) {
        var scanner = new ClassPathScanningCandidateComponentProvider(false);
        scanner.addIncludeFilter(new AssignableTypeFilter(base));
        return scanner.findCandidateComponents(base.getPackageName()).stream()
                .<Class<?>>map(found ->
                        ClassUtils.resolveClassName(String.valueOf(found.getBeanClassName()), base.getClassLoader()))
                .toList();
    }
}
