package parable.parts;

import java.math.BigDecimal;
import java.math.MathContext;

/** How figures are written on a nameplate. */
public final class Nameplate {

    private static final MathContext FOUR_FIGURES = new MathContext(4);

    private Nameplate() {}

    /** A number with up to four figures and no noughts at its end: {@code 20.2}, {@code 1000}. */
    public static String figure(double number) {
        return new BigDecimal(number).round(FOUR_FIGURES).stripTrailingZeros().toPlainString();
    }
}
