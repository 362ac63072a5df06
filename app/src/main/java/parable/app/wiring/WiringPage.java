package parable.app.wiring;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.Tab;
import javafx.scene.control.TabPane;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.job.JobModel;
import parable.app.look.Hint;
import parable.app.look.Look;
import parable.app.look.WhileShown;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.WiringMethod;
import parable.wiring.Wire;

/** What is in the window in the step of wiring: the places under the drawing, and the lists beside it. */
public final class WiringPage {

    private static final double TICK = 50;
    private static final double ROW = 26;

    private final WiringModel model;
    private final PanelView panel;
    private final FlowPane places = new FlowPane(4, 4);
    private final VBox below;
    private final Label summary = new Label();
    private final Label sentence = new Label();
    private final Label details = new Label();
    private final CheckBox strip = new CheckBox("Through a terminal strip on the panel");
    private final TableView<Wire> wires = new TableView<>();
    private final LandingMenu landing;
    private final Button done = new Button("Done, next wire");
    private final TabPane tabs = new TabPane();
    private final VBox beside;
    private boolean wantsKeyboard;

    /** The page of one sheet. */
    public WiringPage(JobModel jobs, WiringModel model, Look look, Supplier<Moment> moment) {
        this.model = model;
        landing = new LandingMenu(model);
        panel = new PanelView(model, look, moment);
        VBox.setVgrow(panel, Priority.ALWAYS);
        places.getStyleClass().add("panel-places");
        below = new VBox(places, panel);
        below.getStyleClass().add("panel-view");
        fillWires();
        offerDone();
        nameLabels();
        tabs.setId("wire-lists");
        tabs.setMinHeight(0);
        VBox.setVgrow(tabs, Priority.ALWAYS);
        beside = new VBox(6, sentence, details, new HBox(6, done, landing), strip, tabs, summary, caution());
        beside.getStyleClass().add("findings");
        model.listsProperty().addListener((any, before, now) -> showLists());
        model.selectedProperty().addListener((any, before, now) -> showWire());
        WhileShown.follow(beside, this::showTicks, jobs.jobProperty());
        showLists();
    }

