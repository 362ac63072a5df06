package parable.logbook;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * An entry of a logbook.
 *
 * @param number from 1 on, without gaps
 * @param on when it was made, such as {@code 2026-11-26T09:15:00}
 * @param by who made it
 * @param machine the sheet it is about
 * @param revision the circuit as it was then, by {@link Revision}
 * @param kind what it is about
 * @param text in the words of whoever made it; in a correction what is right, and of which entry
 * @param readings values by what was read, such as {@code Current U1} to {@code 3.8 A}; in their order
 * @param corrects the number of the entry that it corrects, 0 for none
 * @param before the seal of the entry before, empty for the first
 * @param seal SHA-256 over all of the above, in hexadecimal digits
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
        int corrects,
        String before,
        String seal) {

    /** What entries are about. */
    public enum Kind {
        TEST("test"),
        FAULT("fault found"),
        PART("part changed"),
        SETTING("setting as left"),
        REMARK("remark"),
        CORRECTION("correction");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        /** As it is said and written. */
        public String words() {
            return words;
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

    /** Not modified: the readings are copied. */
    public LogEntry {
        readings = Collections.unmodifiableMap(new LinkedHashMap<>(readings));
    }

    /** The seal that it should bear. */
    String rightSeal() {
        StringBuilder all = new StringBuilder();
        for (Object part : new Object[] {number, on, by, machine, revision, kind.words(), text, readings.size()}) {
            Seal.append(all, part.toString());
        }
        readings.forEach((name, value) -> {
            Seal.append(all, name);
            Seal.append(all, value);
        });
        Seal.append(all, Integer.toString(corrects));
        Seal.append(all, before);
        return Seal.of(all.toString());
    }

    /** This entry with the seal that it should bear. */
    LogEntry sealed() {
        return new LogEntry(number, on, by, machine, revision, kind, text, readings, corrects, before, rightSeal());
    }
}
