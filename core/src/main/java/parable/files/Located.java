package parable.files;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A value in a JSON file together with where it stands, so that whatever is wrong with it can be told by line and field.
 *
 * @param value the value
 * @param path the path to it as it is told, for example {@code sheets[0].name}
 * @param lines for the path of every value of the file the line on which it begins
 */
record Located(JsonNode value, String path, Map<String, Integer> lines) {

    JobFormatException refused(String found, String expected) {
        return new JobFormatException(line(), path, found, expected);
    }

    JobFormatException refused(String expected) {
        return refused(described(), expected);
    }

    private int line() {
        return lines.getOrDefault(path, 1);
    }

    private String described() {
        if (value.isTextual()) {
            return "'" + value.textValue() + "'";
        }
        if (value.isObject()) {
            return "an object in braces";
        }
        return value.isArray() ? "a list in brackets" : value.toString();
    }

    /** The fields in file order; refused if this is not an object. */
    List<Map.Entry<String, Located>> fields() throws JobFormatException {
        if (!value.isObject()) {
            throw refused("an object in braces");
        }
        List<Map.Entry<String, Located>> fields = new ArrayList<>();
        value.fields()
                .forEachRemaining(field -> fields.add(Map.entry(
                        field.getKey(),
                        new Located(
                                field.getValue(),
                                path.isEmpty() ? field.getKey() : path + "." + field.getKey(),
                                lines))));
        return fields;
    }

    /** A field, empty if it is not there; refused if this is not an object. */
    Optional<Located> field(String name) throws JobFormatException {
        return fields().stream()
                .filter(field -> field.getKey().equals(name))
                .map(Map.Entry::getValue)
                .findFirst();
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
        if (!value.isArray()) {
            throw refused("a list in brackets");
        }
        List<Located> entries = new ArrayList<>();
        for (int i = 0; i < value.size(); i++) {
            entries.add(new Located(value.get(i), path + "[" + i + "]", lines));
        }
        return entries;
    }

    /** The text, which may be empty; refused if this is something else. */
    String textOrNothing() throws JobFormatException {
        if (!value.isTextual()) {
            throw refused("a text in quotes");
        }
        return value.textValue();
    }

    /** The text; refused if this is something else or blank. */
    String text() throws JobFormatException {
        if (!value.isTextual() || value.textValue().isBlank()) {
            throw refused(value.isTextual() ? "some text; what is empty is left out" : "a text in quotes");
        }
        return value.textValue();
    }
}
