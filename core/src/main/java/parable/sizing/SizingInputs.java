package parable.sizing;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.circuit.Practice;

/** All that a sizing rests on, each marked as given, drawn or assumed. */
public final class SizingInputs {

    private final String about;
    private final Practice practice;
    private final Map<SizingQuestion, Input> answers = new LinkedHashMap<>();

    /**
     * What is known.
     *
     * @param about its tag, or what it is called where it has none
     * @param practice in which what nobody says is assumed
     * @param asked the questions
     * @param drawn what the drawing tells, by the keys of the questions
     * @param given what somebody states, which goes before it
     * @throws SizingException if something makes no sense
     */
    public SizingInputs(
            String about,
            Practice practice,
            List<? extends SizingQuestion> asked,
            Map<String, String> drawn,
            Map<String, String> given)
            throws SizingException {
        this.about = about;
        this.practice = practice;
        for (SizingQuestion question : asked) {
            Input input = chosen(question, drawn, given);
            if (!input.value().isEmpty()) {
                question.check(place(question), input.value());
            }
            answers.put(question, input);
        }
    }

    private Input chosen(SizingQuestion question, Map<String, String> drawn, Map<String, String> given) {
        if (!given.getOrDefault(question.key(), "").isBlank()) {
            return new Input(question.key(), question.label(), given.get(question.key()), Origin.GIVEN);
        }
        return !drawn.getOrDefault(question.key(), "").isBlank()
                ? new Input(question.key(), question.label(), drawn.get(question.key()), Origin.DRAWN)
                : new Input(question.key(), question.label(), question.usual(practice), Origin.ASSUMED);
    }

    /** The practice. */
    public Practice practice() {
        return practice;
    }

    /** What it is about. */
    public String about() {
        return about;
    }

    String place(SizingQuestion question) {
        return about + ", " + question.key();
    }

    /** All of them, in the order of the questions; what is not known, or decides nothing in the practice, is left out. */
    public List<Input> all() {
        return answers.entrySet().stream()
                .filter(answer -> answer.getKey().isFor(practice)
                        && !answer.getValue().value().isEmpty())
                .map(Map.Entry::getValue)
                .toList();
    }

    /** What is said to a question, empty if nothing is. */
    public Optional<String> said(SizingQuestion question) {
        return Optional.of(answers.get(question).value()).filter(value -> !value.isEmpty());
    }

    /** Whether a question is asked here, and decides anything in the practice. */
    public boolean decides(SizingQuestion question) {
        return answers.containsKey(question) && question.isFor(practice);
    }

    /** Where the answer to a question is from. */
    public Origin origin(SizingQuestion question) {
        return answers.get(question).origin();
    }

    /** Whether nobody said it. */
    boolean isAssumed(SizingQuestion question) {
        return answers.get(question).origin() == Origin.ASSUMED;
    }

    /** Whether one of the words is the answer. */
    boolean is(SizingQuestion question, String word) {
        return answers.get(question).value().equals(word);
    }

    /** A quantity that is always known. */
    double number(SizingQuestion question) {
        return quantity(question)
                .orElseThrow(() -> new IllegalStateException(question.key() + " is asked for and not known"));
    }

    /** A quantity, empty if it is not known. */
    Optional<Double> quantity(SizingQuestion question) {
        Optional<String> said = said(question);
        try {
            return said.isPresent()
                    ? Optional.of(question.measure().orElseThrow().read(place(question), said.get()))
                    : Optional.empty();
        } catch (SizingException checkedBefore) {
            throw new IllegalStateException("an input was checked and makes no sense", checkedBefore);
        }
    }

    /** A word that is always known. */
    String word(SizingQuestion question) {
        return said(question)
                .orElseThrow(() -> new IllegalStateException(question.key() + " is asked for and not known"));
    }
}
