package parable.parts;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import parable.circuit.Terminal;
import parable.program.Address;
import parable.program.Program;
import parable.program.Variable;

/** What is wired to the inputs and outputs of a sheet's controller, the first if there are several. */
public final class ControllerField {

    private static final int BITS_IN_A_BYTE = 8;

    private final Assembly assembly;
    private final Part controller;

    private ControllerField(Assembly assembly, Part controller) {
        this.assembly = assembly;
        this.controller = controller;
    }

    /** The field of an assembled sheet, empty if it has no controller. */
    public static Optional<ControllerField> of(Assembly assembly) {
        return assembly.parts().stream()
                .filter(part -> part.family() == Family.CONTROLLER)
                .findFirst()
                .map(part -> new ControllerField(assembly, part));
    }

    /** The controller. */
    public Part controller() {
        return controller;
    }

    /**
     * A contact in the field.
     *
     * @param part its device
     */
    public record Source(Part part, Contact contact) {

        /** As it is said: {@code S0 11-12}. */
        public String words() {
            return part.tag() + " " + contact.marking();
        }
    }

    /** How many inputs the controller has. */
    public int inputs() {
        return ((Drive.ByProgram) controller.drive()).readings().size();
    }

    /** Whether a wire lands on an input. */
    public boolean isWired(int input) {
        return assembly.nodes()
                .indexOf(new Terminal(controller.tag(), "I" + input))
                .isPresent();
    }

    /** The number of the terminal that an address of an area belongs to; empty for another area, or none. */
    public static OptionalInt number(Variable variable, Address.Area area) {
        return variable.address().stream()
                .filter(at -> at.area() == area)
                .mapToInt(at -> BITS_IN_A_BYTE * at.number() + at.bit())
                .findFirst();
    }

    /** The variable of an input or output of a program by its number, empty if it has none. */
    public static Optional<Variable> variable(Program program, Address.Area area, int number) {
        return program.variables().stream()
                .filter(variable -> number(variable, area).stream().anyMatch(at -> at == number))
                .findFirst();
    }

    /** The contacts that lead in series to an input, the nearest first; empty where they do not stand in series or none does. */
    public List<Source> leadingTo(int input) {
        List<Source> sources = new ArrayList<>();
        Set<Integer> seen = new HashSet<>();
        Optional<Integer> at = assembly.nodes().indexOf(new Terminal(controller.tag(), "I" + input));
        while (at.isPresent() && seen.add(at.get()) && !isRail(at.get())) {
            List<Terminal> others = assembly.nodes().all().get(at.get()).terminals().stream()
                    .filter(terminal -> !terminal.tag().equals(controller.tag()))
                    .toList();
            Optional<Source> source = others.stream()
                    .flatMap(terminal -> contactAt(terminal).stream())
                    .filter(one -> sources.stream()
                            .noneMatch(earlier -> earlier.contact().equals(one.contact())
                                    && earlier.part().equals(one.part())))
                    .findFirst();
            source.ifPresent(sources::add);
            int from = at.get();
            at = source.flatMap(one -> farSide(one, from));
        }
        return sources;
    }

    private boolean isRail(int node) {
        return assembly.nodes().all().get(node).names().stream().anyMatch(name -> assembly.sheet().rails().stream()
                .anyMatch(rail -> rail.name().equals(name)));
    }

    private Optional<Source> contactAt(Terminal terminal) {
        Part part = assembly.part(terminal.tag()).orElseThrow();
        return part.contacts().stream()
                .filter(contact -> contact.from().equals(terminal.marking())
                        || contact.to().equals(terminal.marking()))
                .filter(contact -> assembly.isWired(part, contact.from()) && assembly.isWired(part, contact.to()))
                .findFirst()
                .map(contact -> new Source(part, contact));
    }

    private Optional<Integer> farSide(Source source, int near) {
        return List.of(source.contact().from(), source.contact().to()).stream()
                .flatMap(marking ->
                        assembly.nodes().indexOf(new Terminal(source.part().tag(), marking)).stream())
                .filter(node -> node != near)
                .findFirst();
    }

    /** The terminals that an output leads to, those of the controller left out. */
    public List<Terminal> behind(int output) {
        Contact contact = controller.contacts().get(output);
        Optional<Integer> node = assembly.nodes().indexOf(new Terminal(controller.tag(), contact.to()));
        return node.map(index -> assembly.nodes().all().get(index).terminals().stream()
                        .filter(terminal -> !terminal.tag().equals(controller.tag()))
                        .toList())
                .orElse(List.of());
    }

    /** Whether a device is wired to an output. */
    public boolean leadsTo(int output, String tag) {
        return behind(output).stream().anyMatch(terminal -> terminal.tag().equals(tag));
    }

    /** Whether nothing but lamps, horns, solenoids and shunt trips is wired to an output, or nothing at all. */
    public boolean onlySignals(int output) {
        return behind(output).stream()
                .allMatch(terminal -> isLoad(
                        terminal, Set.of(LoadRole.LAMP, LoadRole.HORN, LoadRole.SOLENOID, LoadRole.SHUNT_RELEASE)));
    }

    /** Whether nothing but lamps and horns is wired to an output, or nothing at all, so that it moves nothing. */
    public boolean onlyTells(int output) {
        return behind(output).stream().allMatch(terminal -> isLoad(terminal, Set.of(LoadRole.LAMP, LoadRole.HORN)));
    }

    private boolean isLoad(Terminal terminal, Set<LoadRole> roles) {
        Part part = assembly.part(terminal.tag()).orElseThrow();
        return part.loads().stream()
                .filter(load -> roles.contains(load.role()))
                .anyMatch(load ->
                        load.from().equals(terminal.marking()) || load.to().equals(terminal.marking()));
    }

    /** The control relay whose coil is all that is wired to an output, empty if it is something else or more than that. */
    public Optional<Part> onlyRelay(int output) {
        List<Terminal> behind = behind(output);
        return behind.size() != 1
                ? Optional.empty()
                : assembly.part(behind.get(0).tag()).filter(part -> part.family() == Family.CONTROL_RELAY);
    }

    /** Whether of a relay no contact is wired that is closed at rest. */
    public boolean onlyMakes(Part relay) {
        return relay.family() == Family.CONTROL_RELAY
                && relay.contacts().stream()
                        .filter(Contact::isNormallyClosed)
                        .noneMatch(contact -> assembly.isWired(relay, contact.to()));
    }
}
