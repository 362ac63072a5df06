package parable.testsheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import parable.bench.Action;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.circuit.Fieldwork;
import parable.circuit.Node;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.CurrentKind;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.PartException;
import parable.parts.Source;
import parable.parts.Verb;
import parable.wiring.Wire;
import parable.wiring.WireList;

/**
 * The test sheet of an assembled sheet, made from its circuit: dead, the control circuit alone, and with the motor. What must be found comes from the
 * simulation of the sound circuit.
 */
public final class TestSheet {

    private static final Set<Family> ACTING = Set.of(
            Family.CONTACTOR,
            Family.CONTROL_RELAY,
            Family.TIMER,
            Family.PILOT_LAMP,
            Family.HORN,
            Family.SOLENOID,
            Family.MOTOR,
            Family.OVERLOAD_RELAY,
            Family.CONTROLLER);

    /** Later than this, in s, something waits for a timer or a machine and is worth a stopwatch. */
    private static final double TIMED = 0.5;

    private final Assembly assembly;
    private final Practice practice;
    private final Rehearsal sound;
    private final Situations situations;
    private final Map<String, TestStep> steps = new LinkedHashMap<>();

    private final List<Situation> tried = new ArrayList<>();

    private TestSheet(Assembly assembly, Practice practice) {
        this.assembly = assembly;
        this.practice = practice;
        sound = new Rehearsal(assembly, List.of());
        situations = new Situations(assembly);
    }

    /** The steps in the order in which they are done. */
    public static List<TestStep> of(Assembly assembly, Practice practice) {
        TestSheet sheet = new TestSheet(assembly, practice);
        sheet.dead();
        sheet.operated(Phase.CONTROL);
        sheet.operated(Phase.MOTOR);
        return List.copyOf(sheet.steps.values());
    }

    private void add(Situation situation, Observation observation) {
        String id = situation.phase().name().toLowerCase(Locale.ROOT) + ": " + situation.words() + ": "
                + observation.words();
        steps.computeIfAbsent(
                id, any -> new TestStep(id, situation, observation, observation.at(sound.rest(situation))));
    }

    private boolean isWired(Part part, String marking) {
        return assembly.nodes().indexOf(new Terminal(part.tag(), marking)).isPresent();
    }

    private static String at(Part part, String marking) {
        return part.tag() + ":" + marking;
    }

    private void dead() {
        Situation rest = new Situation(Phase.DEAD, List.of());
        for (Part part : assembly.parts()) {
            part.heater().ifPresent(heater -> add(rest, new Observation.Dial(part.tag())));
            if (part.drive() instanceof Drive.Interlocking pair) {
                interlocked(pair.one(), pair.other());
                interlocked(pair.other(), pair.one());
            }
            if (part.terminals().stream().anyMatch(marking -> isWired(part, marking))) {
                add(rest, new Observation.Wires(part.tag()));
            }
        }
        for (Wire wire : WireList.of(plain(), practice).wires()) {
            add(rest, new Observation.Ohms(wire.from().toString(), wire.to().toString()));
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
        add(new Situation(Phase.DEAD, both), new Observation.Look(List.of(one, other)));
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
            if (isWired(part, contact.from()) && isWired(part, contact.to())) {
                add(situation, new Observation.Ohms(at(part, contact.from()), at(part, contact.to())));
            }
        }
    }

    private void loads(Situation situation, Part part) {
        for (Load load : part.loads()) {
            if (isWired(part, load.from()) && isWired(part, load.to())) {
                add(situation, new Observation.Ohms(at(part, load.from()), at(part, load.to())));
            }
        }
    }

    /** Shorts across each supply, and from phase to phase. */
    private void supplies(Situation situation) {
        for (Part part : assembly.parts()) {
            List<String> ends = Stream.concat(
                            part.sources().stream().map(Source::live),
                            part.sources().stream().map(Source::reference))
                    .filter(marking -> isWired(part, marking))
                    .distinct()
                    .toList();
            for (int i = 0; i < ends.size(); i++) {
                for (int j = i + 1; j < ends.size(); j++) {
                    add(situation, new Observation.Ohms(at(part, ends.get(i)), at(part, ends.get(j))));
                }
            }
        }
    }

