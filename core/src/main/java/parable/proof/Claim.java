package parable.proof;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.timing.Refinement;
import parable.timing.Refutation;

/**
 * A claim that follows from the circuit, and what became of it.
 *
 * @param sort whether it is asked of every such circuit, says what this one does, or was made by somebody
 * @param id which claim, as {@code docs/proof.md} lists it, with the devices it is about
 * @param text the claim in one sentence
 * @param provided what was left out and would have to be so for it to hold, each as the end of a sentence that begins with "if"; empty where
 *     nothing was
 * @param times the stated times that it rests on, empty unless it holds within them
 * @param story what breaks it, step by step; empty if nothing does
 * @param refutation how the bench has shown that it fails, empty if it has not
 */
public record Claim(
        Sort sort,
        String id,
        String text,
        Verdict verdict,
        List<String> provided,
        List<String> times,
        List<String> story,
        Optional<Refutation> refutation) {

    /** What kind of claim it is. */
    public enum Sort {
        /** Raised by the power circuit and the devices, however the control circuit behaves. */
        REQUIREMENT("requirement", "Requirements"),
        /** Says what this circuit does. Another circuit is described otherwise. */
        DESCRIPTION("description", "Descriptions: what this circuit does"),
        /** Made by somebody in words of their own. */
        OWN("own claim", "Claims of one's own");

        private final String words;
        private final String heading;

        Sort(String words, String heading) {
            this.words = words;
            this.heading = heading;
        }

        /** As it stands above claims of this sort. */
        public String heading() {
            return heading;
        }

        /** The sort as it is told: {@code requirement}. */
        public String words() {
            return words;
        }
    }

    /** Not modified: the lists are copied. */
    public Claim {
        provided = List.copyOf(provided);
        times = List.copyOf(times);
        story = List.copyOf(story);
    }

    static Claim holding(String id, String text, Verdict verdict, List<String> times) {
        return new Claim(Sort.REQUIREMENT, id, text, verdict, List.of(), times, List.of(), Optional.empty());
    }

    static Claim failing(String id, String text, Refutation refutation) {
        return new Claim(
                Sort.REQUIREMENT,
                id,
                text,
                Verdict.FAILS,
                List.of(),
                List.of(),
                refutation.story(),
                Optional.of(refutation));
    }

    static Claim open(String id, String text, List<String> story) {
        return new Claim(Sort.REQUIREMENT, id, text, Verdict.UNFINISHED, List.of(), List.of(), story, Optional.empty());
    }

    /** The same claim on two circuits that have nothing to do with each other: as bad as the worse of the two; what one never comes to the other may. */
    Claim and(Claim other) {
        Claim worse = urgency() <= other.urgency() ? this : other;
        String both = text.equals(other.text) ? text : text + " " + other.text;
        List<String> all = new ArrayList<>(times);
        all.addAll(other.times);
        Set<String> conditions = new LinkedHashSet<>(provided);
        conditions.addAll(other.provided);
        return new Claim(
                sort,
                id,
                both,
                worse.verdict,
                worse.verdict.holds() ? List.copyOf(conditions) : List.of(),
                worse.verdict.holds() ? all : List.of(),
                worse.story,
                worse.refutation);
    }

    /** This on a sheet of which not every circuit was explored: what would hold of all of them is not finished. */
    Claim asFarAsExplored() {
        boolean ofDevicesOnly = id.contains(":");
        return ofDevicesOnly || !verdict.holds()
                ? this
                : new Claim(sort, id, text, Verdict.UNFINISHED, List.of(), List.of(), List.of(), Optional.empty());
    }

    /** This as a claim of another sort. */
    Claim as(Sort other) {
        return new Claim(other, id, text, verdict, provided, times, story, refutation);
    }

    /** This with what it leaves out; a claim that does not hold leaves out nothing. */
    Claim provided(List<String> conditions) {
        return verdict.holds() ? new Claim(sort, id, text, verdict, conditions, times, story, refutation) : this;
    }

    /** This with one thing more that it leaves out. */
    Claim alsoProvided(String condition) {
        List<String> conditions = new ArrayList<>(provided);
        if (!conditions.contains(condition)) {
            conditions.add(condition);
        }
        return provided(conditions);
    }

    /** This, if it holds, as a claim about what is never come to. */
    Claim notReached() {
        return verdict.holds()
                ? new Claim(sort, id, text, Verdict.NOT_REACHED, List.of(), List.of(), List.of(), Optional.empty())
                : this;
    }

    /** The verdict as it is told to people, with what it rests on: {@code Holds, if nothing is shorted first}. */
    public String verdictWords() {
        if (provided.isEmpty()) {
            return verdict.words();
        }
        String holds = verdict == Verdict.HOLDS_WITHIN_TIMES ? "Holds within the stated times" : "Holds";
        return holds + ", if " + String.join(", and if ", provided);
    }

    private int urgency() {
        return switch (verdict) {
            case FAILS -> 0;
            case UNFINISHED -> 1;
            case HOLDS_WITHIN_TIMES -> 2;
            case HOLDS_AT_ANY_SPEED -> 3;
            case NOT_REACHED -> 4;
        };
    }

    /** The claim with what became of it within times; the story is told if that found none. */
    static Claim of(String id, String text, Refinement.Result outcome, List<String> anySpeed) {
        if (outcome instanceof Refinement.Result.Holds holds) {
            Verdict verdict = holds.times().isEmpty() ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.HOLDS_WITHIN_TIMES;
            return holding(id, text, verdict, holds.times());
        }
        if (outcome instanceof Refinement.Result.Fails fails) {
            return failing(id, text, fails.refutation());
        }
        List<String> story = ((Refinement.Result.Open) outcome).story();
        return open(id, text, story.isEmpty() ? anySpeed : story);
    }
}
