package parable.sizing;

import java.math.BigDecimal;
import java.math.RoundingMode;
import parable.parts.Nameplate;

/** How results are written: as fine as a meter or a dial shows them. */
final class Figures {

    private Figures() {}

    /** With up to four figures, for what is small and is taken times something after. */
    static String exact(double number) {
        return Nameplate.figure(number);
    }

    /** With two decimals below 10, one below 1000, none above; three figures below 1; no noughts at the end. */
    static String written(double number) {
        double amount = Math.abs(number);
        int decimals = amount >= 1000 ? 0 : amount >= 10 ? 1 : amount >= 1 ? 2 : 3;
        String plain = BigDecimal.valueOf(number)
                .setScale(decimals, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
        return plain.equals("-0") ? "0" : plain;
    }
}
