package yewberry.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.function.BooleanSupplier;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * Knows whether who asked has left. Servlets are not told while they compute; Tomcat sees it when
 * it tries to read on without waiting: at the end of the stream one byte is said to be there.
 */
@Component
class Connection implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private static final String GONE = Connection.class.getName();

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        factory.addContextValves(new Valve());
    }

    /** For a request whose body has been read. */
    static BooleanSupplier of(HttpServletRequest request) {
        return request.getAttribute(GONE) instanceof BooleanSupplier gone ? gone : () -> false;
    }

    private static final class Valve extends ValveBase {
        Valve() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response)
                throws IOException, jakarta.servlet.ServletException {
            var coyote = request.getCoyoteRequest();
            BooleanSupplier gone =
                    () -> {
                        coyote.action(ActionCode.AVAILABLE, Boolean.TRUE);
                        return coyote.getAvailable() == 1;
                    };
            request.setAttribute(GONE, gone);
            getNext().invoke(request, response);
        }
    }
}
