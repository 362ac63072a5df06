package parable.logbook;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import parable.circuit.Fingerprint;

/**
 * A line of a logbook as it is in its file. It ends with its seal, the fingerprint of everything before that on the line, so that no sign of it can be
 * changed, added or taken away unnoticed.
 *
 * @param text the whole line
 * @param entry what it says, empty if that cannot be read
 */
public record LogLine(String text, Optional<LogEntry> entry) {

    private static final Pattern SEALED = Pattern.compile("(.*),\"seal\":\"([0-9a-f]{64})\"}", Pattern.DOTALL);

    /** The line that says an entry, sealed. */
    public static LogLine sealed(LogEntry entry, String object) {
        String open = object.substring(0, object.length() - 1);
        String seal = Fingerprint.of(open);
        return new LogLine(open + ",\"seal\":\"" + seal + "\"}", Optional.of(entry.sealed(seal)));
    }

    /** Whether it is as it was made. */
    public boolean isSound() {
        Matcher parts = SEALED.matcher(text);
        return entry.isPresent() && parts.matches() && parts.group(2).equals(Fingerprint.of(parts.group(1)));
    }

    /** The seal that it bears, right or not; empty if it bears none. */
    public String seal() {
        Matcher parts = SEALED.matcher(text);
        return parts.matches() ? parts.group(2) : "";
    }
}
