package yewberry.core.publication;

/** Units of length. A point is the PostScript and PDF point, 72 to the inch. */
public enum Unit {
    MM("mm", 72 / 25.4),
    PT("pt", 1),
    IN("in", 72);

    private final String symbol;
    private final double points;

    Unit(String symbol, double points) {
        this.symbol = symbol;
        this.points = points;
    }

    public String symbol() {
        return symbol;
    }

    /** How many points one of this unit is. */
    public double points() {
        return points;
    }
}
