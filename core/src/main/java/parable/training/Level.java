package parable.training;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import parable.bench.Fault;

/** What sort of fault is hidden, from easy to hard. */
public enum Level {
    OPEN_WIRE(Fault.Kind.OFF, 1, "one wire is off"),
    WORN_CONTACT(Fault.Kind.BURNT, 1, "a contact no longer conducts"),
    WELDED(Fault.Kind.WELDED, 1, "a contact is welded"),
    EXCHANGED(Fault.Kind.SWAPPED, 1, "two wires are exchanged"),
    SETTING(Fault.Kind.UNDERSET, 1, "something is set wrong"),
    INTERMITTENT(Fault.Kind.LOOSE, 1, "something is loose and comes and goes"),
    TWO(Fault.Kind.OFF, 2, "two wires are off"),
    WIRING_MISTAKE(Fault.Kind.MISPLACED, 1, "a wire is on the wrong terminal");

    private final Fault.Kind kind;
    private final int count;
    private final String words;

    Level(Fault.Kind kind, int count, String words) {
        this.kind = kind;
        this.count = count;
        this.words = words;
    }

    /** The kind of what is hidden. */
    public Fault.Kind kind() {
        return kind;
    }

    /** How many are hidden. */
    public int count() {
        return count;
    }

    /** What is hidden, for a teacher. */
    public String words() {
        return words;
    }

    /** Its word: {@code open-wire}. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The level of a word; empty if there is none. */
    public static Optional<Level> ofWord(String word) {
        return Arrays.stream(values())
                .filter(level -> level.word().equals(word))
                .findFirst();
    }

    /** All their words. */
    public static String all() {
        return Arrays.stream(values()).map(Level::word).collect(Collectors.joining(", "));
    }
}
