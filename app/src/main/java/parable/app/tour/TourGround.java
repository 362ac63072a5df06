package parable.app.tour;

import java.util.Optional;
import javafx.scene.Node;
import parable.app.job.JobStep;
import parable.bench.Condition;
import parable.card.Pick;

/** What the tour sees of the window. */
public interface TourGround {

    /** The sheet of the demo job that it goes over. */
    String SHEET = "Wash pump";

    /** How a device is at the instant that is shown. */
    Condition condition(String tag);

    /** How many faults are in. */
    int faults();

    /** What is selected, nothing in particular if nothing is. */
    Optional<Pick> selected();

    /** The step that is shown. */
    JobStep step();

    /** Whether anything of the job was changed since the tour began and not undone. */
    boolean edited();

    /** Whether the sheet has been explored as it is. */
    boolean proved();

    /** A part of the window by its id, empty if it is not shown. */
    Optional<Node> part(String id);
}
