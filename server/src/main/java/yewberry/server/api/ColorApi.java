package yewberry.server.api;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Gray;
import yewberry.core.color.PressCondition;
import yewberry.core.color.WrittenColor;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.PressConditions;
import yewberry.server.publications.Publications;
import yewberry.server.view.ConditionView;
import yewberry.server.view.EverySpace;
import yewberry.server.view.NamedColor;

/** Colours as they are written, and the press conditions there are. */
@RestController
@RequestMapping("/api")
class ColorApi {
    private final Publications publications;
    private final PressConditions conditions;

    ColorApi(Publications publications, PressConditions conditions) {
        this.publications = publications;
        this.conditions = conditions;
    }

    /** Reads a colour as people write it. */
    @GetMapping("/publications/{id}/colors")
    EverySpace read(@PathVariable UUID id, @RequestParam String text) {
        return everySpace(publications.get(id), WrittenColor.read(text));
    }

    /** What is typed in front of a colour is a name for it; nothing where there is no colour. */
    @GetMapping("/publications/{id}/colors/named")
    NamedColor named(@PathVariable UUID id, @RequestParam String text) {
        OpenPublication open = publications.get(id);
        Optional<WrittenColor.Named> read = WrittenColor.named(text);
        return new NamedColor(
                read.flatMap(WrittenColor.Named::name),
                read.map(named -> everySpace(open, named.color())));
    }

    private static EverySpace everySpace(OpenPublication open, Color color) {
        PressCondition press = open.press(open.state().publication());
        Cmyk ink = press.toInk(color).rounded();
        return new EverySpace(
                color,
                ink,
                press.toScreen(color),
                press.lab(color),
                new Gray(Math.rint(100 - press.lab(color).lightness())),
                press.seen(
                                color,
                                open.state().publication().setup().destination().media().getFirst())
                        .hex());
    }

    @GetMapping("/press-conditions")
    List<ConditionView> conditions() {
        return conditions.all().stream().map(ConditionView::of).toList();
    }

    /** Brings an ICC output profile along; the body is the file itself. */
    @PostMapping(path = "/press-conditions", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    ConditionView add(
            @RequestParam String name,
            @RequestParam(defaultValue = "300") double inkLimit,
            @RequestBody byte[] profile) {
        return ConditionView.of(conditions.add(name, profile, inkLimit));
    }
}
