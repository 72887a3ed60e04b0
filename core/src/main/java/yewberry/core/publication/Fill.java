package yewberry.core.publication;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.color.Definition;
import yewberry.core.color.Numbers;

/** What an area is filled with. None is not white: it paints nothing. */
public sealed interface Fill {
    record None() implements Fill {}

    record Solid(Tinted color) implements Fill {}

    /**
     * Colours that pass into each other, in the inks that print them.
     *
     * @param angle of a linear one, in degrees: 0 goes from left to right, 90 from the bottom up
     * @param reversed whether it is read from its last stop to its first
     * @param stops two or more, from position 0 to 100
     * @throws Refused if there are fewer than two stops or more than 50, they are not in order, or
     *     the angle is not within -360 to 360
     */
    record Gradient(Kind kind, double angle, boolean reversed, List<Stop> stops) implements Fill {
        public enum Kind {
            LINEAR,
            /** From the centre of the area to its corners. */
            RADIAL
        }

        /**
         * @param position in percent of the way
         * @param opacity in percent; 100 covers
         */
        public record Stop(double position, Tinted color, double opacity) {
            public Stop {
                Definition.checkPercent("A position", position);
                Definition.checkPercent("An opacity", opacity);
            }

            Stop withSwatch(UUID changed) {
                return new Stop(position, color.withSwatch(changed), opacity);
            }
        }

        public Gradient {
            stops = List.copyOf(stops);
            if (stops.size() < 2 || stops.size() > 50) {
                throw new Refused(
                        "A gradient of %d stops is not possible; it has 2 to 50."
                                .formatted(stops.size()));
            }
            for (int i = 1; i < stops.size(); i++) {
                if (stops.get(i).position() < stops.get(i - 1).position()) {
                    throw new Refused(
                            "The stop at %s %% comes after one at %s %%; put the stops in order."
                                    .formatted(
                                            Numbers.plain(stops.get(i).position()),
                                            Numbers.plain(stops.get(i - 1).position())));
                }
            }
            if (!(angle >= -360 && angle <= 360)) {
                throw new Refused(
                        "An angle of %s degrees is not possible; choose from -360 to 360."
                                .formatted(Numbers.plain(angle)));
            }
        }

        public Gradient withStops(List<Stop> changed) {
            return new Gradient(kind, angle, reversed, changed);
        }
    }

    /**
     * A picture.
     *
     * @param asset of the publication; one that is a picture or a drawing
     * @param seeThrough nothing means that all of it is as it came
     */
    record Picture(UUID asset, Placing placing, RunOut runOut, Optional<SeeThrough> seeThrough)
            implements Fill {
        public Picture withPlacing(Placing changed) {
            return new Picture(asset, changed, runOut, seeThrough);
        }

        public Picture withRunOut(RunOut changed) {
            return new Picture(asset, placing, changed, seeThrough);
        }

        public Picture withSeeThrough(Optional<SeeThrough> changed) {
            return new Picture(asset, placing, runOut, changed);
        }
    }

    /**
     * A page of a PDF, as it is.
     *
     * @param asset of the publication; one that is a document
     * @param number of the page in it, from 1
     */
    record PdfPage(UUID asset, int number, Placing placing) implements Fill {}

