package parable.sizing;

import java.util.List;
import java.util.Map;
import parable.circuit.Practice;

/** What can be sized from one line, without a drawing. */
enum LineSubject {
    MOTOR(
            "motor",
            List.of(MotorQuestion.values()),
            Map.ofEntries(
                    Map.entry("kW", "power"),
                    Map.entry("hp", "power"),
                    Map.entry("V", "voltage"),
                    Map.entry("A", "nameplate"),
                    Map.entry("m", "length"),
                    Map.entry("ft", "length"),
                    Map.entry("°C", "ambient"),
                    Map.entry("degC", "ambient"),
                    Map.entry("In", "start-current"),
                    Map.entry("x", "start-current"))),
    TRANSFORMER(
            "transformer",
            ControlQuestion.all(),
            Map.of(
                    "VA",
                    "rated",
                    "V",
                    "primary secondary",
                    "m",
                    "control-length",
                    "ft",
                    "control-length",
                    "Hz",
                    "frequency",
                    "mm²",
                    "control-wire")),
    BRAKE(
            "brake",
            BrakeQuestion.all(),
            Map.of(
                    "A",
                    "current",
                    "ohm",
                    "brake-ohms",
                    "In",
                    "brake-times",
                    "x",
                    "brake-times",
                    "s",
                    "brake-time",
                    "V",
                    "brake-supply")),
    SUPPLY(
            "supply",
            JobQuestion.all(),
            Map.of(
                    "kVA",
                    "supply-power",
                    "%",
                    "supply-impedance",
                    "m",
                    "feeder-length",
                    "ft",
                    "feeder-length",
                    "mm²",
                    "feeder-wire"));

    private final String word;
    private final List<? extends SizingQuestion> questions;
    private final Map<String, String> byUnit;

    LineSubject(String word, List<? extends SizingQuestion> questions, Map<String, String> byUnit) {
        this.word = word;
        this.questions = questions;
        this.byUnit = byUnit;
    }

    /** The word that it begins with; a motor needs none. */
    String word() {
        return word;
    }

    List<? extends SizingQuestion> questions() {
        return questions;
    }

    /** The keys that a quantity with a unit is known by, more than one where it is written with a stroke between; by unit. */
    Map<String, String> byUnit() {
        return byUnit;
    }

    boolean asks(String key) {
        return questions.stream().anyMatch(question -> question.key().equals(key));
    }

    SizingInputs inputs(Practice practice, Map<String, String> given) throws SizingException {
        return new SizingInputs(word, practice, questions, Map.of(), given);
    }
}
