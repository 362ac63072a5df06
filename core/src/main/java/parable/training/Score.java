package parable.training;

import java.util.List;

/**
 * What came of a task.
 *
 * @param solved whether it was done right
 * @param looks how often something was looked at, measured or asked
 * @param minutes of the panel's time
 * @param wrong what was said or landed wrong before
 * @param inVain parts that were exchanged and were sound
 * @param dangers what could have hurt somebody, a sentence each
 */
public record Score(boolean solved, int looks, double minutes, int wrong, int inVain, List<String> dangers) {

    /** Not modified: the list is copied. */
    public Score {
        dangers = List.copyOf(dangers);
    }

    /** The figures in a sentence. */
    public String words() {
        return counted(looks, "look") + ", " + Math.round(minutes) + " min at the panel, " + wrong + " wrong, "
                + counted(inVain, "part") + " exchanged in vain, " + counted(dangers.size(), "dangerous act") + ".";
    }

    private static String counted(int number, String what) {
        return number + " " + what + (number == 1 ? "" : "s");
    }
}
