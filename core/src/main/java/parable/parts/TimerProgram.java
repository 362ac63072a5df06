package parable.parts;

import java.util.List;

/**
 * What a timer does after its coil got or lost its voltage: positions it goes to, each a while after the one before.
 *
 * @param fed the stages after the coil got its voltage
 * @param repeats whether they begin again after the last
 * @param released the stages after the coil lost it; they begin after the time the timer takes to notice
 */
public record TimerProgram(List<Stage> fed, boolean repeats, List<Stage> released) {

    /** A timer notices that its coil is dead after 20 to 60 ms, and not at all before that. */
    private static final TimeRange RESET = TimeRange.millis(20, 40, 60);

    /**
     * A position of a timer.
     *
     * @param position where it goes
     * @param after how long after the stage before, or after the coil's change for the first
     */
    public record Stage(int position, TimeRange after) {}

    /** Not modified: the lists are copied. */
    public TimerProgram {
        fed = List.copyOf(fed);
        released = List.copyOf(released);
    }

    /** Changes over a while after the coil got its voltage. */
    static TimerProgram onDelay(TimeRange setting) {
        return new TimerProgram(List.of(new Stage(1, setting)), false, List.of(new Stage(0, RESET)));
    }

    /** Changes over at once and goes back a while after the coil lost its voltage. */
    static TimerProgram offDelay(TimeRange setting) {
        return new TimerProgram(List.of(new Stage(1, TimeRange.AT_ONCE)), false, List.of(new Stage(0, setting)));
    }

    /** Changes over at once, for a while. */
    static TimerProgram interval(TimeRange setting) {
        return new TimerProgram(
                List.of(new Stage(1, TimeRange.AT_ONCE), new Stage(0, setting)), false, List.of(new Stage(0, RESET)));
    }

    /** Changes over and back again and again, beginning with on. */
    static TimerProgram flasher(TimeRange setting) {
        return new TimerProgram(
                List.of(new Stage(1, TimeRange.AT_ONCE), new Stage(0, setting), new Stage(0, setting)),
                true,
                List.of(new Stage(0, RESET)));
    }

    /** Position 1 for star at once, 2 for neither after the setting, 3 for delta after the dead time. */
    static TimerProgram starDelta(TimeRange setting, TimeRange deadTime) {
        return new TimerProgram(
                List.of(new Stage(1, TimeRange.AT_ONCE), new Stage(2, setting), new Stage(3, deadTime)),
                false,
                List.of(new Stage(0, RESET)));
    }
}
