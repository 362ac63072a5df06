package parable.app.findings;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.look.ActionButton;
import parable.app.look.DirectScroll;
import parable.check.Finding;
import parable.check.Repair;
import parable.circuit.Acceptance;

/** The findings, the worst first, each with its reason and the devices it is about. */
public final class FindingsView extends VBox {

    private final FindingsModel model;
    private final FindingsActions actions;
    private final Accepting accepting;
    private final OwnClaimsView own;
    private final Label heading = new Label();
    private final VBox list = new VBox(8);

    /** Where the answer of the proof was brought into view; whoever scrolls away stays away. */
    private double brought = Double.NaN;

    private final ChangeListener<Object> changed = (any, before, now) -> show();
    private final ChangeListener<Object> proved = (any, before, now) -> Platform.runLater(this::showClaims);
    private final ProofModel proof;
    private final ProofView claims;
    private final DirectScroll scrolled;
    private final WeakChangeListener<Object> showAnew = new WeakChangeListener<>(changed);

    /** The view. */
    public FindingsView(FindingsModel model, ProofModel proof, FindingsActions actions) {
        this.model = model;
        this.proof = proof;
        this.actions = actions;
        accepting = actions.accepting();
        setId("findings");
        getStyleClass().add("findings");
        heading.setId("findings-heading");
        heading.getStyleClass().add("plate-name");
        heading.setWrapText(true);
        claims = new ProofView(proof, actions::prove, actions::replay);
        own = new OwnClaimsView(actions::assembly, actions::mend);
        FaultsView faults = new FaultsView(proof, actions::tryFaults, actions::replay);
        VBox all = new VBox(10, list, own, claims, faults);
        scrolled = new DirectScroll(all);
        scrolled.setFitToWidth(true);
        VBox.setVgrow(scrolled, Priority.ALWAYS);
        Label limits = new Label(
                "The rules read the drawing and try the starter by hand at nominal times; what they do not find"
                        + " is not proved. They advise; local code and licensed practice decide.");
        limits.setWrapText(true);
        limits.setMinHeight(USE_PREF_SIZE);
        limits.getStyleClass().add("limits");
        getChildren().addAll(claims.controls(), faults.controls(), heading, scrolled, limits);
        proof.proofProperty().addListener(new WeakChangeListener<>(proved));
        model.findingsProperty().addListener(showAnew);
        model.checkingProperty().addListener(showAnew);
        model.troubleProperty().addListener(showAnew);
        model.repairsProperty().addListener(showAnew);
        show();
    }

    /** What was proved is the answer to what was asked: it is brought into view. */
    private void showClaims() {
        if (proof.proofProperty().get().isPresent() && getScene() != null) {
            applyCss(); // what is new has no height before
            layout();
            double beyond = ((Region) scrolled.getContent()).getHeight()
                    - scrolled.getViewportBounds().getHeight();
            if (beyond > 0) {
                scrolled.setVvalue(Math.min(1, claims.getBoundsInParent().getMinY() / beyond));
                brought = scrolled.getVvalue();
            }
        }
    }

    /** E explores every state, R replays the first claim that fails; returns whether the key meant something. */
    public boolean key(KeyEvent event) {
        if (event.isShortcutDown()) {
            return false;
        }
        switch (event.getCode()) {
            case E -> {
                if (!proof.provingProperty().get()) {
                    actions.prove();
                }
            }
            case R -> claims.firstFailure().ifPresent(actions::replay);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void show() {
        boolean atClaims = scrolled.getVvalue() == brought;
        own.show();
        List<Finding> findings = model.findingsProperty().get();
        heading.setText(heading(findings));
        list.getChildren()
                .setAll(IntStream.range(0, findings.size())
                        .boxed()
                        .sorted(Comparator.comparing(
                                i -> accepting.of(findings.get(i)).isPresent()))
                        .map(i -> entry(i + 1, findings.get(i)))
                        .toList());
        if (atClaims) {
            showClaims(); // what the rules found meanwhile stands over it
        }
    }

    private String heading(List<Finding> findings) {
        if (!model.troubleProperty().get().isEmpty()) {
            return "The rules met something they do not expect and could not be finished: "
                    + model.troubleProperty().get();
        }
        if (model.checkingProperty().get()) {
            return "Checking\u2026";
        }
        return findings.isEmpty() ? "The rules find nothing." : count(findings);
    }

    private static String count(List<Finding> findings) {
        return findings.size() == 1 ? "The rules find one thing." : "The rules find " + findings.size() + " things.";
    }

    private VBox entry(int number, Finding finding) {
        String severity = finding.severity().word();
        Label word =
                new Label(number + "  " + severity.substring(0, 1).toUpperCase(Locale.ROOT) + severity.substring(1));
        word.getStyleClass().add("severity");
        word.pseudoClassStateChanged(PseudoClass.getPseudoClass(severity), true);
        Label text = wrapped(finding.text(), "finding-text");
        Label reason = wrapped(finding.reason(), "finding-reason");
        Optional<Acceptance> acceptance = accepting.of(finding);
        String place = finding.code() + "-" + String.join("-", finding.where());
        VBox entry = new VBox(2, word, text, reason);
        Optional.ofNullable(model.repairsProperty().get().get(finding))
                .ifPresent(repair -> entry.getChildren().add(repair(place, repair)));
        acceptance.ifPresent(by -> entry.getChildren().add(wrapped(words(by), "finding-text")));
        entry.getChildren().add(where(finding, place, acceptance));
        entry.getStyleClass().add("finding");
        entry.setAccessibleText(severity + ": " + finding.text() + " " + finding.reason());
        return entry;
    }

    /** The devices it is about, and its acceptance given or taken back. */
    private FlowPane where(Finding finding, String place, Optional<Acceptance> acceptance) {
        FlowPane where = new FlowPane(4, 4);
        for (String tag : finding.where()) {
            ActionButton button = new ActionButton(
                    "finding-" + finding.code() + "-" + tag,
                    tag,
                    "Shows " + tag + " on the drawing",
                    () -> actions.goTo(tag));
            button.getStyleClass().add("latch");
            where.getChildren().add(button);
        }
        where.getChildren()
                .add(
                        acceptance.isPresent()
                                ? new ActionButton(
                                        "withdraw-" + place,
                                        "Withdraw",
                                        "Takes the acceptance back",
                                        () -> accepting.withdraw(acceptance.get()))
                                : new ActionButton(
                                        "accept-" + place,
                                        "Accept\u2026",
                                        "Keeps it in the record with a remark and your name",
                                        () -> accepting.accept(finding)));
        return where;
    }

    private VBox repair(String place, Repair repair) {
        ActionButton button = new ActionButton(
                "repair-" + place, "Repair", repair.words() + " Can be undone.", () -> actions.mend(repair.sheet()));
        return new VBox(2, wrapped(repair.words(), "finding-reason"), button);
    }

    private static String words(Acceptance acceptance) {
        return "Accepted by " + acceptance.by() + (acceptance.on().isEmpty() ? "" : " on " + acceptance.on())
                + (acceptance.remark().isEmpty() ? "." : ": " + acceptance.remark());
    }

    static Label wrapped(String words, String style) {
        Label label = new Label(words);
        label.setWrapText(true);
        label.setMinHeight(USE_PREF_SIZE);
        label.getStyleClass().add(style);
        return label;
    }
}
