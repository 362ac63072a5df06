package parable.bench;

/** Something that is under way and will happen by itself. */
sealed interface Pending {

    /** When it happens, in microseconds. */
    long time();

    /** The story line that set it going. */
    int cause();

    /**
     * A contact group arrives.
     *
     * @param group which group
     * @param closes true if it closes then
     */
    record Move(long time, int group, boolean closes, int cause) implements Pending {}

    /**
     * A new level has stood at an input of the controller for as long as its filter wants.
     *
     * @param input its number
     */
    record Read(long time, int input, int cause) implements Pending {}

    /** The controller scans. */
    record Scan(long time, int cause) implements Pending {}

    /**
     * The clockwork of a timer comes to its next stage.
     *
     * @param part the timer
     * @param stage the position of the stage in its list
     * @param released true if the list is that of the coil without voltage
     */
    record Stage(long time, int part, int stage, boolean released, int cause) implements Pending {}
}
