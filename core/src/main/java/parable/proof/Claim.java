package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A claim that follows from the circuit, and what became of it.
 *
 * @param id which claim, as {@code docs/proof.md} lists it, with the devices it is about
 * @param text the claim in one sentence
 * @param times the stated times that it rests on, empty unless it holds within them
 * @param story what breaks it, step by step; empty if nothing does
 * @param refutation how the bench has shown that it fails, empty if it has not
 */
public record Claim(
        String id,
        String text,
        Verdict verdict,
        List<String> times,
        List<String> story,
        Optional<Refutation> refutation) {

    /** Not modified: the lists are copied. */
    public Claim {
        times = List.copyOf(times);
        story = List.copyOf(story);
    }

    static Claim holding(String id, String text, Verdict verdict, List<String> times) {
        return new Claim(id, text, verdict, times, List.of(), Optional.empty());
    }

    static Claim failing(String id, String text, Refutation refutation) {
        return new Claim(id, text, Verdict.FAILS, List.of(), refutation.story(), Optional.of(refutation));
    }

    static Claim open(String id, String text, List<String> story) {
        return new Claim(id, text, Verdict.UNFINISHED, List.of(), story, Optional.empty());
    }

    /** The same claim on two circuits that have nothing to do with each other: as bad as the worse of the two. */
    Claim and(Claim other) {
        Claim worse = urgency() <= other.urgency() ? this : other;
        String both = text.equals(other.text) ? text : text + " " + other.text;
        List<String> all = new ArrayList<>(times);
        all.addAll(other.times);
        return new Claim(
                id, both, worse.verdict, worse.verdict.holds() ? all : List.of(), worse.story, worse.refutation);
    }

    private int urgency() {
        return switch (verdict) {
            case FAILS -> 0;
            case UNFINISHED -> 1;
            case HOLDS_WITHIN_TIMES -> 2;
            case HOLDS_AT_ANY_SPEED -> 3;
        };
    }

    /** The claim with what became of it within times; the story is told if that found none. */
    static Claim of(String id, String text, Refinement.Outcome outcome, List<String> anySpeed) {
        if (outcome instanceof Refinement.Outcome.Holds holds) {
            Verdict verdict = holds.times().isEmpty() ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.HOLDS_WITHIN_TIMES;
            return holding(id, text, verdict, holds.times());
        }
        if (outcome instanceof Refinement.Outcome.Fails fails) {
            return failing(id, text, fails.refutation());
        }
        List<String> story = ((Refinement.Outcome.Open) outcome).story();
        return open(id, text, story.isEmpty() ? anySpeed : story);
    }
}
