package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.ControllerField;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.program.Address;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.Program;
import parable.program.ProgramNetwork;
import parable.program.Variable;

/** A program as the rules look at it: which field contact a bit stands for, which contactor an output moves, which ways lead to a coil. */
final class ProgramStudy {

    /** More ways through a network than these are not looked at. */
    private static final int MOST_WAYS = 500;

    private final Study study;
    private final ControllerField field;
    private final Program program;

    private ProgramStudy(Study study, ControllerField field, Program program) {
        this.study = study;
        this.field = field;
        this.program = program;
    }

    /** Empty if the sheet has no controller or no program for it. */
    static Optional<ProgramStudy> of(Study study) {
        Assembly assembly = study.assembly();
        return ControllerField.of(assembly)
                .flatMap(field -> assembly.sheet().program().map(program -> new ProgramStudy(study, field, program)));
    }

    Program program() {
        return program;
    }

    ControllerField field() {
        return field;
    }

    /** The number of the input that a variable is read from. */
    Optional<Integer> input(String variable) {
        return program.variable(variable).stream()
                .flatMapToInt(one -> ControllerField.number(one, Address.Area.INPUT).stream())
                .boxed()
                .findFirst();
    }

    /** The contact that stands before the input of a variable, if it is one alone. */
    Optional<ControllerField.Source> source(String variable) {
        return input(variable)
                .filter(number -> number < field.inputs())
                .map(field::leadingTo)
                .filter(sources -> sources.size() == 1)
                .map(sources -> sources.get(0));
    }

    /** An output of the program and the contactor that it moves, at once or through a relay. */
    record Moved(Variable output, Part contactor) {}

    /** The outputs that move a contactor. */
    List<Moved> moved() {
        List<Moved> moved = new ArrayList<>();
        for (int output = 0; output < field.controller().contacts().size(); output++) {
            Optional<Variable> variable = ControllerField.variable(program, Address.Area.OUTPUT, output);
            if (variable.isPresent()) {
                contactors(output).forEach(contactor -> moved.add(new Moved(variable.get(), contactor)));
            }
        }
        return moved;
    }

    /** The contactors whose coils cannot be fed once the output, or the relay behind it, does not conduct, whatever else does. */
    private List<Part> contactors(int output) {
        Optional<Part> relay = field.onlyRelay(output);
        Contact own = field.controller().contacts().get(output);
        BitSet without = study.closed((part, contact) -> conducts(part, contact)
                && !(part.equals(field.controller()) && contact.equals(own))
                && relay.filter(part::equals).isEmpty());
        BitSet all = study.closed(ProgramStudy::conducts);
        return study.parts(Family.CONTACTOR)
                .filter(part ->
                        study.isFed(all, part, Study.coil(part)) && !study.isFed(without, part, Study.coil(part)))
                .toList();
    }

    private static boolean conducts(Part part, Contact contact) {
        return !contact.pole() || Study.isFeed(part, contact);
    }

    /** The networks that end on a coil of a variable, by their numbers from 0. */
    List<Integer> coils(String variable) {
        return IntStream.range(0, program.networks().size())
                .filter(n -> program.networks().get(n).end() instanceof NetworkEnd.Coil coil
                        && coil.variable().equalsIgnoreCase(variable))
                .boxed()
                .toList();
    }

    private boolean isOutput(String variable) {
        return program.variables().stream()
                .filter(one -> one.name().equalsIgnoreCase(variable))
                .anyMatch(one -> one.address()
                        .filter(address -> address.area() == Address.Area.OUTPUT)
                        .isPresent());
    }

    /**
     * The ways through a network, with inner bits that one coil alone writes replaced by what is before that coil. A bit of an output stays: what
     * it was told the scan before is a thing of its own.
     */
    List<List<Logic>> ways(ProgramNetwork network) {
        return expanded(network.logic(), new HashSet<>(Set.of(key(network.end().variable()))))
                .ways(MOST_WAYS);
    }

    private static String key(String variable) {
        return variable.toUpperCase(Locale.ROOT);
    }

    private Logic expanded(Logic logic, Set<String> within) {
        if (logic instanceof Logic.Series series) {
            return Logic.series(
                    series.parts().stream().map(part -> expanded(part, within)).toList());
        }
        if (logic instanceof Logic.Parallel parallel) {
            return Logic.parallel(parallel.branches().stream()
                    .map(part -> expanded(part, within))
                    .toList());
        }
        if (logic instanceof Logic.LadderContact contact
                && !contact.closed()
                && !contact.operand().output()
                && !isOutput(contact.operand().variable())
                && within.add(key(contact.operand().variable()))) {
            List<Integer> coils = coils(contact.operand().variable());
            boolean plain = coils.size() == 1
                    && program.networks().get(coils.get(0)).end() instanceof NetworkEnd.Coil coil
                    && coil.kind() == NetworkEnd.Coil.Kind.NORMAL;
            Logic whole = plain ? expanded(program.networks().get(coils.get(0)).logic(), within) : logic;
            within.remove(key(contact.operand().variable()));
            return whole;
        }
        return logic;
    }

    /** Whether a contact instruction lets pass while the contactor is in, by its feedback; empty if it reads something else. */
    Optional<Boolean> passesWhileIn(Logic.LadderContact instruction, Part contactor) {
        return source(instruction.operand().variable())
                .filter(source -> source.part().equals(contactor))
                .map(source -> source.contact().isNormallyClosed() == instruction.closed());
    }

    /** Whether a contact is that of a stop button or E-stop: all its contacts open when it is pressed. */
    static boolean isStop(ControllerField.Source source) {
        return source.contact().isNormallyClosed()
                && (source.part().family() == Family.EMERGENCY_STOP
                        || source.part().family() == Family.OVERLOAD_RELAY
                        || source.part().family() == Family.PUSH_BUTTON
                                && source.part().contacts().stream().allMatch(Contact::isNormallyClosed));
    }

    /** Whether any of the contacts of a device leads to an input. */
    boolean isRead(Part part) {
        Drive.ByProgram drive = (Drive.ByProgram) field.controller().drive();
        return IntStream.range(0, drive.readings().size()).anyMatch(input -> field.leadingTo(input).stream()
                .anyMatch(source -> source.part().equals(part)));
    }
}
