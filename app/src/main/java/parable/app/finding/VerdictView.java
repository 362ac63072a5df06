package parable.app.finding;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.job.Person;
import parable.finding.Mend;
import parable.testsheet.TestStep;

/** What it is, how it is mended, which tests prove that, and the entry for the record, a stroke each. */
final class VerdictView extends VBox {

    private final FindModel model;
    private final Person person;
    private final Label trouble = line("", "finding-text");

    VerdictView(FindModel model, Person person) {
        super(8);
        this.model = model;
        this.person = person;
        trouble.setId("verdict-trouble");
    }

    private static Label line(String words, String style) {
        Label label = new Label(words);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().add(style);
        return label;
    }

    /** Shows what it came to. */
    void show(List<Mend> mends) {
        trouble.setText("");
        getChildren().clear();
        if (mends.size() > 1) {
            getChildren()
                    .add(line(
                            "It is one of these " + mends.size()
                                    + ". No look that does no harm tells them apart, so mend them in this order.",
                            "finding-reason"));
        }
        for (int i = 0; i < mends.size(); i++) {
            getChildren().add(of(i + 1, mends.get(i)));
        }
        getChildren().add(trouble);
    }

    private VBox of(int number, Mend mend) {
        VBox box = new VBox(4);
        box.getStyleClass().add("verdict");
        Label words = line(mend.suspect().words() + ".", "finding-text");
        words.setId("verdict-" + number);
        box.getChildren().add(words);
        mend.deeds().forEach(deed -> box.getChildren().add(line(deed, "finding-reason")));
        List<CheckBox> ticks = new ArrayList<>();
        if (!mend.proof().isEmpty()) {
            box.getChildren().add(line("Read again once it is mended, and tick what passes:", "finding-reason"));
        }
        for (TestStep step : mend.proof()) {
            CheckBox tick =
                    new CheckBox(step.words() + " Expected: " + step.expected().text());
            tick.setId("proved-" + number + "-" + (ticks.size() + 1));
            tick.setWrapText(true);
            tick.setMinHeight(Region.USE_PREF_SIZE);
            ticks.add(tick);
        }
        box.getChildren().addAll(ticks);
        box.getChildren().add(buttons(number, mend, ticks));
        return box;
    }

    private VBox buttons(int number, Mend mend, List<CheckBox> ticks) {
        Button record = new Button("Into the record");
        record.setId("verdict-record-" + number);
        record.getStyleClass().add("next-act");
        record.setMinWidth(Region.USE_PREF_SIZE);
        record.setOnAction(event -> trouble.setText(model.record(mend, passed(mend, ticks))));
        Button goOn = new Button("Mended, but not all is well");
        goOn.setId("verdict-go-on-" + number);
        goOn.setMinWidth(Region.USE_PREF_SIZE);
        goOn.setOnAction(event -> model.goOnAfter(mend.suspect()));
        TextField by = new TextField();
        by.setId("verdict-by-" + number);
        by.setAccessibleText("Who mended it");
        by.setPromptText("your name");
        by.setPrefColumnCount(8);
        by.textProperty().bindBidirectional(person.nameProperty());
        HBox line = new HBox(6, record, by);
        return new VBox(6, line, goOn);
    }

    private static List<TestStep> passed(Mend mend, List<CheckBox> ticks) {
        List<TestStep> passed = new ArrayList<>();
        for (int i = 0; i < ticks.size(); i++) {
            if (ticks.get(i).isSelected()) {
                passed.add(mend.proof().get(i));
            }
        }
        return passed;
    }

    /** Puts the keyboard on the first thing to do. */
    void takeKeyboard() {
        lookupAll(".check-box").stream().findFirst().ifPresent(node -> node.requestFocus());
    }
}
