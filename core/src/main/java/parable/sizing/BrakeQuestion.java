package parable.sizing;

import java.util.Arrays;
import java.util.List;

/** What sizing asks of a brake with direct current. */
public enum BrakeQuestion implements SizingQuestion {
    AMPERES("current", "Rated current of the motor", Measure.of("A", 0.1, 1000), "", ""),
    TIMES("brake-times", "Braking current", Measure.of("x", 0.5, 3).or("In", 1), "2 x", "2 x"),
    OHMS("brake-ohms", "Between two leads of the motor", Measure.of("ohm", 0.001, 1000), "", ""),
    SECONDS("brake-time", "Time of a stop", Measure.of("s", 0.1, 120), "3 s", "3 s"),
    SUPPLY("brake-supply", "Direct voltage that there is", Measure.of("V", 1, 1000), "", ""),
    STOPS("stops", "Stops in an hour", Measure.of("", 0, 1000), "30", "30");

    private final Ask ask;

    BrakeQuestion(String key, String label, Measure measure, String iec, String northAmerican) {
        ask = Ask.quantity(key, label, measure, iec, northAmerican);
    }

    /** All of them. */
    public static List<BrakeQuestion> all() {
        return Arrays.asList(values());
    }

    @Override
    public Ask ask() {
        return ask;
    }
}
