package parable.training;

import java.util.List;

/**
 * The shortest way through a task.
 *
 * @param steps a line each
 * @param minutes how long it takes, 0 for a task that takes no time at a panel
 */
public record BestWay(List<String> steps, double minutes) {

    /** Not modified: the list is copied. */
    public BestWay {
        steps = List.copyOf(steps);
    }

    /** What stands over its steps. */
    public String heading() {
        return "The shortest way" + (minutes > 0 ? ", " + Math.round(minutes) + " min" : "") + ":";
    }
}
