package parable.app.findings;

import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.timing.Refutation;

/** What can be done with what is found on the sheet that is shown. */
public interface FindingsActions {

    /** The sheet that is shown. */
    Assembly assembly();

    /** Begins its proof. */
    void prove();

    /** Begins to try single faults on it. */
    void tryFaults();

    /** Shows on the bench how a claim fails. */
    void replay(Refutation refutation);

    /** Shows a device on the drawing, by its tag. */
    void goTo(String tag);

    /** Goes on with a sheet on which a finding is mended or of which something else is claimed. */
    void mend(Sheet sheet);

    /** Accepts findings. */
    Accepting accepting();
}
