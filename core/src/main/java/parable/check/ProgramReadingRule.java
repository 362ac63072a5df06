package parable.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.parts.ControllerField;
import parable.parts.Part;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.ProgramNetwork;
import parable.program.Variable;

/**
 * {@code plc-rest-reads-as-pressed}: a stop whose contact conducts at rest is read by the instruction that lets pass while there is no voltage;
 * {@code plc-feedback-inverted}: a contactor's own contact lets its coil pass only while the contactor is out.
 */
final class ProgramReadingRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        ProgramStudy.of(study).ifPresent(program -> program.moved().forEach(moved -> {
            for (int n : program.coils(moved.output().name())) {
                ProgramNetwork network = program.program().networks().get(n);
                boolean starts = network.end() instanceof NetworkEnd.Coil coil
                        && (coil.kind() == NetworkEnd.Coil.Kind.NORMAL || coil.kind() == NetworkEnd.Coil.Kind.SET);
                List<List<Logic>> ways = starts ? program.ways(network) : List.of();
                for (List<Logic> way : ways) {
                    way.stream()
                            .filter(Logic.LadderContact.class::isInstance)
                            .map(Logic.LadderContact.class::cast)
                            .filter(contact -> !passesOnceTold(ways, way, contact, moved.output()))
                            .forEach(contact -> look(program, moved, contact, findings));
                }
            }
        }));
        return findings.stream().distinct().toList();
    }

    /** Whether the same way, with the output itself instead of a contact, lets pass too: then the contact only keeps it from being told anew. */
    private static boolean passesOnceTold(
            List<List<Logic>> ways, List<Logic> way, Logic.LadderContact contact, Variable output) {
        Logic told = new Logic.LadderContact(new Logic.Operand(output.name(), false), false);
        Set<Logic> others = new HashSet<>(way);
        others.remove(contact);
        return ways.stream()
                .map(HashSet::new)
                .filter(one -> !one.contains(contact) && one.remove(told))
                .anyMatch(others::containsAll);
    }

    private static void look(
            ProgramStudy program, ProgramStudy.Moved moved, Logic.LadderContact contact, List<Finding> findings) {
        String bit = contact.operand().variable();
        Optional<ControllerField.Source> stop = program.source(bit).filter(ProgramStudy::isStop);
        if (stop.isPresent() && contact.closed()) {
            findings.add(new Finding(
                    "plc-rest-reads-as-pressed",
                    Severity.ERROR,
                    List.of(stop.get().part().tag(), bit),
                    stop.get().words() + " conducts while nobody touches it, so that " + bit
                            + " reads 1, and the program lets " + moved.output().name()
                            + " pass only while it reads 0: it can be on only while the stop is pressed.",
                    "There is no rule that a closed contact goes with the closed instruction. Ask what the terminal reads at rest: here 1,"
                            + " therefore the normally open instruction."));
        }
        Part contactor = moved.contactor();
        boolean inverted = program.passesWhileIn(contact, contactor)
                .filter(passes -> !passes)
                .isPresent();
        if (inverted) {
            findings.add(new Finding(
                    "plc-feedback-inverted",
                    Severity.ERROR,
                    List.of(contactor.tag(), bit),
                    bit + " tells that " + contactor.tag() + " is "
                            + (contact.closed() ? "in" : "out")
                            + ", and " + moved.output().name() + " passes only while " + contactor.tag() + " is out.",
                    "Once the contactor is in, the program lets it go again: it chatters, or does not hold. Its contact has to let pass while it"
                            + " is in."));
        }
    }
}
