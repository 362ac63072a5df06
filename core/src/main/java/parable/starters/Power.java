package parable.starters;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import parable.circuit.Practice;
import parable.parts.RatedCurrent;

/**
 * A first guess at what belongs to a motor's power. It is for drawing and trying only: cables and protection are sized by
 * the nameplate and the local code.
 */
public final class Power {

    private static final Pattern WRITTEN = Pattern.compile("(\\d+(?:\\.\\d+)?) ?(kW|hp)");
    private static final double HORSEPOWER = 0.7457;

    /** Ratings of breakers by IEC 60898-1 and IEC 60947-2, in A. */
    private static final List<Integer> IEC_BREAKERS =
            List.of(6, 10, 13, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250, 315, 400, 630);

    /** Ratings of inverse-time breakers by NFPA 70 (NEC) 240.6(A), from the smallest that is common, in A. */
    private static final List<Integer> NORTH_AMERICAN_BREAKERS = List.of(
            15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450,
            500, 600);

    /** Rated currents of contactors for motors (AC-3), in A. */
    private static final List<Integer> IEC_CONTACTORS =
            List.of(9, 12, 18, 25, 32, 40, 50, 65, 80, 95, 115, 150, 185, 225, 265, 330, 400);

    private static final List<Integer> NEMA_CONTACTORS = List.of(9, 18, 27, 45, 90, 135, 270, 540);

    private static final double TIMES_FOR_HEAVY_DUTY = 2;

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
        return Optional.of(written.group(2).equals("hp") ? HORSEPOWER * number : number);
    }

    /** The rated current in A of a three-phase motor, as {@link RatedCurrent} has it. */
    public static double ratedAmperes(double kilowatts, double lineVolts) {
        return RatedCurrent.of(kilowatts, lineVolts);
    }

    /** A current as it is written on a device, such as {@code 4.6 A}. */
    public static String amperes(double amperes) {
        return String.format(Locale.ROOT, "%.1f A", Math.max(0.1, Math.min(1000, amperes)))
                .replace(".0 A", " A");
    }

    /**
     * The rating of a contactor by which a motor is jogged or turned round while it runs: the next standard one from twice the motor's current on, for it makes
     * and breaks the starting current each time (AC-4, IEC 60947-4-1, table 1). By North American practice the continuous ratings of NEMA ICS 2, sizes 00 to 6.
     *
     * @param amperes the motor's rated current
     */
    static String contactorForHeavyDuty(Practice practice, double amperes) {
        List<Integer> ratings =
                switch (practice) {
                    case IEC -> IEC_CONTACTORS;
                    case NORTH_AMERICAN -> NEMA_CONTACTORS;
                };
        return amperes(ratings.stream()
                .filter(rating -> rating >= TIMES_FOR_HEAVY_DUTY * amperes)
                .findFirst()
                .orElse((int) Math.ceil(TIMES_FOR_HEAVY_DUTY * amperes)));
    }

    /**
     * The breaker for a motor, with a relay for overload behind it: by IEC practice the smallest that the start does not open, by North American
     * practice the largest that is allowed.
     *
     * @param amperes the motor's rated current
     */
    public static String breaker(Practice practice, double amperes) {
        int rating =
                switch (practice) {
                    case IEC -> IEC_BREAKERS.stream()
                            .filter(one -> one >= ROOM_FOR_START * amperes)
                            .findFirst()
                            .orElse(IEC_BREAKERS.get(IEC_BREAKERS.size() - 1));
                    case NORTH_AMERICAN -> NORTH_AMERICAN_BREAKERS.stream()
                            .filter(one -> one <= MOST_OF_CURRENT * amperes)
                            .reduce((one, larger) -> larger)
                            .orElse(NORTH_AMERICAN_BREAKERS.get(0));
                };
        return rating + " A";
    }
}
