package parable.draw;

import java.util.ArrayList;
import java.util.List;

/** A remark set in lines of about the same length. */
final class Remark {

    private static final int LINE = 16;
    private static final double SIGN = 6;

    private Remark() {}

    /** The lines of a remark, none if it is empty; a word longer than a line stands on one of its own. */
    static List<String> lines(String remark) {
        if (remark.isBlank()) {
            return List.of();
        }
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : remark.strip().split("\\s+")) {
            if (line.length() > 0 && line.length() + 1 + word.length() > LINE) {
                lines.add(line.toString());
                line.setLength(0);
            }
            line.append(line.length() == 0 ? "" : " ").append(word);
        }
        if (line.length() > 0) {
            lines.add(line.toString());
        }
        return lines;
    }

    /** About how wide a line is, in drawing units. */
    static double width(String line) {
        return SIGN * line.length();
    }
}
