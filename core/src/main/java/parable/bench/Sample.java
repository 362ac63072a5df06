package parable.bench;

/**
 * What a motor does at one time.
 *
 * @param time in microseconds from the start
 * @param speed in per unit of synchronous speed, negative backward
 * @param lineAmperes the current in the line that feeds it, in A
 */
public record Sample(long time, double speed, double lineAmperes) {}
