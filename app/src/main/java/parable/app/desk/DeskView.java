package parable.app.desk;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.job.JobModel;
import parable.app.look.Hint;
import parable.app.look.WhileShown;
import parable.circuit.Job;
import parable.desk.DeskPreview;
import parable.desk.DeskStroke;
import parable.desk.PowerCircuit;
import parable.drafting.Completion;
import parable.parts.Assembly;
import parable.parts.Catalogue;
import parable.parts.Family;
import parable.parts.PartKind;

/** The desk beside the drawing: what to do with what is selected, the line to type in, and the devices to choose from. */
public final class DeskView extends VBox {

    private static final int MOST_COMPLETIONS = 6;
    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

    private final DeskModel desk;
    private final Label selected = new Label();
    private final Label preview = new Label();
    private final TextField line = new TextField();
    private final FlowPane completions = new FlowPane(4, 4);
    private List<Completion> offered = List.of();
    private final FlowPane power = new FlowPane(4, 4);
    private final List<ToggleButton> strokes = new ArrayList<>();

    /**
     * The desk of a sheet of these jobs.
     *
     * @param assembly the sheet, fitted out
     */
    public DeskView(JobModel jobs, DeskModel desk, ReadOnlyObjectProperty<Assembly> assembly) {
        this.desk = desk;
        setId("desk");
        getStyleClass().add("desk");
        writeLine();
        completions.setId("completions");
        completions.setPrefWrapLength(340);
        preview.setId("preview");
        preview.setWrapText(true);
        preview.getStyleClass().add("preview");
        DeviceList devices = new DeviceList(desk, assembly, this::choose, preview::setText);
        VBox.setVgrow(devices, Priority.ALWAYS);
        HBox heading = new HBox(8, heading("Devices"), newDevice());
        heading.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(selected, actions(), line, completions, preview, power, heading, devices);
        selected.setId("selected");
        selected.getStyleClass().add("plate-name");
        offerPower();
        follow(jobs);
        show();
    }

    /** What is done with the line, and with what is selected. */
    private FlowPane actions() {
        FlowPane actions = new FlowPane(4, 4);
        for (DeskStroke stroke : DeskStroke.values()) {
            actions.getChildren().add(strokeButton(stroke));
        }
        actions.getChildren()
                .addAll(
                        action("take", "Take away", "Delete", desk::take),
                        action("invert", "Open \u2194 closed", "Ctrl+6", desk::invert),
                        action("copy-rung", "Rung like this", "Ctrl+7", this::copyRung),
                        action("next-of-device", "Its next place", "Ctrl+J", desk.selection()::nextOfDevice),
                        action("undo", "Undo", "Ctrl+Z", desk::undo),
                        action("redo", "Redo", "Ctrl+Y", desk::redo));
        return actions;
    }

