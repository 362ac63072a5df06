package parable.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import parable.network.ControlPath;
import parable.network.PowerPath;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code stop-stops-nothing}, {@code estop-does-not-stop}, {@code trip-does-not-stop} and {@code no-stop}: every stop is tried while
 * each start has left its motors running.
 */
final class StopRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        Map<String, Set<String>> stopped = new HashMap<>();
        Map<String, Set<String>> notStopped = new HashMap<>();
        Set<String> stoppable = new TreeSet<>();
        Set<String> running = new TreeSet<>();
        for (StartTrial trial : study.trials()) {
            running.addAll(trial.after());
            for (StartTrial.Stop stop : trial.stops()) {
                Set<String> gone = new TreeSet<>(trial.after());
                gone.removeAll(stop.stillDriven());
                stopped.computeIfAbsent(stop.tag(), any -> new TreeSet<>()).addAll(gone);
                notStopped.computeIfAbsent(stop.tag(), any -> new TreeSet<>()).addAll(stop.stillDriven());
                stoppable.addAll(gone);
            }
        }
        List<Finding> findings = new ArrayList<>();
        for (Part part : study.assembly().parts()) {
            Set<String> still = new TreeSet<>(notStopped.getOrDefault(part.tag(), Set.of()));
            still.retainAll(isThereFor(study, part));
            boolean stopsSome = !stopped.getOrDefault(part.tag(), Set.of()).isEmpty();
            if (!still.isEmpty()) {
                finding(part, still, stopsSome, findings);
            }
        }
        Set<String> neverStopped = new TreeSet<>(running);
        neverStopped.removeAll(stoppable);
        boolean startedByButton = study.trials().stream()
                .anyMatch(trial -> trial.start().isPresent() && !trial.after().isEmpty());
        if (!neverStopped.isEmpty() && startedByButton) {
            findings.add(
                    new Finding(
                            "no-stop",
                            Severity.DANGER,
                            List.copyOf(neverStopped),
                            "No button, E-stop or trip stops " + Words.and(neverStopped) + ".",
                            "Stopping contacts are closed at rest and stand in series before everything that starts or holds."));
        }
        return findings;
    }

    /** The motors that a stop is there for: an E-stop for all, a release for those behind it, a button for those that it has to do with. */
    private static Set<String> isThereFor(Study study, Part stop) {
        Set<String> all = study.parts(Family.MOTOR).map(Part::tag).collect(Collectors.toSet());
        return switch (stop.family()) {
            case OVERLOAD_RELAY -> {
                Set<String> behind = new PowerPath(study.assembly()).motorsBehind(stop);
                yield behind.isEmpty() ? all : behind;
            }
            case PUSH_BUTTON -> {
                ControlPath control = new ControlPath(study.assembly());
                yield control.relaysOf(stop).isEmpty() ? all : control.motorsOf(stop);
            }
            default -> all;
        };
    }

    private static void finding(Part part, Set<String> still, boolean stopsSome, List<Finding> findings) {
        List<String> where = new ArrayList<>(List.of(part.tag()));
        where.addAll(still);
        if (part.family() == Family.EMERGENCY_STOP) {
            findings.add(
                    new Finding(
                            "estop-does-not-stop",
                            Severity.DANGER,
                            where,
                            part.tag() + " is hit and " + Words.and(still) + " is still driven.",
                            "An E-stop's contact is closed at rest and stands in the path of every motor's coil, around nothing."));
        } else if (part.family() == Family.OVERLOAD_RELAY) {
            findings.add(new Finding(
                    "trip-does-not-stop",
                    Severity.DANGER,
                    where,
                    part.tag() + " trips and " + Words.and(still) + " is still driven.",
                    "The relay only measures; its contact 95-96 in the coil's circuit does the stopping."));
        } else if (!stopsSome) {
            findings.add(new Finding(
                    "stop-stops-nothing",
                    Severity.DANGER,
                    where,
                    part.tag() + " is pressed and held, and " + Words.and(still) + " is still driven.",
                    "Stops in parallel each bridge the other; a seal-in that begins before the stop goes around it."));
        }
    }
}
