package parable.starters;

/** Which way it can turn. */
public enum Directions implements Choice {
    ONE("One direction", "One contactor."),
    STOP_FIRST("Two directions, stop first", "The other direction is refused until it has been stopped."),
    BUTTON_INTERLOCK(
            "Two directions, direct change",
            "Each button also opens the other direction; pressing it while the motor turns plugs the motor, which is hard on motor and machine."),
    SELECTOR(
            "Two directions by a selector",
            "A selector sets the direction, start and stop do the rest; turning it while the motor runs stops it.");

    private final String words;
    private final String why;

    Directions(String words, String why) {
        this.words = words;
        this.why = why;
    }

    @Override
    public String words() {
        return words;
    }

    @Override
    public String why() {
        return why;
    }
}
