package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import parable.parts.Contact;
import parable.parts.ControllerField;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.program.Address;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.Variable;

/**
 * What does not agree between program and wiring: {@code plc-output-twice}, {@code plc-input-unused}, {@code plc-input-not-wired},
 * {@code plc-output-not-wired}, {@code plc-no-terminal}, {@code plc-no-program}, {@code plc-no-controller}, {@code plc-feedback-missing}.
 */
final class ProgramPaperRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        Optional<ProgramStudy> program = ProgramStudy.of(study);
        program.ifPresent(one -> {
            writtenTwice(one, findings);
            one.program().variables().forEach(variable -> terminal(one, variable, findings));
            unused(one, findings);
            feedback(one, findings);
        });
        Optional<ControllerField> field = ControllerField.of(study.assembly());
        if (program.isEmpty() && field.isPresent()) {
            String tag = field.get().controller().tag();
            findings.add(new Finding(
                    "plc-no-program",
                    Severity.WARNING,
                    List.of(tag),
                    tag + " has no program: its outputs stay off.",
                    "Write one, import one, or translate a relay sheet."));
        } else if (program.isEmpty() && study.assembly().sheet().program().isPresent()) {
            findings.add(new Finding(
                    "plc-no-controller",
                    Severity.WARNING,
                    List.of(),
                    "The sheet has a program but no controller that runs it.",
                    "Put a controller on the sheet and wire its inputs and outputs."));
        }
        study.parts(Family.CONTROLLER)
                .skip(1)
                .forEach(second -> findings.add(new Finding(
                        "plc-no-program",
                        Severity.WARNING,
                        List.of(second.tag()),
                        second.tag() + " is a second controller on this sheet and has no program.",
                        "One controller to a sheet: put the other one on a sheet of its own.")));
        return findings;
    }

    private static void writtenTwice(ProgramStudy program, List<Finding> findings) {
        for (Variable variable : program.program().variables()) {
            List<Integer> all = program.coils(variable.name());
            boolean assigned = all.stream().anyMatch(n -> isAssigned(program, n));
            if (all.size() > 1 && assigned) {
                findings.add(
                        new Finding(
                                "plc-output-twice",
                                Severity.ERROR,
                                List.of(variable.name()),
                                variable.name() + " is written by "
                                        + all.stream()
                                                .map(n -> "network " + (n + 1))
                                                .collect(Collectors.joining(" and "))
                                        + ": in every scan the last one wins.",
                                "Write it once, with what is before each of the coils in parallel; or set and reset it, and nothing else."));
            }
        }
    }

    private static boolean isAssigned(ProgramStudy program, int network) {
        return program.program().networks().get(network).end() instanceof NetworkEnd.Coil coil
                && (coil.kind() == NetworkEnd.Coil.Kind.NORMAL || coil.kind() == NetworkEnd.Coil.Kind.NEGATED);
    }

    private static Set<String> read(ProgramStudy program) {
        return program.program().networks().stream()
                .flatMap(network -> network.operands())
                .map(Logic.Operand::variable)
                .collect(Collectors.toSet());
    }

    private static void terminal(ProgramStudy program, Variable variable, List<Finding> findings) {
        ControllerField field = program.field();
        String tag = field.controller().tag();
        List<Contact> outputs = field.controller().contacts();
        ControllerField.number(variable, Address.Area.INPUT).ifPresent(number -> {
            if (number >= field.inputs()) {
                findings.add(missing(variable, tag, "I" + number, "I" + (field.inputs() - 1)));
            } else if (!field.isWired(number) && read(program).contains(variable.name())) {
                findings.add(new Finding(
                        "plc-input-not-wired",
                        Severity.WARNING,
                        List.of(tag, variable.name()),
                        "The program reads " + variable.name() + " at I" + number
                                + ", but no wire lands there: it reads 0" + " for ever.",
                        "Wire the field contact, or take the variable out of the program."));
            }
        });
        ControllerField.number(variable, Address.Area.OUTPUT).ifPresent(number -> {
            if (number >= outputs.size()) {
                findings.add(missing(variable, tag, "Q" + number, "Q" + (outputs.size() - 1)));
            } else if (field.behind(number).isEmpty()) {
                findings.add(new Finding(
                        "plc-output-not-wired",
                        Severity.NOTE,
                        List.of(tag, variable.name()),
                        "The program writes " + variable.name() + " to Q" + number + ", but no wire lands there.",
                        "Wire a coil or lamp, or take the variable out of the program."));
            }
        });
    }

    private static Finding missing(Variable variable, String tag, String terminal, String last) {
        return new Finding(
                "plc-no-terminal",
                Severity.ERROR,
                List.of(tag, variable.name()),
                variable.name() + " belongs to terminal " + terminal + ", which " + tag
                        + " does not have; its last one is " + last + ".",
                "Give it the address of a terminal that is there, or take a controller with more.");
    }

    private static void unused(ProgramStudy program, List<Finding> findings) {
        ControllerField field = program.field();
        Set<String> read = read(program);
        IntStream.range(0, field.inputs())
                .filter(field::isWired)
                .filter(number -> ControllerField.variable(program.program(), Address.Area.INPUT, number)
                        .filter(variable -> read.contains(variable.name()))
                        .isEmpty())
                .forEach(number -> findings.add(new Finding(
                        "plc-input-unused",
                        Severity.WARNING,
                        List.of(field.controller().tag()),
                        "A wire lands on I" + number + ", but the program does not read it.",
                        "Either it has been forgotten in the program, or the wire is superfluous.")));
    }

    /** Whether a way leads through an output's own bit and through no contact of a relay or contactor that reports. */
    private static boolean holdsBlindly(ProgramStudy program, List<Logic> way, String output) {
        List<String> bits = way.stream()
                .filter(Logic.LadderContact.class::isInstance)
                .map(part -> ((Logic.LadderContact) part).operand().variable())
                .toList();
        return bits.stream().anyMatch(output::equalsIgnoreCase)
                && bits.stream().noneMatch(bit -> program.source(bit)
                        .filter(source -> source.part().drive() instanceof Drive.ByCoil)
                        .isPresent());
    }

    /** A contactor that nothing reports is taken for granted; held by its own output that is worth a warning. */
    private static void feedback(ProgramStudy program, List<Finding> findings) {
        for (ProgramStudy.Moved moved : program.moved()) {
            Part contactor = moved.contactor();
            if (!program.isRead(contactor)) {
                boolean holds = program.coils(moved.output().name()).stream()
                        .flatMap(n -> program.ways(program.program().networks().get(n)).stream())
                        .anyMatch(
                                way -> holdsBlindly(program, way, moved.output().name()));
                findings.add(new Finding(
                        "plc-feedback-missing",
                        holds ? Severity.WARNING : Severity.NOTE,
                        List.of(contactor.tag(), moved.output().name()),
                        "No contact of " + contactor.tag() + " tells the program whether it is in"
                                + (holds ? ", and " + moved.output().name() + " holds itself by its own output." : "."),
                        "A contactor that did not pull in, or dropped out for another reason, goes unnoticed. Wire one of its contacts to an"
                                + " input."));
            }
        }
    }
}
