package org.sallowbrook.server.platform;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.introspect.Annotated;
import com.fasterxml.jackson.databind.introspect.AnnotationIntrospectorPair;
import com.fasterxml.jackson.databind.introspect.NopAnnotationIntrospector;
import com.fasterxml.jackson.databind.jsontype.NamedType;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springdoc.core.providers.ObjectMapperProvider;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;

/** Tells OpenAPI the kinds of a request as its reader finds them, before it looks at any type. */
@Component
class ApiKinds implements BeanPostProcessor {

    private static final class Introspector extends NopAnnotationIntrospector {
        private static final long serialVersionUID = 1L;

        @Override
        public List<NamedType> findSubtypes(Annotated a) {
            // To be changed by who asks.
            return Kinds.of(a.getRawType()).stream()
                    .map(k -> new NamedType(k, Kinds.name(k)))
                    .collect(Collectors.toCollection(ArrayList::new));
        }
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        if (bean instanceof ObjectMapperProvider provider) {
            ObjectMapper mapper = provider.jsonMapper();
            mapper.setAnnotationIntrospector(new AnnotationIntrospectorPair(
                    new Introspector(), mapper.getSerializationConfig().getAnnotationIntrospector()));
        }
        return bean;
    }
}
