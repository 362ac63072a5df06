package parable.circuit;

import java.util.Arrays;
import java.util.Optional;

/** What a colour of an operator or lamp means. */
public enum ColourUse {
    START("start", "A button that starts"),
    OTHER("other button", "A button for something else: jog, reset, test"),
    STOP("stop", "A button that stops"),
    EMERGENCY_STOP("E-stop", "An E-stop"),
    RUNNING("running lamp", "A lamp that is lit while a motor runs"),
    STOPPED("stopped lamp", "A lamp that is lit while it does not"),
    TRIPPED("tripped lamp", "A lamp that tells of a trip");

    private final String word;
    private final String words;

    ColourUse(String word, String words) {
        this.word = word;
        this.words = words;
    }

    /** As it is written in a job file. */
    public String word() {
        return word;
    }

    /** As it is said on screen. */
    public String words() {
        return words;
    }

    /** The use of this word, empty if there is none. */
    public static Optional<ColourUse> ofWord(String word) {
        return Arrays.stream(values()).filter(use -> use.word.equals(word)).findFirst();
    }
}
