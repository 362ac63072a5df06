package parable.sizing;

import java.util.Arrays;
import java.util.List;

/** What sizing asks of the control circuit of a sheet. */
public enum ControlQuestion implements SizingQuestion {
    RATED("rated", "Rated power of the control transformer", Measure.of("VA", 10, 10000), "", ""),
    PRIMARY("primary", "Its primary voltage", Measure.of("V", 12, 1000), "400 V", "480 V"),
    SECONDARY("secondary", "Its secondary voltage", Measure.of("V", 5, 500), "230 V", "120 V"),
    SEALED("sealed", "What is in takes", Measure.of("VA", 0, 10000), "", ""),
    SEALED_FACTOR("sealed-power-factor", "Power factor of what is in", Measure.of("", 0.05, 1), "0.3", "0.3"),
    INRUSH("inrush", "What comes in last takes", Measure.of("VA", 0, 20000), "", ""),
    INRUSH_FACTOR("inrush-power-factor", "Power factor of what comes in", Measure.of("", 0.05, 1), "0.75", "0.75"),
    RESISTIVE("ur", "uR of the transformer", Measure.of("%", 0, 30), "", ""),
    REACTIVE("ux", "uX of the transformer", Measure.of("%", 0, 30), "", ""),
    LENGTH(
            "control-length",
            "Longest control run, one way",
            Measure.of("m", 0.5, 2000).or("ft", 0.3048),
            "20 m",
            "60 ft"),
    WIRE("control-wire", "Wire of the control circuit", Measure.of("mm²", 0.2, 16), "1 mm²", "1.31 mm²"),
    HOLDING("holding", "Coil on that run holds with", Measure.of("VA", 0, 1000), "", ""),
    CAPACITANCE(
            "capacitance", "Capacitance of the control cable", Measure.of("uF/km", 0.01, 2), "0.3 uF/km", "0.3 uF/km"),
    FREQUENCY("frequency", "Frequency", Measure.of("Hz", 16, 400), "50 Hz", "60 Hz");

    private final Ask ask;

    ControlQuestion(String key, String label, Measure measure, String iec, String northAmerican) {
        ask = Ask.quantity(key, label, measure, iec, northAmerican);
    }

    /** All of them. */
    public static List<ControlQuestion> all() {
        return Arrays.asList(values());
    }

    @Override
    public Ask ask() {
        return ask;
    }
}
