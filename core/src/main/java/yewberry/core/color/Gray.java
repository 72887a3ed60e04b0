package yewberry.core.color;

/** Grey as the coverage of black ink in percent, 0 (paper) to 100 (solid black). */
public record Gray(double black) implements Color {
    /** The same in process colour; refuses what is not within 0 to 100. */
    public Gray {
        black = new Cmyk(0, 0, 0, black).black();
    }

    public Cmyk ink() {
        return new Cmyk(0, 0, 0, black);
    }

    @Override
    public String toString() {
        return "Grey " + Numbers.plain(black) + " %";
    }
}
