package org.sallowbrook.server.making;

import org.sallowbrook.server.platform.Kinds;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Lets requests of every kind be read, whichever room of the bench they are in. */
@Configuration
class BatchKinds {

    @Bean
    JsonMapperBuilderCustomizer kindsOfBatches() {
        return mapper -> mapper.registerSubtypes(Kinds.of(BatchRequest.class));
    }
}
