package yewberry.core.text;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import yewberry.core.publication.TabStop;

/**
 * How far the tabs of a line reach.
 *
 * @param stops where tabs lead to
 * @param end of the lines, in points from the left of the column
 */
record Tabs(List<TabStop> stops, double end) {
    /** Behind all stops a tab leads to the next multiple of this: common practice, no source. */
    private static final double USUAL = 36;

    private static final double NOTHING = 1e-6;

    /** A line as it stands without tabs reaching anywhere: characters, or glyphs, one by one. */
    interface Row {
        int size();

        /** Where one begins, in points; the last one ends at {@code size()}. */
        double at(int cell);

        String text(int cell);
    }

    /**
     * What a tab comes to.
     *
     * @param cell that it is
     * @param extra on top of its own width, in points; may be below zero
     * @param leader what its room is filled with
     */
    record Reach(int cell, double extra, String leader) {}

    /** A stop where it lies. */
    private record At(double x, TabStop.Side side, String leader) {}

    static boolean isTab(String text) {
        return text.equals("\t");
    }

    /**
     * @param begin of the line, in points from the left of the column
     */
    List<Reach> of(Row row, double begin) {
        List<Reach> reaches = new ArrayList<>();
        double shift = begin - row.at(0);
        for (int cell = 0; cell < row.size(); cell++) {
            if (isTab(row.text(cell))) {
                double x = row.at(cell) + shift;
                Optional<At> next = next(x);
                if (next.isPresent()) {
                    double reach =
                            Math.max(0, next.get().x() - before(next.get(), row, cell + 1) - x);
                    double extra = reach - (row.at(cell + 1) - row.at(cell));
                    reaches.add(new Reach(cell, extra, next.get().leader()));
                    shift += extra;
                }
            }
        }
        return reaches;
    }

    private Optional<At> next(double x) {
        return stops.stream()
                .map(stop ->
                        new At(
                                stop.at().map(each -> each.points()).orElse(end),
                                stop.side(),
                                stop.leader()))
                .filter(at -> at.x() > x + NOTHING && at.x() <= end + NOTHING)
                .min(Comparator.comparingDouble(At::x))
                .or(() ->
                        Optional.of((Math.floor((x + NOTHING) / USUAL) + 1) * USUAL)
                                .filter(at -> at <= end + NOTHING)
                                .map(at -> new At(at, TabStop.Side.LEFT, "")));
    }

    /** How much of the text behind a tab stands before its stop, in points. */
    private static double before(At stop, Row row, int from) {
        int to = from;
        while (to < row.size() && !isTab(row.text(to))) {
            to++;
        }
        return switch (stop.side()) {
            case LEFT -> 0;
            case CENTER -> (row.at(to) - row.at(from)) / 2;
            case RIGHT -> row.at(to) - row.at(from);
            case DECIMAL -> row.at(decimal(row, from, to)) - row.at(from);
        };
    }

    /** The last point or comma behind a figure. */
    private static int decimal(Row row, int from, int to) {
        for (int cell = to - 1; cell > from; cell--) {
            boolean mark = row.text(cell).equals(".") || row.text(cell).equals(",");
            if (mark && row.text(cell - 1).codePoints().allMatch(Character::isDigit)) {
                return cell;
            }
        }
        return to;
    }
}
