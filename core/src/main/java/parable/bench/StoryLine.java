package parable.bench;

import java.util.OptionalInt;

/**
 * One sentence of the story: what happened and what it led to in the same instant.
 *
 * @param time when, in microseconds from the start
 * @param text the sentence
 * @param cause the position in the story of the line that brought it about, empty for what was done from outside
 */
public record StoryLine(long time, String text, OptionalInt cause) {}
