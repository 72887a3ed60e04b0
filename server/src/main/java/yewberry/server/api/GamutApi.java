package yewberry.server.api;

import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Refused;
import yewberry.core.color.Axis;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.color.WrittenColor;
import yewberry.core.picture.GamutPicture;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.PressConditions;
import yewberry.server.publications.Publications;

/** Pictures that colours are chosen from, as PNG. */
@RestController
@RequestMapping("/api")
class GamutApi {
    private static final int PLANE_WIDTH = 220;
    private static final int PLANE_HEIGHT = 150;
    private static final int STRIP_WIDTH = 220;
    private static final int STRIP_HEIGHT = 16;

    private final PressConditions conditions;
    private final Publications publications;

    GamutApi(PressConditions conditions, Publications publications) {
        this.conditions = conditions;
        this.publications = publications;
    }

    /** Chroma to the right, from 0 to 110, and lightness upwards, from 0 to 100, at one hue. */
    @GetMapping(path = "/press-conditions/{condition}/planes", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> plane(@PathVariable String condition, @RequestParam double hue) {
        if (!(hue >= 0 && hue <= 360)) {
            throw new Refused("A hue goes from 0 to 360 degrees.");
        }
        return picture(
                new GamutPicture(conditions.get(condition)).plane(hue, PLANE_WIDTH, PLANE_HEIGHT));
    }

    /** Where moving a colour along an axis leads, from the least to the most. */
    @GetMapping(path = "/press-conditions/{condition}/strips", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> strip(
            @PathVariable String condition, @RequestParam String color, @RequestParam Axis axis) {
        PressCondition press = conditions.get(condition);
        Color of = WrittenColor.read(color);
        return picture(
                new GamutPicture(press)
                        .strip(part -> axis.at(part, of, press), STRIP_WIDTH, STRIP_HEIGHT));
    }

    /** Where changing the percentage of a derived swatch leads, from 0 to 100. */
    @GetMapping(
            path = "/publications/{id}/swatches/{swatch}/strip",
            produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> share(@PathVariable UUID id, @PathVariable UUID swatch) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        PressCondition press = open.press(publication);
        Palette palette = new Palette(publication::swatch, press);
        Swatch of = publication.swatch(swatch);
        Definition definition = of.definition();
        return picture(
                new GamutPicture(press)
                        .strip(
                                part ->
                                        palette.color(
                                                of.withDefinition(
                                                        definition.withPercent(part * 100))),
                                STRIP_WIDTH,
                                STRIP_HEIGHT));
    }

    private static ResponseEntity<byte[]> picture(byte[] png) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_PNG)
                .cacheControl(CacheControl.maxAge(1, TimeUnit.HOURS).cachePrivate())
                .body(png);
    }
}
