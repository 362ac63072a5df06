package parable.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import parable.check.MotorCircuit;
import parable.circuit.Device;

/** What is given for sizing and drawn otherwise: the bench and the paper go by the drawing. */
final class GivenDifferences {

    /** Which setting of the motor each question is about. */
    private static final Map<MotorQuestion, String> OF_MOTOR = Map.of(
            MotorQuestion.POWER, "power",
            MotorQuestion.NAMEPLATE, "current",
            MotorQuestion.DRIVES, "drives",
            MotorQuestion.LOAD, "load",
            MotorQuestion.RUN_UP, "run-up");

    private static final List<String> OF_BREAKER = List.of("B", "C", "D");
    private static final List<String> OF_FUSE = List.of("gG", "aM");

    private GivenDifferences() {}

    static List<DrawingDifference> of(MotorCircuit circuit, SizingInputs inputs) {
        List<DrawingDifference> found = new ArrayList<>();
        for (MotorQuestion question : MotorQuestion.values()) {
            if (OF_MOTOR.containsKey(question)) {
                add(circuit.motor().device(), question, OF_MOTOR.get(question), inputs, found);
            }
        }
        circuit.release()
                .ifPresent(release -> add(release.part().device(), MotorQuestion.TRIP_CLASS, "class", inputs, found));
        circuit.branch()
                .map(branch -> branch.part().device())
                .filter(device -> (device.kind().equals("fuse") ? OF_FUSE : OF_BREAKER)
                        .contains(inputs.said(MotorQuestion.DEVICE).orElse("")))
                .ifPresent(device -> add(device, MotorQuestion.DEVICE, "curve", inputs, found));
        return found;
    }

    private static void add(
            Device device, MotorQuestion question, String setting, SizingInputs inputs, List<DrawingDifference> found) {
        Optional<String> given = inputs.said(question).filter(value -> inputs.origin(question) == Origin.GIVEN);
        String drawn = device.setting(setting).orElse("");
        if (given.isPresent() && !given.get().equals(drawn)) {
            found.add(new DrawingDifference(
                    drawn.isEmpty() ? DrawingDifference.Sort.NOT_SAID : DrawingDifference.Sort.DIFFERS,
                    device.tag(),
                    question.label().substring(0, 1).toLowerCase(Locale.ROOT)
                            + question.label().substring(1),
                    drawn,
                    given.get(),
                    "It is given here, and the bench goes by what is drawn.",
                    new DrawingDifference.TakeOver.OfDevice(device.tag(), setting, given.get())));
        }
    }
}
