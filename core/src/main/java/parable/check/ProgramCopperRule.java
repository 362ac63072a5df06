package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.program.Logic;

/**
 * {@code plc-estop-only-in-program}, {@code plc-trip-only-in-program} and {@code plc-interlock-only-in-program}: what must work although the
 * controller has failed is left to its program.
 */
final class ProgramCopperRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        ProgramStudy.of(study).ifPresent(program -> {
            guards(study, program, findings);
            InterlockRule.shorting(study).forEach(pair -> interlock(study, program, pair, findings));
        });
        return findings;
    }

    private static void guards(Study study, ProgramStudy program, List<Finding> findings) {
        List<Part> contactors = program.moved().stream()
                .map(ProgramStudy.Moved::contactor)
                .distinct()
                .toList();
        study.parts(Family.EMERGENCY_STOP, Family.OVERLOAD_RELAY)
                .filter(program::isRead)
                .filter(part -> !contactors.isEmpty()
                        && contactors.stream().map(Part::tag).noneMatch(barredBy(study, part)::contains))
                .forEach(part -> {
                    boolean estop = part.family() == Family.EMERGENCY_STOP;
                    findings.add(new Finding(
                            estop ? "plc-estop-only-in-program" : "plc-trip-only-in-program",
                            Severity.DANGER,
                            List.of(part.tag()),
                            part.tag() + (estop ? ", an E-stop," : ", the overload,")
                                    + " stops through the program only.",
                            "A controller that has failed, or an output that sticks, keeps the motor running. Its closed contact goes into the"
                                    + " circuit of the coils; a second one may tell the program."));
                });
    }

    /** The relays and contactors that cannot be in while this device is actuated, whatever else conducts. */
    private static Set<String> barredBy(Study study, Part device) {
        Set<String> barred = new HashSet<>();
        boolean more = true;
        while (more) {
            BitSet closed = study.closed((part, contact) -> conducts(part, contact, device, barred));
            more = study
                    .relays()
                    .filter(relay -> !barred.contains(relay.tag()))
                    .filter(relay -> !study.isFed(closed, relay, Study.coil(relay)))
                    .map(Part::tag)
                    .toList()
                    .stream()
                    .map(barred::add)
                    .reduce(false, Boolean::logicalOr);
        }
        return barred;
    }

    private static boolean conducts(Part part, Contact contact, Part device, Set<String> barred) {
        if (part.equals(device)) {
            return contact.isThroughPath() || contact.closedAt(1);
        }
        boolean out = barred.contains(part.tag()) && !contact.closedAt(0);
        return !out && (!contact.pole() || Study.isFeed(part, contact));
    }

    private static void interlock(Study study, ProgramStudy program, InterlockRule.Pair pair, List<Finding> findings) {
        boolean inCopper = InterlockRule.bars(study, pair.one(), pair.other())
                && InterlockRule.bars(study, pair.other(), pair.one());
        if (!inCopper && (asks(program, pair.one(), pair.other()) || asks(program, pair.other(), pair.one()))) {
            findings.add(new Finding(
                    "plc-interlock-only-in-program",
                    Severity.DANGER,
                    List.of(pair.one().tag(), pair.other().tag()),
                    "Only the program keeps " + pair.one().tag() + " and "
                            + pair.other().tag()
                            + " from being in together, and together they short the lines.",
                    "A contactor that is slow to drop out, or a relay that sticks, is not waited for. A closed contact of each goes into the"
                            + " circuit of the other's coil; the program keeps its own as well."));
        }
    }

    /** Whether the program lets a contactor's coil pass only while another is not asked for, or not in. */
    private static boolean asks(ProgramStudy program, Part of, Part other) {
        List<String> others = program.moved().stream()
                .filter(moved -> moved.contactor().equals(other))
                .map(moved -> moved.output().name())
                .toList();
        return program.moved().stream()
                .filter(moved -> moved.contactor().equals(of))
                .flatMap(moved -> program.coils(moved.output().name()).stream())
                .flatMap(n -> program.ways(program.program().networks().get(n)).stream())
                .flatMap(List::stream)
                .filter(Logic.LadderContact.class::isInstance)
                .map(Logic.LadderContact.class::cast)
                .anyMatch(contact ->
                        contact.closed() && others.contains(contact.operand().variable())
                                || program.passesWhileIn(contact, other)
                                        .filter(passes -> !passes)
                                        .isPresent());
    }
}
