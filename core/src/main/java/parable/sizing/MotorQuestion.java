package parable.sizing;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import parable.circuit.Practice;
import parable.parts.RatedCurrent;

/** What sizing asks of one motor. */
public enum MotorQuestion implements SizingQuestion {
    POWER("power", "Power", Measure.of("kW", 0.06, 315).or("hp", RatedCurrent.HORSEPOWER), "2.2 kW", "5 hp"),
    VOLTAGE("voltage", "Voltage between the lines", Measure.of("V", 12, 1000), "400 V", "460 V"),
    FEED("feed", "Kind of motor", List.of("three-phase", "single-phase", "dc"), "three-phase"),
    NAMEPLATE("nameplate", "Current on the nameplate", Measure.of("A", 0.1, 1000), "", ""),
    SERVICE_FACTOR("service-factor", "Service factor on the nameplate", Measure.of("", 1, 1.5), "1", "1"),
    RISE("rise", "Temperature rise on the nameplate", List.of("40 °C", "more than 40 °C"), "more than 40 °C"),
    EFFICIENCY("efficiency", "Efficiency", Measure.of("%", 20, 99), "83 %", "83 %"),
    POWER_FACTOR("power-factor", "Power factor at rated load", Measure.of("", 0.3, 1), "0.8", "0.85"),
    START_POWER_FACTOR("start-power-factor", "Power factor at the start", Measure.of("", 0.1, 0.95), "0.35", "0.35"),
    START_CURRENT(
            "start-current", "Current of a direct start", Measure.of("x", 1, 15).or("In", 1), "7 x", ""),
    START("start", "Start", List.of("direct", "star-delta"), "direct"),
    DUTY("duty", "Duty", List.of("ordinary", "jogging"), "ordinary"),
    RELAY("relay", "Overload relay in", List.of("line", "winding"), ""),
    TRIP_CLASS("class", "Trip class of the overload relay", List.of("10A", "10", "20", "30"), "10"),
    DEVICE("curve", "Curve of the short-circuit protection", List.of("B", "C", "D", "gG", "aM"), "D"),
    LENGTH("length", "Length of the motor's cable", Measure.of("m", 0.1, 2000).or("ft", 0.3048), "10 m", "30 ft"),
    METHOD("method", "How the cable is laid", List.of("B1", "B2", "C", "E"), "B2"),
    AMBIENT("ambient", "Temperature around the cable", Measure.of("°C", 0, 80).or("degC", 1), "40 °C", "30 °C"),
    GROUPED("grouped", "Circuits laid together", Measure.of("", 1, 40), "1", ""),
    TERMINALS("terminals", "Terminals are for wires at", List.of("60 °C", "75 °C"), ""),
    DROP_LIMIT("drop-limit", "Most voltage drop while it runs", Measure.of("%", 0.5, 20), "5 %", "5 %"),
    START_DROP_LIMIT("start-drop-limit", "Most voltage drop at the start", Measure.of("%", 1, 40), "15 %", "15 %"),
    LET_THROUGH("let-through", "I²t that the protection lets through", Measure.of("A2s", 1, 1e8), "", ""),
    DRIVES("drives", "Drives", List.of("pump", "fan", "mill", "conveyor", "hoist"), "pump"),
    LOAD("load", "Torque of the load", Measure.of("%", 0, 300), "80 %", "80 %"),
    RUN_UP("run-up", "Run-up with rated torque, no load", Measure.of("s", 0.02, 60), "", ""),
    STARTS("starts", "Starts or jogs in an hour", Measure.of("", 0, 3600), "6", "6"),
    OPERATIONS(
            "operations",
            "Operations of a contactor at its rated current",
            Measure.of("million", 0.01, 20),
            "1.2 million",
            "1.2 million"),
    COORDINATION("coordination", "Coordination after a short circuit", List.of("type 1", "type 2"), "type 1");

    private final Ask ask;

    MotorQuestion(String key, String label, Measure measure, String iec, String northAmerican) {
        ask = Ask.quantity(key, label, measure, iec, northAmerican);
    }

    MotorQuestion(String key, String label, List<String> words, String usual) {
        ask = Ask.words(key, label, words, usual);
    }

    @Override
    public Ask ask() {
        return ask;
    }

    /** That of this key, empty if there is none. */
    public static Optional<MotorQuestion> ofKey(String key) {
        return Arrays.stream(values()).filter(one -> one.key().equals(key)).findFirst();
    }

    @Override
    public boolean isFor(Practice practice) {
        return switch (this) {
            case SERVICE_FACTOR, RISE, TERMINALS -> practice == Practice.NORTH_AMERICAN;
            case METHOD, DEVICE, COORDINATION, EFFICIENCY, POWER_FACTOR, START_POWER_FACTOR -> practice == Practice.IEC;
            default -> true;
        };
    }
}
