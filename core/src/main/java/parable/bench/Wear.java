package parable.bench;

import parable.parts.Part;
import parable.parts.Protection;

/**
 * How far a fuse or a breaker has come on its way to open under the current of the motors behind it: of the time that it carries a current the part that is used
 * up, which cools off again.
 */
final class Wear {

    /** At which it opens. */
    private static final double OPENS = 1;

    /** In s. */
    private static final double COOLS = 120;

    private Wear() {}

    /** Whether a part wears: a fuse, or a breaker without a setting of its own. */
    static boolean has(Part part) {
        return part.protection().flatMap(Protection::curve).isPresent();
    }

    /**
     * The wear after a while at a steady current.
     *
     * @param amperes the current in A
     * @param seconds how long
     */
    static double after(Part part, double wear, double amperes, double seconds) {
        double carries = part.protection().orElseThrow().secondsAt(amperes);
        return Double.isInfinite(carries) ? wear * Math.exp(-seconds / COOLS) : wear + seconds / carries;
    }

    /** How long it takes until it opens at a steady current, in s; infinite if it does not. */
    static double secondsToOpen(Part part, double wear, double amperes) {
        return Math.max(0, OPENS - wear) * part.protection().orElseThrow().secondsAt(amperes);
    }
}