    /** Every wire number against earth. */
    private void earth(Situation situation) {
        Optional<Node> earth = Earth.of(assembly);
        for (Node node : assembly.nodes().all()) {
            earth.filter(one -> !one.equals(node) && !node.terminals().isEmpty())
                    .ifPresent(one -> add(situation, new Observation.Ohms(node.number(), one.number())));
        }
    }

    private List<String> acting(Phase phase) {
        return assembly.parts().stream()
                .filter(part -> ACTING.contains(part.family()))
                .filter(part -> phase == Phase.MOTOR || part.family() != Family.MOTOR)
                .map(Part::tag)
                .toList();
    }

    private void look(Situation situation) {
        add(situation, new Observation.Look(acting(situation.phase())));
    }

    private boolean looksAlike(Situation one, Situation other) {
        Observation look = new Observation.Look(acting(one.phase()));
        return look.at(sound.rest(one)).equals(look.at(sound.rest(other)));
    }

    private void operated(Phase phase) {
        if (phase == Phase.CONTROL) {
            voltages(new Situation(phase, List.of()));
        }
        for (List<Action> hands : situations.ready()) {
            Situation ready = new Situation(phase, hands);
            look(ready);
            walk(ready);
            clamp(ready);
            tried.clear();
            for (Situations.Deed start : situations.starts()) {
                start(ready, start);
            }
            for (Situations.Deed stop : situations.stops()) {
                Situation stopped = new Situation(phase, Situations.and(hands, stop.does()));
                if (!looksAlike(ready, stopped)) {
                    look(stopped);
                }
                situations.starts().stream()
                        .findFirst()
                        .ifPresent(start -> look(new Situation(phase, Situations.and(stopped.hands(), start.does()))));
            }
        }
    }

    /** What every supply gives. */
    private void voltages(Situation situation) {
        for (Part part : assembly.parts()) {
            for (Source source : part.family() == Family.SUPPLY ? part.sources() : List.<Source>of()) {
                if (isWired(part, source.live()) && isWired(part, source.reference())) {
                    add(
                            situation,
                            new Observation.Volts(
                                    at(part, source.live()),
                                    at(part, source.reference()),
                                    source.rated().kind() == CurrentKind.DC));
                }
            }
        }
    }

    private void start(Situation ready, Situations.Deed start) {
        Phase phase = ready.phase();
        Situation held = new Situation(phase, Situations.and(ready.hands(), start.does()));
        Situation running = new Situation(phase, Situations.and(held.hands(), start.undoes()));
        if (looksAlike(ready, held)) {
            look(held);
            return;
        }
        look(held);
        timed(held);
        look(running);
        timed(running);
        boolean known = tried.stream().anyMatch(other -> looksAlike(other, running));
        boolean stays = !looksAlike(ready, running);
        if (!known) {
            walk(stays ? running : held);
            clamp(stays ? running : held);
            tried.add(running);
        }
        if (stays && !known) {
            running(running, start);
        }
    }

    /** Every way to stop it, every other start, and the supply lost and back; once for each thing that a start can lead to. */
    private void running(Situation running, Situations.Deed start) {
        Phase phase = running.phase();
        for (Situations.Deed stop : situations.stops()) {
            Situation stopped = new Situation(phase, Situations.and(running.hands(), stop.does()));
            look(stopped);
            timed(stopped);
            look(new Situation(phase, Situations.and(stopped.hands(), stop.undoes())));
        }
        for (Situations.Deed other : situations.starts()) {
            if (!other.equals(start)) {
                look(new Situation(phase, Situations.and(running.hands(), other.does(), other.undoes())));
            }
        }
        List<Action> lost = Situations.and(running.hands(), situations.supplies(Verb.LOSE));
        look(new Situation(phase, lost));
        look(new Situation(phase, Situations.and(lost, situations.supplies(Verb.RESTORE))));
    }

