package parable.plc;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.ControllerField;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;
import parable.program.Address;
import parable.program.Variable;

/** The inputs and outputs of a sheet's controller as they are wired; what they read at rest is found by trying it. */
public final class IoList {

    /** Until everything has settled after the breakers were closed, in microseconds. */
    private static final long SETTLED = 500_000;

    private final Assembly assembly;
    private final ControllerField field;
    private final Moment rest;

    private IoList(Assembly assembly, ControllerField field) {
        this.assembly = assembly;
        this.field = field;
        Bench bench = Bench.untold(assembly);
        assembly.parts().stream()
                .filter(part -> part.drive().verbs().containsKey(Verb.CLOSE) && part.initial() == 0)
                .forEach(part -> close(bench, part));
        bench.runUntil(SETTLED);
        rest = bench.moment();
    }

    private static void close(Bench bench, Part part) {
        try {
            bench.act(new Action(Verb.CLOSE, part.tag()));
        } catch (ActionRefusedException impossible) {
            throw new IllegalStateException("what can be closed was not", impossible);
        }
    }

    /** All that are wired or have a variable, inputs first, each in the order of their terminals; none if the sheet has no controller. */
    public static List<IoPoint> of(Assembly assembly) {
        return ControllerField.of(assembly)
                .map(field -> new IoList(assembly, field).points())
                .orElse(List.of());
    }

    private List<IoPoint> points() {
        List<IoPoint> points = new ArrayList<>();
        for (int input = 0; input < field.inputs(); input++) {
            Optional<Variable> variable = variable(Address.Area.INPUT, input);
            if (variable.isPresent() || field.isWired(input)) {
                points.add(input(input, variable));
            }
        }
        for (int output = 0; output < field.controller().contacts().size(); output++) {
            Optional<Variable> variable = variable(Address.Area.OUTPUT, output);
            if (variable.isPresent() || !field.behind(output).isEmpty()) {
                points.add(output(output, variable));
            }
        }
        return points;
    }

    private Optional<Variable> variable(Address.Area area, int number) {
        return assembly.sheet().program().flatMap(program -> ControllerField.variable(program, area, number));
    }

    private static Address address(Address.Area area, int number) {
        return new Address(area, number / 8, number % 8);
    }

    private IoPoint input(int input, Optional<Variable> variable) {
        List<ControllerField.Source> sources = field.leadingTo(input);
        Optional<ControllerField.Source> source = sources.size() == 1 ? Optional.of(sources.get(0)) : Optional.empty();
        boolean atRest = rest.isInputLive(input);
        boolean changes = source.map(ControllerField.Source::contact)
                .filter(contact -> contact.closedAt(0) != contact.closedAt(1))
                .isPresent();
        Drive.ByProgram drive = (Drive.ByProgram) field.controller().drive();
        return new IoPoint(
                address(Address.Area.INPUT, input),
                variable.map(Variable::name),
                "I" + input,
                source.map(one -> one.part().tag()).orElse(""),
                source.map(one -> one.contact().marking()).orElse(""),
                source.map(one -> one.part().device().label())
                        .filter(label -> !label.isEmpty())
                        .or(() -> variable.map(Variable::comment))
                        .orElse(""),
                sources.stream().allMatch(this::stops) && !sources.isEmpty(),
                atRest,
                changes != atRest,
                field.controller()
                        .loads()
                        .get(drive.readings().get(input))
                        .rated()
                        .toString());
    }

    /** Whether a contact stops or guards: that of an E-stop, an overload, a breaker, a button that only opens, a relay that is in at rest. */
    private boolean stops(ControllerField.Source source) {
        Part part = source.part();
        return switch (part.family()) {
            case EMERGENCY_STOP, OVERLOAD_RELAY, BREAKER, ISOLATOR, FUSE -> true;
            case PUSH_BUTTON -> part.contacts().stream().allMatch(Contact::isNormallyClosed);
            case CONTROL_RELAY -> rest.condition(part.tag()) == Condition.IN;
            case MACHINE_SWITCH -> source.contact().isNormallyClosed();
            default -> false;
        };
    }

    private IoPoint output(int output, Optional<Variable> variable) {
        List<Terminal> behind = field.behind(output);
        Optional<Part> device = behind.size() == 1 ? assembly.part(behind.get(0).tag()) : Optional.empty();
        return new IoPoint(
                address(Address.Area.OUTPUT, output),
                variable.map(Variable::name),
                "Q" + output,
                device.map(Part::tag).orElse(""),
                device.map(part -> behind.get(0).marking()).orElse(""),
                variable.map(Variable::comment)
                        .filter(comment -> !comment.isEmpty())
                        .or(() -> device.map(part -> part.device().label()))
                        .orElse(""),
                false,
                rest.toldOutput(field.controller().tag(), output),
                false,
                device.filter(part -> part.family() != Family.CONTACTOR
                                || !part.loads().isEmpty())
                        .flatMap(part -> part.loads().stream()
                                .filter(load -> behind.get(0).marking().equals(load.from())
                                        || behind.get(0).marking().equals(load.to()))
                                .findFirst())
                        .map(load -> load.rated().toString())
                        .orElse(""));
    }
}
