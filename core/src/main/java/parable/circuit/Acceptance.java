package parable.circuit;

import java.util.List;
import java.util.Map;

/**
 * A finding that somebody has accepted, for the record.
 *
 * @param code which rule
 * @param where the tags and wire numbers it is about, as the finding names them
 * @param remark why it is accepted
 * @param by who accepted it
 * @param on the day, as {@code 2026-11-25}
 * @param extras unknown fields
 */
public record Acceptance(String code, List<String> where, String remark, String by, String on, Extras extras) {

    /** Not modified: the list is copied. */
    public Acceptance {
        where = List.copyOf(where);
    }

    /** An acceptance without unknown fields. */
    public Acceptance(String code, List<String> where, String remark, String by, String on) {
        this(code, where, remark, by, on, Extras.NONE);
    }

    /** Whether it accepts what a rule found there. */
    public boolean accepts(String ruleCode, List<String> places) {
        return code.equals(ruleCode) && where.equals(places);
    }

    Acceptance retagged(Map<String, String> tags) {
        return new Acceptance(
                code, where.stream().map(tag -> tags.getOrDefault(tag, tag)).toList(), remark, by, on, extras);
    }
}
