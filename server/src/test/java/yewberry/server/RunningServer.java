package yewberry.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Starts the real application once for all tests of a process, on a free port with a folder of its
 * own.
 */
public final class RunningServer implements BeforeAllCallback, ParameterResolver {
    private record Started(ConfigurableApplicationContext context, Client client) {}

    /** Begun with the first test that asks for it; the application ends with the process. */
    private static final class Shared {
        static final Started SERVER = start();
    }

    @Override
    public void beforeAll(ExtensionContext context) {
        started();
    }

    private static Started started() {
        return Shared.SERVER;
    }

    private static Started start() {
        Path data;
        try {
            data = Files.createTempDirectory("yewberry-test");
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        ConfigurableApplicationContext context =
                SpringApplication.run(
                        YewberryApplication.class,
                        "--server.port=0",
                        "--yewberry.demo=true",
                        "--yewberry.data=" + data);
        int port = ((WebServerApplicationContext) context).getWebServer().getPort();
        return new Started(context, new Client(port));
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        return type == Client.class || type == ApplicationContext.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Started started = started();
        return parameter.getParameter().getType() == Client.class
                ? started.client()
                : started.context();
    }
}
