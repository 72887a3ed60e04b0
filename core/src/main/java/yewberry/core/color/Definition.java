package yewberry.core.color;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.Refused;

/** What makes a swatch: a value, an ink of its own, or what it derives from. */
public sealed interface Definition {
    /** The swatches it derives from. */
    default Set<UUID> bases() {
        return switch (this) {
            case Plain plain -> Set.of();
            case SpotInk spot -> Set.of();
            case Tint(UUID base, double percent) -> Set.of(base);
            case Mix(UUID one, UUID other, double percent) ->
                    one.equals(other) ? Set.of(one) : Set.of(one, other);
            case Lighter(UUID base, double percent) -> Set.of(base);
            case Legible(List<UUID> swatches, List<Viewing> viewings) -> Set.copyOf(swatches);
        };
    }

    /** How much of what it derives from, or how much lighter; nothing for a value or an ink. */
    default Optional<Double> share() {
        return switch (this) {
            case Plain plain -> Optional.empty();
            case SpotInk spot -> Optional.empty();
            case Tint(UUID base, double percent) -> Optional.of(percent);
            case Mix(UUID one, UUID other, double percent) -> Optional.of(percent);
            case Lighter(UUID base, double percent) -> Optional.of(percent);
            case Legible legible -> Optional.empty();
        };
    }

    /** The same at another percentage; a value or an ink stays as it is. */
    default Definition withPercent(double changed) {
        return switch (this) {
            case Plain plain -> plain;
            case SpotInk spot -> spot;
            case Tint(UUID base, double percent) -> new Tint(base, changed);
            case Mix(UUID one, UUID other, double percent) -> new Mix(one, other, changed);
            case Lighter(UUID base, double percent) -> new Lighter(base, changed);
            case Legible legible -> legible;
        };
    }

    /** The same with another swatch in the place of one it derives from. */
    default Definition with(UUID old, UUID replacement) {
        return switch (this) {
            case Plain plain -> plain;
            case SpotInk spot -> spot;
            case Tint(UUID base, double percent) ->
                    new Tint(base.equals(old) ? replacement : base, percent);
            case Mix(UUID one, UUID other, double percent) ->
                    new Mix(
                            one.equals(old) ? replacement : one,
                            other.equals(old) ? replacement : other,
                            percent);
            case Lighter(UUID base, double percent) ->
                    new Lighter(base.equals(old) ? replacement : base, percent);
            case Legible(List<UUID> swatches, List<Viewing> viewings) ->
                    new Legible(
                            swatches.stream()
                                    .map(each -> each.equals(old) ? replacement : each)
                                    .distinct()
                                    .toList(),
                            viewings);
        };
    }

    /**
     * A value in one space.
     *
     * @throws Refused if it is made of inks; that is for {@link SpotInk}
     */
    record Plain(Color color) implements Definition {
        public Plain {
            if (color instanceof Inks) {
                throw new Refused("A spot colour is defined by what stands for it, not by inks.");
            }
        }
    }

    /**
     * An ink with a plate of its own, named as its swatch.
     *
     * @param equivalent CMYK or CIELAB
     */
    record SpotInk(Color equivalent) implements Definition {
        public SpotInk {
            if (!(equivalent instanceof Cmyk || equivalent instanceof Lab)) {
                throw new Refused("What stands for a spot colour is given in CMYK or CIELAB.");
            }
        }
    }

    /** So many percent of another swatch; the rest is paper. */
    record Tint(UUID base, double percent) implements Definition {
        public Tint {
            checkPercent("A tint", percent);
        }
    }

    /**
     * @param percent of {@code one}; the rest is {@code other}
     */
    record Mix(UUID one, UUID other, double percent) implements Definition {
        public Mix {
            checkPercent("A mix", percent);
        }
    }

    /** Mixed with no ink: so many percent lighter. */
    record Lighter(UUID base, double percent) implements Definition {
        public Lighter {
            checkPercent("A lighter colour", percent);
        }
    }

    /**
     * A colour of text that is chosen where the text stands: the first of some swatches that is
     * legible on all that lies behind it.
     *
     * @param swatches in the order in which they are tried
     * @param viewings that it is to be legible under as well; as designed it is anyway
     * @throws Refused if there are none or more than 20 swatches, or one stands there twice
     */
    record Legible(List<UUID> swatches, List<Viewing> viewings) implements Definition {
        private static final int MOST = 20;

        public Legible {
            swatches = List.copyOf(swatches);
            viewings = viewings.stream().distinct().sorted().toList();
            if (swatches.isEmpty() || swatches.size() > MOST) {
                throw new Refused(
                        "A legible colour chooses from 1 to %d swatches; this would be %d."
                                .formatted(MOST, swatches.size()));
            }
            if (Set.copyOf(swatches).size() < swatches.size()) {
                throw new Refused("A legible colour tries a swatch once; choose another one.");
            }
        }
    }

    /**
     * @throws Refused if it is not within 0 to 100
     */
    static void checkPercent(String what, double percent) {
        if (!(percent >= 0 && percent <= 100)) {
            throw new Refused(
                    "%s of %s %% is not possible; choose from 0 to 100 %%."
                            .formatted(what, Numbers.plain(percent)));
        }
    }
}
