package parable.parts;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What somebody or something can do to a device. */
public enum Verb {
    CLOSE("closed"),
    OPEN("opened"),
    PRESS("pressed"),
    RELEASE("released"),
    ACTUATE("actuated"),
    HIT("hit"),
    TURN("turned"),
    LOAD("loaded"),
    TRIP("tripped"),
    RESET("reset"),
    LOSE("lost"),
    RESTORE("restored"),
    PUSH("pushed in by hand"),
    HALT("set to stop"),
    RUN("set to run");

    private final String done;

    Verb(String done) {
        this.done = done;
    }

    /** The word in a script: {@code press}. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The word in a story: {@code pressed}. */
    public String done() {
        return done;
    }

    /** The verb of this word, empty if there is none. */
    public static Optional<Verb> ofWord(String word) {
        return Arrays.stream(values()).filter(verb -> verb.word().equals(word)).findFirst();
    }
}
