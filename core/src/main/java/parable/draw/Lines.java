package parable.draw;

import java.util.ArrayList;
import java.util.List;

/** Words broken into lines. */
final class Lines {

    private Lines() {}

    /** The words of a text in lines of at most so many letters; a longer word has a line of its own. An empty text has no lines. */
    static List<String> of(String text, int letters) {
        if (text.isBlank()) {
            return List.of();
        }
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.strip().split("\\s+")) {
            if (line.length() > 0 && line.length() + 1 + word.length() > letters) {
                lines.add(line.toString());
                line.setLength(0);
            }
            line.append(line.length() > 0 ? " " : "").append(word);
        }
        if (line.length() > 0) {
            lines.add(line.toString());
        }
        return lines;
    }
}
