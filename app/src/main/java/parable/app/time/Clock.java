package parable.app.time;

/** Bench time in words. */
public final class Clock {

    private Clock() {}

    /** A time given in microseconds: {@code 5 ms}, {@code 5.2 ms}, {@code 1.113 s}, {@code 2:03.500}. */
    public static String words(long micros) {
        if (micros < 1_000_000) {
            return micros % 1000 < 100 ? micros / 1000 + " ms" : micros / 1000 + "." + micros % 1000 / 100 + " ms";
        }
        if (micros < 60_000_000) {
            long millis = (micros + 500) / 1000;
            return millis / 1000 + "." + digits(millis % 1000, 3) + " s";
        }
        long millis = (micros % 60_000_000 + 500) / 1000;
        return micros / 60_000_000 + ":" + digits(millis / 1000, 2) + "." + digits(millis % 1000, 3);
    }

    private static String digits(long number, int count) {
        String digits = Long.toString(number);
        return "0".repeat(Math.max(0, count - digits.length())) + digits;
    }
}
