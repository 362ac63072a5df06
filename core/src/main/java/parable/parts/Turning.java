package parable.parts;

/** What the voltages on a motor's windings do to it. */
public enum Turning {
    /** Nothing to speak of. */
    NONE,
    FORWARD,
    REVERSE,
    /** It is fed, but not so that it would start by itself: a phase is missing. */
    HUMMING,
    /** Direct current holds it back. */
    BRAKED
}
