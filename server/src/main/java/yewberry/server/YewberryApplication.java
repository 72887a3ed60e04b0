package yewberry.server;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import yewberry.core.color.PressCondition;

/** The application: HTTP, storage and jobs around core and pdf. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class YewberryApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(YewberryApplication.class, arguments);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    PressCondition pressCondition() {
        return PressCondition.coated();
    }
}
