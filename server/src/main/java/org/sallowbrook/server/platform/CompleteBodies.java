package org.sallowbrook.server.platform;

import jakarta.validation.Validator;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.InvalidInput.Violation;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.ByteArrayHttpMessageConverter;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.converter.StringHttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * Checks every JSON body in one place: what could not be read, what is missing (a record component that is not
 * {@code @Nullable}), and what breaks its constraints. All are named together.
 */
@RestControllerAdvice
public class CompleteBodies extends RequestBodyAdviceAdapter {

    private static final int MOST_TEXT = 20_000;

    private final Validator validator;

    CompleteBodies(Validator validator) {
        this.validator = validator;
    }

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return !StringHttpMessageConverter.class.isAssignableFrom(converter)
                && !ByteArrayHttpMessageConverter.class.isAssignableFrom(converter);
    }

    @Override
    public Object afterBodyRead(
            @Nullable Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converter) {
        List<Violation> violations = new ArrayList<>(StrictJson.taken());
        Set<String> named = new HashSet<>();
        violations.forEach(v -> named.add(v.field()));
        List<Violation> missing = new ArrayList<>();
        if (body == null) {
            throw new InvalidInput(
                    violations.isEmpty() ? List.of(new Violation("", "must be a JSON object")) : violations);
        }
        missing(body, "", missing);
        validator
                .validate(body)
                .forEach(v -> missing.add(new Violation(v.getPropertyPath().toString(), v.getMessage())));
        for (Violation violation : missing) {
            if (named.add(violation.field())) {
                violations.add(violation);
            }
        }
        if (!violations.isEmpty()) {
            throw new InvalidInput(violations);
        }
        return body;
    }

    /** What a value that was read from outside lacks: a component that must be there, an element that is null. */
    public static List<Violation> missing(Object value) {
        List<Violation> violations = new ArrayList<>();
        missing(value, "", violations);
        return violations;
    }

    private static void missing(Object value, String path, List<Violation> violations) {
        if (value instanceof String text) {
            if (text.length() > MOST_TEXT) {
                violations.add(new Violation(path, "must have at most " + MOST_TEXT + " characters"));
            } else if (text.indexOf('\0') >= 0) {
                violations.add(new Violation(path, "must not hold a zero character"));
            }
        } else if (value instanceof Collection<?> all) {
            int i = 0;
            for (Object one : all) {
                child(one, true, path + "[" + i++ + "]", violations);
            }
        } else if (value instanceof Map<?, ?> map) {
            map.forEach((key, one) -> child(one, true, path + "." + key, violations));
        } else if (value instanceof Record record) {
            for (RecordComponent component : record.getClass().getRecordComponents()) {
                Object child;
                try {
                    var accessor = component.getAccessor();
                    accessor.setAccessible(true);
                    child = accessor.invoke(record);
                } catch (ReflectiveOperationException e) {
                    throw new IllegalStateException(e);
                }
                boolean required = !component.getAnnotatedType().isAnnotationPresent(Nullable.class);
                String at = path.isEmpty() ? component.getName() : path + "." + component.getName();
                child(child, required, at, violations);
            }
        }
    }

    private static void child(@Nullable Object child, boolean required, String path, List<Violation> violations) {
        if (child != null) {
            missing(child, path, violations);
        } else if (required) {
            violations.add(new Violation(path, "is missing"));
        }
    }
}
