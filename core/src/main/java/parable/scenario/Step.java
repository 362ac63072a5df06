package parable.scenario;

import parable.bench.Action;
import parable.bench.Fault;

/** One line of a script, or one of several expectations on it. */
public sealed interface Step {

    /** The line of the script, 1 for the first. */
    int line();

    /** When, in microseconds from the start. */
    long time();

    /** Something is done. */
    record Do(int line, long time, Action action) implements Step {}

    /**
     * A fault is put in or taken out.
     *
     * @param there whether it is put in
     */
    record SetFault(int line, long time, Fault fault, boolean there) implements Step {}

    /** Something is expected. */
    record Expect(int line, long time, Expectation expectation) implements Step {}
}
