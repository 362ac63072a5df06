package parable.bench;

import java.util.List;
import parable.parts.TimeRange;

/** How long each change takes on a bench. */
@FunctionalInterface
public interface Pace {

    /** Every change takes its nominal time. */
    Pace NOMINAL = (tag, change, now, range) -> range.nominal();

    /** What takes time. */
    enum Change {
        /** The contacts that break. */
        BREAK,
        /** The contacts that make. */
        MAKE,
        /** A timer on its way to its next stage. */
        STAGE,
        /** A timer until it notices that its coil is dead. */
        NOTICE,
        /** A controller until its next scan, from when there is something new to read. */
        SCAN
    }

    /**
     * How long a change takes that begins now.
     *
     * @param tag the device
     * @param now when it begins, in microseconds
     * @param range the stated times
     * @return within the range, in microseconds; the same whenever it is asked for the same change at the same time
     */
    long time(String tag, Change change, long now, TimeRange range);

    /** The nominal times until a time in microseconds, and from then on those of another pace. */
    static Pace from(long begin, Pace pace) {
        return (tag, change, now, range) -> now < begin ? range.nominal() : pace.time(tag, change, now, range);
    }

    /** What an output of a controller is called where its times are asked for. */
    static String outputOf(String controller, int output) {
        return controller + ".Q" + output;
    }

    /**
     * A time of its own.
     *
     * @param tag the device
     * @param begun when the change begins, in microseconds
     * @param takes how long it takes, in microseconds
     */
    record Named(String tag, Change change, long begun, long takes) {

        /** It counts for a change that begins within so many microseconds of when it is said to. */
        private static final long NEAR = 4_000;

        private long off(long now) {
            return Math.abs(begun - now);
        }
    }

    /** The nominal times, except where one is named for a change that begins at that time, give or take a few milliseconds. */
    static Pace of(List<Named> named) {
        List<Named> kept = List.copyOf(named);
        return (tag, change, now, range) -> {
            long nearest = Named.NEAR;
            long takes = range.nominal();
            for (Named one : kept) {
                if (one.tag().equals(tag) && one.change() == change && one.off(now) < nearest) {
                    nearest = one.off(now);
                    takes = Math.max(range.shortest(), Math.min(range.longest(), one.takes()));
                }
            }
            return takes;
        };
    }
}
