package parable.finding;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.bench.Action;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.circuit.Node;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Verb;
import parable.testsheet.Found;
import parable.testsheet.Glimpse;
import parable.testsheet.Observation;
import parable.testsheet.Phase;
import parable.testsheet.Situation;
import parable.testsheet.Situations;
import parable.testsheet.StepRehearsal;
import parable.testsheet.WiresAt;
import parable.wiring.PanelLayout;

/** Every look that is offered at a panel: each situation in which it can be brought, with what can be seen, measured and felt there. */
final class LookCatalogue {

    private static final Set<Family> ACTING = Set.of(
            Family.CONTACTOR,
            Family.CONTROL_RELAY,
            Family.TIMER,
            Family.PILOT_LAMP,
            Family.HORN,
            Family.SOLENOID,
            Family.MOTOR,
            Family.OVERLOAD_RELAY,
            Family.BREAKER,
            Family.FUSE,
            Family.CONTROLLER);

    private final Assembly assembly;
    private final Situations situations;
    private final LivePoints probes;
    private final StepRehearsal sound;
    private final Map<Situation, Set<Observation>> bySituation = new LinkedHashMap<>();

    LookCatalogue(Assembly assembly) {
        this.assembly = assembly;
        situations = new Situations(assembly);
        probes = new LivePoints(assembly);
        sound = new StepRehearsal(assembly, List.of());
    }

    /** All looks at a panel, those of one situation one behind the other. */
    List<PanelLook> all() {
        operated();
        dead();
        List<PanelLook> all = bySituation.entrySet().stream()
                .flatMap(entry -> looks(entry.getKey(), entry.getValue()))
                .toList();
        bySituation.clear();
        return all;
    }

    /** The looks in a situation that is not among those. */
    List<PanelLook> in(Situation situation) {
        bySituation.clear();
        if (situation.phase() == Phase.DEAD) {
            assembly.parts().forEach(part -> contacts(situation, part));
        } else {
            look(situation);
        }
        if (situation.phase() != Phase.DEAD && !situation.leftRunning()) {
            probe(situation);
        }
        return bySituation.entrySet().stream()
                .flatMap(entry -> looks(entry.getKey(), entry.getValue()))
                .toList();
    }

    /** Of these situations those in which a motor of a sound panel runs by itself, left to itself; of those that look alike the first. */
    List<Situation> leftRunning(Collection<Situation> ways) {
        Map<String, Situation> bySight = new LinkedHashMap<>();
        ways.stream()
                .filter(way -> way.phase() == Phase.MOTOR && !isHeld(way))
                .filter(way -> runs(sound.rest(way).moment()))
                .forEach(way -> bySight.putIfAbsent(sight(way), way.leftToItself()));
        return List.copyOf(bySight.values());
    }

    private static boolean isHeld(Situation situation) {
        List<Action> hands = situation.hands();
        return !hands.isEmpty() && hands.get(hands.size() - 1).verb() == Verb.PRESS;
    }

    private boolean runs(Moment moment) {
        return assembly.parts().stream()
                .map(part -> moment.condition(part.tag()))
                .anyMatch(condition -> condition == Condition.FORWARD || condition == Condition.REVERSE);
    }

    /** What a look finds on a sound panel. */
    Found sound(PanelLook look) {
        return look.observation().at(sound.rest(look.situation()));
    }

    private static Stream<PanelLook> looks(Situation situation, Set<Observation> observations) {
        return observations.stream().map(observation -> new PanelLook(situation, observation));
    }

    /** What the acting devices of a panel do, all of them. */
    static Observation glance(Assembly assembly) {
        return new Glimpse(Stream.concat(
                        assembly.parts().stream()
                                .filter(part -> ACTING.contains(part.family()) || isLamp(part))
                                .map(Part::tag),
                        Stream.of(Glimpse.PROTECTION))
                .toList());
    }

    private static boolean isLamp(Part part) {
        return part.loads().stream().anyMatch(load -> load.role() == LoadRole.LAMP);
    }

    private void add(Situation situation, Observation observation) {
        bySituation.computeIfAbsent(situation, any -> new LinkedHashSet<>()).add(observation);
    }

    private void look(Situation situation) {
        add(situation, glance(assembly));
    }

    private void probe(Situation situation) {
        probes.live(sound.rest(situation).moment()).forEach(observation -> add(situation, observation));
    }

    private String sight(Situation situation) {
        return glance(assembly).at(sound.rest(situation)).text();
    }

    private void operated() {
        Set<String> known = new LinkedHashSet<>();
        for (List<Action> hands : situations.ready()) {
            Situation ready = new Situation(Phase.MOTOR, hands);
            look(ready);
            probe(ready);
            for (Situations.Deed start : situations.starts()) {
                start(ready, start, known);
            }
            for (Situations.Deed stop : situations.stops()) {
                look(with(ready, stop.does()));
            }
        }
    }