    /** A stopwatch for everything that comes later than by itself. */
    private void timed(Situation situation) {
        Rehearsal.Rest rest = sound.rest(situation);
        for (String tag : acting(situation.phase())) {
            Condition last = rest.moment().condition(tag);
            Condition first = rest.bench().momentAt(rest.since()).condition(tag);
            boolean late = last != first && rest.secondsUntil(tag, last).orElse(0) > TIMED;
            if (late && last != Condition.COASTING) {
                add(situation, new Observation.After(tag, last));
            }
            for (Condition between : rest.conditions(tag)) {
                if (between != first && between != last && rest.secondsIn(tag, between) > TIMED) {
                    add(situation, new Observation.Meanwhile(tag, between));
                }
            }
        }
    }

    /** The probe walks along every rung, the other one parked on the return of its supply. */
    private void walk(Situation situation) {
        if (situation.phase() != Phase.CONTROL) {
            return;
        }
        Set<String> walked = new LinkedHashSet<>();
        Moment moment = sound.rest(situation).moment();
        for (Rung rung : assembly.sheet().control()) {
            Optional<String> parked = returnOf(rung);
            for (Terminal terminal : rung.terminals().toList()) {
                Optional<String> number = numberOf(terminal);
                if (parked.isPresent() && number.isPresent() && !number.equals(parked) && walked.add(number.get())) {
                    boolean direct = moment.voltage(number.get(), parked.get())
                                    .filter(volts -> Math.abs(volts.direct()) > volts.alternating())
                                    .isPresent()
                            || isDirect(rung);
                    add(situation, new Observation.Volts(number.get(), parked.get(), direct));
                }
            }
        }
    }

    private Optional<String> numberOf(Terminal terminal) {
        return assembly.nodes()
                .indexOf(terminal)
                .map(index -> assembly.nodes().all().get(index).number());
    }

    private boolean isDirect(Rung rung) {
        return rung.items().stream()
                .filter(RungItem.Passage.class::isInstance)
                .map(RungItem.Passage.class::cast)
                .flatMap(passage -> assembly.part(passage.tag()).stream().flatMap(part -> part.loads().stream()))
                .anyMatch(load -> load.rated().kind() == CurrentKind.DC);
    }

    /** The wire number of the rail that a rung ends on, of the last rail if it ends on none. */
    private Optional<String> returnOf(Rung rung) {
        List<Rail> rails = assembly.sheet().rails();
        List<RungItem> items = rung.items();
        if (!items.isEmpty() && items.get(items.size() - 1) instanceof RungItem.Point point) {
            Optional<Rail> ends = rails.stream()
                    .filter(rail -> rail.name().equals(point.name()))
                    .findFirst();
            if (ends.isPresent()) {
                return ends.map(Rail::number);
            }
        }
        return rails.isEmpty()
                ? Optional.empty()
                : Optional.of(rails.get(rails.size() - 1).number());
    }

    private void clamp(Situation situation) {
        if (situation.phase() != Phase.MOTOR) {
            return;
        }
        for (Part part : assembly.parts()) {
            boolean turns = part.machine().isPresent()
                    && sound.rest(situation).moment().condition(part.tag()).isActive();
            if (turns) {
                part.terminals().stream()
                        .filter(marking -> !marking.equals("PE") && isWired(part, marking))
                        .forEach(marking -> add(situation, new Observation.Amperes(new Terminal(part.tag(), marking))));
            }
        }
    }

    /** A sound panel as it must be while a step is read. */
    public static Moment moment(Assembly assembly, TestStep step) {
        return new Rehearsal(assembly, List.of()).rest(step.situation()).moment();
    }

    /** What each of the steps finds on a panel with faults, in their order. */
    public static List<Found> found(Assembly assembly, List<TestStep> steps, List<Fault> faults) {
        Rehearsal faulty = new Rehearsal(assembly, faults);
        List<Found> found = new ArrayList<>();
        steps.forEach(step -> found.add(step.observation().at(faulty.rest(step.situation()))));
        return found;
    }
}
