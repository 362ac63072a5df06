package parable.parts;

/**
 * What makes a breaker or a fuse open by itself. Of several in the way of a short circuit those of the lowest rating go.
 *
 * @param amperes the rated current in A, above 0
 */
public record Protection(double amperes) {}
