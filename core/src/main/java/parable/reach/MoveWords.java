package parable.reach;

import java.util.Optional;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/** What moves, in words. */
final class MoveWords {

    private MoveWords() {}

    /** A move of a part in words. */
    static String of(CircuitMachine.Move move, Part part, Component component) {
        if (component instanceof Component.Armature) {
            return part.tag()
                    + switch (move.value()) {
                        case Component.Armature.STARTED -> "'s coil is fed";
                        case Component.Armature.RISING -> " begins to move";
                        case Component.Armature.IN -> " is in";
                        case Component.Armature.HANGING -> "'s coil has let go";
                        case Component.Armature.FALLING -> " begins to drop out";
                        default -> " is out";
                    };
        }
        if (component instanceof Component.TwoPlace) {
            return part.tag() + (move.value() == 1 ? " pulls in" : " drops out");
        }
        if (component instanceof Component.Button) {
            return part.tag() + (move.byHand() ? " is pressed or let go" : "'s blocks move");
        }
        if (component instanceof Component.Clockwork) {
            return part.tag() + "'s clockwork goes on";
        }
        if (component instanceof Component.Memory) {
            return part.tag() + "'s program is scanned";
        }
        if (component instanceof Component.Output) {
            return part.tag() + (move.value() == 1 ? " closes" : " opens");
        }
        if (component instanceof Component.ProgramTimer) {
            return "the program's timer " + part.tag() + " has run its time";
        }
        String of = part.family() == Family.OVERLOAD_RELAY
                        && move.value() == part.drive().verbs().get(Verb.PRESS)
                ? part.tag() + "'s stop button"
                : part.tag();
        return verb(part, move.value()).map(verb -> of + " is " + verb).orElse(part.tag() + " changes over");
    }

    private static Optional<String> verb(Part part, int position) {
        if (part.drive() instanceof Drive.ByTurning turning) {
            return Optional.of("turned to " + turning.positions().get(position));
        }
        return part.drive().verbs().entrySet().stream()
                .filter(verb -> verb.getValue() == position)
                .map(verb -> verb.getKey().done())
                .sorted()
                .findFirst();
    }
}
