package org.sallowbrook.server.platform;

import com.fasterxml.jackson.annotation.JsonTypeName;
import com.fasterxml.jackson.databind.JavaType;
import com.fasterxml.jackson.databind.introspect.Annotated;
import com.fasterxml.jackson.databind.introspect.JacksonAnnotationIntrospector;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Says in OpenAPI what {@link CompleteBodies} enforces: a record component that is not {@code @Nullable} is required. */
@Component
class ApiSchema implements ModelConverter {

    /** The kinds of a sealed type, which the reader of requests finds by itself. */
    ApiSchema() {
        io.swagger.v3.core.util.Json.mapper().setAnnotationIntrospector(new JacksonAnnotationIntrospector() {
            private static final long serialVersionUID = 1L;

            @Override
            public List<NamedType> findSubtypes(Annotated a) {
                Class<?>[] permitted = a.getRawType().getPermittedSubclasses();
                return permitted == null
                        ? super.findSubtypes(a)
                        : Arrays.stream(permitted)
                                .map(c -> new NamedType(
                                        c, c.getAnnotation(JsonTypeName.class).value()))
                                .toList();
            }
        });
    }

    @Override
    public @Nullable Schema<?> resolve(
            AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        if (!chain.hasNext()) {
            return null;
        }
        Schema<?> schema = chain.next().resolve(type, context, chain);
        Class<?> raw = type.getType() instanceof JavaType java
                ? java.getRawClass()
                : type.getType() instanceof Class<?> direct ? direct : null;
        if (raw != null && raw.isSealed() && schema != null) {
            Schema<?> model = context.getDefinedModels().get(raw.getSimpleName());
            if (model != null && model.getDiscriminator() != null) {
                for (Class<?> kind : raw.getPermittedSubclasses()) {
                    model.getDiscriminator()
                            .mapping(
                                    kind.getAnnotation(JsonTypeName.class).value(),
                                    "#/components/schemas/" + kind.getSimpleName());
                }
            }
        }
        if (raw != null && raw.isRecord() && schema != null) {
            String name = schema.get$ref() == null
                    ? schema.getName()
                    : schema.get$ref().substring(schema.get$ref().lastIndexOf('/') + 1);
            Schema<?> model = name == null ? null : context.getDefinedModels().get(name);
            if (model != null) {
                List<String> required = Arrays.stream(raw.getRecordComponents())
                        .filter(c -> !c.getAnnotatedType().isAnnotationPresent(Nullable.class))
                        .map(RecordComponent::getName)
                        .toList();
                model.setRequired(required.isEmpty() ? null : required);
            }
        }
        return schema;
    }
}
