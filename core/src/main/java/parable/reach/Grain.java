package parable.reach;

import java.util.List;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/** How finely the positions of what moves are told apart. */
enum Grain {
    /** Every place that a time is stated for. */
    TIMED,
    /** As {@link #TIMED}, but delays behind a controller's outputs that nobody could tell apart are one. */
    ANY_SPEED,
    /** Contactors, relays and buttons are at rest or over, and all their contacts move as one. What can happen like this can happen; not the other way round. */
    PLAIN;

    private static final List<Integer> AT_REST_OR_OVER = List.of(0, 1);

    /** How a part moves. Of an overload relay only that it is healthy or tripped is left in plain positions, its stop button is not. */
    Component of(Part part, int initial) {
        if (this == PLAIN) {
            if (part.drive() instanceof Drive.ByCoil) {
                return new Component.TwoPlace();
            }
            if (part.family() == Family.PUSH_BUTTON || part.family() == Family.OVERLOAD_RELAY) {
                return new Component.Hand(AT_REST_OR_OVER, initial);
            }
        }
        return Component.of(part, initial);
    }
}
