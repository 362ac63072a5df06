package parable.parts;

import parable.program.Excerpt;

/** A sheet that cannot be fitted out. It carries the place, what was found there and what was expected. */
public final class PartException extends Exception {

    private static final long serialVersionUID = 1L;

    private final transient Site place;
    private final String found;
    private final String expected;

    /** Where on the sheet the trouble is. */
    public sealed interface Site {

        /**
         * A field of a device.
         *
         * @param index the device's position on the sheet
         * @param field {@code tag}, {@code kind} or the name of a setting
         */
        record DeviceField(int index, String field) implements Site {}

        /**
         * Something on a rung.
         *
         * @param index the rung's position among all rungs of the sheet, the power circuit's first
         */
        record OnRung(int index) implements Site {}
    }

    PartException(Site place, String thing, String found, String expected) {
        super(Excerpt.of(thing) + ": found '" + Excerpt.of(found) + "', expected " + Excerpt.expected(expected));
        this.place = place;
        this.found = Excerpt.of(found);
        this.expected = expected;
    }

    /** Where the trouble is. */
    public Site place() {
        return place;
    }

    /** What is there. */
    public String found() {
        return found;
    }

    /** What would be right there. */
    public String expected() {
        return expected;
    }
}
