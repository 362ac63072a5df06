package parable.check;

import java.util.List;
import java.util.Optional;
import parable.bench.Action;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/** What a hand does to a device that may start or stop a motor. */
final class Operating {

    private Operating() {}

    /** What could start a motor: a button, a knob that springs back, or a machine switch that is actuated. */
    static Optional<Action> start(Part part) {
        boolean opens = part.contacts().stream().anyMatch(contact -> !contact.isNormallyClosed());
        if (part.family() == Family.PUSH_BUTTON && opens) {
            return Optional.of(new Action(Verb.PRESS, part.tag()));
        }
        if (part.drive() instanceof Drive.ByTurning turning
                && !turning.springs().isEmpty()) {
            return turning.arranged().stream()
                    .filter(turning.springs()::containsKey)
                    .findFirst()
                    .map(position -> new Action(Verb.TURN, part.tag(), position));
        }
        return part.family() == Family.MACHINE_SWITCH
                        && opens
                        && part.drive().verbs().containsKey(Verb.ACTUATE)
                ? Optional.of(new Action(Verb.ACTUATE, part.tag()))
                : Optional.empty();
    }

    /** Every position that a hand could try of something turned; of anything else what could start a motor. */
    static List<Action> others(Part part) {
        return part.drive() instanceof Drive.ByTurning turning
                ? turning.arranged().stream()
                        .map(position -> new Action(Verb.TURN, part.tag(), position))
                        .toList()
                : start(part).stream().toList();
    }

    /** What should stop motors: an E-stop, an overload release, a button that only opens. */
    static Optional<Action> stop(Part part) {
        boolean onlyOpens = part.contacts().stream().allMatch(contact -> contact.isNormallyClosed());
        return switch (part.family()) {
            case EMERGENCY_STOP -> Optional.of(new Action(Verb.HIT, part.tag()));
            case OVERLOAD_RELAY -> Optional.of(new Action(resetsItself(part) ? Verb.PRESS : Verb.TRIP, part.tag()));
            case PUSH_BUTTON -> onlyOpens ? Optional.of(new Action(Verb.PRESS, part.tag())) : Optional.empty();
            default -> Optional.empty();
        };
    }

    /** Such a relay is reset as soon as it is tripped while it is cold; its stop button opens the same contact. */
    private static boolean resetsItself(Part part) {
        return part.heater().filter(heater -> heater.automaticReset()).isPresent();
    }
}
