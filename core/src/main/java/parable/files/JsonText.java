package parable.files;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonFactoryBuilder;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.core.io.JsonEOFException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads JSON text, within limits on depth and number of values, into a tree whose every value knows its place and how it is written. */
final class JsonText {

    /** No job is deeper; what is in fields of a later version may be a little. */
    private static final int DEEPEST = 50;

    /** Ten times what five thousand rungs with their devices and readings take. */
    private static final int MOST_VALUES = 500_000;

    private static final JsonFactory FACTORY = new JsonFactoryBuilder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxNestingDepth(DEEPEST)
                    .maxNumberLength(100_000)
                    .build())
            .build();

    private final String text;
    private final JsonParser parser;
    private int values;

    private JsonText(String text, JsonParser parser) {
        this.text = text;
        this.parser = parser;
    }

    /**
     * The one value that a text says.
     *
     * @throws JobFormatException if it is not JSON, if anything comes after the value, or if it is deeper or longer than any job
     */
    static Located read(String text) throws JobFormatException {
        try (JsonParser parser = FACTORY.createParser(text)) {
            return new JsonText(text, parser).whole();
        } catch (StreamConstraintsException tooMuch) {
            throw new JobFormatException(
                    line(tooMuch.getLocation()), "", "more than a job can hold: " + plainly(tooMuch), "a job");
        } catch (JsonProcessingException broken) {
            throw new JobFormatException(
                    line(broken.getLocation()), "", "broken JSON: " + plainly(broken), "well-formed JSON");
        } catch (IOException impossible) {
            throw new UncheckedIOException("reading from memory failed", impossible);
        }
    }

    private static int line(JsonLocation location) {
        return location == null ? 1 : Math.max(1, location.getLineNr());
    }

    /** What the parser says, without what only a programmer would want to know. */
    private static String plainly(JsonProcessingException broken) {
        if (broken instanceof JsonEOFException || broken.getOriginalMessage().startsWith("Unexpected end-of-input")) {
            return "the file ends before everything that was begun is closed";
        }
        if (broken.getOriginalMessage().startsWith("Document nesting depth")) {
            return "brackets " + DEEPEST + " deep";
        }
        return broken.getOriginalMessage()
                .replaceAll("\\(\\(CTRL-CHAR, code (\\d+)\\)\\)", "with code $1")
                .replaceAll("\\(('.') \\(code \\d+[^)]*\\)\\)", "$1")
                .replaceAll(" *\\(start marker at .*", "")
                .replaceAll(": only regular white space.*", "")
                .replaceAll(" \\(.*`StreamReadConstraints.*", "");
    }

    private Located whole() throws IOException, JobFormatException {
        if (parser.nextToken() == null) {
            throw new JobFormatException(1, "", "an empty file", "a job");
        }
        Located root = value(Optional.empty(), "");
        if (parser.nextToken() != null) {
            JsonLocation more = parser.currentTokenLocation();
            throw new JobFormatException(
                    line(more),
                    "",
                    "something more at column " + more.getColumnNr() + ", behind the closing brace",
                    "one object and nothing behind it");
        }
        return root;
    }

    /** The value that begins at the present token, which is gone past. */
    private Located value(Optional<Located> parent, String step) throws IOException, JobFormatException {
        int line = parser.currentTokenLocation().getLineNr();
        int begin = (int) parser.currentTokenLocation().getCharOffset();
        if (++values > MOST_VALUES) {
            throw new JobFormatException(line, "", "more than " + MOST_VALUES + " values", "a job");
        }
        JsonToken token = parser.currentToken();
        if (token == JsonToken.START_OBJECT) {
            Map<String, Located> fields = new LinkedHashMap<>();
            Located object = Located.object(parent, step, line, fields);
            while (parser.nextToken() != JsonToken.END_OBJECT) {
                String name = parser.currentName();
                parser.nextToken();
                fields.put(name, value(Optional.of(object), name));
            }
            return object.from(text, begin, end());
        }
        if (token == JsonToken.START_ARRAY) {
            List<Located> entries = new ArrayList<>();
            Located list = Located.list(parent, step, line, entries);
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                entries.add(value(Optional.of(list), "[" + entries.size() + "]"));
            }
            return list.from(text, begin, end());
        }
        if (token == JsonToken.VALUE_STRING) {
            String words = parser.getText();
            return Located.text(parent, step, line, words).from(text, begin, end());
        }
        parser.getText();
        return Located.other(parent, step, line).from(text, begin, end());
    }

    private int end() {
        return (int) parser.currentLocation().getCharOffset();
    }
}
