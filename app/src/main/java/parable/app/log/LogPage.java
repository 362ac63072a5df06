package parable.app.log;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.chart.CategoryAxis;
import javafx.scene.chart.LineChart;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.job.Person;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;
import parable.logbook.TypedReadings;

/** What is in the window in the step of the record: the entries and a reading over time in the middle, a new entry beside them. */
public final class LogPage {

    private static final int LINES = 5;

    private final LogModel model;
    private final TextField search = new TextField();
    private final TableView<LogEntry> entries = new TableView<>();
    private final ChoiceBox<String> reading = new ChoiceBox<>();
    private final LineChart<String, Number> plot = new LineChart<>(new CategoryAxis(), new NumberAxis());
    private final Label whole = new Label();
    private final Label state = new Label();
    private final ChoiceBox<String> kind = new ChoiceBox<>();
    private final TextArea text = new TextArea();
    private final TextField readings = new TextField();
    private final TextField by = new TextField();
    private final Button correct = new Button("Correct the selected entry");
    private final SplitPane centre = new SplitPane();
    private final VBox trend;
    private final SignedSheetTable signed = new SignedSheetTable();
    private final VBox beside;

    /** The page of one sheet. */
    public LogPage(LogModel model, Person person) {
        this.model = model;
        trend = overTime();
        centre.setOrientation(Orientation.VERTICAL);
        centre.getItems().setAll(listed(), trend);
        centre.setDividerPositions(0.55);
        chooseKind();
        askForEntry(person);
        showState();
        beside = new VBox(8, heading(), kind, text, readings, by, new HBox(8, enterIt(), correct), state, rule());
        beside.getStyleClass().add("findings");
        model.logbookProperty().addListener((any, before, now) -> show());
        show();
    }

    /** The entries, with what is searched in them and the selected one in full. */
    private VBox listed() {
        search.setId("log-search");
        search.setAccessibleText("Search the entries");
        search.setPromptText("search: words, names, dates, a circuit");
        search.textProperty().addListener((any, before, now) -> showEntries());
        fillEntries();
        whole.setWrapText(true);
        VBox.setVgrow(entries, Priority.ALWAYS);
        VBox list = new VBox(6, search, entries, whole);
        list.getStyleClass().add("log-list");
        return list;
    }

