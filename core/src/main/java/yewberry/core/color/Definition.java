package yewberry.core.color;

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
