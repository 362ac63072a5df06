package parable.starters;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import parable.parts.RatedCurrent;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;

/**
 * A first guess at what belongs to a motor's power. It is for drawing and trying only: cables and protection are sized by
 * the nameplate and the local code.
 */
public final class Power {

    private static final Pattern WRITTEN = Pattern.compile("(\\d+(?:\\.\\d+)?) ?(kW|hp)");

    /** A breaker that opens at once above ten times its rating lets the start of 6.5 to 8 times the motor's current pass with so much room. */
    private static final double ROOM_FOR_START = 1.4;

    /** The most for an inverse-time breaker by NFPA 70 (NEC), table 430.52. */
    private static final double MOST_OF_CURRENT = 2.5;

    private Power() {}

    /** The power that these words say in kW, empty if they say none. */
    public static Optional<Double> kilowatts(String words) {
        Matcher written = WRITTEN.matcher(words.strip());
        if (!written.matches() || Double.parseDouble(written.group(1)) < 0.02) {
            return Optional.empty();
        }
        double number = Double.parseDouble(written.group(1));
        return Optional.of(written.group(2).equals("hp") ? RatedCurrent.HORSEPOWER * number : number);
    }

    /** A current as it is written on a device, such as {@code 4.6 A}. */
    public static String amperes(double amperes) {
        return String.format(Locale.ROOT, "%.1f A", Math.max(0.1, Math.min(1000, amperes)))
                .replace(".0 A", " A");
    }

    /**
     * The breaker for a motor, with a relay for overload behind it: by IEC practice the smallest that the start does not open, by North American
     * practice the largest that is allowed.
     *
     * @param tables of the practice
     * @param amperes the motor's rated current
     */
    public static String breaker(RatingTables tables, double amperes) {
        RatingTable table = tables.table("breaker");
        RatingLine line =
                switch (tables.practice()) {
                    case IEC -> table.from(ROOM_FOR_START * amperes).orElse(table.most());
                    case NORTH_AMERICAN -> table.upTo(MOST_OF_CURRENT * amperes).orElse(table.least());
                };
        return line.key() + " A";
    }
}
