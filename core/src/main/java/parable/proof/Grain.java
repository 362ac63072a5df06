package parable.proof;

import java.util.List;
import java.util.stream.IntStream;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/** How finely the positions of what moves are told apart. */
enum Grain {
    /** Every place that a time is stated for. */
    TIMED,
    /** As {@link #TIMED}, but delays behind a controller's outputs that nobody could tell apart are one. */
    ANY_SPEED,
    /** Contactors, relays and buttons are at rest or over, and all their contacts move as one. What can happen like this can happen; not the other way round. */
    PLAIN;

    /** How a part moves. */
    Component of(Part part, int initial) {
        if (this == PLAIN) {
            if (part.drive() instanceof Drive.ByCoil) {
                return new Component.TwoPlace();
            }
            if (part.family() == Family.PUSH_BUTTON) {
                return new Component.Hand(List.of(0, 1), initial);
            }
            if (part.family() == Family.OVERLOAD_RELAY) {
                int stop = part.drive().verbs().getOrDefault(Verb.PRESS, -1);
                return new Component.Hand(
                        IntStream.rangeClosed(0, 1)
                                .filter(position -> position != stop)
                                .boxed()
                                .toList(),
                        initial);
            }
        }
        return Component.of(part, initial);
    }
}
