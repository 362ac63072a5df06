package parable.wiring;

import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a wire is made of.
 *
 * @param colour such as {@code red}
 * @param size such as {@code 1 mm²} or {@code 16 AWG}
 * @param ferrule what goes on its ends, such as {@code red ferrule}; {@code none} where the practice does without
 */
public record Conductor(String colour, String size, String ferrule) {

    static final String PROTECTIVE = "green-yellow";

    private static final Pattern METRIC = Pattern.compile("([0-9.]+) mm²");
    private static final Pattern GAUGE = Pattern.compile("(\\d+)(/0)? AWG");

    /** Whether it is a protective conductor. */
    public boolean isProtective() {
        return colour.equals(PROTECTIVE);
    }

    /** Its cross-section in mm²; that of a gauge by ASTM B258. Empty if it is to be calculated. */
    public OptionalDouble squareMillimetres() {
        Matcher metric = METRIC.matcher(size);
        if (metric.matches()) {
            return OptionalDouble.of(Double.parseDouble(metric.group(1)));
        }
        Matcher gauge = GAUGE.matcher(size);
        if (!gauge.matches()) {
            return OptionalDouble.empty();
        }
        int written = Integer.parseInt(gauge.group(1));
        int number = gauge.group(2) == null ? written : 1 - written;
        double millimetres = 0.127 * Math.pow(92, (36 - number) / 39.0);
        return OptionalDouble.of(Math.PI / 4 * millimetres * millimetres);
    }
}
