package yewberry.server.view;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Numbers;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.legibility.Demand;
import yewberry.core.publication.Level;
import yewberry.core.publication.Setup;

/**
 * A pair of colours that was typed.
 *
 * @param verdict what the ratio is enough for, in words
 * @param criteria what it comes to under each
 * @param viewings what it is under each
 */
public record TypedPair(
        String text,
        String backdrop,
        BigDecimal ratio,
        String verdict,
        List<PairCriterion> criteria,
        List<PairViewing> viewings) {
    /**
     * @param passes at any size
     * @param fromSize where it passes from a size on, that in words; otherwise empty
     */
    public record PairCriterion(String name, boolean passes, String fromSize) {
        /** WCAG 2.2, large scale. */
        private static final String LARGE = "from 18 pt, or bold from 14 pt";

        static PairCriterion of(String name, double ratio, double normal, double large) {
            boolean passes = ratio >= normal;
            return new PairCriterion(name, passes, !passes && ratio >= large ? LARGE : "");
        }
    }

    public record PairViewing(Viewing viewing, String text, String backdrop, BigDecimal ratio) {}

    /**
     * @param view that the ratio and the criteria are about
     * @param all viewings that make sense
     */
    public static TypedPair of(Color text, Color backdrop, Setup setup, View view, List<View> all) {
        Rgb one = view.see(text);
        Rgb other = view.see(backdrop);
        double ratio = Contrast.ratio(one, other);
        List<PairCriterion> criteria = new ArrayList<>();
        for (Level level : Level.values()) {
            criteria.add(
                    PairCriterion.of(
                            "%s, text (WCAG 2.2, %s)"
                                    .formatted(level, level == Level.AA ? "1.4.3" : "1.4.6"),
                            ratio,
                            level.required(false),
                            level.required(true)));
        }
        criteria.add(PairCriterion.of("AA, graphics and borders (WCAG 2.2, 1.4.11)", ratio, 3, 3));
        Demand demand = Demand.of(setup);
        if (demand.normal() > setup.level().required(false)
                || demand.large() > setup.level().required(true)) {
            criteria.add(
                    PairCriterion.of(
                            "This publication’s own rule, %s : 1"
                                    .formatted(Numbers.plain(demand.normal())),
                            ratio,
                            demand.normal(),
                            demand.large()));
        }
        return new TypedPair(
                one.hex(),
                other.hex(),
                Contrast.cut(ratio),
                verdict(ratio),
                criteria,
                all.stream()
                        .map(each -> {
                            Rgb front = each.see(text);
                            Rgb behind = each.see(backdrop);
                            return new PairViewing(
                                    each.viewing(),
                                    front.hex(),
                                    behind.hex(),
                                    Contrast.cut(Contrast.ratio(front, behind)));
                        })
                        .toList());
    }

    private static String verdict(double ratio) {
        if (ratio >= Level.AAA.required(false)) {
            return "passes AAA";
        }
        if (ratio >= Level.AA.required(false)) {
            return "passes AA, and AAA where the text is large";
        }
        return ratio >= Level.AA.required(true) ? "passes AA where the text is large" : "fails";
    }
}
