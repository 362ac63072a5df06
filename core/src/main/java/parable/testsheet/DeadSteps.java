package parable.testsheet;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.bench.Action;
import parable.circuit.Fieldwork;
import parable.circuit.Node;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.PartException;
import parable.parts.Source;
import parable.parts.Verb;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** The steps on a panel that is dead: ohms, dials, and what is seen and felt. */
final class DeadSteps {

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
            if (part.terminals().stream().anyMatch(marking -> steps.isWired(part, marking))) {
                steps.add(rest, new Observation.Wires(part.tag()));
            }
        }
        for (Wire wire : WireList.of(plain(), practice).wires()) {
            steps.add(
                    rest, new Observation.Ohms(wire.from().toString(), wire.to().toString()));
        }
        assembly.parts().forEach(part -> contacts(rest, part));
        assembly.parts().forEach(part -> loads(rest, part));
        supplies(rest);
        earth(rest);
        for (Situation done : situations.dead()) {
            contacts(done, assembly.part(done.hands().get(0).tag()).orElseThrow());
        }
        supplies(new Situation(Phase.DEAD, situations.closed()));
    }

    /** With the one armature pushed in the other must not go in. */
    private void interlocked(String one, String other) {
        List<Action> both = List.of(new Action(Verb.PUSH, one), new Action(Verb.PUSH, other));
        steps.add(new Situation(Phase.DEAD, both), new Observation.Look(List.of(one, other)));
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
            if (steps.isWired(part, contact.from()) && steps.isWired(part, contact.to())) {
                steps.add(
                        situation, new Observation.Ohms(Steps.at(part, contact.from()), Steps.at(part, contact.to())));
            }
        }
    }

    private void loads(Situation situation, Part part) {
        for (Load load : part.loads()) {
            if (steps.isWired(part, load.from()) && steps.isWired(part, load.to())) {
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
                    .filter(marking -> steps.isWired(part, marking))
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
