package parable.starters;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A first guess at what belongs to a motor's power. It is for drawing and trying only: cables and protection are sized by
 * the nameplate and the local code.
 */
public final class Power {

    private static final Pattern WRITTEN = Pattern.compile("(\\d+(?:\\.\\d+)?) ?(kW|hp)");
    private static final double HORSEPOWER = 0.7457;

    /** Efficiency times power factor of a motor of a few kW. */
    private static final double USEFUL = 0.83 * 0.83;

    /** Ratings of breakers by IEC 60898, in A. */
    private static final List<Integer> BREAKERS =
            List.of(6, 10, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125, 160, 200, 250);

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

    /** The rated current in A of a three-phase motor, from P = sqrt3 U I eta cosphi. */
    public static double ratedAmperes(double kilowatts, double lineVolts) {
        return 1000 * kilowatts / (Math.sqrt(3) * lineVolts * USEFUL);
    }

    /** A setting for an overload release at a rated current, such as {@code 4.6 A}. */
    public static String overload(double amperes) {
        return String.format(Locale.ROOT, "%.1f A", Math.max(0.1, Math.min(1000, amperes)));
    }

    /** The breaker with room for twice a rated current, such as {@code 10 A}. */
    public static String breaker(double amperes) {
        return BREAKERS.stream()
                        .filter(rating -> rating >= 2 * amperes)
                        .findFirst()
                        .orElse(630) + " A";
    }
}
