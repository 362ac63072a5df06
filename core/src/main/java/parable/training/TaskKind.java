package parable.training;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What is to be done in a task. */
public enum TaskKind {
    /** Something is hidden in a panel, and is to be found. */
    FIND("Find the fault"),
    /** What will a sound machine do? */
    PREDICT("Say what will happen"),
    /** A drawing that would not work as it should. */
    SPOILT("What is wrong with this drawing"),
    /** A bundle of wires, to be landed as the drawing has it. */
    WIRE("Wire it");

    private final String words;

    TaskKind(String words) {
        this.words = words;
    }

    /** What it is called. */
    public String words() {
        return words;
    }

    /** Its word in the list of tasks: {@code find}. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The kind of a word; empty if there is none. */
    public static Optional<TaskKind> ofWord(String word) {
        return Arrays.stream(values()).filter(kind -> kind.word().equals(word)).findFirst();
    }
}
