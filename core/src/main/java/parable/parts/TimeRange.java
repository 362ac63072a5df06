package parable.parts;

/**
 * How long something takes, in microseconds. The bench uses the nominal time, the proof every time in the range.
 *
 * @param shortest not negative
 * @param nominal from shortest to longest
 * @param longest not below shortest
 */
public record TimeRange(long shortest, long nominal, long longest) {

    /** No time at all. */
    public static final TimeRange AT_ONCE = new TimeRange(0, 0, 0);

    public TimeRange {
        if (shortest < 0 || nominal < shortest || longest < nominal) {
            throw new IllegalArgumentException("a time range needs 0 <= shortest <= nominal <= longest, found "
                    + shortest + ", " + nominal + ", " + longest + " us");
        }
    }

    /** A range given in whole milliseconds. */
    static TimeRange millis(long shortest, long nominal, long longest) {
        return new TimeRange(shortest * 1000, nominal * 1000, longest * 1000);
    }

    /** This range so many times as long. */
    TimeRange times(int times) {
        return new TimeRange(shortest * times, nominal * times, longest * times);
    }
}
