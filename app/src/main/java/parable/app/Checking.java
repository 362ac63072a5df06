package parable.app;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.value.ObservableStringValue;
import parable.app.findings.Accepting;
import parable.app.findings.FindingsActions;
import parable.app.findings.FindingsModel;
import parable.app.findings.FindingsView;
import parable.app.findings.ProofModel;
import parable.app.job.JobModel;
import parable.check.Finding;
import parable.check.Severity;
import parable.circuit.Conventions;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.proof.Proof;
import parable.timing.Refutation;

/** What is found on the sheet that is shown, and what is proved of it. The rules look again whenever the sheet has changed. */
final class Checking implements FindingsActions {

    private final JobModel jobs;
    private final Accepting accepting;
    private final Supplier<Assembly> shown;
    private final Consumer<Refutation> replay;
    private final Consumer<String> goTo;
    private final FindingsModel findings = new FindingsModel();
    private final ProofModel proof = new ProofModel();
    private Optional<Checked> checked = Optional.empty();

    /** What the rules have looked at. */
    private record Checked(Sheet sheet, Conventions conventions) {}

    /**
     * Nothing is found yet.
     *
     * @param shown gives the sheet that is shown
     * @param replay shows on the bench how a claim fails
     * @param goTo shows a device on the drawing
     */
    Checking(
            JobModel jobs,
            Accepting accepting,
            Supplier<Assembly> shown,
            Consumer<Refutation> replay,
            Consumer<String> goTo) {
        this.jobs = jobs;
        this.accepting = accepting;
        this.shown = shown;
        this.replay = replay;
        this.goTo = goTo;
    }

    /** Lets the rules look at the sheet, if they have not already. What was done at the panel by it is no matter of theirs. */
    void check() {
        Sheet drawn = shown.get().sheet();
        Sheet sheet = drawn.withFieldwork(drawn.fieldwork().undone());
        Checked now = new Checked(sheet, jobs.jobProperty().get().conventions());
        if (checked.filter(now::equals).isPresent()) {
            return;
        }
        if (checked.filter(before -> before.sheet.name().equals(sheet.name())).isEmpty()) {
            findings.forget();
        }
        if (checked.filter(before -> before.sheet.equals(sheet)).isEmpty()) {
            proof.forget();
        }
        checked = Optional.of(now);
        findings.check(shown.get(), now.conventions);
    }

    /** Forgets all of it, and ends what is under way. */
    void forget() {
        findings.forget();
        proof.forget();
        checked = Optional.empty();
    }

    /** What is found. */
    ReadOnlyObjectProperty<List<Finding>> findingsProperty() {
        return findings.findingsProperty();
    }

    /** Whether every state of the sheet that is shown has been explored. */
    boolean isProved() {
        return proof.proofProperty().get().isPresent();
    }

    /** How far the step of checking is, in a word or two. */
    ObservableStringValue state() {
        return Bindings.createStringBinding(
                this::words,
                findings.findingsProperty(),
                findings.checkingProperty(),
                proof.proofProperty(),
                proof.provingProperty());
    }

    private String words() {
        List<Finding> open = findings.findingsProperty().get().stream()
                .filter(finding -> accepting.of(finding).isEmpty())
                .toList();
        if (proof.provingProperty().get()) {
            return "proving\u2026";
        }
        if (!open.isEmpty()) {
            Severity worst = open.stream()
                    .map(Finding::severity)
                    .min(Comparator.naturalOrder())
                    .orElseThrow();
            long many =
                    open.stream().filter(finding -> finding.severity() == worst).count();
            return many + " " + worst.word() + (many == 1 ? "" : "s");
        }
        if (findings.checkingProperty().get()) {
            return "looking\u2026";
        }
        return proof.proofProperty()
                .get()
                .filter(Proof::complete)
                .map(found -> found.claims().stream()
                                .allMatch(claim -> claim.verdict().holds())
                        ? "proved"
                        : "not proved")
                .orElse("clear");
    }

    /** A view of all of it. */
    FindingsView view() {
        return new FindingsView(findings, proof, this);
    }

    @Override
    public Assembly assembly() {
        return shown.get();
    }

    @Override
    public void prove() {
        proof.prove(shown.get());
    }

    @Override
    public void tryFaults() {
        proof.tryFaults(shown.get());
    }

    @Override
    public void replay(Refutation refutation) {
        replay.accept(refutation);
    }

    @Override
    public void goTo(String tag) {
        goTo.accept(tag);
    }

    @Override
    public void mend(Sheet sheet) {
        jobs.edit(sheet);
    }

    @Override
    public Accepting accepting() {
        return accepting;
    }
}
