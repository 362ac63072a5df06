package parable.check;

import java.util.Locale;

/** How bad a finding is, the worst first. */
public enum Severity {
    /** Someone could get hurt, or copper could melt. */
    DANGER,
    /** It does not do what it is meant to do. */
    ERROR,
    /** It works, but good practice has it otherwise. */
    WARNING,
    /** Worth knowing; a matter of school. */
    NOTE;

    /** The word for it: {@code danger}. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Whether a sheet with such a finding is wrong. */
    public boolean isWrong() {
        return this == DANGER || this == ERROR;
    }
}
