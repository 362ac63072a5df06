package parable.training;

/**
 * A move that somebody can point at.
 *
 * @param group what it belongs to: {@code Measure}
 * @param words what is on its button
 * @param move as it is typed, with {@code {1}} and {@code {2}} for the places that are pointed at, and {@code {fault}} for what is chosen of the faults there
 */
public record MoveOffer(String group, String words, String move) {

    /** How many places must be pointed at, 0 to 2. */
    public int places() {
        return move.contains("{2}") ? 2 : move.contains("{1}") ? 1 : 0;
    }

    /** Whether a fault must be chosen. */
    public boolean asksForFault() {
        return move.contains("{fault}");
    }

    /** The move with the places and the fault in it. */
    public String at(String one, String other, String fault) {
        return move.replace("{1}", one).replace("{2}", other).replace("{fault}", fault);
    }
}
