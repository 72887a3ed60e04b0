package yewberry.pdf.proof;

import java.util.Optional;
import java.util.function.IntUnaryOperator;

/** Sums over the squares of a picture, each found from four numbers, however large it is. */
final class Squares {
    private Squares() {}

    /**
     * A square, where the sum over it is the furthest from 0.
     *
     * @param middle its pixel in the middle
     */
    record Square(int middle, int sum) {
        boolean isMoreThan(Square other) {
            return Math.abs(sum) > Math.abs(other.sum);
        }
    }

    /**
     * @param side of the squares, in pixels
     * @param value of a pixel
     * @return nothing where the picture is smaller than a square, or is 0 all over
     */
    static Optional<Square> furthest(int width, int height, int side, IntUnaryOperator value) {
        // of all above and to the left of each pixel
        int[] sums = new int[(width + 1) * (height + 1)];
        Square most = new Square(0, 0);
        for (int y = 1; y <= height; y++) {
            for (int x = 1; x <= width; x++) {
                int at = y * (width + 1) + x;
                int up = at - width - 1;
                sums[at] =
                        sums[at - 1]
                                + sums[up]
                                - sums[up - 1]
                                + value.applyAsInt((y - 1) * width + x - 1);
                if (x >= side && y >= side) {
                    int top = at - side * (width + 1);
                    int sum = sums[at] - sums[at - side] - sums[top] + sums[top - side];
                    int middle = (y - 1 - side / 2) * width + x - 1 - side / 2;
                    Square here = new Square(middle, sum);
                    most = here.isMoreThan(most) ? here : most;
                }
            }
        }
        return most.sum == 0 ? Optional.empty() : Optional.of(most);
    }
}
