package parable.check;

import java.util.List;
import java.util.stream.Stream;
import parable.network.Solution;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;

/**
 * {@code control-transformer}: the coils of contactors are fed between a line and the neutral although there is more than one motor, or more than two control
 * devices. A transformer is asked for then (IEC 60204-1 and NFPA 79, 9.1.1). The buttons and selectors of one place count as one device.
 */
final class ControlSupplyRule implements Rule {

    private static final int MOST_DEVICES = 2;

    @Override
    public List<Finding> findings(Study study) {
        Solution closed = study.joints(study.closed((part, contact) -> true));
        List<String> fed = study.switchingContactors()
                .filter(contactor -> isOnNeutral(study, closed, contactor))
                .map(Part::tag)
                .toList();
        long motors = study.parts(Family.MOTOR).count();
        long devices = controlDevices(study);
        return fed.isEmpty() || motors <= 1 && devices <= MOST_DEVICES
                ? List.of()
                : List.of(finding(fed, motors, devices));
    }

    /** Whether one end of its coil can be joined with a line of the mains and the other with the neutral only. */
    private static boolean isOnNeutral(Study study, Solution closed, Part contactor) {
        Load coil = Study.coil(contactor);
        return study.isWired(contactor, coil.from())
                && study.isWired(contactor, coil.to())
                && (isBetween(study, closed, contactor, coil.from(), coil.to())
                        || isBetween(study, closed, contactor, coil.to(), coil.from()));
    }

    private static boolean isBetween(Study study, Solution closed, Part contactor, String line, String neutral) {
        int other = study.node(contactor, neutral);
        return study.isJoinedWithLine(closed, study.node(contactor, line))
                && !study.isJoinedWithLine(closed, other)
                && !study.outsideReached(closed, other).isEmpty();
    }

    private static long controlDevices(Study study) {
        Stream<String> stations = study.parts(Family.PUSH_BUTTON, Family.SELECTOR)
                .map(part -> part.device().place())
                .distinct();
        return stations.count()
                + study.parts(Family.EMERGENCY_STOP, Family.MACHINE_SWITCH).count();
    }

    private static Finding finding(List<String> fed, long motors, long devices) {
        String why = motors > 1 ? motors + " motors" : devices + " control devices";
        return new Finding(
                "control-transformer",
                Severity.NOTE,
                fed,
                "The coils of " + Words.and(fed) + " are fed from a line and the neutral, with " + why + ".",
                "From line to neutral is for one motor and two control devices at most, the buttons of one place counting as one. Beyond that a"
                        + " control transformer keeps faults and surges of the mains away, and its grounded side is one that you choose.");
    }
}
