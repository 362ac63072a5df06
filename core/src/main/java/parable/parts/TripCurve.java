package parable.parts;

import java.util.Locale;

/**
 * How long a fuse or breaker carries how many times its rated current, in the middle of its band. Fuses gG and aM by IEC 60269-1 and -2 (gates: gG not at 1.25
 * and within the conventional time at 1.6 times; aM not at 4 times within 60 s, and within 0.5 s at 12.5 times), breakers B, C and D by IEC 60898-1, table 7 (not at
 * 1.13 and within an hour at 1.45 times, 1 to 60 s at 2.55 times; at once above 3 to 5, 5 to 10 and 10 to 20 times). A short circuit is another matter.
 */
public enum TripCurve {
    GG(new double[] {1.45, 2, 3, 4, 5, 7, 10, 15, 20}, new double[] {3600, 300, 25, 6, 2, 0.45, 0.08, 0.02, 0.01}),
    AM(new double[] {4.5, 6.3, 8, 10, 12.5, 19}, new double[] {200, 25, 6, 1.5, 0.35, 0.06}),
    B(new double[] {1.3, 2.55, 3.99, 4}, new double[] {3600, 20, 8, 0.01}),
    C(new double[] {1.3, 2.55, 5, 7.49, 7.5}, new double[] {3600, 20, 5, 2.5, 0.01}),
    D(new double[] {1.3, 2.55, 5, 10, 14.9, 15}, new double[] {3600, 20, 5, 1.2, 0.6, 0.01});

    private final double[] multiples;
    private final double[] seconds;

    TripCurve(double[] multiples, double[] seconds) {
        this.multiples = multiples;
        this.seconds = seconds;
    }

    /** As it is printed on the device: {@code gG}, {@code D}. */
    public String sign() {
        return switch (this) {
            case GG -> "gG";
            case AM -> "aM";
            case B, C, D -> name();
        };
    }

    /** The curve of this name, such as {@code gG} or {@code D}. */
    public static TripCurve named(String name) {
        return valueOf(name.toUpperCase(Locale.ROOT));
    }

    /**
     * The time in s that it carries a current for; infinite if for good.
     *
     * @param multiple the current in multiples of its rated current
     */
    public double secondsAt(double multiple) {
        if (multiple < multiples[0]) {
            return Double.POSITIVE_INFINITY;
        }
        for (int i = 1; i < multiples.length; i++) {
            if (multiple < multiples[i]) {
                double share = Math.log(multiple / multiples[i - 1]) / Math.log(multiples[i] / multiples[i - 1]);
                return seconds[i - 1] * Math.pow(seconds[i] / seconds[i - 1], share);
            }
        }
        return seconds[seconds.length - 1];
    }
}
