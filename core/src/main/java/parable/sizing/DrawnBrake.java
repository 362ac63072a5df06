package parable.sizing;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import parable.check.MotorCircuit;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Load;
import parable.parts.Part;
import parable.ratings.RatingTables;

/**
 * A brake with direct current as it is drawn: a bridge, and a contactor that feeds the motor only for that.
 *
 * @param sheet on which it is
 * @param motor that it brakes
 * @param bridge the rectifier
 * @param resistor before the motor, empty if there is none
 * @param amperes the rated current of the motor in the line, in A
 */
record DrawnBrake(Sheet sheet, Part motor, Part bridge, Optional<Part> resistor, double amperes) {

    static Optional<DrawnBrake> of(Assembly assembly, MotorCircuit circuit) {
        Optional<Part> bridge = first(assembly, "rectifier");
        boolean threePhase = circuit.motor().device().kind().equals("three-phase-motor");
        if (bridge.isEmpty() || circuit.startsOnly().isEmpty() || !threePhase) {
            return Optional.empty();
        }
        return Optional.of(new DrawnBrake(
                assembly.sheet(),
                circuit.motor(),
                bridge.get(),
                first(assembly, "resistor"),
                DrawnMotor.line(circuit)));
    }

    private static Optional<Part> first(Assembly assembly, String kind) {
        return assembly.parts().stream()
                .filter(part -> part.device().kind().equals(kind))
                .findFirst();
    }

    String tag() {
        return bridge.tag();
    }

    /** What is between two leads of the motor, in ohm: two windings in series. */
    private double ohms() {
        Load winding = motor.loads().get(0);
        return winding.endsAtStarPoint() ? 2 * winding.directOhms() : 2.0 / 3 * winding.directOhms();
    }

    BrakeSizing sized(Practice practice, RatingTables tables) throws SizingException {
        Map<String, String> drawn = new LinkedHashMap<>();
        drawn.put(BrakeQuestion.AMPERES.key(), Figures.exact(amperes) + " A");
        drawn.put(BrakeQuestion.OHMS.key(), Figures.exact(ohms()) + " ohm");
        if (resistor.isPresent()) {
            drawn.put(
                    BrakeQuestion.SUPPLY.key(),
                    Figures.exact(bridge.sources().get(0).rated().volts()) + " V");
        }
        SheetSizing.Given given = SheetSizing.Given.of(sheet, tag(), key -> BrakeQuestion.all().stream()
                .anyMatch(one -> one.key().equals(key)));
        return BrakeSizing.of(
                new SizingInputs(tag(), practice, BrakeQuestion.all(), drawn, given.answers()),
                tables,
                given.overrides());
    }
}
