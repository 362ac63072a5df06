package parable.check;

import java.util.List;

/**
 * Something that a rule has found.
 *
 * @param code which rule, as {@code docs/checks.md} lists it
 * @param where the tags and wire numbers it is about, the most important first
 * @param text what is wrong, in one sentence
 * @param reason why it matters and what to do
 */
public record Finding(String code, Severity severity, List<String> where, String text, String reason) {

    /** Not modified: the list is copied. */
    public Finding {
        where = List.copyOf(where);
    }
}
