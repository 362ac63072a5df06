package parable.testsheet;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import parable.bench.Action;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/** What hands do to a panel while it is tested. */
public final class Situations {

    private final Assembly assembly;

    /** Those of a panel. */
    public Situations(Assembly assembly) {
        this.assembly = assembly;
    }

    /** Something done and taken back. */
    public record Deed(Action does, Action undoes) {}

    /** What hands can move beside breakers and selectors, each with what takes it back. */
    static Optional<Deed> deed(Part part) {
        Set<Verb> verbs = part.drive().verbs().keySet();
        if (verbs.contains(Verb.TRIP)) {
            return deed(part, Verb.TRIP, verbs.contains(Verb.RESET) ? Verb.RESET : Verb.CLOSE);
        }
        for (Verb verb : List.of(Verb.PRESS, Verb.HIT, Verb.ACTUATE)) {
            if (verbs.contains(verb)) {
                return deed(part, verb, Verb.RELEASE);
            }
        }
        return Optional.empty();
    }

    private static Optional<Deed> deed(Part part, Verb does, Verb undoes) {
        return Optional.of(new Deed(new Action(does, part.tag()), new Action(undoes, part.tag())));
    }

    private Stream<Deed> deeds() {
        return assembly.parts().stream().flatMap(part -> deed(part).stream());
    }

    /** A breaker's test button trips only what is closed. */
    private static List<Action> deadHands(Deed deed) {
        boolean closedFirst = deed.undoes().verb() == Verb.CLOSE;
        return closedFirst ? List.of(deed.undoes(), deed.does()) : List.of(deed.does());
    }

    /** What could start something: buttons with an open contact, and switches of the machine. */
    public List<Deed> starts() {
        return assembly.parts().stream()
                .filter(part -> part.family() == Family.PUSH_BUTTON || part.family() == Family.MACHINE_SWITCH)
                .filter(part -> part.contacts().stream().anyMatch(contact -> !contact.isNormallyClosed()))
                .flatMap(part -> deed(part).stream())
                .toList();
    }

    /** What could stop something: whatever has a contact that opens, and overload relays. */
    public List<Deed> stops() {
        return assembly.parts().stream()
                .filter(part -> part.contacts().stream().anyMatch(Contact::isNormallyClosed))
                .flatMap(part -> deed(part).stream())
                .toList();
    }

    /** All breakers and isolators closed. */
    public List<Action> closed() {
        return assembly.parts().stream()
                .filter(Situations::isToBeClosed)
                .map(part -> new Action(Verb.CLOSE, part.tag()))
                .toList();
    }

    /** A fuse is closed from the beginning. */
    private static boolean isToBeClosed(Part part) {
        return Optional.ofNullable(part.drive().verbs().get(Verb.CLOSE))
                .filter(position -> position != part.initial())
                .isPresent();
    }

    /** The supplies switched off, or on again. */
    List<Action> supplies(Verb verb) {
        return assembly.parts().stream()
                .filter(part ->
                        part.family() == Family.SUPPLY && part.drive().verbs().containsKey(verb))
                .map(part -> new Action(verb, part.tag()))
                .toList();
    }

    /** Ready to be started, with each selector in turn in each of its positions, none turned first. */
    public List<List<Action>> ready() {
        List<List<Action>> ready = new ArrayList<>(List.of(closed()));
        for (Part part : assembly.parts()) {
            if (part.drive() instanceof Drive.ByTurning turning) {
                turning.positions().stream()
                        .skip(1)
                        .forEach(position ->
                                ready.add(and(closed(), List.of(new Action(Verb.TURN, part.tag(), position)))));
            }
        }
        return ready;
    }

    static List<Action> and(List<Action> first, List<Action> then) {
        return Stream.concat(first.stream(), then.stream()).toList();
    }

    static List<Action> and(List<Action> first, Action... then) {
        return and(first, List.of(then));
    }

    /** Each thing that can be done by hand, done and held, with the contacts of the device that does it; for the dead test. */
    public List<Situation> dead() {
        Set<Situation> situations = new LinkedHashSet<>();
        deeds().forEach(deed -> situations.add(new Situation(Phase.DEAD, deadHands(deed))));
        for (Part part : assembly.parts()) {
            if (part.drive() instanceof Drive.ByCoil) {
                situations.add(new Situation(Phase.DEAD, List.of(new Action(Verb.PUSH, part.tag()))));
            }
            if (part.family() == Family.FUSE && part.drive().verbs().containsKey(Verb.OPEN)) {
                situations.add(new Situation(Phase.DEAD, List.of(new Action(Verb.OPEN, part.tag()))));
            }
            if (isToBeClosed(part)) {
                situations.add(new Situation(Phase.DEAD, List.of(new Action(Verb.CLOSE, part.tag()))));
            }
            if (part.drive() instanceof Drive.ByTurning turning) {
                turning.positions().stream()
                        .skip(1)
                        .forEach(position -> situations.add(
                                new Situation(Phase.DEAD, List.of(new Action(Verb.TURN, part.tag(), position)))));
            }
        }
        return List.copyOf(situations);
    }
}
