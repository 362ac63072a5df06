package parable.app.testing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.job.JobModel;
import parable.app.job.Person;
import parable.app.look.WhileShown;
import parable.circuit.Reading;
import parable.logbook.SignedStep;
import parable.testsheet.LikelyCauses;
import parable.testsheet.StepVerdict;
import parable.testsheet.TestStep;

/** What stands beside the drawing in the step of testing: one step of the test sheet, and the list of all. */
public final class TestingPage {

    private static final double ROW = 26;
    private static final double LIST = 200;

    private final TestingModel model;
    private final Person person;
    private final Label phase = new Label();
    private final Label words = new Label();
    private final Label expected = new Label();
    private final TextField found = new TextField();
    private final TextField remark = new TextField();
    private final TextField by = new TextField();
    private final Label verdict = new Label();
    private final Label causes = new Label();
    private final Label progress = new Label();
    private final TableView<TestStep> list = new TableView<>();
    private final Button sign = new Button("Sign, and enter it in the logbook");
    private final Label lastSigned = new Label();
    private final Supplier<String> signature;
    private final VBox beside;

    /** Enters the signature of a complete test sheet. */
    @FunctionalInterface
    public interface Signing {
        /** With a summary in words, what is worth following, and the sheet itself. */
        void sign(String summary, Map<String, String> readings, List<SignedStep> sheet);
    }

    /**
     * The page of one sheet.
     *
     * @param signed enters the signature
     */
    public TestingPage(JobModel jobs, TestingModel model, Person person, Signing signed, Supplier<String> signature) {
        this.model = model;
        this.person = person;
        this.signature = signature;
        nameLabels();
        askForReading();
        askForName();
        offerToSign(signed);
        fillList();
        beside = new VBox(
                6, phase, words, expected, found, remark, buttons(), verdict, causes, list, progress, sign, lastSigned);
        beside.getStyleClass().add("findings");
        follow(jobs);
        listSteps();
        show();
    }

    private void nameLabels() {
        for (Label one : List.of(phase, words, expected, verdict, causes, progress, lastSigned)) {
            one.setWrapText(true);
            one.setMinHeight(Region.USE_PREF_SIZE);
        }
        words.setId("test-words");
        words.getStyleClass().add("finding-text");
        expected.setId("test-expected");
        verdict.setId("test-verdict");
        verdict.getStyleClass().add("finding-text");
        causes.setId("test-causes");
        phase.getStyleClass().add("finding-reason");
    }

    private void askForReading() {
        found.setId("test-found");
        found.setAccessibleText("What you found");
        found.setPromptText("what you found; nothing typed: as expected");
        found.setOnAction(event -> record());
        found.addEventFilter(KeyEvent.KEY_PRESSED, this::move);
        HBox.setHgrow(found, Priority.ALWAYS);
        remark.setId("test-remark");
        remark.setAccessibleText("Remark");
        remark.setPromptText("remark, needed if a failure is to stay");
        remark.setOnAction(event -> record());
    }

    private void askForName() {
        by.setId("test-by");
        by.setAccessibleText("Who reads it");
        by.setPromptText("your name");
        by.setPrefColumnCount(7);
        by.textProperty().bindBidirectional(person.nameProperty());
        by.setOnAction(event -> found.requestFocus());
    }

    private HBox buttons() {
        Label whose = new Label("By");
        whose.setMinWidth(Region.USE_PREF_SIZE);
        HBox buttons = new HBox(
                6,
                button("test-write", "Write it down", this::record),
                button("test-forget", "Take back", model::forget),
                whose,
                by);
        buttons.setAlignment(Pos.CENTER_LEFT);
        return buttons;
    }

    private static Button button(String id, String words, Runnable action) {
        Button button = new Button(words);
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(event -> action.run());
        return button;
    }

    private void offerToSign(Signing signed) {
        sign.setId("test-sign");
        sign.setOnAction(event -> {
            signed.sign(summary(), model.worthFollowing(), model.toSign());
            showSignature();
        });
        lastSigned.setId("test-signature");
        lastSigned.managedProperty().bind(lastSigned.textProperty().isNotEmpty());
    }

