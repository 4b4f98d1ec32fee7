package org.sallowbrook.server.platform;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Says in OpenAPI what {@link CompleteBodies} enforces: a record component that is not {@code @Nullable} is required. */
@Component
class ApiSchema implements ModelConverter {

    @Override
    public @Nullable Schema<?> resolve(
            AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        if (!chain.hasNext()) {
            return null;
        }
        Schema<?> schema = chain.next().resolve(type, context, chain);
        Class<?> raw = raw(type.getType());
        if (raw != null && !Kinds.of(raw).isEmpty() && schema != null) {
            Schema<?> model = context.getDefinedModels().get(raw.getSimpleName());
            if (model != null && model.getDiscriminator() != null) {
                for (Class<?> kind : Kinds.of(raw)) {
                    model.getDiscriminator().mapping(Kinds.name(kind), "#/components/schemas/" + kind.getSimpleName());
                }
            }
        }
        if (raw != null && raw.isRecord() && schema != null) {
            String name = schema.get$ref() == null
                    ? schema.getName()
                    : schema.get$ref().substring(schema.get$ref().lastIndexOf('/') + 1);
            Schema<?> model = name == null ? null : context.getDefinedModels().get(name);
            if (model != null) {
                List<String> required = required(raw, type.getType());
                model.setRequired(required.isEmpty() ? null : required);
            }
        }
        return schema;
    }

    private static @Nullable Class<?> raw(Type type) {
        return type instanceof JavaType java
                ? java.getRawClass()
                : type instanceof ParameterizedType generic
                        ? raw(generic.getRawType())
                        : type instanceof Class<?> direct ? direct : null;
    }

    /** What is unwrapped stands beside the rest: its own required components count in its place. */
    private static List<String> required(Class<?> record, Type type) {
        return Arrays.stream(record.getRecordComponents())
                .filter(c -> !c.getAnnotatedType().isAnnotationPresent(Nullable.class))
                .flatMap(c -> c.getAccessor().isAnnotationPresent(JsonUnwrapped.class)
                        ? required(inner(c, type), inner(c, type)).stream()
                        : Stream.of(c.getName()))
                .toList();
    }

    private static Class<?> inner(RecordComponent component, Type type) {
        if (component.getType().isRecord()) {
            return component.getType();
        }
        Type argument = type instanceof JavaType java
                ? java.containedType(0)
                : ((ParameterizedType) type).getActualTypeArguments()[0];
        return Objects.requireNonNull(raw(argument));
    }
}
