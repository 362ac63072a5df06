package parable.program;

import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A variable of a program.
 *
 * @param name letters, digits and single underscores, beginning with a letter, at most {@value #LONGEST_NAME} of them; not a keyword
 * @param address where its bit is, empty for one that the controller keeps where it likes
 * @param comment what it is, on one line; empty if nothing is said
 */
public record Variable(String name, VariableType type, Optional<Address> address, String comment) {

    /** The longest name. */
    public static final int LONGEST_NAME = 32;

    private static final Pattern NAME = Pattern.compile("[A-Za-z](_?[A-Za-z0-9])*_?");
    private static final Set<String> KEYWORDS = Set.of(
            "PROGRAM",
            "END_PROGRAM",
            "VAR",
            "END_VAR",
            "AT",
            "IF",
            "THEN",
            "END_IF",
            "AND",
            "OR",
            "NOT",
            "TRUE",
            "FALSE",
            "BOOL",
            "TON",
            "TOF",
            "TP",
            "CTU",
            "R_TRIG",
            "F_TRIG",
            "ELSE",
            "ELSIF",
            "XOR",
            "MOD",
            "TIME");

    /**
     * A variable.
     *
     * @throws IllegalArgumentException if the name cannot be one, the comment could not be read again, or a block has an address
     */
    public Variable {
        Objects.requireNonNull(type, "type");
        if (!isName(name)) {
            throw new IllegalArgumentException(
                    "a name needs a letter and then letters, digits and single underscores, found " + name);
        }
        if (comment.contains("*)")
                || comment.contains("(*")
                || comment.contains("\n")
                || !comment.strip().equals(comment)) {
            throw new IllegalArgumentException(name + ": a comment stands on one line and holds no (* and *)");
        }
        if (address.isPresent() && type != VariableType.BOOL) {
            throw new IllegalArgumentException(name + ": only a bit has an address, not a " + type);
        }
    }

    /** Whether this can be the name of a variable. */
    public static boolean isName(String name) {
        return name.length() <= LONGEST_NAME
                && NAME.matcher(name).matches()
                && !KEYWORDS.contains(name.toUpperCase(Locale.ROOT));
    }
}
