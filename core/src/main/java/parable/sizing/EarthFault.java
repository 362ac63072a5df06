package parable.sizing;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.parts.Protection;
import parable.parts.TripCurve;
import parable.ratings.RatingLine;

/**
 * The smallest fault current there is: from a line to the case of the motor for which its protection is largest, all copper warm. It decides whether that still opens at once
 * (IEC 60204-1, 18.2; IEC 60364-4-41, 411.4).
 */
final class EarthFault {

    /** The upper end of the band of a breaker, over the middle that its curve has. */
    private static final double UPPER_END = 0.75;

    private static final double AT_ONCE = 0.1;
    private static final double OF_A_FUSE = 0.4;

    private EarthFault() {}

    /**
     * A motor with the protection that is drawn before it.
     *
     * @param name of its sheet and its tag
     * @param sized its sizing
     * @param device the tag of the protection
     * @param protection what it opens at
     */
    record Guarded(String name, MotorSizing sized, String device, Protection protection) {}

    /** Adds it for the motor whose protection has least to spare; nothing without a motor that has one of its own. */
    static void add(SizingInputs inputs, Chain chain, RatingLine feeder, List<Guarded> motors) throws SizingException {
        double[] source = ProspectiveCurrent.source(inputs);
        double metres = inputs.number(JobQuestion.FEEDER_LENGTH);
        double line = ProspectiveCurrent.squareMillimetres(inputs.practice(), feeder);
        double earth = chain.result("feeder-protective-conductor")
                .map(SizingResult::value)
                .orElse(line);
        double resistance = source[0] + VoltageDrop.WARM_COPPER * metres * (1 / line + 1 / earth);
        double reactance = source[1] + 2 * VoltageDrop.REACTANCE * metres;
        double phase = ProspectiveCurrent.volts(inputs.practice()) / Math.sqrt(3);
        Optional<Guarded> worst = motors.stream()
                .min(Comparator.comparingDouble(one -> amperes(one, phase, resistance, reactance)
                        / one.protection().amperes()));
        if (worst.isEmpty()) {
            return;
        }
        Guarded motor = worst.get();
        double amperes = amperes(motor, phase, resistance, reactance);
        ResultDraft draft = ResultDraft.of("earth-fault", "Smallest fault current at a motor")
                .follows(chain, "feeder-wire", "feeder-protective-conductor")
                .follows(motors.stream().anyMatch(EarthFault::isOfEdited))
                .from(motor.name())
                .from(motor.device() + " " + Figures.written(motor.protection().amperes()) + " A")
                .from("feeder " + inputs.word(JobQuestion.FEEDER_LENGTH))
                .is(amperes, "A")
                .by(
                        "U / √3 over the loop of transformer, line and protective conductor, warm",
                        "IEC 60204-1, 18.2; IEC 60364-4-41, 411.4");
        double current = chain.add(draft);
        boolean opens = opens(motor.protection(), current);
        draft.limit(
                opens,
                motor.device()
                        + (opens ? " of " : " does not open at once at ")
                        + motor.name()
                        + (opens
                                ? " opens at once, and it has least to spare of all."
                                : ": a thicker protective conductor, a quicker curve, or a residual current device."));
        chain.add(draft, chain.override("earth-fault").isPresent());
    }

    private static double amperes(Guarded motor, double phase, double resistance, double reactance) {
        double metres = motor.sized().inputs().number(MotorQuestion.LENGTH);
        SizingResult wire = motor.sized()
                .result("leads")
                .or(() -> motor.sized().result("wire"))
                .orElseThrow();
        double line =
                ProspectiveCurrent.squareMillimetresOf(motor.sized().inputs().practice(), wire.written());
        double earth =
                motor.sized().result("protective-conductor").orElseThrow().value();
        return phase
                / Math.hypot(
                        resistance + VoltageDrop.WARM_COPPER * metres * (1 / line + 1 / earth),
                        reactance + 2 * VoltageDrop.REACTANCE * metres);
    }

    private static boolean isOfEdited(Guarded motor) {
        return Stream.of("wire", "leads", "protective-conductor").anyMatch(motor.sized()::isOfEdited);
    }

    private static boolean opens(Protection protection, double amperes) {
        boolean fuse = protection
                .curve()
                .filter(curve -> curve == TripCurve.GG || curve == TripCurve.AM)
                .isPresent();
        return fuse ? protection.secondsAt(amperes) <= OF_A_FUSE : protection.secondsAt(UPPER_END * amperes) <= AT_ONCE;
    }
}
