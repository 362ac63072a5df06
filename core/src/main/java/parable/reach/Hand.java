package parable.reach;

/**
 * Something that a hand does in a script.
 *
 * @param part whose, by its position among the sheet's parts
 * @param position where it goes; for a button 1 if it is pressed and 0 if it is let go
 * @param words how it is told
 */
public record Hand(int part, int position, String words) {

    /** The move in a state. */
    public CircuitMachine.Move move(CircuitMachine machine, long state) {
        return machine.component(part) instanceof Component.Button
                ? machine.toggle(state, part)
                : new CircuitMachine.Move(part, position, true);
    }
}
