package parable.sizing;

import java.util.Arrays;
import java.util.List;
import parable.circuit.Practice;

/** What sizing asks of a whole job: its supply, its feeder, its enclosure. */
public enum JobQuestion implements SizingQuestion {
    SUPPLY_POWER("supply-power", "Transformer of the supply", Measure.of("kVA", 5, 5000), "400 kVA", "300 kVA"),
    SUPPLY_IMPEDANCE("supply-impedance", "Its short-circuit voltage", Measure.of("%", 1, 15), "4 %", "4 %"),
    SUPPLY_RATIO("supply-ratio", "Its R / Z", Measure.of("", 0.02, 1), "0.25", "0.25"),
    FEEDER_LENGTH(
            "feeder-length", "Length of the feeder", Measure.of("m", 0.5, 2000).or("ft", 0.3048), "50 m", "150 ft"),
    FEEDER_METHOD("feeder-method", "How the feeder is laid", List.of("B1", "B2", "C", "E"), "B2"),
    FEEDER_AMBIENT(
            "feeder-ambient",
            "Temperature around the feeder",
            Measure.of("°C", 0, 80).or("degC", 1),
            "40 °C",
            "30 °C"),
    DEMAND("demand", "Share of the motors that run together", Measure.of("%", 10, 100), "100 %", "100 %"),
    WIDTH("width", "Width of the enclosure", Measure.of("mm", 100, 5000).or("in", 25.4), "1000 mm", "36 in"),
    HEIGHT("height", "Height of the enclosure", Measure.of("mm", 100, 3000).or("in", 25.4), "1200 mm", "48 in"),
    DEPTH("depth", "Depth of the enclosure", Measure.of("mm", 50, 2000).or("in", 25.4), "300 mm", "12 in"),
    MOUNTING("mounting", "The enclosure stands", List.of("free", "on a wall"), "on a wall"),
    ROOM("room", "Temperature of the room at most", Measure.of("°C", -20, 60).or("degC", 1), "35 °C", "35 °C"),
    INSIDE("inside", "Temperature inside at most", Measure.of("°C", 20, 80).or("degC", 1), "50 °C", "50 °C");

    private final Ask ask;

    JobQuestion(String key, String label, Measure measure, String iec, String northAmerican) {
        ask = Ask.quantity(key, label, measure, iec, northAmerican);
    }

    JobQuestion(String key, String label, List<String> words, String usual) {
        ask = Ask.words(key, label, words, usual);
    }

    /** All of them. */
    public static List<JobQuestion> all() {
        return Arrays.asList(values());
    }

    @Override
    public Ask ask() {
        return ask;
    }

    @Override
    public boolean isFor(Practice practice) {
        return practice == Practice.IEC || this != FEEDER_METHOD && this != DEMAND;
    }
}