    private void fillList() {
        list.setId("test-steps");
        list.setAccessibleText("The steps of the test sheet");
        list.setFixedCellSize(ROW);
        list.setMinHeight(LIST);
        list.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_ALL_COLUMNS);
        list.getColumns()
                .setAll(List.of(
                        column("", step -> Integer.toString(stepNumber(step)), 40),
                        whatIsRead(),
                        column("Result", step -> model.verdict(step).words(), 96)));
        list.setPlaceholder(new Label("The steps are being worked out\u2026"));
        list.getSelectionModel().selectedIndexProperty().addListener((any, before, now) -> {
            if (now.intValue() >= 0
                    && now.intValue() != model.selectedProperty().get()) {
                model.select(now.intValue());
            }
        });
        VBox.setVgrow(list, Priority.ALWAYS);
    }

    private static TableColumn<TestStep, String> whatIsRead() {
        TableColumn<TestStep, String> what = new TableColumn<>("Read");
        what.setSortable(false);
        what.setCellValueFactory(
                row -> new ReadOnlyStringWrapper(row.getValue().observation().words() + ", "
                        + row.getValue().situation().words()));
        return what;
    }

    private void follow(JobModel jobs) {
        model.stepsProperty().addListener((any, before, now) -> {
            listSteps();
            show();
        });
        model.selectedProperty().addListener((any, before, now) -> show());
        model.causesProperty().addListener((any, before, now) -> showCauses());
        WhileShown.follow(beside, this::showEdited, jobs.jobProperty());
    }

    /** They may have been worked out before anybody came here. */
    private void listSteps() {
        list.setItems(FXCollections.observableArrayList(model.stepsProperty().get()));
    }

    private void showEdited() {
        showVerdict();
        showSignature();
    }

    private int stepNumber(TestStep step) {
        return model.stepsProperty().get().indexOf(step) + 1;
    }

    private static TableColumn<TestStep, String> column(String words, Function<TestStep, String> text, double width) {
        TableColumn<TestStep, String> column = new TableColumn<>(words);
        column.setSortable(false);
        column.setMinWidth(width);
        column.setMaxWidth(width);
        column.setCellValueFactory(row -> new ReadOnlyStringWrapper(text.apply(row.getValue())));
        return column;
    }

    /** The list and the step. */
    public Node beside() {
        model.look();
        showVerdict();
        showSignature();
        return beside;
    }

    private void showSignature() {
        lastSigned.setText(signature.get());
    }

    /** Puts the keyboard where the next thing is typed. */
    public void takeKeyboard() {
        (person.name().isEmpty() ? by : found).requestFocus();
    }

    private void move(KeyEvent event) {
        if (event.getCode() == KeyCode.UP || event.getCode() == KeyCode.DOWN) {
            model.select(model.selectedProperty().get() + (event.getCode() == KeyCode.UP ? -1 : 1));
            event.consume();
        }
    }

    private void record() {
        if (!model.record(found.getText(), remark.getText())) {
            verdict.setText("Say who you are first: your name goes beside what you found.");
            by.requestFocus();
        }
    }

    private void show() {
        Optional<TestStep> step = model.step();
        phase.setText(step.map(one -> one.situation().phase().words() + ". "
                        + one.situation().phase().condition())
                .orElse(""));
        words.setText(
                step.map(one -> stepNumber(one) + ".  " + one.words()).orElse("The steps are being worked out\u2026"));
        expected.setText(step.map(one -> "Expected: " + one.expected().text()).orElse(""));
        Optional<Reading> reading = step.flatMap(one -> model.work().reading(one.id()));
        found.setText(reading.map(Reading::found).orElse(""));
        remark.setText(reading.map(Reading::remark).orElse(""));
        int at = model.selectedProperty().get();
        if (list.getSelectionModel().getSelectedIndex() != at
                && at < list.getItems().size()) {
            list.getSelectionModel().select(at);
            Platform.runLater(() -> list.scrollTo(Math.max(0, at - 2)));
        }
        showVerdict();
        showCauses();
    }

    private void showVerdict() {
        verdict.setText(model.step()
                .map(step -> switch (model.verdict(step)) {
                    case OPEN -> "";
                    case PASS -> "Pass.";
                    case FAIL -> "Fail: mend it and write down what you find then, or say in the remark why it may stay.";
                    case FAIL_WITH_REMARK -> "Fail, with a remark.";
                    case STALE -> "Read it again: the circuit has changed since, and that can touch it. It was read on circuit "
                            + model.work()
                                    .reading(step.id())
                                    .map(Reading::revision)
                                    .filter(revision -> !revision.isEmpty())
                                    .orElse("unknown")
                            + ".";
                })
                .orElse(""));
        list.refresh();
        if (!list.isFocused()) {
            Platform.runLater(
                    () -> list.scrollTo(Math.max(0, model.selectedProperty().get() - 2)));
        }
        progress.setText(summary());
        List<TestStep> left = model.unsigned();
        sign.setDisable(model.stepsProperty().get().isEmpty() || !left.isEmpty());
        sign.setText(
                left.isEmpty()
                        ? "Sign, and enter it in the logbook"
                        : "Cannot be signed: " + left.size() + " steps not passed");
    }

    private String summary() {
        return model.count(StepVerdict.PASS) + " of "
                + model.stepsProperty().get().size() + " steps pass, "
                + model.count(StepVerdict.FAIL_WITH_REMARK) + " fail with a remark, " + model.count(StepVerdict.FAIL)
                + " fail"
                + (model.count(StepVerdict.STALE) == 0
                        ? ""
                        : ", " + model.count(StepVerdict.STALE) + " to be read again")
                + ".";
    }

    private void showCauses() {
        boolean fails = model.step()
                .filter(step ->
                        model.verdict(step) == StepVerdict.FAIL || model.verdict(step) == StepVerdict.FAIL_WITH_REMARK)
                .isPresent();
        causes.setManaged(fails);
        causes.setText(
                !fails
                        ? ""
                        : model.causesProperty()
                                .get()
                                .map(TestingPage::words)
                                .orElse("Looking for what shows this\u2026"));
    }

    private static String words(List<LikelyCauses.Cause> likely) {
        if (likely.isEmpty()) {
            return "No single fault shows this. Read again, or look for two.";
        }
        return "Likely:\n"
                + likely.stream()
                        .map(cause -> cause.fault().words()
                                + (cause.contradicted() == 0
                                        ? ""
                                        : " (but " + cause.contradicted() + " readings speak against it)"))
                        .collect(Collectors.joining("\n"));
    }
}