    /**
     * A word, as large as its area lets it, or of a size; once or over and over.
     *
     * @param family of the face, with its weight and whether it slants
     * @param size of the type; nothing means as large as fits
     * @param repeat how it fills its frame with copies; nothing for once
     * @throws Refused if there is nothing to see, or more than 60 characters, or a size that is not
     *     within 2 to 2000 pt, or it is repeated without a size
     */
    record Word(
            String text,
            String family,
            int weight,
            boolean italic,
            Optional<Length> size,
            Optional<Repeat> repeat,
            Tinted color)
            implements Fill {
        private static final int MOST = 60;

        /**
         * Copies in rows and columns, as many as fit whole.
         *
         * @param across between one and the next in a row, at least
         * @param down between one row and the next, at least
         * @param angle of each about its own middle, in degrees clockwise
         * @throws Refused if a distance is not within 0 to 2000 mm, or the angle more than a turn
         */
        public record Repeat(Length across, Length down, double angle) {
            public Repeat {
                for (Length each : List.of(across, down)) {
                    if (!(each.points() >= 0 && each.points() <= Length.mm(2000).points())) {
                        throw new Refused(
                                "A distance of %s between copies is not possible; choose from 0 to 2000 mm."
                                        .formatted(each.inWords()));
                    }
                }
                if (!(Math.abs(angle) <= 360)) {
                    throw new Refused(
                            "An angle of %s° is not possible; choose from -360° to 360°."
                                    .formatted(Numbers.plain(angle)));
                }
            }
        }

        /** One that stands once. */
        public Word(
                String text,
                String family,
                int weight,
                boolean italic,
                Optional<Length> size,
                Tinted color) {
            this(text, family, weight, italic, size, Optional.empty(), color);
        }

        public Word {
            text = text.strip();
            if (text.isEmpty() || text.codePointCount(0, text.length()) > MOST) {
                throw new Refused(
                        "A word in front has 1 to %d characters; write longer text in a text frame."
                                .formatted(MOST));
            }
            if (text.codePoints()
                    .anyMatch(each ->
                            Character.isISOControl(each)
                                    || Character.getType(each) == Character.SURROGATE)) {
                throw new Refused(
                        "A word in front holds a character that cannot be shown; type it again.");
            }
            if (size.filter(each -> !(each.points() >= 2 && each.points() <= 2000)).isPresent()) {
                throw new Refused(
                        "A size of %s is not possible; choose from 2 pt to 2000 pt."
                                .formatted(size.get().inWords()));
            }
            if (repeat.isPresent() && size.isEmpty()) {
                throw new Refused(
                        "A word that is repeated has a size of its own; choose one, because as large as fits it would fit once.");
            }
        }

        public Word withText(String changed) {
            return new Word(changed, family, weight, italic, size, repeat, color);
        }

        public Word withColor(Tinted changed) {
            return new Word(text, family, weight, italic, size, repeat, changed);
        }
    }

    /** The asset that it is made from, if any. */
    default Optional<UUID> madeFrom() {
        return switch (this) {
            case None none -> Optional.empty();
            case Solid solid -> Optional.empty();
            case Gradient gradient -> Optional.empty();
            case Word word -> Optional.empty();
            case Picture picture -> Optional.of(picture.asset());
            case PdfPage page -> Optional.of(page.asset());
        };
    }

    /** The uses of swatches in it. */
    default List<Tinted> colors() {
        return switch (this) {
            case None none -> List.of();
            case Picture picture -> List.of();
            case PdfPage page -> List.of();
            case Solid(Tinted color) -> List.of(color);
            case Word word -> List.of(word.color());
            case Gradient gradient -> gradient.stops().stream().map(Gradient.Stop::color).toList();
        };
    }

    /** With other swatches, all of them exchanged at once. */
    default Fill withSwatches(UnaryOperator<UUID> exchange) {
        return switch (this) {
            case None none -> none;
            case Picture picture -> picture;
            case PdfPage page -> page;
            case Solid(Tinted color) -> new Solid(color.withSwatch(exchange.apply(color.swatch())));
            case Word word ->
                    word.withColor(word.color().withSwatch(exchange.apply(word.color().swatch())));
            case Gradient gradient ->
                    gradient.withStops(
                            gradient.stops().stream()
                                    .map(stop ->
                                            stop.withSwatch(exchange.apply(stop.color().swatch())))
                                    .toList());
        };
    }

    /** Made from another asset, if it is made from any. */
    default Fill withAsset(UnaryOperator<UUID> exchange) {
        return switch (this) {
            case None none -> none;
            case Solid solid -> solid;
            case Gradient gradient -> gradient;
            case Word word -> word;
            case Picture picture ->
                    new Picture(
                            exchange.apply(picture.asset()),
                            picture.placing(),
                            picture.runOut(),
                            picture.seeThrough());
            case PdfPage page ->
                    new PdfPage(exchange.apply(page.asset()), page.number(), page.placing());
        };
    }
}
