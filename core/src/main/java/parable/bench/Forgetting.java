package parable.bench;

/** Keeps the past of a run within bounds: what is older than an hour is forgotten, and the oldest quarter of all as soon as it takes too much memory. */
final class Forgetting {

    /** In microseconds. */
    private static final long KEPT = 3_600_000_000L;

    /** What is older goes a minute's worth at a time, in microseconds. */
    private static final long SLACK = 60_000_000;

    /** About the most memory that the past may take. */
    private static final long MOST_BYTES = 120_000_000;

    private static final long BYTES_PER_SAMPLE = 64;
    private static final int EVERY_SO_MANY = 64;

    /** So many instants are kept, however large they are. */
    private static final int FEWEST = 256;

    private final History history;
    private final Trace trace;
    private final long bytesPerInstant;
    private int remembered;
    private boolean shortened;

    /** For a past and the trace of its motors, of a circuit of so many parts and nodes. */
    Forgetting(History history, Trace trace, int parts, int nodes) {
        this.history = history;
        this.trace = trace;
        bytesPerInstant = 1_000L + 150L * parts + 100L * nodes;
    }

    /** To be called after each instant that is kept, with its time. */
    void keptOneMore(long time) {
        if (time - history.earliest() > KEPT + SLACK) {
            cutBefore(time - KEPT);
        }
        if (++remembered % EVERY_SO_MANY == 0) {
            keepWithinMemory();
        }
    }

    private void keepWithinMemory() {
        long bytes = history.size() * bytesPerInstant + trace.size() * BYTES_PER_SAMPLE;
        if (bytes > MOST_BYTES && history.size() > FEWEST) {
            cutBefore(history.times().get(history.size() / 4));
            shortened = true;
        }
    }

    private void cutBefore(long time) {
        history.cutBefore(time);
        trace.cutBefore(time);
    }

    /** Whether anything of the last hour was forgotten. */
    boolean hasShortenedTheHour() {
        return shortened;
    }
}