    private void fillWires() {
        wires.setId("wires");
        wires.setAccessibleText("The wires in the order in which they are made");
        wires.setFixedCellSize(ROW);
        wires.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_ALL_COLUMNS);
        wires.getColumns()
                .setAll(List.of(
                        narrow("Wire", 40, Wire::number),
                        narrow("From", 60, wire -> words(wire.from())),
                        narrow("To", 60, wire -> words(wire.to())),
                        tickColumn(Tick.DONE),
                        tickColumn(Tick.TUGGED),
                        tickColumn(Tick.CHECKED)));
        wires.getSelectionModel().selectedIndexProperty().addListener((any, before, now) -> {
            if (now.intValue() >= 0) {
                model.select(now.intValue());
            }
        });
        wires.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    }

    private void offerDone() {
        done.setId("wire-done");
        Hint.on(done, "Ticks it off and goes to the next that is not made  Space");
        done.setOnAction(event -> model.done());
        strip.setId("wire-strip");
        strip.setOnAction(
                event -> model.wireBy(strip.isSelected() ? WiringMethod.TERMINAL_STRIP : WiringMethod.POINT_TO_POINT));
    }

    private void nameLabels() {
        for (Label one : List.of(summary, sentence, details)) {
            one.setWrapText(true);
            one.setMinHeight(Region.USE_PREF_SIZE);
        }
        sentence.setId("wire-sentence");
        sentence.getStyleClass().add("finding-text");
        summary.setId("wire-summary");
    }

    private static Label caution() {
        Label caution =
                new Label("Before you touch copper: isolate, lock out, tag out, prove dead. Local code decides.");
        caution.setWrapText(true);
        caution.setMinHeight(Region.USE_PREF_SIZE);
        caution.getStyleClass().add("finding-reason");
        return caution;
    }

    /** The places, to stand under the drawing. */
    public Node below() {
        return below;
    }

    /** The lists, to stand beside it. */
    public Node beside() {
        model.look();
        showTicks();
        return beside;
    }

    /** Puts the keyboard on the list. */
    public void takeKeyboard() {
        wantsKeyboard = model.wires().isEmpty();
        wires.requestFocus();
    }

    private void key(KeyEvent event) {
        switch (event.getCode()) {
            case SPACE -> model.done();
            case L -> landing.show();
            case T -> toggle(Tick.TUGGED);
            case C -> toggle(Tick.CHECKED);
            case D -> toggle(Tick.DONE);
            default -> {
                return;
            }
        }
        if (!event.isShortcutDown()) {
            event.consume();
        }
    }

    private void toggle(Tick tick) {
        model.wire().ifPresent(wire -> model.tick(wire, tick, !model.ticks(wire).contains(tick)));
    }

    private void showLists() {
        wires.setItems(FXCollections.observableArrayList(model.wires()));
        places.getChildren().clear();
        panel.views().forEach(view -> {
            ToggleButton button = new ToggleButton(view.place() + (view.side().isMirrored() ? ", behind" : ""));
            button.setOnAction(event -> {
                places.getChildren().forEach(other -> ((ToggleButton) other).setSelected(other == button));
                panel.choose(view);
            });
            button.setFocusTraversable(false);
            places.getChildren().add(button);
        });
        int open = tabs.getSelectionModel().getSelectedIndex();
        tabs.getTabs().setAll(tab("Wires", wires));
        model.listsProperty().get().ifPresent(lists -> tabs.getTabs().addAll(Tables.of(lists)));
        tabs.getSelectionModel().select(Math.max(0, open));
        showWire();
        showTicks();
        if (wantsKeyboard) {
            wantsKeyboard = false;
            Platform.runLater(wires::requestFocus);
        }
    }

    static Tab tab(String words, Node content) {
        Tab tab = new Tab(words, content);
        tab.setClosable(false);
        return tab;
    }

    private void showWire() {
        places.getChildren().forEach(button -> ((ToggleButton) button).setSelected(false));
        sentence.setText(model.wire().map(Wire::words).orElse("This sheet has no wires."));
        details.setText(model.wire().map(WiringPage::details).orElse("") + landing.remark());
        if (wires.getSelectionModel().getSelectedIndex()
                != model.selectedProperty().get()) {
            wires.getSelectionModel().select(model.selectedProperty().get());
            Platform.runLater(
                    () -> wires.scrollTo(Math.max(0, model.selectedProperty().get() - 3)));
        }
    }

    private static String details(Wire wire) {
        String second = wire.seconds().isEmpty()
                ? ""
                : " Second conductor at "
                        + wire.seconds().stream().map(WiringPage::words).collect(Collectors.joining(" and at ")) + ".";
        return String.format(
                        Locale.ROOT,
                        "%s, %s, %.1f m, %s; %s; %s.",
                        wire.conductor().colour(),
                        wire.conductor().size(),
                        wire.metres(),
                        wire.route(),
                        wire.conductor().ferrule().equals("none")
                                ? "no ferrules"
                                : wire.conductor().ferrule() + "s",
                        wire.rung() == 0 ? "power circuit" : "rung " + wire.rung())
                + second;
    }

    private static String words(Terminal terminal) {
        return terminal.tag() + " " + terminal.marking();
    }

    private void showTicks() {
        strip.setSelected(model.method() == WiringMethod.TERMINAL_STRIP);
        done.setDisable(model.wires().isEmpty());
        landing.setDisable(model.wires().isEmpty());
        wires.refresh();
        summary.setText(model.listsProperty()
                .get()
                .map(lists -> String.format(
                        Locale.ROOT,
                        "%d of %d done, %d tugged, %d checked. %.1f m of wire, %.1f m less than always from the first terminal.",
                        model.count(Tick.DONE),
                        model.wires().size(),
                        model.count(Tick.TUGGED),
                        model.count(Tick.CHECKED),
                        lists.wires().metres(),
                        lists.wires().saved()))
                .orElse("Working out the shortest way\u2026"));
    }

    private TableColumn<Wire, Wire> tickColumn(Tick tick) {
        TableColumn<Wire, Wire> column = new TableColumn<>(tick.word());
        column.setCellValueFactory(row -> new ReadOnlyObjectWrapper<>(row.getValue()));
        column.setCellFactory(any -> new TickCell(tick));
        column.setSortable(false);
        column.setMinWidth(TICK);
        column.setMaxWidth(TICK);
        return column;
    }

    /** A box to be ticked. */
    private final class TickCell extends TableCell<Wire, Wire> {

        private final Tick tick;
        private final CheckBox box = new CheckBox();

        TickCell(Tick tick) {
            this.tick = tick;
            setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
            setAlignment(Pos.CENTER);
            box.setFocusTraversable(false);
            box.setOnAction(event -> model.tick(getItem(), tick, box.isSelected()));
        }

        @Override
        protected void updateItem(Wire wire, boolean none) {
            super.updateItem(wire, none);
            setGraphic(none ? null : box);
            if (!none) {
                box.setSelected(model.ticks(wire).contains(tick));
                box.setId("wire-" + getIndex() + "-" + tick.word());
                box.setAccessibleText(tick.word() + ": wire " + wire.number());
            }
        }
    }

    /** A table that is only read. */
    static <T> TableView<T> table(List<T> rows) {
        TableView<T> table = new TableView<>(FXCollections.observableArrayList(rows));
        table.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_ALL_COLUMNS);
        return table;
    }

    static <T> TableColumn<T, String> column(String words, Function<T, String> text) {
        TableColumn<T, String> column = new TableColumn<>(words);
        column.setSortable(false);
        column.setCellValueFactory(row -> new ReadOnlyStringWrapper(text.apply(row.getValue())));
        return column;
    }

    static <T> TableColumn<T, String> narrow(String words, double width, Function<T, String> text) {
        TableColumn<T, String> column = column(words, text);
        column.setMinWidth(width);
        column.setMaxWidth(width);
        return column;
    }
}
