package yewberry.server.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.servers.Server;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The head of the OpenAPI document, the same wherever the server runs. */
@Configuration
class ApiDescription {
    @Bean
    OpenAPI openApi() {
        return new OpenAPI()
                .info(new Info().title("Yewberry").version("1"))
                .servers(List.of(new Server().url("/")));
    }
}
