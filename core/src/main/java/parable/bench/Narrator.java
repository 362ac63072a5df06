package parable.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/** Puts what happens into sentences that could be read aloud. */
final class Narrator {

    private final Rig rig;

    Narrator(Rig rig) {
        this.rig = rig;
    }

    /** What somebody did: {@code S1 (Start) pressed.} */
    String done(Action action, Part part) {
        String label =
                part.device().label().isEmpty() ? "" : " (" + part.device().label() + ")";
        String byHand = action.verb() == Verb.CLOSE || action.verb() == Verb.OPEN ? " by hand" : "";
        String to = action.position().isEmpty() ? "" : " to " + action.position();
        String ofTorque = action.verb() == Verb.LOAD ? " % of its rated torque" : "";
        return part.tag() + label + " " + action.verb().done() + byHand + to + ofTorque + ".";
    }

    /** What a thermal release did: {@code F2 (Overload) has become too hot and trips.} */
    String heated(int index, int position) {
        Part part = rig.parts.get(index);
        boolean trips =
                part.heater().isEmpty() || position == part.heater().get().tripPosition();
        String label =
                part.device().label().isEmpty() ? "" : " (" + part.device().label() + ")";
        if (part.heater().isEmpty()) {
            return part.tag() + label + " has carried too much current for too long, and opens.";
        }
        return part.tag() + label + (trips ? " has become too hot and trips." : " has cooled down and resets itself.");
    }

    /** What moved and what that led to; empty if nobody would notice anything. */
    Optional<String> told(List<Pending.Move> moved, Reaction reaction, RunState state) {
        List<String> movements = movements(moved, state);
        List<String> consequences = new ArrayList<>(reaction.words());
        if (movements.isEmpty()) {
            return consequences.isEmpty() ? Optional.empty() : Optional.of(capital(list(consequences)) + ".");
        }
        if (consequences.isEmpty() && moved.stream().anyMatch(move -> !move.closes())) {
            consequences.addAll(holdingThemselves(moved, state));
            return Optional.of(list(movements) + (consequences.isEmpty() ? "." : "; " + list(consequences) + "."));
        }
        return Optional.of(list(movements) + (consequences.isEmpty() ? "." : ", so " + list(consequences) + "."));
    }

    private List<String> movements(List<Pending.Move> moved, RunState state) {
        Map<Integer, List<Pending.Move>> byPart = new LinkedHashMap<>();
        for (Pending.Move move : moved) {
            byPart.computeIfAbsent(rig.groups.get(move.group()).part(), any -> new ArrayList<>())
                    .add(move);
        }
        List<String> movements = new ArrayList<>();
        byPart.forEach(
                (part, moves) -> movements.addAll(movements(rig.parts.get(part), moves, state.openedItself.get(part))));
        return movements;
    }

    private List<String> movements(Part part, List<Pending.Move> moves, boolean byItself) {
        return switch (part.family()) {
            case CONTACTOR, CONTROL_RELAY -> moves.stream()
                    .map(move -> armature(part, move))
                    .toList();
            case BREAKER, ISOLATOR, FUSE -> moves.stream()
                    .filter(move -> rig.groups.get(move.group()).isArrival())
                    .map(move -> opensOrCloses(part, move, byItself))
                    .toList();
            case SUPPLY -> moves.stream()
                    .map(move -> part.tag() + (move.closes() ? " gives voltage again" : " gives no voltage"))
                    .toList();
            case TIMER,
                    OVERLOAD_RELAY,
                    PUSH_BUTTON,
                    SELECTOR,
                    DRUM_SWITCH,
                    EMERGENCY_STOP,
                    MACHINE_SWITCH,
                    PILOT_LAMP,
                    HORN,
                    SOLENOID,
                    RESISTOR,
                    INTERLOCK,
                    CONVERTER,
                    CONTROLLER,
                    METALWORK,
                    MOTOR -> Stream.of(false, true)
                    .map(closes -> moves.stream()
                            .filter(move -> move.closes() == closes)
                            .filter(move ->
                                    !rig.groups.get(move.group()).contacts().isEmpty())
                            .toList())
                    .filter(alike -> !alike.isEmpty())
                    .map(alike -> part.tag() + " " + contacts(part, alike))
                    .toList();
        };
    }

    private String armature(Part part, Pending.Move move) {
        boolean arrival = rig.groups.get(move.group()).isArrival();
        if (arrival) {
            return part.tag() + (move.closes() ? " pulls in: " : " drops out: ") + contacts(part, move);
        }
        return part.tag() + (move.closes() ? " is back at rest: " : " begins to move: ") + contacts(part, move);
    }

    private String opensOrCloses(Part part, Pending.Move move, boolean byItself) {
        if (move.closes()) {
            return part.tag() + " closes";
        }
        String trips = part.family() == Family.FUSE ? " blows" : " trips";
        return part.tag() + (byItself ? trips : " opens");
    }

    private String contacts(Part part, Pending.Move move) {
        return contacts(part, List.of(move));
    }

    /** The contacts of movements that go the same way: {@code 13-14 and the poles close}. */
    private String contacts(Part part, List<Pending.Move> alike) {
        List<Contact> moving = alike.stream()
                .flatMap(move -> rig.groups.get(move.group()).contacts().stream())
                .map(part.contacts()::get)
                .toList();
        boolean allPoles = moving.containsAll(
                part.contacts().stream().filter(Contact::pole).toList());
        List<String> names = new ArrayList<>();
        moving.stream()
                .filter(contact -> !contact.pole() || !allPoles)
                .map(Contact::marking)
                .forEach(names::add);
        boolean poles = allPoles && moving.stream().anyMatch(Contact::pole);
        if (poles) {
            names.add("the poles");
        }
        boolean many = poles || names.size() > 1;
        return list(names) + (alike.get(0).closes() ? (many ? " close" : " closes") : (many ? " open" : " opens"));
    }

    /** After a start button is let go: which contactors now hold themselves in. */
    private List<String> holdingThemselves(List<Pending.Move> moved, RunState state) {
        boolean button = moved.stream()
                .anyMatch(move ->
                        rig.parts.get(rig.groups.get(move.group()).part()).drive() instanceof Drive.ByHand);
        List<String> words = new ArrayList<>();
        for (int p = 0; button && p < rig.parts.size(); p++) {
            if (rig.coil(p).isPresent() && state.energised.get(p)) {
                List<String> holding = holding(p, state);
                if (!holding.isEmpty()) {
                    words.add(rig.parts.get(p).tag() + " holds itself in through its own " + list(holding));
                }
            }
        }
        return words;
    }

    /** The auxiliary contacts of a device without which its coil would let go. */
    private List<String> holding(int part, RunState state) {
        Drive.ByCoil coil = rig.coil(part).orElseThrow();
        List<Contact> contacts = rig.parts.get(part).contacts();
        return IntStream.range(0, contacts.size())
                .filter(c -> !contacts.get(c).pole())
                .filter(c -> rig.shareOfRated(part, coil.load(), rig.solveWithout(part, c, state)) < coil.dropOut())
                .mapToObj(c -> contacts.get(c).marking())
                .toList();
    }

    private static String list(List<String> words) {
        if (words.size() < 2) {
            return String.join("", words);
        }
        int last = words.size() - 1;
        return String.join(", ", words.subList(0, last)) + " and " + words.get(last);
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
