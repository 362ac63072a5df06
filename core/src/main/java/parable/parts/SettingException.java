package parable.parts;

import parable.program.Excerpt;

/** A setting of a device that says nothing sensible. */
public final class SettingException extends Exception {

    private static final long serialVersionUID = 1L;

    private final String name;
    private final String found;
    private final String expected;

    SettingException(String name, String found, String expected) {
        super(name + ": found '" + Excerpt.of(found) + "', expected " + Excerpt.expected(expected));
        this.name = name;
        this.found = Excerpt.of(found);
        this.expected = expected;
    }

    /** The setting. */
    public String name() {
        return name;
    }

    /** What it says. */
    public String found() {
        return found;
    }

    /** What it could have said. */
    public String expected() {
        return expected;
    }
}
