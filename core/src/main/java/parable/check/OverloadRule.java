package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import parable.network.Solution;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/** {@code overload-missing}: a winding that current can reach without passing a thermal release. */
final class OverloadRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        BitSet all = study.closed((part, contact) -> contact.pole());
        BitSet withoutHeaters =
                study.closed((part, contact) -> contact.pole() && part.heater().isEmpty());
        List<Finding> findings = new ArrayList<>();
        for (Part motor : study.parts(Family.MOTOR).toList()) {
            boolean fed = motor.loads().stream()
                    .anyMatch(load -> load.role() == LoadRole.WINDING && bothEnds(study, all, motor, load));
            boolean bare = motor.loads().stream()
                    .anyMatch(load -> load.role() == LoadRole.WINDING && bothEnds(study, withoutHeaters, motor, load));
            if (fed && bare) {
                findings.add(new Finding(
                        "overload-missing",
                        Severity.DANGER,
                        List.of(motor.tag()),
                        past(study, withoutHeaters, motor),
                        "A breaker or fuse only looks after short circuits. A motor that is overloaded or loses a phase burns"
                                + " without a release set to its current."));
            }
        }
        return findings;
    }

    /** By which leads the current passes every release by. */
    private static String past(Study study, BitSet withoutHeaters, Part motor) {
        Solution joints = study.joints(withoutHeaters);
        List<String> leads = motor.terminals().stream()
                .filter(marking -> !motor.bare().contains(marking))
                .filter(marking -> !study.outsideReached(joints, study.node(motor, marking))
                        .isEmpty())
                .toList();
        return leads.size() == motor.terminals().size() - motor.bare().size()
                ? motor.tag() + " has no overload release in any of its leads."
                : "Current reaches " + motor.tag() + " past every overload release, by "
                        + (leads.size() == 1 ? "lead " : "leads ") + Words.and(leads) + ".";
    }

    private static boolean bothEnds(Study study, BitSet closed, Part motor, Load winding) {
        Solution joints = study.joints(closed);
        if (winding.rated().kind() == CurrentKind.DC) {
            return winding.from().startsWith("A")
                    && study.reachesSource(joints, study.node(motor, winding.from()))
                    && study.reachesSource(joints, study.node(motor, winding.to()));
        }
        Set<Integer> from = study.outsideReached(joints, study.node(motor, winding.from()));
        if (!motor.terminals().contains(winding.to())) {
            return !from.isEmpty();
        }
        Set<Integer> to = study.outsideReached(joints, study.node(motor, winding.to()));
        return !from.isEmpty() && !to.isEmpty() && !(from.size() == 1 && from.equals(to));
    }
}
