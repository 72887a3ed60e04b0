package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.ground;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Level;
import yewberry.core.publication.Press;
import yewberry.core.scene.Composer;

class FindingsTest {
    private static List<Finding> of(Layer layer, Press press) {
        return Findings.of(
                new Composer(PressCondition.coated()).compose(Sample.withPage(layer), 0),
                new Legibility(PressCondition.coated(), Level.AA),
                press);
    }

    private static List<Finding> of(Layer layer) {
        return of(layer, Press.USUAL);
    }

    private static Press on(Lab stock, boolean real) {
        return new Press("coated", Optional.of(stock), real);
    }

    @Test
    void a_coloured_stock_without_a_background_is_found_until_it_is_answered() {
        Lab pink = new Lab(88, 12, 4);
        assertThat(of(Layer.EMPTY, on(pink, false)))
                .singleElement()
                .isInstanceOf(Finding.StockNotPrinted.class);
        assertThat(of(Layer.EMPTY, on(pink, true))).isEmpty();
        assertThat(of(Layer.EMPTY, on(new Lab(80, 0, 0), false))).hasSize(1);
        assertThat(of(Layer.EMPTY, on(new Lab(93, 0, 6), false))).isEmpty();
        assertThat(of(new Layer(List.of(ground("g", NIGHT)), List.of()), on(pink, false)))
                .isEmpty();
    }

    @Test
    void illegible_text_is_found_with_its_reason() {
        List<Finding> findings =
                of(
                        new Layer(
                                List.of(ground("g", NIGHT)),
                                List.of(frame("f", 10, 10, 100, 20, BODY, "Dark"))));
        assertThat(findings).singleElement().isInstanceOf(Finding.TooLittleContrast.class);
        assertThat(findings.getFirst().message())
                .contains("“Ink” on “Night”")
                .contains("needs 4.5 : 1")
                .contains("normal text: 10 pt in weight 400 is under 14 pt");
        assertThat(findings.getFirst().text()).isEqualTo("Dark");
        assertThat(findings.getFirst().origin().inWords()).isEqualTo("this page");
    }

    @Test
    void text_that_does_not_fit_is_found_with_how_much() {
        List<Finding> findings =
                of(new Layer(List.of(), List.of(frame("f", 10, 10, 15, 6, BODY, "Far too long"))));
        assertThat(findings).singleElement().isInstanceOf(Finding.TextOverflow.class);
        String lost = findings.getFirst().text();
        assertThat("Far too long").endsWith(lost);
        assertThat(findings.getFirst().message()).startsWith(lost.length() + " characters");
    }

    @Test
    void characters_that_the_font_lacks_are_found() {
        List<Finding> findings =
                of(new Layer(List.of(), List.of(frame("f", 10, 10, 80, 20, BODY, "夜 and day"))));
        assertThat(findings).singleElement().isInstanceOf(Finding.MissingCharacters.class);
        assertThat(findings.getFirst().message()).contains("Source Serif 4").contains("夜");
    }

    @Test
    void legible_text_that_fits_gives_no_finding() {
        assertThat(of(new Layer(List.of(), List.of(frame("f", 10, 10, 80, 20, BODY, "Fine")))))
                .isEmpty();
    }
}
