package parable.app.finding;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.job.Person;
import parable.app.look.UprightScroll;
import parable.finding.LookResult;
import parable.finding.Proposal;
import parable.finding.Weighed;

/** What is beside the drawing in the step of finding: what the machine does, the next look or what it is, and who is suspected. */
public final class FindPage {

    private static final int MOST_SUSPECTS = 40;
    private static final int FIRST_SUSPECTS = 4;

    private final FindModel model;
    private final Label heading = line("find-heading", "finding-text");
    private final Label state = line("find-state", "finding-reason");
    private final SymptomView symptom;
    private final ProposalView proposal;
    private final VerdictView verdict;
    private final OwnReading own;
    private final VBox first = new VBox(2);
    private final VBox seen = new VBox(4);
    private final VBox all = new VBox(4);
    private final VBox middle = new VBox(8);
    private final ScrollPane finding;
    private final ScrollPane suspects;
    private final Button more = button("find-more", "Tell more of what it does");
    private final Button back = button("find-back", "Take back the last");
    private final Button anew = button("find-anew", "Begin anew");
    private final Button pairs = button("find-pairs", "Look for two faults at once");
    private final CheckBox fresh = new CheckBox("A new panel: it may be wired wrong");
    private boolean telling;
    private boolean wantsKeyboard;

    /** The page of one search. */
    public FindPage(FindModel model, Person person) {
        this.model = model;
        symptom = new SymptomView(model::tellAfter, this::tell);
        proposal = new ProposalView(model);
        verdict = new VerdictView(model, person);
        own = new OwnReading(model);
        more.setOnAction(event -> tellMore());
        back.setOnAction(event -> model.takeBack());
        anew.setOnAction(event -> model.anew());
        pairs.setOnAction(event -> model.withPairs());
        fresh.setId("find-new-panel");
        fresh.setOnAction(event -> model.newPanel(fresh.isSelected()));
        FlowPane buttons = new FlowPane(6, 6, more, back, anew);
        VBox content = new VBox(8, heading, state, middle, first, seen, buttons, fresh);
        finding = scrolled("find-scroll", content);
        suspects = scrolled("suspects-scroll", all);
        model.stateProperty().addListener((any, before, now) -> {
            telling = false;
            show();
            Platform.runLater(this::keepKeyboard);
        });
        model.workingProperty().addListener((any, before, now) -> showWork());
        model.tooLargeProperty().addListener((any, before, now) -> show());
        model.placeProperty().addListener((any, before, now) -> now.ifPresent(this::ask));
        show();
    }

    private void ask(FindState.Standpoint there) {
        if (telling || !begun()) {
            symptom.ask(there.form());
        } else {
            proposal.ask(there.form());
        }
    }

    private static ScrollPane scrolled(String id, VBox content) {
        content.getStyleClass().add("findings");
        ScrollPane scroll = new UprightScroll(content);
        scroll.setId(id);
        return scroll;
    }

