package parable.app.findings;

import java.util.Comparator;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import parable.app.look.ActionButton;
import parable.proof.Claim;
import parable.proof.Proof;
import parable.timing.Refutation;

/** The claims on a sheet with their verdicts, and the button that goes through all states. */
final class ProofView extends VBox {

    private static final int LAST_LINES = 12;

    private final ProofModel model;
    private final Consumer<Refutation> replay;
    private final Label state = new Label();
    private final VBox claims = new VBox(6);
    private final ActionButton prove;
    private final ActionButton cancel;
    private final ChangeListener<Object> changed = (any, before, now) -> show();
    private final WeakChangeListener<Object> showAnew = new WeakChangeListener<>(changed);
    private final ChangeListener<Object> wentOn = (any, before, now) -> tell();
    private final WeakChangeListener<Object> tellAnew = new WeakChangeListener<>(wentOn);

    /**
     * The view.
     *
     * @param start begins the proof of the sheet that is shown
     * @param replay shows on the bench how a claim fails
     */
    ProofView(ProofModel model, Runnable start, Consumer<Refutation> replay) {
        super(6);
        this.model = model;
        this.replay = replay;
        setId("proof");
        prove = new ActionButton("prove", "Explore every state", "Every order of events, however fast (E)", start);
        cancel = new ActionButton("prove-cancel", "Cancel", "Ends it; nothing is proved then", model::cancel);
        state.setId("proof-state");
        state.setWrapText(true);
        getChildren().add(claims);
        model.proofProperty().addListener(showAnew);
        model.provingProperty().addListener(showAnew);
        model.troubleProperty().addListener(showAnew);
        model.tryingProperty().addListener(showAnew);
        model.doneProperty().addListener(tellAnew);
        show();
    }

    /** The button that begins the proof, and how far it is; it stands where it is always seen. */
    VBox controls() {
        return new VBox(4, new HBox(8, prove, cancel), state);
    }

    private void show() {
        boolean proving = model.provingProperty().get();
        prove.setDisable(proving);
        cancel.setVisible(proving || model.tryingProperty().get());
        claims.getChildren().clear();
        tell();
        shown().forEach(claim -> claims.getChildren().add(entry(claim)));
        model.proofProperty().get().filter(proof -> !proof.limits().isEmpty()).ifPresent(proof -> claims.getChildren()
                .add(limits(proof)));
    }

    /** The claims, those first about which something is to be done. */
    private Stream<Claim> shown() {
        return model.proofProperty().get().stream()
                .flatMap(proof -> proof.claims().stream())
                .sorted(Comparator.comparing(ProofView::urgency).thenComparing(Claim::sort));
    }

    /** How the first of the claims that fail does so; empty if none fails. */
    Optional<Refutation> firstFailure() {
        return shown().flatMap(claim -> claim.refutation().stream()).findFirst();
    }

    /** What the proof leaves out, where its verdicts stand. */
    private static VBox limits(Proof proof) {
        VBox limits = new VBox(2, FindingsView.wrapped("What the proof leaves out", "finding-text"));
        limits.getStyleClass().add("finding");
        limits.setId("proof-limits");
        proof.limits().forEach(sentence -> limits.getChildren().add(FindingsView.wrapped(sentence, "finding-reason")));
        return limits;
    }

    /** Says how far it is. */
    private void tell() {
        boolean proving = model.provingProperty().get();
        String trouble = model.troubleProperty().get();
        state.setText(
                !trouble.isEmpty()
                        ? "The proof met something it does not expect and could not be finished: " + trouble
                        : proving
                                ? "Exploring every state\u2026 "
                                        + model.doneProperty().get() + " so far"
                                : model.proofProperty()
                                        .get()
                                        .map(ProofView::words)
                                        .orElse("What the circuit claims has not been proved yet."));
    }

    private static int urgency(Claim claim) {
        return switch (claim.verdict()) {
            case FAILS -> 0;
            case UNFINISHED -> 1;
            case NOT_REACHED -> 2;
            case HOLDS_WITHIN_TIMES -> 3;
            case HOLDS_AT_ANY_SPEED -> 4;
        };
    }

    private static String words(Proof proof) {
        long holding =
                proof.claims().stream().filter(claim -> claim.verdict().holds()).count();
        return proof.states() + " states" + (proof.complete() ? "" : ", not all there are") + ": " + holding + " of "
                + proof.claims().size() + " claims hold.";
    }

    private VBox entry(Claim claim) {
        Label verdict = new Label(
                claim.verdict().holds() && !claim.provided().isEmpty()
                        ? "Holds, if"
                        : claim.verdict().words());
        verdict.getStyleClass().add("severity");
        verdict.pseudoClassStateChanged(
                PseudoClass.getPseudoClass(claim.verdict().word()), true);
        Label sort = new Label(claim.sort().words());
        sort.getStyleClass().add("finding-reason");
        HBox head = new HBox(8, verdict, sort);
        head.setAlignment(Pos.BASELINE_LEFT);
        VBox entry = new VBox(2, head, FindingsView.wrapped(claim.text(), "finding-text"));
        entry.getStyleClass().add("finding");
        claim.provided()
                .forEach(words -> entry.getChildren().add(FindingsView.wrapped("if " + words, "finding-reason")));
        if (!claim.times().isEmpty()) {
            entry.getChildren().add(FindingsView.wrapped("It rests on these times:", "finding-reason"));
            claim.times().forEach(time -> entry.getChildren().add(FindingsView.wrapped(time, "finding-reason")));
        }
        int from = Math.max(0, claim.story().size() - LAST_LINES);
        claim.story().subList(from, claim.story().size()).forEach(line -> entry.getChildren()
                .add(FindingsView.wrapped(line, "finding-reason")));
        claim.refutation().ifPresent(refutation -> entry.getChildren()
                .add(new ActionButton(
                        "replay-" + claim.id().replaceAll("[^A-Za-z0-9]+", "-"),
                        "Replay in slow motion",
                        "Plays it on the bench, to the instant at which it breaks (R: the first)",
                        () -> replay.accept(refutation))));
        entry.setAccessibleText(claim.sort().words() + ", " + claim.verdictWords() + ": " + claim.text());
        return entry;
    }
}
