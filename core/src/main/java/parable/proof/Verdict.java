package parable.proof;

import java.util.Locale;

/** What became of a claim. */
public enum Verdict {
    /** True in every reachable state, however long any change may take. */
    HOLDS_AT_ANY_SPEED,
    /** Broken by a story that the bench has played at nominal times. */
    FAILS,
    /**
     * Not decided: some order of events breaks it, and whether the stated times exclude that order has not been searched; or the search
     * was ended early. Never a pass.
     */
    UNFINISHED;

    /** The verdict as it is told to people. */
    public String words() {
        return switch (this) {
            case HOLDS_AT_ANY_SPEED -> "Holds at any speed";
            case FAILS -> "Fails";
            case UNFINISHED -> "Not finished";
        };
    }

    /** The word for it: {@code holds-at-any-speed}. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