    private void writeLine() {
        line.setId("line");
        line.setAccessibleText("The rung or device to be drawn");
        line.textProperty().bindBidirectional(desk.lineProperty());
        line.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER) {
                desk.commit();
                event.consume();
            }
        });
        line.addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.TAB && !event.isShiftDown() && !offered.isEmpty()) {
                complete(offered.get(0));
                event.consume();
            }
        });
    }

    private void offerPower() {
        power.setId("power-circuits");
        power.managedProperty().bind(power.visibleProperty());
        for (PowerCircuit circuit : PowerCircuit.values()) {
            power.getChildren().add(powerButton(circuit));
        }
    }

    private void follow(JobModel jobs) {
        desk.refusalProperty().addListener((any, before, words) -> showPreview());
        desk.selection().stretchProperty().addListener((any, before, place) -> show());
        desk.strokeProperty().addListener((any, before, stroke) -> show());
        desk.lineProperty().addListener((any, before, text) -> showPreview());
        WhileShown.follow(this, () -> showEdited(jobs.jobProperty().get()), jobs.jobProperty());
    }

    private void showEdited(Job job) {
        if (job.sheet(desk.name()).isPresent()) {
            show();
        }
    }

    private static Label heading(String words) {
        Label heading = new Label(words);
        heading.getStyleClass().add("plate-name");
        return heading;
    }

    private ToggleButton strokeButton(DeskStroke stroke) {
        ToggleButton button = new ToggleButton(stroke.words() + "  " + StrokeKey.of(stroke));
        button.setId("stroke-" + stroke.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        button.getStyleClass().add("latch");
        button.setUserData(stroke);
        button.setOnAction(event -> choose(stroke));
        strokes.add(button);
        return button;
    }

    private static Button action(String id, String words, String key, Runnable action) {
        Button button = new Button(words + "  " + key);
        button.setId(id);
        button.getStyleClass().add("latch");
        button.setOnAction(event -> action.run());
        return button;
    }

    /** Chooses what the next word does, and puts the cursor into the line. */
    public void choose(DeskStroke stroke) {
        desk.choose(stroke);
        show();
        line.requestFocus();
        line.end();
    }

    private Button powerButton(PowerCircuit circuit) {
        Button button = new Button(circuit.words());
        button.setId("power-" + circuit.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        button.getStyleClass().add("latch");
        Hint.on(button, "Puts supply, breaker, contactors, overload and motor on the sheet");
        button.setOnAction(event -> desk.drawPower(circuit));
        return button;
    }

    private MenuButton newDevice() {
        MenuButton menu = new MenuButton("New device");
        menu.setId("new-device");
        Map<String, Menu> groups = new LinkedHashMap<>();
        for (PartKind kind : Catalogue.kinds()) {
            MenuItem item = new MenuItem(kind.id().replace('-', ' '));
            item.setId("new-" + kind.id());
            item.setOnAction(event -> desk.put(kind.id()));
            groups.computeIfAbsent(groupOf(kind.family()), Menu::new).getItems().add(item);
        }
        menu.getItems().addAll(groups.values());
        return menu;
    }

    private static String groupOf(Family family) {
        return switch (family) {
            case SUPPLY, CONVERTER, RESISTOR, METALWORK -> "Supplies";
            case MOTOR -> "Motors";
            case BREAKER, ISOLATOR, FUSE, OVERLOAD_RELAY -> "Protection";
            case CONTACTOR, CONTROL_RELAY, TIMER, INTERLOCK, CONTROLLER -> "Contactors and relays";
            case PUSH_BUTTON, SELECTOR, EMERGENCY_STOP, DRUM_SWITCH -> "Operators";
            case MACHINE_SWITCH -> "Machine switches";
            case PILOT_LAMP, HORN, SOLENOID -> "Lamps and loads";
        };
    }

    private void show() {
        selected.setText(desk.selection().words());
        strokes.forEach(button ->
                button.setSelected(button.getUserData() == desk.strokeProperty().get()));
        power.setVisible(desk.sheet().power().isEmpty());
        showPreview();
    }

    private void showPreview() {
        DeskPreview now = desk.previewProperty().get();
        String refusal = desk.refusalProperty().get();
        boolean refused = !refusal.isEmpty() && line.getText().isBlank();
        preview.setText(refused ? refusal : now.words());
        preview.pseudoClassStateChanged(
                REFUSED, refused || now.sheet().isEmpty() && !line.getText().isBlank());
        showCompletions();
    }

    private void showCompletions() {
        offered = desk.completions().stream().limit(MOST_COMPLETIONS).toList();
        completions.getChildren().clear();
        for (Completion completion : offered) {
            boolean first = completions.getChildren().isEmpty();
            Button button = new Button(completion.word() + (first ? "  Tab" : ""));
            button.setId("complete-" + completions.getChildren().size());
            button.getStyleClass().add("latch");
            button.setFocusTraversable(false);
            Hint.on(button, completion.words());
            button.setAccessibleText(completion.word() + ": " + completion.words());
            button.setOnAction(event -> complete(completion));
            completions.getChildren().add(button);
        }
        if (!offered.isEmpty()) {
            completions.getChildren().add(new Label(offered.get(0).words()));
        }
        completions.setVisible(!offered.isEmpty());
        completions.setManaged(!offered.isEmpty());
    }

    private void complete(Completion completion) {
        desk.complete(completion);
        type();
    }

    private void copyRung() {
        desk.copyRung();
        type();
    }

    /** A device that is chosen by mouse does at once what its word and Enter would do. */
    private void choose(String word) {
        DeskStroke stroke = desk.strokeProperty().get();
        if (!stroke.takesRung()) {
            desk.lineProperty().set(word);
            desk.commit();
        } else if (line.getText().isBlank()) {
            Optional<String> rung = desk.between(word);
            desk.lineProperty().set(rung.orElse(word + " "));
            if (rung.isPresent()) {
                desk.commit();
            }
        } else {
            desk.lineProperty().set(line.getText().stripTrailing() + " " + word);
        }
    }

    /** The keys of the desk while the cursor is not in a text. */
    public boolean key(KeyEvent event) {
        for (DeskStroke stroke : DeskStroke.values()) {
            if (StrokeKey.pressed(event).equals(StrokeKey.of(stroke))) {
                choose(stroke);
                return true;
            }
        }
        boolean moves = event.isShortcutDown();
        switch (event.getCode()) {
            case LEFT -> along(-1, moves, event.isShiftDown());
            case RIGHT -> along(1, moves, event.isShiftDown());
            case UP -> across(-1, moves);
            case DOWN -> across(1, moves);
            case DIGIT6 -> {
                return onShortcut(event, desk::invert);
            }
            case DIGIT7 -> {
                return onShortcut(event, this::copyRung);
            }
            case J -> {
                return onShortcut(event, desk.selection()::nextOfDevice);
            }
            case DELETE -> desk.take();
            default -> {
                return false;
            }
        }
        return true;
    }

    private static boolean onShortcut(KeyEvent event, Runnable action) {
        if (event.isShortcutDown()) {
            action.run();
        }
        return event.isShortcutDown();
    }

    private void along(int sense, boolean moves, boolean reaches) {
        if (moves) {
            desk.moveDevice(sense);
        } else {
            desk.selection().along(sense, reaches);
        }
    }

    private void across(int sense, boolean moves) {
        if (moves) {
            desk.moveRung(sense);
        } else {
            desk.selection().across(sense);
        }
    }

    /** Whether the cursor is in its line. */
    public boolean isTyping() {
        return line.isFocused();
    }

    /** Puts the cursor into its line. */
    public void type() {
        line.requestFocus();
        line.end();
    }
}