    private static Button button(String id, String words) {
        Button button = new Button(words);
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    private static Label line(String id, String style) {
        Label label = new Label();
        label.setId(id);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add(style);
        return label;
    }

    /** What the machine does, and the next look or what it is. */
    public Node finding() {
        return finding;
    }

    /** All suspects. */
    public Node suspects() {
        return suspects;
    }

    /** Where something else that was measured is entered. */
    public Node ownReading() {
        return own;
    }

    /** Somebody pointed at a wire of the drawing. */
    public void pointedAt(String wire) {
        own.put(wire);
    }

    private boolean begun() {
        return model.stateProperty().get().filter(FindState::begun).isPresent();
    }

    private void tell(LookResult result) {
        model.see(result);
    }

    /** To the telling of what else it does, or back from there to the next look. */
    private void tellMore() {
        telling = !telling;
        if (telling) {
            symptom.clear();
            model.stateProperty()
                    .get()
                    .ifPresent(now -> model.tellAfter(now.situations().get(0)));
        } else {
            model.backToLook();
        }
        show();
    }

    private void showWork() {
        boolean working = model.workingProperty().get();
        middle.setDisable(working);
        if (working) {
            state.setText("The faulty machines are being run on the bench\u2026");
        } else {
            show();
        }
    }

    private void show() {
        Optional<FindState> now = model.stateProperty().get();
        now.ifPresent(one -> {
            symptom.offer(one.tellable());
            own.offer(one.situations());
            showSuspects(one);
            seen.getChildren()
                    .setAll(one.search().seen().stream().map(FindPage::seenLine).toList());
        });
        boolean begun = begun();
        for (Node one : List.of(more, back, anew)) {
            one.setVisible(begun || model.hasTold());
            one.setManaged(begun || model.hasTold());
        }
        more.setText(telling ? "Back to the next look" : "Tell more of what it does");
        more.setVisible(begun);
        fresh.setVisible(!begun);
        fresh.setManaged(!begun);
        if (model.tooLargeProperty().get()) {
            heading.setText("This sheet has more than " + FindModel.MOST_RUNGS + " rungs.");
            state.setText("Every fault of it would have to be run on the bench, which takes too long."
                    + " Put the starter that has the trouble on a sheet of its own, with what it depends on.");
            middle.getChildren().clear();
        } else if (now.isEmpty()) {
            heading.setText("The suspects are being looked for\u2026");
            state.setText("");
            middle.getChildren().clear();
        } else if (!begun || telling) {
            heading.setText("What does the machine do?");
            state.setText(
                    begun
                            ? ""
                            : "Tell it from outside: what was done, and what each device does. Then comes the look that tells most for its time.");
            middle.getChildren().setAll(symptom);
        } else {
            showSearch(now.get());
        }
    }

    private void showSearch(FindState now) {
        state.setText(now.fitting() + (now.fitting() == 1 ? " suspect fits" : " suspects fit")
                + " all that was seen, of " + now.ranked().size() + ".");
        if (now.sound()) {
            heading.setText("A sound machine does the same: nothing that was told is wrong.");
            middle.getChildren().clear();
        } else if (now.cannotBe()) {
            heading.setText(
                    model.hasPairs()
                            ? "That cannot be by two faults either: a reading is wrong, or still more is."
                            : "That cannot be by one fault: a reading is wrong, or more than one thing is.");
            pairs.setVisible(!model.hasPairs());
            middle.getChildren().setAll(pairs);
            now.next().ifPresent(next -> middle.getChildren().add(0, proposed(next)));
        } else if (now.next().isPresent()) {
            heading.setText("Look next");
            middle.getChildren().setAll(proposed(now.next().get()));
        } else {
            heading.setText(now.mends().size() == 1 ? "This is it" : "It is one of these");
            verdict.show(now.mends());
            middle.getChildren().setAll(verdict);
        }
    }

    private ProposalView proposed(Proposal next) {
        proposal.show(next);
        return proposal;
    }

    private static Label seenLine(LookResult one) {
        Label label = line("", "finding-reason");
        label.setText("\u2022 " + one.text());
        return label;
    }

    private void showSuspects(FindState now) {
        first.getChildren().clear();
        all.getChildren().clear();
        now.ranked().stream().limit(MOST_SUSPECTS).forEach(one -> all.getChildren()
                .add(suspect(one)));
        if (now.begun() && now.mends().isEmpty() && !now.sound()) {
            now.ranked().stream().limit(FIRST_SUSPECTS).forEach(one -> first.getChildren()
                    .add(suspect(one)));
        }
        if (now.ranked().size() > MOST_SUSPECTS) {
            Label rest = line("suspects-rest", "finding-reason");
            rest.setText("and " + (now.ranked().size() - MOST_SUSPECTS) + " that are less likely");
            all.getChildren().add(rest);
        }
    }

    private static Node suspect(Weighed one) {
        ProgressBar share = new ProgressBar(one.share());
        share.setMinWidth(56);
        share.setMaxWidth(56);
        share.setAccessibleText(percent(one));
        Label words = line("", one.fits() ? "suspect" : "suspect-doubted");
        words.setText(percent(one) + "  " + one.suspect().words()
                + (one.fits() ? "" : "  (" + one.contradicted() + " against it)"));
        HBox row = new HBox(6, share, words);
        row.getStyleClass().add("suspect-row");
        return row;
    }

    private static String percent(Weighed one) {
        return String.format(Locale.ROOT, one.share() < 0.1 ? "%.1f %%" : "%.0f %%", 100 * one.share());
    }

    /** What was answered is gone with the keyboard on it, which goes on where the next answer is given. */
    private void keepKeyboard() {
        boolean shown = finding.getScene() != null;
        if (shown && (begun() || wantsKeyboard) && !(finding.getScene().getFocusOwner() instanceof TextInputControl)) {
            takeKeyboard();
        }
    }

    /** Puts the keyboard where the next thing is done. */
    public void takeKeyboard() {
        wantsKeyboard = middle.getChildren().isEmpty();
        if (middle.getChildren().contains(proposal)) {
            proposal.takeKeyboard();
        } else if (middle.getChildren().contains(verdict)) {
            verdict.takeKeyboard();
        } else {
            symptom.takeKeyboard();
        }
    }
}
