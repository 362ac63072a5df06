package parable.circuit;

/**
 * A wire that somebody wants between two terminals of one wire number, whatever would be shortest.
 *
 * @param one an end of it
 * @param other the other end
 */
public record WireChoice(Terminal one, Terminal other) {

    /** Whether it is between two terminals, either way round. */
    public boolean isBetween(Terminal first, Terminal second) {
        return one.equals(first) && other.equals(second) || one.equals(second) && other.equals(first);
    }

    WireChoice relabelled(Relabelling names) {
        return new WireChoice(names.of(one), names.of(other));
    }

    /** As it is written in a job file: {@code S1:13 K1:13}. */
    @Override
    public String toString() {
        return one + " " + other;
    }
}
