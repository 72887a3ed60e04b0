package yewberry.pdf.proof;

import java.util.Optional;
import java.util.function.IntBinaryOperator;

/** Sums over the squares of a picture, each found from four numbers, however large it is. */
final class Squares {
    private Squares() {}

    /**
     * A square, where the sum over it is the furthest from 0.
     *
     * @param middle its pixel in the middle
     */
    record Square(int middle, int sum) {}

    /**
     * @param side of the squares, in pixels
     * @param value of a pixel, by its column and row
     * @return nothing where the picture is smaller than a square, or is 0 all over
     */
    static Optional<Square> furthest(int width, int height, int side, IntBinaryOperator value) {
        // of all above and to the left of each pixel
        int[] sums = new int[(width + 1) * (height + 1)];
        int most = 0;
        int middle = 0;
        for (int y = 1; y <= height; y++) {
            for (int x = 1; x <= width; x++) {
                int at = y * (width + 1) + x;
                int up = at - width - 1;
                sums[at] = sums[at - 1] + sums[up] - sums[up - 1] + value.applyAsInt(x - 1, y - 1);
                if (x >= side && y >= side) {
                    int top = at - side * (width + 1);
                    int sum = sums[at] - sums[at - side] - sums[top] + sums[top - side];
                    if (Math.abs(sum) > Math.abs(most)) {
                        most = sum;
                        middle = (y - 1 - side / 2) * width + x - 1 - side / 2;
                    }
                }
            }
        }
        return most == 0 ? Optional.empty() : Optional.of(new Square(middle, most));
    }
}
