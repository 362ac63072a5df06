package parable.check;

import java.util.ArrayList;
import java.util.List;
import parable.network.Solution;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * {@code no-disconnect}: a motor that no breaker or isolator takes off its supply (IEC 60204-1, 5.3; NFPA 79, 5.1). {@code short-circuit-unprotected}: one with
 * no breaker or fuse before it (IEC 60204-1, 7.2; NFPA 70, 430.51).
 */
final class DisconnectRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        Solution undisconnected = study.joints(study.closed((part, contact) ->
                !contact.pole() || part.family() != Family.BREAKER && part.family() != Family.ISOLATOR));
        Solution unprotected = study.joints(study.closed(
                (part, contact) -> !contact.pole() || part.family() != Family.BREAKER && part.family() != Family.FUSE));
        List<Finding> findings = new ArrayList<>();
        study.parts(Family.MOTOR).forEach(motor -> {
            if (isLive(study, undisconnected, motor)) {
                findings.add(new Finding(
                        "no-disconnect",
                        Severity.WARNING,
                        List.of(motor.tag()),
                        "Nothing that can be switched off by hand takes " + motor.tag() + " off its supply.",
                        "Whoever works on it has nothing to lock. A main switch or a breaker for all lines belongs between supply"
                                + " and contactor."));
            }
            if (isLive(study, unprotected, motor)) {
                findings.add(new Finding(
                        "short-circuit-unprotected",
                        Severity.DANGER,
                        List.of(motor.tag()),
                        "No breaker or fuse is between the supply and " + motor.tag() + ".",
                        "A short in its cable burns until something far away opens. An overload relay does not open on a short;"
                                + " a breaker or fuses belong before the contactor."));
            }
        });
        return findings;
    }

    private static boolean isLive(Study study, Solution joints, Part motor) {
        return motor.loads().stream()
                .filter(load -> load.role() == LoadRole.WINDING)
                .map(Load::from)
                .anyMatch(marking -> study.isJoinedWithLine(joints, study.node(motor, marking)));
    }
}
