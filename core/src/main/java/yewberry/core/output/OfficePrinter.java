package yewberry.core.output;

import java.util.List;
import yewberry.core.Refused;
import yewberry.core.color.GreyCopy;
import yewberry.core.color.Rgb;

/**
 * A simulated office printer: what it cannot print, and what it makes of colours. Its models are
 * made up; margins of about 4 mm are common practice, no source.
 *
 * @param top that it cannot print, in millimetres; likewise the others
 * @param color whether it has any; else all is black toner
 */
public record OfficePrinter(
        String id,
        String name,
        double top,
        double right,
        double bottom,
        double left,
        boolean color) {
    public static final List<OfficePrinter> MODELS =
            List.of(
                    new OfficePrinter("copper", "Gatehouse colour, A4", 3, 3, 3, 3, true),
                    new OfficePrinter("slate", "Reading room mono, A4", 4.2, 4.2, 5.1, 4.2, false));

    /** How much of the toner is left where it is saved; the rest of the paper shows. */
    private static final double SAVED = 0.55;

    /**
     * What is printed on it.
     *
     * @param backgrounds whether they are printed
     * @param mono whether all is black toner, on a printer that has colours
     * @param saving whether toner is saved
     * @param duplex whether both sides of a sheet are printed
     * @param spreads whether facing pages are on one side
     * @throws Refused if both are wanted
     */
    public record Job(
            OfficePrinter printer,
            boolean backgrounds,
            boolean mono,
            boolean saving,
            boolean duplex,
            boolean spreads) {
        public Job {
            if (spreads && duplex) {
                throw new Refused(
                        "Facing pages on one side have the next ones on its back, and do not make a booklet; print them on one side only, or page by page on both.");
            }
        }

        /** How a colour comes out. */
        public Rgb printed(Rgb color) {
            Rgb toned = mono || !printer.color() ? GreyCopy.of(color) : color;
            return saving
                    ? new Rgb(saved(toned.red()), saved(toned.green()), saved(toned.blue()))
                    : toned;
        }

        private static int saved(int light) {
            return (int) Math.round(255 - (255 - light) * SAVED);
        }
    }

    /**
     * @throws Refused if there is no such model
     */
    public static OfficePrinter model(String id) {
        return MODELS.stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow(() ->
                        new Refused(
                                "There is no printer “%s”; choose one of: %s."
                                        .formatted(
                                                id,
                                                String.join(
                                                        ", ",
                                                        MODELS.stream()
                                                                .map(OfficePrinter::id)
                                                                .toList()))));
    }
}
