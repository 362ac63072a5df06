package parable.testsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import parable.bench.Fault;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;

/** Which single faults a test sheet finds. */
public final class Coverage {

    /** What is the matter between two terminals of a device, and of no matter unless both are wired. */
    private static final Set<Fault.Kind> INSIDE =
            Set.of(Fault.Kind.WELDED, Fault.Kind.BURNT, Fault.Kind.BROKEN, Fault.Kind.SHORTED);

    private Coverage() {}

    /** Every fault that can be on what is wired, and mechanical interlocks that are missing. */
    public static List<Fault> possible(Assembly assembly) {
        List<Fault> possible = new ArrayList<>();
        for (Part part : assembly.parts()) {
            Fault.possibleIn(part).stream()
                    .filter(fault -> isWired(assembly, part, fault))
                    .forEach(possible::add);
        }
        return possible;
    }

    private static boolean isWired(Assembly assembly, Part part, Fault fault) {
        if (part.drive() instanceof Drive.Interlocking) {
            return true;
        }
        if (fault.place().isEmpty()) {
            return part.terminals().stream().anyMatch(marking -> assembly.isWired(part, marking));
        }
        if (part.terminals().contains(fault.place())) {
            return assembly.isWired(part, fault.place());
        }
        Stream<String> sides = part.terminals().stream()
                .filter(marking ->
                        fault.place().startsWith(marking + "-") || fault.place().endsWith("-" + marking));
        return INSIDE.contains(fault.kind())
                ? sides.allMatch(marking -> assembly.isWired(part, marking))
                : sides.anyMatch(marking -> assembly.isWired(part, marking));
    }

    /** Why no step can find a fault that none has found. */
    public enum Unseen {
        /** The wire is joined to earth anyway. */
        EARTHED_ANYWAY("the wire is earthed anyway"),
        /** Nothing on the sheet is earthed: the first earth fault changes nothing that a meter could find between two wires. */
        NOTHING_EARTHED("nothing on this sheet is earthed, so that one earth fault changes nothing"),
        /** It is no contact: the heater of an overload release conducts always. */
        ALWAYS_CLOSED("that path is always closed on a sound device"),
        /** An output of a controller or a lamp on one that no step switches, because it only tells of something else that has failed. */
        SECOND_FAULT("it only works once something else has failed"),
        /** The circuit as it is drawn hides it. */
        HIDDEN("the circuit as it is drawn does the same without it");

        private final String words;

        Unseen(String words) {
            this.words = words;
        }

        /** The reason as it is told. */
        public String words() {
            return words;
        }
    }

    /** Whether a lamp or horn hangs on an output of a controller. */
    private static boolean isLampOfOutput(Assembly assembly, Part part) {
        return part.loads().stream()
                .filter(load -> load.role() == LoadRole.LAMP || load.role() == LoadRole.HORN)
                .flatMap(load -> assembly.nodes().indexOf(new Terminal(part.tag(), load.from())).stream())
                .flatMap(node -> assembly.nodes().all().get(node).terminals().stream())
                .anyMatch(end -> assembly.part(end.tag()).orElseThrow().contacts().stream()
                        .anyMatch(contact -> contact.output()
                                && (contact.to().equals(end.marking())
                                        || contact.from().equals(end.marking()))));
    }

    /** Why no step finds a fault; to be asked only of one that none finds. */
    public static Unseen reason(Assembly assembly, Fault fault) {
        Part part = assembly.part(fault.tag()).orElseThrow();
        if (fault.kind() == Fault.Kind.EARTHED) {
            return Earth.isEarthed(assembly, new Terminal(fault.tag(), fault.place()))
                    ? Unseen.EARTHED_ANYWAY
                    : Earth.of(assembly).isEmpty() ? Unseen.NOTHING_EARTHED : Unseen.HIDDEN;
        }
        if (fault.kind() == Fault.Kind.WELDED && part.family() == Family.OVERLOAD_RELAY && isPole(part, fault)) {
            return Unseen.ALWAYS_CLOSED;
        }
        boolean output = fault.kind() == Fault.Kind.BURNT && part.family() == Family.CONTROLLER
                || fault.kind() == Fault.Kind.BROKEN && isLampOfOutput(assembly, part);
        return output ? Unseen.SECOND_FAULT : Unseen.HIDDEN;
    }

    private static boolean isPole(Part part, Fault fault) {
        return part.contacts().stream()
                .anyMatch(contact -> contact.pole() && contact.marking().equals(fault.place()));
    }

    /** The first step that fails with a fault in, empty if every step passes. */
    public static Optional<TestStep> firstFailing(Assembly assembly, List<TestStep> steps, Fault fault) {
        return failing(assembly, steps, fault).findFirst();
    }

    /** The steps that fail with a fault in, in their order; each is worked out when it is asked for. */
    public static Stream<TestStep> failing(Assembly assembly, List<TestStep> steps, Fault fault) {
        StepRehearsal faulty = new StepRehearsal(assembly, List.of(fault));
        return steps.stream()
                .filter(step -> !step.passes(
                        step.observation().at(faulty.rest(step.situation())).text()));
    }
}