    private void fillEntries() {
        entries.setId("log-entries");
        entries.setAccessibleText("The entries of the record");
        entries.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_ALL_COLUMNS);
        entries.getColumns()
                .setAll(List.of(
                        column("No.", 40, entry -> Integer.toString(entry.number())),
                        column("When", 170, entry -> entry.on().replace('T', ' ')),
                        column("Who", 110, LogEntry::by),
                        column(
                                "What",
                                110,
                                entry -> entry.kind().words()
                                        + (entry.corrects() == 0 ? "" : " of " + entry.corrects())),
                        column("Words and readings", 0, LogPage::words),
                        column("Circuit", 110, LogEntry::revision)));
        entries.setPlaceholder(new Label("No entries. Write the first one at the right."));
        entries.getSelectionModel().selectedItemProperty().addListener((any, before, now) -> {
            whole.setText(now == null ? "" : words(now));
            correct.setDisable(now == null);
            showSigned(Optional.ofNullable(now).filter(entry -> !entry.signed().isEmpty()));
        });
    }

    /** A reading over time. */
    private VBox overTime() {
        reading.setId("log-reading");
        reading.setAccessibleText("Which reading is shown over time");
        reading.setOnAction(event -> showTrend());
        plot.setId("log-plot");
        plot.setAnimated(false);
        plot.setLegendVisible(false);
        VBox.setVgrow(plot, Priority.ALWAYS);
        HBox over = new HBox(8, new Label("A reading over time (entries with a number)"), reading);
        VBox box = new VBox(4, over, plot);
        box.getStyleClass().add("log-list");
        return box;
    }

    private void chooseKind() {
        for (LogEntry.Kind one : LogEntry.Kind.values()) {
            if (one.isByHand()) {
                kind.getItems().add(one.words());
            }
        }
        kind.setId("log-kind");
        kind.setAccessibleText("Kind of entry");
        kind.setValue(LogEntry.Kind.REMARK.words());
    }

    private void askForEntry(Person person) {
        text.setId("log-text");
        text.setAccessibleText("What happened");
        text.setPromptText("what was found, done, changed");
        text.setWrapText(true);
        text.setPrefRowCount(LINES);
        readings.setId("log-readings");
        readings.setAccessibleText("Readings");
        readings.setPromptText("readings: current U1 = 3.8 A; start time = 1.2 s");
        by.setId("log-by");
        by.setAccessibleText("Who writes it");
        by.setPromptText("your name");
        by.textProperty().bindBidirectional(person.nameProperty());
        correct.setId("log-correct");
        correct.setDisable(true);
        correct.setOnAction(event -> enter(
                LogEntry.Kind.CORRECTION,
                entries.getSelectionModel().getSelectedItem().number()));
    }

    private Button enterIt() {
        Button enter = new Button("Enter it");
        enter.setId("log-enter");
        enter.setOnAction(event -> enter(LogEntry.Kind.ofWords(kind.getValue()), 0));
        return enter;
    }

    private void showState() {
        state.setId("log-state");
        state.setWrapText(true);
        state.setMinHeight(Region.USE_PREF_SIZE);
        state.getStyleClass().add("finding-text");
        state.textProperty().bind(model.stateProperty());
    }

    private static Label heading() {
        Label heading = new Label("New entry");
        heading.getStyleClass().add("plate-name");
        return heading;
    }

    private static Label rule() {
        Label rule =
                new Label("Nothing is changed or taken out again. What was wrong is corrected by a further entry.");
        rule.setWrapText(true);
        rule.getStyleClass().add("finding-reason");
        return rule;
    }

    private static TableColumn<LogEntry, String> column(String words, double width, Function<LogEntry, String> text) {
        TableColumn<LogEntry, String> column = new TableColumn<>(words);
        column.setSortable(false);
        if (width > 0) {
            column.setMinWidth(width);
            column.setMaxWidth(width);
        }
        column.setCellValueFactory(row -> new ReadOnlyStringWrapper(text.apply(row.getValue())));
        return column;
    }

    private static String words(LogEntry entry) {
        String read = entry.readings().entrySet().stream()
                .map(one -> one.getKey() + " " + one.getValue())
                .collect(Collectors.joining("; "));
        return entry.text() + (entry.text().isEmpty() || read.isEmpty() ? "" : "  ") + read;
    }

    /** The entries and the plot. */
    public Node centre() {
        model.look();
        return centre;
    }

    /** The new entry. */
    public Node beside() {
        return beside;
    }

    /** Puts the keyboard on the new entry. */
    public void takeKeyboard() {
        text.requestFocus();
    }

    private void enter(LogEntry.Kind what, int corrects) {
        if (model.enter(what, text.getText(), TypedReadings.read(readings.getText()), corrects)) {
            text.clear();
            readings.clear();
        }
    }

    private void show() {
        showEntries();
        Logbook logbook = model.logbookProperty().get();
        String chosen = reading.getValue();
        reading.getItems().setAll(logbook.readable(model.machine()));
        reading.setValue(
                reading.getItems().contains(chosen)
                        ? chosen
                        : reading.getItems().stream().findFirst().orElse(null));
        showTrend();
    }

    private void showEntries() {
        entries.setItems(FXCollections.observableArrayList(
                model.logbookProperty().get().find(model.machine(), search.getText())));
        entries.scrollTo(Math.max(0, entries.getItems().size() - 1));
    }

    /** In the place of the plot, a test sheet as it was signed. */
    private void showSigned(Optional<LogEntry> signature) {
        signature.ifPresent(entry -> signed.show(entry, model.verified(entry)));
        double[] dividers = centre.getDividerPositions();
        centre.getItems().set(1, signature.isPresent() ? signed : trend);
        centre.setDividerPositions(dividers);
    }

    private void showTrend() {
        plot.getData().clear();
        plot.setVisible(reading.getValue() != null);
        if (plot.isVisible()) {
            XYChart.Series<String, Number> series = new XYChart.Series<>();
            model.logbookProperty()
                    .get()
                    .trend(model.machine(), reading.getValue())
                    .forEach(point -> series.getData()
                            .add(new XYChart.Data<>(
                                    point.number() + ": "
                                            + point.on()
                                                    .substring(
                                                            0,
                                                            Math.min(
                                                                    10,
                                                                    point.on().length())),
                                    point.value())));
            plot.getData().add(series);
        }
    }
}
