package parable.files;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.program.Excerpt;

/**
 * A value in a JSON file together with where it is, so that whatever is wrong with it can be reported by line and field.
 * A value belongs to the object or list that holds it, by which its path is told.
 */
final class Located {

    private final Optional<Located> parent;
    private final String step;
    private final int line;
    private final Optional<Map<String, Located>> fields;
    private final Optional<List<Located>> entries;
    private final Optional<String> text;
    private String file = "";
    private int begin;
    private int end;

    private Located(
            Optional<Located> parent,
            String step,
            int line,
            Optional<Map<String, Located>> fields,
            Optional<List<Located>> entries,
            Optional<String> text) {
        this.parent = parent;
        this.step = step;
        this.line = line;
        this.fields = fields;
        this.entries = entries;
        this.text = text;
    }

    /** An object whose fields are still to be read. */
    static Located object(Optional<Located> parent, String step, int line, Map<String, Located> fields) {
        return new Located(parent, step, line, Optional.of(fields), Optional.empty(), Optional.empty());
    }

    /** A list whose entries are still to be read. */
    static Located list(Optional<Located> parent, String step, int line, List<Located> entries) {
        return new Located(parent, step, line, Optional.empty(), Optional.of(entries), Optional.empty());
    }

    /** A text. */
    static Located text(Optional<Located> parent, String step, int line, String text) {
        return new Located(parent, step, line, Optional.empty(), Optional.empty(), Optional.of(text));
    }

    /** A number, true, false or null. */
    static Located other(Optional<Located> parent, String step, int line) {
        return new Located(parent, step, line, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** With the piece of the file that it was read from. */
    Located from(String whole, int first, int behind) {
        file = whole;
        begin = first;
        end = behind;
        return this;
    }

    /** The very signs that stand in the file for it. */
    String written() {
        return file.substring(begin, end);
    }

    /** The line on which it begins, 1 for the first. */
    int line() {
        return line;
    }

    /** The way to it as it is told, for example {@code sheets[0].name}; nothing for the whole. */
    String path() {
        String before = parent.map(Located::path).orElse("");
        return before.isEmpty() || step.startsWith("[") ? before + step : before + "." + step;
    }

    JobFormatException refused(String found, String expected) {
        return new JobFormatException(line, path(), found, expected);
    }

    JobFormatException refused(String expected) {
        return refused(described(), expected);
    }

    private String described() {
        if (text.isPresent()) {
            return "'" + Excerpt.of(text.get()) + "'";
        }
        if (fields.isPresent()) {
            return "an object in braces";
        }
        return entries.isPresent() ? "a list in brackets" : Excerpt.of(written());
    }

    /** The fields in file order; refused if this is not an object. */
    List<Map.Entry<String, Located>> fields() throws JobFormatException {
        return List.copyOf(byName().entrySet());
    }

    private Map<String, Located> byName() throws JobFormatException {
        if (fields.isEmpty()) {
            throw refused("an object in braces");
        }
        return fields.get();
    }

    /** A field, empty if it is not there; refused if this is not an object. */
    Optional<Located> field(String name) throws JobFormatException {
        return Optional.ofNullable(byName().get(name));
    }

    /** A field that must be there. */
    Located required(String name) throws JobFormatException {
        Optional<Located> found = field(name);
        if (found.isEmpty()) {
            throw refused("no field '" + name + "'", "one");
        }
        return found.get();
    }

    /** The entries of a list; refused if this is not a list. */
    List<Located> entries() throws JobFormatException {
        if (entries.isEmpty()) {
            throw refused("a list in brackets");
        }
        return List.copyOf(entries.get());
    }

    /** The whole number from 0 on; refused if this is something else. */
    int count() throws JobFormatException {
        if (text.isPresent() || !written().matches("\\d{1,9}")) {
            throw refused("a whole number");
        }
        return Integer.parseInt(written());
    }

    /** The text, which may be empty; refused if this is something else. */
    String textOrNothing() throws JobFormatException {
        if (text.isEmpty()) {
            throw refused("a text in quotes");
        }
        return text.get();
    }

    /** The text; refused if this is something else or blank. */
    String text() throws JobFormatException {
        if (textOrNothing().isBlank()) {
            throw refused("some text; what is empty is left out");
        }
        return text.get();
    }
}
