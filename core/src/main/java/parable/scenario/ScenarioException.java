package parable.scenario;

import parable.program.Excerpt;

/** A script that cannot be read or carried out. It carries the line, what was found and what was expected. */
public final class ScenarioException extends Exception {

    private static final long serialVersionUID = 1L;

    private final int line;

    ScenarioException(int line, String found, String expected) {
        this(line, "found '" + Excerpt.of(found) + "', expected " + Excerpt.expected(expected));
    }

    ScenarioException(int line, String reason) {
        super("line " + line + ": " + reason);
        this.line = line;
    }

    /** The line of the script, 1 for the first. */
    public int line() {
        return line;
    }
}
