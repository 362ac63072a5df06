package parable.testsheet;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import parable.bench.Action;
import parable.circuit.Fieldwork;
import parable.circuit.Node;
import parable.circuit.Practice;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.PartException;
import parable.parts.Source;
import parable.parts.Verb;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** The steps on a panel that is dead: ohms, dials, and what is seen and felt. */
final class DeadSteps {

    /** Ohms times square millimetres over metres, at 20 degrees (IEC 60228). */
    static final double COPPER = 0.0175;

    /** What the clamps and screws of a protective conductor may add, in ohms. */
    private static final double CLAMPS = 0.1;

    private final Steps steps;
    private final Assembly assembly;
    private final Practice practice;
    private final Situations situations;

    DeadSteps(Steps steps, Practice practice) {
        this.steps = steps;
        this.assembly = steps.assembly();
        this.practice = practice;
        situations = new Situations(assembly);
    }

    /** Adds them, in the order in which they are done. */
    void add() {
        Situation rest = new Situation(Phase.DEAD, List.of());
        for (Part part : assembly.parts()) {
            part.heater().ifPresent(heater -> steps.add(rest, new Observation.Dial(part.tag())));
            if (part.drive() instanceof Drive.Interlocking pair) {
                interlocked(pair.one(), pair.other());
                interlocked(pair.other(), pair.one());
            }
            if (part.terminals().stream().anyMatch(marking -> assembly.isWired(part, marking))) {
                steps.add(rest, new Observation.Wires(part.tag()));
            }
        }
        for (Wire wire : WireList.of(plain(), practice).wires()) {
            steps.add(rest, wire(wire));
        }
        insulation(rest);
        assembly.parts().forEach(part -> contacts(rest, part));
        assembly.parts().forEach(part -> loads(rest, part));
        supplies(rest);
        earth(rest);
        for (Situation done : situations.dead()) {
            contacts(done, assembly.part(done.hands().get(0).tag()).orElseThrow());
        }
        supplies(new Situation(Phase.DEAD, situations.closed()));
    }

    private static Observation wire(Wire wire) {
        String from = wire.from().toString();
        String to = wire.to().toString();
        OptionalDouble square = wire.conductor().squareMillimetres();
        if (!wire.conductor().isProtective() || square.isEmpty()) {
            return new Observation.Ohms(from, to);
        }
        double ohms = COPPER * wire.metres() / square.getAsDouble();
        return new Observation.Protective(
                from,
                to,
                String.format(
                        Locale.ROOT,
                        "%.1f m of %s",
                        wire.metres(),
                        wire.conductor().size()),
                2 * ohms + CLAMPS);
    }

    /** Of each motor none of whose leads is on earth by way of the neutral. */
    private void insulation(Situation rest) {
        Earth.of(assembly).ifPresent(earth -> assembly.parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .forEach(motor -> {
                    List<String> leads = motor.terminals().stream()
                            .filter(marking -> !motor.bare().contains(marking))
                            .filter(marking -> assembly.isWired(motor, marking))
                            .toList();
                    boolean earthed = leads.stream()
                            .anyMatch(marking -> Earth.isEarthed(assembly, new Terminal(motor.tag(), marking)));
                    if (!leads.isEmpty() && !earthed) {
                        steps.add(rest, new Observation.Insulation(motor.tag(), leads, earth.number()));
                    }
                }));
    }

    /** With the one armature pushed in the other must not go in. */
    private void interlocked(String one, String other) {
        List<Action> both = List.of(new Action(Verb.PUSH, one), new Action(Verb.PUSH, other));
        steps.add(new Situation(Phase.DEAD, both), new Observation.Glance(List.of(one, other)));
    }

    /** Wire by wire it is tested terminal to terminal, whatever strip lies between. */
    private Assembly plain() {
        try {
            return assembly.on(assembly.sheet().withFieldwork(Fieldwork.NONE));
        } catch (PartException impossible) {
            throw new IllegalStateException("the same devices could be fitted out before", impossible);
        }
    }

    private void contacts(Situation situation, Part part) {
        for (Contact contact : part.contacts()) {
            if (assembly.isWired(part, contact.from()) && assembly.isWired(part, contact.to())) {
                steps.add(
                        situation, new Observation.Ohms(Steps.at(part, contact.from()), Steps.at(part, contact.to())));
            }
        }
    }

    private void loads(Situation situation, Part part) {
        for (Load load : part.loads()) {
            if (assembly.isWired(part, load.from()) && assembly.isWired(part, load.to())) {
                steps.add(situation, new Observation.Ohms(Steps.at(part, load.from()), Steps.at(part, load.to())));
            }
        }
    }

    /** Shorts across each supply, and from phase to phase. */
    private void supplies(Situation situation) {
        for (Part part : assembly.parts()) {
            List<String> ends = Stream.concat(
                            part.sources().stream().map(Source::live),
                            part.sources().stream().map(Source::reference))
                    .filter(marking -> assembly.isWired(part, marking))
                    .distinct()
                    .toList();
            for (int i = 0; i < ends.size(); i++) {
                for (int j = i + 1; j < ends.size(); j++) {
                    steps.add(
                            situation, new Observation.Ohms(Steps.at(part, ends.get(i)), Steps.at(part, ends.get(j))));
                }
            }
        }
    }

    /** Every wire number against earth. */
    private void earth(Situation situation) {
        Optional<Node> earth = Earth.of(assembly);
        for (Node node : assembly.nodes().all()) {
            earth.filter(one -> !one.equals(node) && !node.terminals().isEmpty())
                    .ifPresent(one -> steps.add(situation, new Observation.Ohms(node.number(), one.number())));
        }
    }
}
