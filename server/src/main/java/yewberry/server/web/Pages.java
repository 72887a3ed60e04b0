package yewberry.server.web;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Every address of the interface is the same page, which then shows the right screen. */
@Controller
class Pages {
    @GetMapping({"/", "/publications/{id}", "/publications/{id}/{screen}"})
    String page() {
        return "forward:/index.html";
    }
}
