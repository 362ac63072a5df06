package parable.app.findings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import parable.app.InterfaceThread;
import parable.check.Check;
import parable.check.Finding;
import parable.circuit.Conventions;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.proof.FaultRow;
import parable.proof.Proof;
import parable.starters.Library;

/** What the findings and the proof of the window come to, against the same asked of the core. */
class ModelsTest {

    private static final Conventions IEC = Conventions.of(Practice.IEC);

    @BeforeAll
    static void start() throws Exception {
        InterfaceThread.start();
    }

    private static Assembly sheet(String name) throws PartException {
        return Assembly.of(Library.jobs().stream()
                .flatMap(job -> job.sheet(name).stream())
                .findFirst()
                .orElseThrow());
    }

    private static void checked(FindingsModel model, Assembly assembly) throws Exception {
        InterfaceThread.run(() -> model.check(assembly, IEC));
        InterfaceThread.until(() -> !model.checkingProperty().get());
    }

    @Test
    void theFindingsAreThoseOfTheRulesAlsoTheSecondTime() throws Exception {
        FindingsModel model = new FindingsModel();
        Assembly missing = sheet("Missing seal-in");
        List<Finding> expected = Check.of(missing, IEC.colours());

        checked(model, missing);
        assertThat(model.findingsProperty().get()).isEqualTo(expected).isNotEmpty();
        InterfaceThread.until(() -> !model.repairsProperty().get().isEmpty());
        var repairs = model.repairsProperty().get();

        checked(model, sheet("No interlock"));
        assertThat(model.findingsProperty().get()).isEqualTo(Check.of(sheet("No interlock"), IEC.colours()));
        FindingsModel another = new FindingsModel();
        checked(another, sheet("Missing seal-in"));
        assertThat(another.findingsProperty().get()).isEqualTo(expected);
        InterfaceThread.until(() -> another.repairsProperty().get().equals(repairs));
    }

    @Test
    void onlyTheSheetAskedForLastCounts() throws Exception {
        FindingsModel model = new FindingsModel();
        Assembly first = sheet("Stops in parallel");
        Assembly last = sheet("Overload not wired in");
        InterfaceThread.run(() -> {
            model.check(first, IEC);
            model.check(last, IEC);
        });
        InterfaceThread.until(() -> !model.checkingProperty().get());

        assertThat(model.findingsProperty().get()).isEqualTo(Check.of(last, IEC.colours()));
        InterfaceThread.run(model::forget);
        assertThat(model.findingsProperty().get()).isEmpty();
    }

    @Test
    void aProofIsThatOfTheCoreAndIsForgottenWithItsSheet() throws Exception {
        ProofModel model = new ProofModel();
        Assembly pump = sheet("Fan");
        InterfaceThread.run(() -> model.prove(pump));
        InterfaceThread.until(() -> model.proofProperty().get().isPresent());
        Proof expected = Proof.of(pump, Proof.Timing.WITHIN_TIMES, states -> false);

        assertThat(model.proofProperty().get().orElseThrow().claims()).isEqualTo(expected.claims());
        assertThat(model.provingProperty().get()).isFalse();
        InterfaceThread.run(model::forget);
        assertThat(model.proofProperty().get()).isEmpty();
    }

    @Test
    void whatIsCancelledShowsNothingMore() throws Exception {
        ProofModel model = new ProofModel();
        Assembly mill = sheet("Mill");
        InterfaceThread.run(() -> {
            model.prove(mill);
            assertThat(model.provingProperty().get()).isTrue();
            model.cancel();
            assertThat(model.provingProperty().get()).isFalse();
        });
        Assembly fan = sheet("Fan");
        InterfaceThread.run(() -> model.tryFaults(fan));
        InterfaceThread.until(() -> model.faultsProperty().get().isPresent());

        assertThat(model.proofProperty().get()).as("the cancelled one").isEmpty();
        assertThat(model.faultsProperty().get().orElseThrow())
                .extracting(FaultRow::fault)
                .isNotEmpty()
                .doesNotHaveDuplicates();
    }
}
