package parable.sizing;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import parable.check.MotorCircuit;
import parable.circuit.Device;
import parable.parts.Family;
import parable.parts.Part;

/** What the drawing tells of a motor, by the keys of the questions. */
final class DrawnMotor {

    /** Below this share of the line's current a relay is in the winding of a delta, which has 0.58 of it. */
    private static final double IN_WINDING = 0.7;

    private DrawnMotor() {}

    static Map<String, String> of(MotorCircuit circuit) {
        Device motor = circuit.motor().device();
        Map<String, String> drawn = new LinkedHashMap<>();
        put(drawn, MotorQuestion.FEED, Optional.of(feed(motor)));
        put(drawn, MotorQuestion.POWER, motor.setting("power"));
        put(drawn, MotorQuestion.VOLTAGE, Optional.of(volts(motor)));
        put(drawn, MotorQuestion.NAMEPLATE, motor.setting("current"));
        put(drawn, MotorQuestion.DRIVES, motor.setting("drives"));
        put(drawn, MotorQuestion.LOAD, motor.setting("load"));
        put(drawn, MotorQuestion.RUN_UP, motor.setting("run-up"));
        put(drawn, MotorQuestion.START, Optional.of(isStarDelta(circuit) ? "star-delta" : "direct"));
        put(drawn, MotorQuestion.DUTY, circuit.heavy() ? Optional.of("jogging") : Optional.empty());
        put(drawn, MotorQuestion.DEVICE, curve(circuit));
        circuit.release().ifPresent(relay -> {
            boolean winding = relay.amperes() < IN_WINDING * line(circuit);
            put(drawn, MotorQuestion.RELAY, Optional.of(winding ? "winding" : "line"));
            put(drawn, MotorQuestion.TRIP_CLASS, relay.part().device().setting("class"));
        });
        return drawn;
    }

    private static void put(Map<String, String> drawn, MotorQuestion question, Optional<String> value) {
        value.ifPresent(written -> drawn.put(question.key(), written));
    }

    private static String feed(Device motor) {
        return switch (motor.kind()) {
            case "single-phase-motor" -> "single-phase";
            case "dc-motor" -> "dc";
            default -> "three-phase";
        };
    }

    private static String volts(Device motor) {
        String usual =
                switch (motor.kind()) {
                    case "single-phase-motor" -> "230 V AC";
                    case "dc-motor" -> "180 V DC";
                    default -> "400 V AC";
                };
        String written = motor.setting("voltage").orElse(usual);
        return written.substring(0, written.indexOf('V')).strip() + " V";
    }

    private static boolean isStarDelta(MotorCircuit circuit) {
        return circuit.motor().device().setting("leads").filter("6"::equals).isPresent()
                && !circuit.startsOnly().isEmpty();
    }

    private static Optional<String> curve(MotorCircuit circuit) {
        return circuit.protection().flatMap(protection -> protection.curve()).map(curve -> curve.sign());
    }

    /** What flows in the line at rated load, in A. */
    static double line(MotorCircuit circuit) {
        return circuit.carriers().stream()
                .mapToDouble(MotorCircuit.Carrier::amperes)
                .max()
                .orElse(0);
    }

    /** Whether a part switches a motor by a coil. */
    static boolean isContactor(Part part) {
        return part.family() == Family.CONTACTOR;
    }
}
