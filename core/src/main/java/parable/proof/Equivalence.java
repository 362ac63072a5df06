package parable.proof;

import java.util.List;
import java.util.Optional;
import parable.bench.Progress;
import parable.parts.Assembly;
import parable.timing.Refutation;

/**
 * Whether two sheets are the same machine to the one who operates it: given the same actions, they settle to the same contactors, lamps and
 * motors.
 *
 * @param verdict what was found
 * @param states how many pairs of states were explored, one of either sheet
 * @param inherent differences that lie in the nature of a controller, each in a sentence
 * @param difference the first difference that does not, empty if there is none
 */
public record Equivalence(Answer verdict, int states, List<String> inherent, Optional<Difference> difference) {

    /** What was found. */
    public enum Answer {
        /** They are the same, but for what is inherent. */
        EQUIVALENT,
        /** They are not. */
        DIFFERENT,
        /** Not everything was explored. */
        UNFINISHED;

        /** As it is said. */
        public String words() {
            return switch (this) {
                case EQUIVALENT -> "the same machine";
                case DIFFERENT -> "not the same machine";
                case UNFINISHED -> "not finished";
            };
        }
    }

    /** Not modified: the list is copied. */
    public Equivalence {
        inherent = List.copyOf(inherent);
    }

    /**
     * A difference.
     *
     * @param actions what is done, in order, each in words
     * @param one what the one sheet comes to
     * @param other what the other comes to
     * @param shownByOne the same on the bench of the one
     * @param shownByOther the same on the bench of the other
     */
    public record Difference(
            List<String> actions, String one, String other, Refutation shownByOne, Refutation shownByOther) {

        /** Not modified: the list is copied. */
        public Difference {
            actions = List.copyOf(actions);
        }
    }

    /**
     * Compares two sheets through everything that the same hands may do to both, one thing after the other and two at once, whenever nothing
     * moves any more but timers.
     *
     * @param one usually the relay sheet
     * @param other usually the sheet of a controller; where the one may settle in several ways, it has to take one of them
     * @param progress told the pairs so far; what it cuts short is unfinished
     */
    public static Equivalence of(Assembly one, Assembly other, Progress progress) {
        return new Comparing(one, other, progress).compared();
    }
}
