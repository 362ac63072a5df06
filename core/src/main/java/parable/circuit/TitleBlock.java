package parable.circuit;

import java.util.Objects;
import java.util.stream.Stream;

/**
 * What is at the foot of every page beside the names of job and sheet (IEC 61082-1, ISO 7200). What is empty is left free to be written by hand.
 *
 * @param drawing the number of the drawing
 * @param revision the revision of the drawing as the site counts them
 * @param date the date of that revision
 * @param drawn who drew it
 * @param checked who checked it
 */
public record TitleBlock(String drawing, String revision, String date, String drawn, String checked) {

    /** All left free. */
    public static final TitleBlock BLANK = new TitleBlock("", "", "", "", "");

    /** The most letters of one entry; more do not fit into its box. */
    public static final int MOST_LETTERS = 24;

    /** Refuses an entry of more than {@link #MOST_LETTERS} letters. */
    public TitleBlock {
        Stream.of(drawing, revision, date, drawn, checked).forEach(entry -> {
            if (Objects.requireNonNull(entry).length() > MOST_LETTERS) {
                throw new IllegalArgumentException(
                        "title block: '" + entry + "' found, up to " + MOST_LETTERS + " letters expected");
            }
        });
    }
}
