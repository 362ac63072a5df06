package parable.plc;

import java.util.Arrays;
import java.util.Optional;

/** How the program knows that a contactor is in. */
public enum SealIn {
    /** By what it has told its output. */
    OUTPUT_BIT(
            "output bit",
            "no wire comes back; the program takes it for granted that the contactor followed, and a contactor that did not goes unnoticed"),
    /** By a contact of the contactor on an input. */
    AUXILIARY(
            "auxiliary contact",
            "a contact of each contactor is wired to an input; a contactor that drops out for whatever reason takes its seal-in along"),
    /** By both, and an alarm when the two differ for too long. */
    AUXILIARY_WITH_ALARM(
            "auxiliary contact with alarm",
            "a contactor counts as in while it is told to be and its contact says so. One that was told to pull in and did not follow, or is in without being told, lights a lamp; all contactors drop out, and none is told to pull in until that is mended and the alarm is reset. A start that is tapped for less than the alarm's time drives nothing and gives no alarm");

    private final String words;
    private final String why;

    SealIn(String words, String why) {
        this.words = words;
        this.why = why;
    }

    /** As it is said. */
    public String words() {
        return words;
    }

    /** What it means, in half a sentence. */
    public String why() {
        return why;
    }

    /** The one of these words, empty if there is none. */
    public static Optional<SealIn> ofWords(String words) {
        return Arrays.stream(values()).filter(one -> one.words.equals(words)).findFirst();
    }
}
