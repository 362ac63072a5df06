package parable.sizing;

/**
 * Whether a result keeps its limit.
 *
 * @param met whether it does
 * @param words the limit and how the result is to it, as it is read aloud
 */
public record LimitVerdict(boolean met, String words) {}
