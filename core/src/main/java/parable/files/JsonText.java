package parable.files;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonPointer;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.io.JsonEOFException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.Map;

/** Reads JSON text into a tree whose every value knows its line. */
final class JsonText {

    private static final ObjectMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    private JsonText() {}

    static Located read(String text) throws JobFormatException {
        try {
            Map<String, Integer> lines = lines(text);
            JsonNode tree = MAPPER.readTree(text);
            return new Located(tree, "", lines);
        } catch (JsonProcessingException broken) {
            int line = broken.getLocation() == null ? 1 : broken.getLocation().getLineNr();
            throw new JobFormatException(line, "", "broken JSON: " + plainly(broken), "well-formed JSON");
        } catch (IOException impossible) {
            throw new UncheckedIOException("reading from memory failed", impossible);
        }
    }

    /** What the parser says, without what only a programmer would want to know. */
    private static String plainly(JsonProcessingException broken) {
        if (broken instanceof JsonEOFException || broken.getOriginalMessage().startsWith("Unexpected end-of-input")) {
            return "the file ends before everything that was begun is closed";
        }
        return broken.getOriginalMessage()
                .replaceAll("\\(\\(CTRL-CHAR, code (\\d+)\\)\\)", "with code $1")
                .replaceAll("\\(('.') \\(code \\d+[^)]*\\)\\)", "$1")
                .replaceAll(" *\\(start marker at .*", "")
                .replaceAll(": only regular white space.*", "");
    }

    private static Map<String, Integer> lines(String text) throws IOException {
        Map<String, Integer> lines = new HashMap<>();
        try (JsonParser parser = MAPPER.createParser(text)) {
            for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                if (!token.isStructEnd() && token != JsonToken.FIELD_NAME) {
                    lines.putIfAbsent(
                            path(parser.getParsingContext().pathAsPointer()),
                            parser.currentTokenLocation().getLineNr());
                }
            }
        }
        return lines;
    }

    private static String path(JsonPointer pointer) {
        StringBuilder path = new StringBuilder();
        for (JsonPointer at = pointer; !at.matches(); at = at.tail()) {
            if (at.mayMatchElement()) {
                path.append('[').append(at.getMatchingIndex()).append(']');
            } else {
                path.append(path.isEmpty() ? "" : ".").append(at.getMatchingProperty());
            }
        }
        return path.toString();
    }
}
