package parable.circuit;

import java.util.Arrays;
import java.util.Optional;

/** What a sheet is meant to do once it is started; rules and claims measure the circuit against it. */
public enum Duty {
    /** Started by a press, runs until it is stopped, does not restart by itself. */
    MAINTAINED("maintained"),
    /** Runs only while a button is held. */
    JOGGING("jogging"),
    /** Starts again by itself when power returns; allowed only where that harms nobody. */
    AUTOMATIC_RESTART("automatic restart");

    private final String words;

    Duty(String words) {
        this.words = words;
    }

    /** The duty as it is written in a job file and on screen. */
    public String words() {
        return words;
    }

    /** The duty of these words, empty if there is none. */
    public static Optional<Duty> ofWords(String words) {
        return Arrays.stream(values()).filter(duty -> duty.words.equals(words)).findFirst();
    }
}
