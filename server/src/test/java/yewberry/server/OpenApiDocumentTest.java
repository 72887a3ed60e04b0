package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The front end's types are generated from a copy of the server's own description. */
@ExtendWith(RunningServer.class)
class OpenApiDocumentTest {
    private static final Path COPY = Path.of("../web/openapi.json");

    private final Client client;

    OpenApiDocumentTest(Client client) {
        this.client = client;
    }

    @Test
    void the_copy_of_the_front_end_is_the_servers_own() throws IOException {
        JsonNode now = client.get("/api/openapi").json();
        if (Boolean.getBoolean("yewberry.write-api")) {
            JsonMapper mapper =
                    JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
            Files.writeString(COPY, mapper.writeValueAsString(now) + "\n");
        }
        assertThat(Client.JSON.readTree(Files.readString(COPY)))
                .as("web/openapi.json is out of date; run ./yewberry api")
                .isEqualTo(now);
    }

    @Test
    void a_sealed_type_is_told_apart_by_a_mapped_discriminator() {
        JsonNode schemas = client.get("/api/openapi").json().path("components").path("schemas");
        JsonNode edit = schemas.path("Edit");
        assertThat(edit.path("discriminator").path("propertyName").asString()).isEqualTo("type");
        assertThat(edit.path("discriminator").path("mapping").path("addBackground").asString())
                .isEqualTo("#/components/schemas/AddBackground");
        assertThat(
                        schemas.path("AddBackground")
                                .path("properties")
                                .path("type")
                                .path("const")
                                .asString())
                .isEqualTo("addBackground");
    }
}
