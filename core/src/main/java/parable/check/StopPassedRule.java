package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import parable.network.ControlPath;
import parable.network.PowerPath;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * {@code stop-passed}: a start drives a motor although a stop, an E-stop or a trip is held, for a way to its
 * coil leads around it; {@code stops-by-open-contact} where all that
 * an E-stop does is to close a contact on a shunt trip. Read from the drawing and then
 * tried; for a button with regard to the motors that it was seen to stop; not looked at where a controller decides.
 */
final class StopPassedRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        if (study.parts(Family.CONTROLLER).findAny().isPresent()) {
            return findings;
        }
        StopPath path = new StopPath(study);
        for (Part stop : study.parts(Family.EMERGENCY_STOP, Family.OVERLOAD_RELAY, Family.PUSH_BUTTON)
                .toList()) {
            boolean stops = stop.contacts().stream().anyMatch(contact -> study.isWired(stop, contact.from()))
                    && (stop.family() != Family.PUSH_BUTTON
                            || stop.contacts().stream().allMatch(Contact::isNormallyClosed));
            if (stops) {
                Set<String> passed = new TreeSet<>(path.drivable(stop, (part, contact) -> contact.isThroughPath()));
                passed.retainAll(isThereFor(study, stop));
                boolean shunt = stop.family() == Family.EMERGENCY_STOP && feedsShunt(study, stop);
                if (!passed.isEmpty() && shunt) {
                    findings.add(byShunt(stop, passed));
                } else if (!passed.isEmpty()) {
                    study.startPassing(stop, passed).ifPresent(start -> findings.add(passed(stop, start, passed)));
                }
            }
        }
        return findings;
    }

    private static Set<String> isThereFor(Study study, Part stop) {
        return switch (stop.family()) {
            case OVERLOAD_RELAY -> new PowerPath(study.assembly()).motorsBehind(stop);
            case PUSH_BUTTON -> study.stoppedBy(stop);
            default -> study.parts(Family.MOTOR).map(Part::tag).collect(Collectors.toSet());
        };
    }

    private static Finding byShunt(Part stop, Set<String> motors) {
        return new Finding(
                "stops-by-open-contact",
                Severity.DANGER,
                where(stop, List.of(), motors),
                stop.tag() + " stops " + Words.and(motors) + " only by a contact that closes on a shunt trip.",
                "A wire that comes off there goes unnoticed, and from then on it stops nothing. What stops is wired through a"
                        + " closed contact, so that a broken wire stops too.");
    }

    private static Finding passed(Part stop, String start, Set<String> motors) {
        return new Finding(
                "stop-passed",
                Severity.DANGER,
                where(stop, List.of(start), motors),
                start + " drives " + Words.and(motors) + " although " + stop.tag() + " is held.",
                "What stops stands before everything that starts or holds, in the one way that all of it takes.");
    }

    private static List<String> where(Part stop, List<String> starts, Set<String> motors) {
        List<String> where = new ArrayList<>(List.of(stop.tag()));
        where.addAll(starts);
        where.addAll(motors);
        return where;
    }

    private static boolean feedsShunt(Study study, Part stop) {
        ControlPath control = new ControlPath(study.assembly());
        return study.parts(Family.BREAKER).anyMatch(breaker -> breaker.loads().stream()
                .anyMatch(load -> load.role() == LoadRole.SHUNT_RELEASE && control.leadsThrough(stop, load, breaker)));
    }
}
