package parable.sizing;

/**
 * Something that sizing rests on.
 *
 * @param key by which it is stated, such as {@code length}
 * @param name what it is called on the page
 * @param value as it is written, such as {@code 25 m}; empty if it is not known and need not be
 * @param origin where it is from
 */
public record Input(String key, String name, String value, Origin origin) {}
