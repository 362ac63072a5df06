package parable.logbook;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * An entry of a logbook.
 *
 * @param number from 1 on, the number of its line
 * @param on when it was made, such as {@code 2026-11-26T09:15:00}
 * @param by who made it
 * @param machine the sheet it is about; empty in a break, which is about the whole logbook
 * @param revision the circuit as it was then, by {@link parable.circuit.Revision}
 * @param kind what it is about
 * @param text in the words of whoever made it; in a correction what is right, and of which entry
 * @param readings values by what was read, such as {@code Current U1} to {@code 3.8 A}; in their order
 * @param signed the complete test sheet if it is the signature of one, in the order of its steps; empty otherwise
 * @param corrects the number of the entry that it corrects, 0 for none
 * @param before the seal of the entry before, empty for the first; in a break the fingerprint of all lines before
 * @param seal the fingerprint of its line, empty before it is written
 */
public record LogEntry(
        int number,
        String on,
        String by,
        String machine,
        String revision,
        Kind kind,
        String text,
        Map<String, String> readings,
        List<SignedStep> signed,
        int corrects,
        String before,
        String seal) {

    /** What entries are about. */
    public enum Kind {
        TEST("test"),
        SIGNED("test sheet signed"),
        FAULT("fault found"),
        PART("part changed"),
        SETTING("setting as left"),
        REMARK("remark"),
        CORRECTION("correction"),
        BREAK("break in the record");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** As it is said and written. */
        public String words() {
            return words;
        }

        /** Whether somebody enters it by hand. */
        public boolean isByHand() {
            return this != SIGNED && this != CORRECTION && this != BREAK;
        }

        /** The kind of these words, a remark if there is none. */
        public static Kind ofWords(String words) {
            for (Kind kind : values()) {
                if (kind.words.equals(words)) {
                    return kind;
                }
            }
            return REMARK;
        }
    }

    /** Not modified: readings and steps are copied. */
    public LogEntry {
        readings = Collections.unmodifiableMap(new LinkedHashMap<>(readings));
        signed = List.copyOf(signed);
    }

    /** With the seal of its line. */
    LogEntry sealed(String ofLine) {
        return new LogEntry(number, on, by, machine, revision, kind, text, readings, signed, corrects, before, ofLine);
    }
}
