package parable.app.time;

import java.util.Locale;

/** Bench time in words. */
public final class Clock {

    private Clock() {}

    /** A time given in microseconds, to the tenth of a millisecond where it is not whole: {@code 1.113 s}, {@code 5 ms}. */
    public static String words(long micros) {
        if (micros < 1_000_000) {
            return micros % 1000 == 0 ? micros / 1000 + " ms" : String.format(Locale.ROOT, "%.1f ms", micros / 1000.0);
        }
        if (micros < 60_000_000) {
            return String.format(Locale.ROOT, "%.3f s", micros / 1e6);
        }
        return String.format(Locale.ROOT, "%d:%06.3f", micros / 60_000_000, micros % 60_000_000 / 1e6);
    }
}
