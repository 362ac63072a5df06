package parable.app.time;

import java.util.Locale;

/** Bench time in words. */
public final class Clock {

    private Clock() {}

    /** A time given in microseconds: {@code 5 ms}, {@code 5.2 ms}, {@code 1.113 s}, {@code 2:03.500}. */
    public static String words(long micros) {
        if (micros < 1_000_000) {
            return micros % 1000 < 100
                    ? micros / 1000 + " ms"
                    : String.format(Locale.ROOT, "%d.%d ms", micros / 1000, micros % 1000 / 100);
        }
        if (micros < 60_000_000) {
            return String.format(Locale.ROOT, "%.3f s", micros / 1e6);
        }
        return String.format(Locale.ROOT, "%d:%06.3f", micros / 60_000_000, micros % 60_000_000 / 1e6);
    }
}
