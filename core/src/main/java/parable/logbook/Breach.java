package parable.logbook;

/**
 * Where a logbook is not as it was made.
 *
 * @param line the first line that is not, from 1 on; one more than there are if lines are missing at the end
 * @param words what is wrong there, a sentence
 * @param missing the seal that ought to be there and is not, empty if that is not what is wrong
 */
public record Breach(int line, String words, String missing) {}
