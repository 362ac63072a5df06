package parable.proof;

import java.util.Locale;

/** What became of a claim. */
public enum Verdict {
    /** True in every reachable state, however long any change may take. */
    HOLDS_AT_ANY_SPEED,
    /** Some order of events would break it, and the stated times exclude that order. */
    HOLDS_WITHIN_TIMES,
    /** Broken by a story that the bench has played within the stated times. */
    FAILS,
    /**
     * Not decided: the search was ended early or came to its limit, or it found an order of events that breaks the claim and that the
     * bench could not be made to show. Never a pass.
     */
    UNFINISHED,
    /** What it speaks of is never come to: the sheet is shorted as soon as it is switched on, or no motor ever runs. Never a pass. */
    NOT_REACHED;

    /** Whether the claim is proved. */
    public boolean holds() {
        return this == HOLDS_AT_ANY_SPEED || this == HOLDS_WITHIN_TIMES;
    }

    /** The verdict as it is told to people. */
    public String words() {
        return switch (this) {
            case HOLDS_AT_ANY_SPEED -> "Holds at any speed";
            case HOLDS_WITHIN_TIMES -> "Holds within the stated times";
            case FAILS -> "Fails";
            case UNFINISHED -> "Not finished";
            case NOT_REACHED -> "Not reached";
        };
    }

    /** The word for it: {@code holds-at-any-speed}. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
