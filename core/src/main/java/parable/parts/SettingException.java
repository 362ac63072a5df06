package parable.parts;

/** A setting of a device that says nothing sensible. */
final class SettingException extends Exception {

    private static final long serialVersionUID = 1L;

    final String name;
    final String found;
    final String expected;

    SettingException(String name, String found, String expected) {
        super(name + ": found '" + found + "', expected " + expected);
        this.name = name;
        this.found = found;
        this.expected = expected;
    }
}
