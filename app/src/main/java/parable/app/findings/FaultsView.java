package parable.app.findings;

import java.util.List;
import java.util.function.Consumer;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import parable.app.look.ActionButton;
import parable.proof.FaultRow;
import parable.timing.Refutation;

/** What single faults do, the worst first. The harmless ones are listed when asked for. */
final class FaultsView extends VBox {

    private final ProofModel model;
    private final Button button;
    private final Label state = FindingsView.wrapped("", "finding-reason");
    private final Consumer<Refutation> replay;
    private boolean all;
    private final ChangeListener<Object> changed = (any, before, now) -> show();
    private final WeakChangeListener<Object> showAnew = new WeakChangeListener<>(changed);

    /**
     * The view.
     *
     * @param begin begins to try the faults on the sheet that is shown
     * @param replay shows on the bench what a fault does
     */
    FaultsView(ProofModel model, Runnable begin, Consumer<Refutation> replay) {
        super(6);
        this.model = model;
        this.replay = replay;
        setId("single-faults");
        button = new ActionButton(
                "try-faults", "Try every single fault", "A weld, a broken wire, a stuck button: one at a time", begin);
        state.setId("faults-state");
        model.faultsProperty().addListener(showAnew);
        model.tryingProperty().addListener(showAnew);
        model.doneProperty().addListener(showAnew);
        show();
    }

    /** The button that begins it, and how far it is; they stand where they are always seen. */
    VBox controls() {
        return new VBox(2, button, state);
    }

    private void show() {
        button.setDisable(model.tryingProperty().get());
        state.setText(words());
        getChildren().clear();
        model.faultsProperty().get().ifPresent(this::list);
    }

    private void list(List<FaultRow> rows) {
        List<String> idle = model.idleProperty().get();
        if (!idle.isEmpty()) {
            getChildren()
                    .add(FindingsView.wrapped(
                            "Closed or open for good, nothing differs: " + String.join(", ", idle)
                                    + ". Such a contact is useless, or there for a safety that is not proved.",
                            "finding-text"));
        }
        rows.stream().filter(this::isListed).forEach(row -> getChildren().add(entry(row)));
        if (rows.stream().anyMatch(row -> !isListed(row))) {
            getChildren()
                    .add(new ActionButton("all-faults", "List the harmless ones too", "All that were tried", () -> {
                        all = true;
                        show();
                    }));
        }
    }

    private boolean isListed(FaultRow row) {
        return all || row.isDangerous();
    }

    private String words() {
        if (model.tryingProperty().get()) {
            return "Exploring every state once for each fault\u2026 "
                    + model.doneProperty().get() + " tried so far";
        }
        return model.faultsProperty()
                .get()
                .map(FaultsView::words)
                .orElse("What one weld, a broken wire or a stuck button does has not been tried yet.");
    }

    private static String words(List<FaultRow> rows) {
        long dangerous = rows.stream().filter(FaultRow::isDangerous).count();
        long both =
                rows.stream().filter(row -> row.isDangerous() && row.isHidden()).count();
        return rows.size() + " faults tried, one at a time: " + dangerous + " dangerous, of which " + both
                + " stay hidden in usual operation. Those are found by testing only.";
    }

    private VBox entry(FaultRow row) {
        String danger = row.isDangerous() ? row.isHidden() ? "Hidden and dangerous" : "Dangerous" : "Harmless";
        Label word = new Label(danger);
        word.getStyleClass().add("severity");
        word.pseudoClassStateChanged(PseudoClass.getPseudoClass(row.isDangerous() ? "danger" : "note"), true);
        VBox entry = new VBox(2, word, FindingsView.wrapped(row.fault().words() + ".", "finding-text"));
        row.revealed().ifPresent(how -> entry.getChildren().add(FindingsView.wrapped(how + ".", "finding-reason")));
        if (row.isDangerous()) {
            entry.getChildren()
                    .add(FindingsView.wrapped(
                            "It no longer holds that " + String.join(", that ", row.brokenWords()) + ".",
                            "finding-reason"));
        }
        row.refutation().ifPresent(refutation -> entry.getChildren()
                .add(new ActionButton(
                        "replay-fault",
                        "Replay in slow motion",
                        "Puts the fault in and plays it on the bench",
                        () -> replay.accept(refutation))));
        entry.getStyleClass().add("finding");
        entry.setAccessibleText(danger + ": " + row.fault().words() + ". " + row.words());
        return entry;
    }
}
