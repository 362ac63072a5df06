package parable;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What a sweep takes in the ordinary tests: a share, always the same one. The long run takes everything; where mutants are tried, each of which meets the
 * tests anew, the shares are so many times smaller as {@code parable.smaller-shares} says.
 */
public final class Share {

    private static final boolean ALL =
            System.getProperty("parable.left-out-tests", "").equals("none");

    private static final int SMALLER = Integer.getInteger("parable.smaller-shares", 1);

    private Share() {}

    /** One of so many, spread evenly over all; the first is among them. */
    public static <T> Stream<T> oneIn(int many, Stream<T> all) {
        List<T> whole = all.toList();
        return IntStream.range(0, whole.size())
                .filter(index -> ALL || index % (many * SMALLER) == 0)
                .mapToObj(whole::get);
    }

    /** How many of so many rounds are tried. */
    public static int oneIn(int many, int rounds) {
        return ALL ? rounds : Math.max(1, rounds / (many * SMALLER));
    }
}
