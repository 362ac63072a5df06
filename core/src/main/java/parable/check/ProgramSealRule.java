package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import parable.parts.Family;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.ProgramNetwork;

/** {@code plc-seal-around-stop}: the branch that holds a contactor in leads around a stop that the start leads through. */
final class ProgramSealRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        ProgramStudy.of(study).ifPresent(program -> program.moved().forEach(moved -> {
            for (int n : program.coils(moved.output().name())) {
                ProgramNetwork network = program.program().networks().get(n);
                if (network.end() instanceof NetworkEnd.Coil coil && coil.kind() == NetworkEnd.Coil.Kind.NORMAL) {
                    look(program, moved, program.ways(network), findings);
                }
            }
        }));
        return findings.stream().distinct().toList();
    }

    private static void look(
            ProgramStudy program, ProgramStudy.Moved moved, List<List<Logic>> ways, List<Finding> findings) {
        Set<String> stops = ways.stream()
                .filter(way -> !holds(program, moved, way))
                .flatMap(way -> stops(program, way).stream())
                .collect(Collectors.toSet());
        for (List<Logic> way : ways) {
            Set<String> around = new TreeSet<>(stops);
            around.removeAll(stops(program, way));
            if (holds(program, moved, way) && !around.isEmpty()) {
                String stop = around.iterator().next();
                findings.add(new Finding(
                        "plc-seal-around-stop",
                        Severity.DANGER,
                        List.of(
                                program.source(stop).orElseThrow().part().tag(),
                                moved.output().name()),
                        "In the program " + moved.output().name() + " holds itself by a branch that leads around "
                                + stop + ": once it is on, that stop no longer stops it.",
                        "The branch that holds begins behind the stops, beside the start."));
            }
        }
    }

    private static Set<String> stops(ProgramStudy program, List<Logic> way) {
        return way.stream()
                .filter(Logic.LadderContact.class::isInstance)
                .map(part -> ((Logic.LadderContact) part).operand().variable())
                .filter(bit -> program.source(bit)
                        .filter(ProgramStudy::isStop)
                        .filter(source -> source.part().family() != Family.OVERLOAD_RELAY)
                        .isPresent())
                .collect(Collectors.toSet());
    }

    /** Whether a way goes through the output itself or through a contact of its contactor that conducts while it is in. */
    private static boolean holds(ProgramStudy program, ProgramStudy.Moved moved, List<Logic> way) {
        return way.stream()
                .filter(Logic.LadderContact.class::isInstance)
                .map(Logic.LadderContact.class::cast)
                .anyMatch(contact -> !contact.closed()
                                && contact.operand()
                                        .variable()
                                        .equalsIgnoreCase(moved.output().name())
                        || program.passesWhileIn(contact, moved.contactor())
                                .filter(passes -> passes)
                                .isPresent());
    }
}
