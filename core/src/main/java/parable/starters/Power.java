package parable.starters;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import parable.parts.RatedCurrent;

/** The power and the current of a motor as they are written on a device. */
public final class Power {

    private static final Pattern WRITTEN = Pattern.compile("(\\d+(?:\\.\\d+)?) ?(kW|hp)");

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
}
