package yewberry.core.mends;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import yewberry.core.Cancellation;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Gray;
import yewberry.core.color.Inks;
import yewberry.core.color.Lab;
import yewberry.core.color.Medium;
import yewberry.core.color.Oklch;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;

/**
 * Finds the colour nearest to another one that passes on every backdrop asked for. The OKLCH hue
 * stays, the chroma as far as it can be printed, and the lightness moves, the shorter way if both
 * ways pass. The result is in the colour space of the old colour, and what passes is what is seen
 * on each medium that it is needed on: ratios are taken of the final, rounded values.
 */
public final class NearestLegible {
    private static final double STEP = 0.0025;

    /**
     * Distance in OKLab up to which a colour counts as printed faithfully; one is about 1 dE/50.
     */
    private static final double FAITHFUL = 0.02;

    private final PressCondition condition;
    private final Color old;
    private final Oklch start;
    private final Collection<Need> needs;
    private final List<Medium> media;
    private final Optional<UnaryOperator<Color>> shown;

    /**
     * @param backdrop what is behind the text, as it is seen
     * @param required the least ratio to it
     * @param medium that it is seen on
     */
    public record Need(Rgb backdrop, double required, Medium medium) {
        boolean metBy(Rgb color) {
            return Contrast.ratio(color, backdrop) >= required;
        }
    }

    /**
     * @param color in the space of the old one
     * @param screen what is seen of it, on the first medium
     * @param ratio the least of its ratios to the backdrops
     * @param steps how far its lightness is from the old one
     */
    public record Proposal(Color color, Rgb screen, double ratio, boolean lighter, int steps) {}

    private NearestLegible(
            PressCondition condition,
            Color old,
            Collection<Need> needs,
            Optional<UnaryOperator<Color>> shown) {
        this.shown = shown;
        this.condition = condition;
        this.old = old;
        this.needs = needs;
        this.media = needs.stream().map(Need::medium).distinct().sorted().toList();
        this.start = Oklch.of(condition.seen(old, media.getFirst()));
    }

    /** Nothing if no lightness passes on all of them. */
    public static Optional<Proposal> to(
            Color old, Collection<Need> needs, PressCondition condition) {
        return new NearestLegible(condition, old, needs, Optional.empty()).search();
    }

    /**
     * The same where the colour itself is not what is seen.
     *
     * @param shown what is seen of it, such as a tint
     */
    public static Optional<Proposal> to(
            Color old,
            Collection<Need> needs,
            PressCondition condition,
            UnaryOperator<Color> shown) {
        return new NearestLegible(condition, old, needs, Optional.of(shown)).search();
    }

    private Optional<Proposal> search() {
        return Stream.of(towards(1), towards(-1))
                .flatMap(Optional::stream)
                .min(Comparator.comparingDouble(this::shift));
    }

    private double shift(Proposal proposal) {
        return shown.isPresent()
                ? proposal.steps()
                : Math.abs(Oklch.of(proposal.screen()).lightness() - start.lightness());
    }

    private Rgb seen(Color color, Medium medium) {
        return condition.seen(shown.map(each -> each.apply(color)).orElse(color), medium);
    }

    /** Goes from the old lightness in one direction and stops at the first colour that passes. */
    private Optional<Proposal> towards(int direction) {
        int steps =
                (int) Math.ceil((direction > 0 ? 1 - start.lightness() : start.lightness()) / STEP);
        for (int i = 0; i <= steps; i++) {
            Cancellation.check();
            double lightness = Math.clamp(start.lightness() + direction * i * STEP, 0, 1);
            if (shown.isEmpty() && hopeless(lightness)) {
                continue;
            }
            Color candidate = printable(start.withLightness(lightness));
            if (needs.stream().allMatch(need -> need.metBy(seen(candidate, need.medium())))) {
                double ratio =
                        needs.stream()
                                .mapToDouble(need ->
                                        Contrast.ratio(
                                                seen(candidate, need.medium()), need.backdrop()))
                                .min()
                                .orElse(21);
                Rgb screen = seen(candidate, media.getFirst());
                return Optional.of(new Proposal(candidate, screen, ratio, direction > 0, i));
            }
        }
        return Optional.empty();
    }

    /**
     * A neutral of this lightness is far from passing, so no colour of it will: saves the search.
     */
    private boolean hopeless(double lightness) {
        Rgb neutral = new Oklch(lightness, 0, 0).toRgb();
        return needs.stream()
                .anyMatch(
                        need -> Contrast.ratio(neutral, need.backdrop()) < need.required() * 0.75);
    }

    /** As much of the chroma as the old colour's space can show at this lightness. */
    private Color printable(Oklch wanted) {
        if (faithful(wanted)) {
            return inSpace(wanted.toRgb());
        }
        double low = 0;
        double high = wanted.chroma();
        while (high - low > 0.002) {
            double middle = (low + high) / 2;
            if (faithful(wanted.withChroma(middle))) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return inSpace(wanted.withChroma(low).toRgb());
    }

    private boolean faithful(Oklch wanted) {
        if (!wanted.inSrgb()) {
            return false;
        }
        Rgb rgb = wanted.toRgb();
        Color color = inSpace(rgb);
        return media.stream()
                .allMatch(medium -> Oklch.distance(rgb, condition.seen(color, medium)) <= FAITHFUL);
    }

    private Color inSpace(Rgb rgb) {
        return switch (old) {
            case Rgb same -> rgb;
            case Lab same -> rounded(condition.lab(rgb));
            case Gray same -> grayOf(rgb);
            case Cmyk ink when ink.total() == ink.black() -> new Cmyk(0, 0, 0, grayOf(rgb).black());
            case Cmyk ink -> condition.toInk(rgb).rounded();
            case Inks inks -> condition.toInk(rgb).rounded();
        };
    }

    private static Lab rounded(Lab lab) {
        return new Lab(
                Math.rint(lab.lightness() * 10) / 10,
                Math.rint(lab.a() * 10) / 10,
                Math.rint(lab.b() * 10) / 10);
    }

    /** The grey of this lightness, in whole percent. */
    private Gray grayOf(Rgb rgb) {
        double wanted = Contrast.luminance(rgb);
        int low = 0;
        int high = 100;
        while (low < high) {
            int middle = (low + high) / 2;
            if (Contrast.luminance(condition.toScreen(new Gray(middle))) > wanted) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return new Gray(low);
    }
}
