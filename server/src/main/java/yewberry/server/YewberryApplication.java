package yewberry.server;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ApplicationListener;
import org.springframework.context.annotation.Bean;

/** The application: HTTP, storage and jobs around core and pdf. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class YewberryApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(YewberryApplication.class, arguments);
    }

    /** Says where to go, once there is something to see. */
    @Bean
    ApplicationListener<ApplicationReadyEvent> address(Settings settings) {
        return ready -> {
            var server =
                    ((WebServerApplicationContext) ready.getApplicationContext()).getWebServer();
            System.out.printf(
                    "Yewberry is ready: http://localhost:%d/ (data in %s, Ctrl+C stops it)%n",
                    server.getPort(), settings.data().toAbsolutePath());
        };
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
