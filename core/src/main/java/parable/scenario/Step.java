package parable.scenario;

import parable.bench.Action;

/** One line of a script, or one of several expectations on it. */
public sealed interface Step {

    /** The line of the script, 1 for the first. */
    int line();

    /** When, in microseconds from the start. */
    long time();

    /** Something is done. */
    record Do(int line, long time, Action action) implements Step {}

    /** Something is expected. */
    record Expect(int line, long time, Expectation expectation) implements Step {}
}
