package parable.proof;

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
}
