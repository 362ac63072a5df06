package parable.bench;

/**
 * How warm an overload release is.
 *
 * @param time in microseconds from the start
 * @param heat its heat, 1 for good at the setting
 * @param amperes the current that it feels, in A
 */
record Warmth(long time, double heat, double amperes) {}
