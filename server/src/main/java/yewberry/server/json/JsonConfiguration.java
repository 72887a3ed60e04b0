package yewberry.server.json;

import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

@Configuration
class JsonConfiguration {
    @Bean
    JsonMapperBuilderCustomizer coreTypes() {
        return CoreJson::teach;
    }
}
