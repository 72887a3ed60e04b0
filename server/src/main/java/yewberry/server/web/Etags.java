package yewberry.server.web;

import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.filter.ShallowEtagHeaderFilter;

/** What is read of a publication carries a hash of itself, so that it is sent once. */
@Configuration
class Etags {
    @Bean
    FilterRegistrationBean<ShallowEtagHeaderFilter> etagFilter() {
        var filter = new ShallowEtagHeaderFilter();
        filter.setWriteWeakETag(true); // with a strong one the server sends it as it is, not zipped
        var registration = new FilterRegistrationBean<>(filter);
        registration.addUrlPatterns("/api/publications/*");
        return registration;
    }
}
