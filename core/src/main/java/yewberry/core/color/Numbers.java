package yewberry.core.color;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Numbers as people write them. */
public final class Numbers {
    private Numbers() {}

    /** At most three decimals, no trailing zeros, no exponent: {@code 3}, {@code 12.7}. */
    public static String plain(double value) {
        if (!Double.isFinite(value)) {
            return Double.toString(value);
        }
        BigDecimal rounded =
                BigDecimal.valueOf(value).setScale(3, RoundingMode.HALF_UP).stripTrailingZeros();
        return rounded.signum() == 0 ? "0" : rounded.toPlainString();
    }
}
