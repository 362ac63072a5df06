package parable.proof;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import parable.parts.Assembly;

/**
 * What somebody claims of a sheet in plain terms, such as {@code K1 and K4 are never in together} or {@code H3 lit only while M2 turns}.
 * {@code docs/proof.md} says what can be said.
 */
public final class Statement {

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
        return new StatementReader(sentence, assembly).statement();
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

    /** Two facts that must not be true together. */
    static Fact both(Fact one, Fact other) {
        return new Fact.All(List.of(one, other));
    }
}
