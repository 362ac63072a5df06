package parable.draw;

import java.util.List;

/** A remark set in lines of about the same length. */
final class Remark {

    private static final int LINE = 16;
    private static final double SIGN = 6;

    private Remark() {}

    /** The lines of a remark, none if it is empty; a word longer than a line has one of its own. */
    static List<String> lines(String remark) {
        return Lines.of(remark, LINE);
    }

    /** About how wide a line is, in drawing units. */
    static double width(String line) {
        return SIGN * line.length();
    }
}
