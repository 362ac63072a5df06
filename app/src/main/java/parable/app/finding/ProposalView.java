package parable.app.finding;

import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.finding.Proposal;
import parable.finding.SymptomForm;
import parable.testsheet.Glimpse;

/** The next look: what to do, why, what it may show as buttons, and a field for anything else. */
final class ProposalView extends VBox {

    private static final int MOST_SHOWN = 6;

    /** What more devices do is told device by device. */
    private static final int MOST_TOGETHER = 3;

    private final FindModel model;
    private final Label words = label("next-words", "finding-text");
    private final Label dead = label("next-dead", "caution");
    private final Label why = label("next-why", "finding-reason");
    private final VBox shows = new VBox(6);
    private final SymptomView devices;
    private final TextField other = new TextField();
    private final Label trouble = label("next-trouble", "finding-text");
    private Optional<Proposal> shown = Optional.empty();

    ProposalView(FindModel model) {
        super(6);
        this.model = model;
        devices = new SymptomView(situation -> {}, model::see);
        devices.withoutDeeds();
        dead.setText("Switch off, lock, and prove it dead with a tester that was tried before and is tried after.");
        other.setId("next-other");
        other.setAccessibleText("What was found, if none of these");
        other.setPromptText("or what else you found");
        other.setOnAction(event -> answer(other.getText()));
        HBox.setHgrow(other, Priority.ALWAYS);
        Button skip = new Button("Cannot be done");
        skip.setId("next-skip");
        skip.setMinWidth(Region.USE_PREF_SIZE);
        skip.setOnAction(event -> shown.ifPresent(proposal -> model.skip(proposal.look())));
        HBox line = new HBox(6, other, skip);
        line.setAlignment(Pos.CENTER_LEFT);
        dead.managedProperty().bind(dead.visibleProperty());
        trouble.managedProperty().bind(trouble.textProperty().isNotEmpty());
        getChildren().addAll(words, dead, shows, line, trouble, why);
    }

    private static Label label(String id, String style) {
        Label label = new Label();
        label.setId(id);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add(style);
        return label;
    }

    private void answer(String found) {
        shown.ifPresent(proposal -> trouble.setText(model.answer(proposal.look(), found.strip())));
    }

    /** Shows a look. */
    void show(Proposal proposal) {
        shown = Optional.of(proposal);
        words.setText(proposal.look().words());
        dead.setVisible(proposal.look().isDead());
        why.setText(proposal.why());
        other.clear();
        trouble.setText("");
        shows.getChildren().clear();
        boolean many = proposal.look().observation() instanceof Glimpse sight
                && sight.tags().size() > MOST_TOGETHER;
        other.setVisible(!many);
        other.setManaged(!many);
        if (many) {
            devices.clear();
            shows.getChildren().add(devices);
            return;
        }
        proposal.shows().stream().limit(MOST_SHOWN).forEach(this::add);
        if (proposal.shows().size() > MOST_SHOWN) {
            Label more = new Label("or one of " + (proposal.shows().size() - MOST_SHOWN) + " rarer ones");
            more.getStyleClass().add("finding-reason");
            shows.getChildren().add(more);
        }
    }

    private void add(Proposal.Show show) {
        int number = shows.getChildren().size() + 1;
        Label means = label("means-" + number, "finding-reason");
        means.setText(String.format(Locale.ROOT, "%.0f %%: %s", 100 * show.share(), show.means()));
        Button button = new Button(show.found());
        button.setId("answer-" + number);
        button.setWrapText(true);
        button.setMinHeight(Region.USE_PREF_SIZE);
        button.setAccessibleText("Found: " + show.found());
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAlignment(Pos.CENTER_LEFT);
        button.getStyleClass().add("answer");
        button.setOnAction(event -> answer(show.found()));
        shows.getChildren().add(new VBox(2, button, means));
    }

    /** Asks what each device does, where the look is at many. */
    void ask(SymptomForm form) {
        shown.filter(proposal -> proposal.look().situation().equals(form.situation())
                        && proposal.look().observation() instanceof Glimpse)
                .ifPresent(proposal ->
                        devices.ask(form.only(((Glimpse) proposal.look().observation()).tags())));
        if (getScene() != null && getScene().getFocusOwner() == null) {
            takeKeyboard();
        }
    }

    /** Puts the keyboard on the first answer. */
    void takeKeyboard() {
        Node first =
                shows.getChildren().contains(devices) ? devices.lookup(".symptom-choice") : shows.lookup("#answer-1");
        Optional.ofNullable(first).ifPresent(Node::requestFocus);
    }
}