    private void start(Situation ready, Situations.Deed start, Set<String> known) {
        Situation held = with(ready, start.does());
        Situation running = with(held, start.undoes());
        look(held);
        look(running);
        if (sight(held).equals(sight(ready))) {
            return;
        }
        if (known.add(sight(held))) {
            probe(held);
        }
        boolean stays = !sight(running).equals(sight(ready));
        if (stays && known.add(sight(running) + " by itself")) {
            probe(running);
            for (Situations.Deed stop : situations.stops()) {
                look(with(running, stop.does()));
                look(with(running, stop.does(), stop.undoes()));
            }
            for (Situations.Deed other : situations.starts()) {
                if (!other.equals(start)) {
                    look(with(running, other.does()));
                    look(with(running, other.does(), other.undoes()));
                }
            }
        }
    }

    private static Situation with(Situation before, Action... then) {
        return new Situation(
                before.phase(),
                Stream.concat(before.hands().stream(), Stream.of(then)).toList());
    }

    private void dead() {
        Situation rest = new Situation(Phase.DEAD, List.of());
        for (Part part : assembly.parts()) {
            part.heater().ifPresent(heater -> add(rest, new Observation.Dial(part.tag())));
            if (part.terminals().stream().anyMatch(marking -> assembly.isWired(part, marking))) {
                add(rest, new Observation.Wires(part.tag()));
            }
            contacts(rest, part);
            between(rest, part.contacts().stream().filter(Contact::pole).toList(), part);
            for (Load load : part.loads()) {
                ohms(rest, part, load.from(), load.to());
            }
            if (part.drive() instanceof Drive.Interlocking pair) {
                both(pair.one(), pair.other());
            }
        }
        wiresByPlace(rest);
        earth().ifPresent(earth -> assembly.nodes().all().stream()
                .filter(node -> !node.equals(earth) && !node.terminals().isEmpty())
                .forEach(node -> add(rest, new Observation.Ohms(node.number(), earth.number()))));
        closedByHand();
        for (Situation done : situations.dead()) {
            Part part = assembly.part(done.hands().get(0).tag()).orElseThrow();
            contacts(done, part);
            fromConverters(done, part);
        }
    }

    /** One reading through a whole line judges all that lies in it; read again further on, it halves what is left. */
    private void closedByHand() {
        ClosedByHand lines = new ClosedByHand(assembly, sound);
        for (Situation closed : lines.situations()) {
            lines.pairs().forEach(pair -> add(closed, pair));
            for (Part part : assembly.parts()) {
                between(closed, part.contacts().stream().filter(Contact::pole).toList(), part);
            }
            earth().ifPresent(earth ->
                    lines.lines().forEach(line -> add(closed, new Observation.Ohms(line, earth.number()))));
        }
    }

    private void wiresByPlace(Situation situation) {
        wired(assembly).forEach((place, tags) -> add(situation, new WiresAt(place, tags)));
    }

    /** The tags of the devices that have wires on them, by their place. */
    static Map<String, List<String>> wired(Assembly assembly) {
        return assembly.parts().stream()
                .filter(part -> part.terminals().stream().anyMatch(marking -> assembly.isWired(part, marking)))
                .collect(Collectors.groupingBy(
                        PanelLayout::placeOf, LinkedHashMap::new, Collectors.mapping(Part::tag, Collectors.toList())));
    }

    /** With the one armature pushed in the other must not go in. */
    private void both(String one, String other) {
        List<Action> hands = List.of(new Action(Verb.PUSH, one), new Action(Verb.PUSH, other));
        add(new Situation(Phase.DEAD, hands), new Glimpse(List.of(one, other)));
    }

    private Optional<Node> earth() {
        return assembly.nodes().all().stream()
                .filter(node -> node.terminals().stream()
                        .anyMatch(terminal -> terminal.marking().equals("PE")))
                .findFirst();
    }

    /** One probe stays on what a converter gives, the other goes along the poles behind it: half of a long way at a time. */
    private void fromConverters(Situation situation, Part part) {
        List<Contact> poles = part.contacts().stream().filter(Contact::pole).toList();
        for (Part converter : assembly.parts()) {
            if (converter.family() == Family.CONVERTER) {
                converter.sources().stream()
                        .flatMap(source -> Stream.of(source.live(), source.reference()))
                        .distinct()
                        .filter(marking -> assembly.isWired(converter, marking))
                        .map(marking -> new Terminal(converter.tag(), marking).toString())
                        .forEach(from -> poles.stream()
                                .flatMap(pole -> Stream.of(pole.from(), pole.to()))
                                .filter(marking -> assembly.isWired(part, marking))
                                .forEach(marking ->
                                        add(situation, new Observation.Ohms(from, part.tag() + ":" + marking))));
            }
        }
    }

    /** From line to line on both sides of what switches a motor. */
    private void between(Situation situation, List<Contact> poles, Part part) {
        for (int one = 0; one < poles.size(); one++) {
            for (int other = one + 1; other < poles.size(); other++) {
                ohms(situation, part, poles.get(one).to(), poles.get(other).to());
                ohms(situation, part, poles.get(one).from(), poles.get(other).from());
            }
        }
    }

    private void contacts(Situation situation, Part part) {
        for (Contact contact : part.contacts()) {
            ohms(situation, part, contact.from(), contact.to());
        }
    }

    private void ohms(Situation situation, Part part, String from, String to) {
        if (assembly.isWired(part, from) && assembly.isWired(part, to)) {
            add(situation, new Observation.Ohms(part.tag() + ":" + from, part.tag() + ":" + to));
        }
    }
}
