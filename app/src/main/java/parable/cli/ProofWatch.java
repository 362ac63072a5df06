package parable.cli;

import java.io.PrintWriter;
import java.util.Locale;
import parable.bench.Progress;

/** Tells on the way how far a proof is, once a second, and ends it when its time is over. */
final class ProofWatch implements Progress {

    private static final long SECOND = 1_000_000_000;

    private final String sheet;
    private final PrintWriter out;
    private final long begin = System.nanoTime();
    private final long end;
    private long told = begin;
    private boolean over;

    /**
     * A watch that begins now.
     *
     * @param sheet the sheet that is proved
     * @param seconds after which the proof ends
     * @param out where it is told
     */
    ProofWatch(String sheet, double seconds, PrintWriter out) {
        this.sheet = sheet;
        this.out = out;
        end = begin + (long) (seconds * SECOND);
    }

    @Override
    public synchronized boolean isCancelled(int done) {
        long now = System.nanoTime();
        over |= now > end;
        if (now - told > SECOND) {
            told = now;
            out.println(String.format(
                    Locale.ROOT, "%s: %s%d s", sheet, done > 0 ? done + " explored, " : "", (now - begin) / SECOND));
            out.flush();
        }
        return over;
    }

    /** Whether twice its time is over: what was still to be done after its end is to end too. */
    boolean isTwiceOver() {
        return System.nanoTime() - end > end - begin;
    }

    /** Whether it has ended a proof. */
    synchronized boolean isOver() {
        return over;
    }

    long millis() {
        return (System.nanoTime() - begin) / 1_000_000;
    }
}
