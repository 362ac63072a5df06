package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import parable.network.Potential;
import parable.network.Solution;
import parable.parts.Family;
import parable.parts.Part;

/** {@code same-direction}: two contactors that each drive a motor alone, and turn it the same way round. */
final class ReversalRule implements Rule {

    private static final double SURE = 0.1;

    /** Below this product of two voltages in V² there is no rotating field to speak of. */
    private static final double LEAST = 100;

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        List<Part> contactors = study.switchingContactors().toList();
        for (Part motor : study.parts(Family.MOTOR).toList()) {
            if (motor.lineLeads().isEmpty()) {
                continue;
            }
            double[] turns = contactors.stream()
                    .mapToDouble(contactor -> turn(study, motor, contactor))
                    .toArray();
            for (int i = 0; i < turns.length; i++) {
                for (int j = i + 1; j < turns.length; j++) {
                    if (turns[i] * turns[j] > SURE) {
                        findings.add(finding(motor, contactors.get(i), contactors.get(j)));
                    }
                }
            }
        }
        return findings;
    }

    private static Finding finding(Part motor, Part one, Part other) {
        return new Finding(
                "same-direction",
                Severity.ERROR,
                List.of(one.tag(), other.tag(), motor.tag()),
                one.tag() + " and " + other.tag() + " turn " + motor.tag() + " the same way round.",
                "To reverse, exactly two lines are exchanged, once: on top or at the bottom of one contactor. Exchanged at both"
                        + " it cancels.");
    }

    /** The order of the phases at a motor with one contactor in: 1 forward, -1 reverse, 0 for anything but three phases. */
    private static double turn(Study study, Part motor, Part contactor) {
        BitSet closed =
                study.closed((part, contact) -> Study.isFeed(part, contact) || contact.pole() && part.is(contactor));
        Solution solution = study.solution(closed);
        Potential first = at(study, solution, motor, 1).minus(at(study, solution, motor, 0));
        Potential second = at(study, solution, motor, 2).minus(at(study, solution, motor, 0));
        double cross = first.real() * second.imaginary() - first.imaginary() * second.real();
        double size = first.alternating() * second.alternating();
        return size < LEAST || !solution.shorts().isEmpty() || !study.drives(solution) ? 0 : cross / size;
    }

    private static Potential at(Study study, Solution solution, Part motor, int line) {
        return solution.potential(study.node(motor, motor.lineLeads().get(line)));
    }
}
