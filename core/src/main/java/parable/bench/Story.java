package parable.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/** The lines of a story, numbered from 0 on. Of a very long one the oldest are forgotten; the others keep their numbers. */
final class Story {

    private static final int MOST = 500_000;
    private static final int MOST_SENTENCES = 20_000;

    private final List<StoryLine> lines = new ArrayList<>();
    private final Map<String, String> sentences = new HashMap<>();
    private int forgotten;

    /** Adds a line and returns its number. */
    int tell(long time, String sentence, OptionalInt cause) {
        if (lines.size() >= MOST) {
            lines.subList(0, MOST / 4).clear();
            forgotten += MOST / 4;
        }
        lines.add(new StoryLine(time, known(sentence), cause));
        return length() - 1;
    }

    /** A circuit that blinks says the same sentences again and again. */
    private String known(String sentence) {
        if (sentences.size() >= MOST_SENTENCES) {
            sentences.clear();
        }
        return sentences.computeIfAbsent(sentence, same -> same);
    }

    /** How many lines there were, the forgotten ones too. */
    int length() {
        return forgotten + lines.size();
    }

    /** How many lines are forgotten. */
    int forgotten() {
        return forgotten;
    }

    /** The lines that are kept; the list cannot be changed. */
    List<StoryLine> lines() {
        return Collections.unmodifiableList(lines);
    }

    /** Forgets all lines from a number on. */
    void cut(int length) {
        lines.subList(Math.max(0, length - forgotten), lines.size()).clear();
    }

    /** Takes over the first lines of another story. */
    void begin(Story other, int length) {
        forgotten = other.forgotten;
        lines.addAll(other.lines.subList(0, Math.max(0, length - forgotten)));
    }
}
