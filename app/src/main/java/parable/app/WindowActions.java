package parable.app;

import java.util.List;
import parable.app.findings.FindingsView;
import parable.check.Finding;
import parable.circuit.Place;
import parable.circuit.Sheet;
import parable.timing.Refutation;

/** What a page of the window asks of the window. */
interface WindowActions {

    /** Tells why a device is on or off at the instant that is looked at. */
    void why(String tag);

    /** Shows on the bench of a sheet, by its name, how a claim fails. */
    void replay(String sheet, Refutation refutation);

    /** Takes a sheet that was made of another. */
    void add(Sheet sheet);

    /** Tells something at the top of the window. */
    void tell(String words);

    /** The view of what is found on the sheet that is shown. */
    FindingsView findings();

    /** Opens the page of questions. */
    void askQuestions();

    /** Whether the step of drawing is shown. */
    boolean isDrawing();

    /** What is found on the sheet that is shown. */
    List<Finding> found();

    /** Selects a place on the drawing of the sheet that is shown, in the step where it can be changed. */
    void goTo(Place place);
}
