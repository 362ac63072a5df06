package parable.app.findings;

import java.util.Optional;
import parable.check.Finding;
import parable.circuit.Acceptance;

/** Accepts findings on the sheet that is shown, for the record. */
public interface Accepting {

    /** What accepts a finding, empty if nobody has. */
    Optional<Acceptance> of(Finding finding);

    /** Asks why and by whom, and accepts it. */
    void accept(Finding finding);

    /** Takes an acceptance back. */
    void withdraw(Acceptance acceptance);
}
