package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;

/**
 * What somebody claims of a sheet in plain terms, such as {@code K1 and K4 are never in together} or {@code H3 lit only while M2 turns}.
 * {@code docs/proof.md} says what can be said.
 */
public final class Statement {

    private static final int MOST_LETTERS = 400;

    private final String text;
    private final String reading;
    private final Fact broken;
    private final boolean onceSettled;

    /**
     * A statement.
     *
     * @param reading how it was understood
     * @param broken what must not be
     * @param onceSettled whether only states count in which all has settled
     */
    Statement(String text, String reading, Fact broken, boolean onceSettled) {
        this.text = text;
        this.reading = reading;
        this.broken = broken;
        this.onceSettled = onceSettled;
    }

    /**
     * Reads a sentence.
     *
     * @param assembly whose devices it speaks of
     * @throws StatementException where it cannot be understood
     */
    public static Statement read(String sentence, Assembly assembly) throws StatementException {
        if (sentence.length() > MOST_LETTERS) {
            throw new StatementException(
                    MOST_LETTERS,
                    "A statement has " + MOST_LETTERS + " letters at the most, this one " + sentence.length() + ".");
        }
        return new StatementReader(sentence, assembly).statement();
    }

    /** Some sentences that could be claimed of a sheet, of its own devices and not always true; none if it has no motor, contactor and lamp. */
    public static List<String> examples(Assembly assembly) {
        List<String> contactors = tags(assembly, Family.CONTACTOR);
        List<String> motors = tags(assembly, Family.MOTOR);
        List<String> lamps = tags(assembly, Family.PILOT_LAMP);
        List<String> examples = new ArrayList<>();
        if (contactors.size() > 1) {
            examples.add(contactors.get(0) + " and " + contactors.get(1) + " are never in together");
        }
        if (!lamps.isEmpty() && !motors.isEmpty()) {
            examples.add(lamps.get(0) + " lit only while " + motors.get(0) + " turns");
        }
        if (!contactors.isEmpty() && !motors.isEmpty()) {
            examples.add(contactors.get(0) + " in whenever " + motors.get(0) + " runs forward");
        }
        return examples;
    }

    private static List<String> tags(Assembly assembly, Family family) {
        return assembly.parts().stream()
                .filter(part -> part.family() == family)
                .map(Part::tag)
                .toList();
    }

    /** The sentence without the full stop. */
    public String text() {
        return text;
    }

    /** How it was understood, one sentence. */
    public String reading() {
        return reading;
    }

    /** The tags of the devices that it speaks of. */
    Set<String> tags() {
        return broken.tags().collect(Collectors.toSet());
    }

    /** What must not be. */
    Fact broken() {
        return broken;
    }

    /** Whether only states count in which all has settled. */
    boolean onceSettled() {
        return onceSettled;
    }
}
