package parable.app.desk;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.JobModel;
import parable.circuit.Device;
import parable.parts.Assembly;
import parable.parts.Catalogue;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartException;
import parable.parts.PartKind;

/** The desk beside the drawing: what to do with what is selected, the line to type in, and the devices to choose from. */
public final class DeskView extends VBox {

    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

    private final DeskModel desk;
    private final Label selected = new Label();
    private final Label preview = new Label();
    private final TextField line = new TextField();
    private final FlowPane power = new FlowPane(4, 4);
    private final VBox devices = new VBox(2);
    private final List<ToggleButton> strokes = new ArrayList<>();

    /** The desk of a sheet of these jobs. */
    public DeskView(JobModel jobs, DeskModel desk) {
        this.desk = desk;
        setId("desk");
        getStyleClass().add("desk");
        FlowPane actions = new FlowPane(4, 4);
        for (Stroke stroke : Stroke.values()) {
            actions.getChildren().add(strokeButton(stroke));
        }
        actions.getChildren()
                .addAll(
                        action("take", "Take away", "Delete", desk::take),
                        action("undo", "Undo", "Ctrl+Z", desk::undo),
                        action("redo", "Redo", "Ctrl+Y", desk::redo));
        line.setId("line");
        line.setAccessibleText("The rung or device to be drawn");
        line.textProperty().bindBidirectional(desk.lineProperty());
        line.addEventHandler(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ENTER) {
                desk.commit();
                event.consume();
            }
        });
        preview.setId("preview");
        preview.setWrapText(true);
        preview.getStyleClass().add("preview");
        ScrollPane list = new ScrollPane(devices);
        list.setFitToWidth(true);
        list.getStyleClass().add("device-list");
        VBox.setVgrow(list, Priority.ALWAYS);
        HBox heading = new HBox(8, heading("Devices"), newDevice());
        heading.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(selected, actions, line, preview, power, heading, list);
        selected.setId("selected");
        selected.getStyleClass().add("plate-name");
        power.setId("power-circuits");
        power.managedProperty().bind(power.visibleProperty());
        for (PowerCircuit circuit : PowerCircuit.values()) {
            power.getChildren().add(powerButton(circuit));
        }
        desk.selectionProperty().addListener((any, before, place) -> show());
        desk.strokeProperty().addListener((any, before, stroke) -> show());
        desk.lineProperty().addListener((any, before, text) -> showPreview());
        jobs.jobProperty().addListener((any, before, job) -> {
            if (job.sheet(desk.name()).isPresent()) {
                show();
                listDevices();
            }
        });
        show();
        listDevices();
    }

    private static Label heading(String words) {
        Label heading = new Label(words);
        heading.getStyleClass().add("plate-name");
        return heading;
    }

    private ToggleButton strokeButton(Stroke stroke) {
        ToggleButton button = new ToggleButton(stroke.words() + "  " + stroke.key());
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
    public void choose(Stroke stroke) {
        desk.choose(stroke);
        show();
        line.requestFocus();
        line.end();
    }

    private Button powerButton(PowerCircuit circuit) {
        Button button = new Button(circuit.words());
        button.setId("power-" + circuit.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        button.getStyleClass().add("latch");
        button.setTooltip(new Tooltip("Puts supply, breaker, contactors, overload and motor on the sheet"));
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
            case SUPPLY, CONVERTER, RESISTOR -> "Supplies";
            case MOTOR -> "Motors";
            case BREAKER, ISOLATOR, FUSE, OVERLOAD_RELAY -> "Protection";
            case CONTACTOR, CONTROL_RELAY, TIMER, INTERLOCK -> "Contactors and relays";
            case PUSH_BUTTON, SELECTOR, EMERGENCY_STOP, DRUM_SWITCH -> "Operators";
            case MACHINE_SWITCH -> "Machine switches";
            case PILOT_LAMP, HORN, SOLENOID -> "Lamps and loads";
        };
    }

    private void show() {
        selected.setText(desk.selectedWords());
        strokes.forEach(button ->
                button.setSelected(button.getUserData() == desk.strokeProperty().get()));
        power.setVisible(desk.sheet().power().isEmpty());
        showPreview();
    }

    private void showPreview() {
        DeskModel.Preview now = desk.preview();
        preview.setText(now.words());
        preview.pseudoClassStateChanged(
                REFUSED, now.sheet().isEmpty() && !line.getText().isBlank());
    }

    private void listDevices() {
        devices.getChildren().clear();
        try {
            Assembly assembly = Assembly.of(desk.sheet());
            assembly.parts().forEach(part -> devices.getChildren().add(row(part)));
        } catch (PartException impossible) {
            devices.getChildren().add(new Label(impossible.getMessage()));
        }
    }

    private Node row(Part part) {
        Label tag = new Label(part.tag());
        tag.getStyleClass().add("tag");
        tag.setMinWidth(44);
        Device device = part.device();
        HBox row = new HBox(4, tag, description(device, part.family()));
        row.setAlignment(Pos.CENTER_LEFT);
        boolean contacts = part.contacts().stream().anyMatch(contact -> !contact.pole())
                || part.family() == Family.PUSH_BUTTON
                || part.family() == Family.CONTACTOR
                || part.family() == Family.MACHINE_SWITCH;
        if (contacts) {
            row.getChildren().addAll(chip(part.tag(), "open", "no"), chip("/" + part.tag(), "closed", "nc"));
        }
        boolean load = !part.loads().isEmpty() && part.family() != Family.MOTOR;
        if (load) {
            row.getChildren().add(chip("(" + part.tag() + ")", part.contacts().isEmpty() ? "load" : "coil", "coil"));
        }
        return row;
    }

    /**
     * What a device is for and how it is set, to be written over: {@code Stop; blocks=11-12; colour=red; place=door}. Leaving it
     * or Enter takes it; what says nothing sensible is refused with the reason and stays to be mended.
     */
    private TextField description(Device device, Family family) {
        TextField field = new TextField(DeviceLine.of(device));
        field.setId("device-" + device.tag());
        field.setPromptText(family.words());
        field.getStyleClass().add("description");
        field.setAccessibleText("What " + device.tag() + " is for and how it is set");
        HBox.setHgrow(field, Priority.ALWAYS);
        Runnable take = () -> {
            if (!field.getText().equals(DeviceLine.of(device))) {
                preview.setText(desk.describe(device, field.getText()).orElse(""));
            }
        };
        field.setOnAction(event -> take.run());
        field.focusedProperty().addListener((any, had, has) -> {
            if (had) {
                take.run();
            }
        });
        return field;
    }

    private Button chip(String word, String words, String id) {
        Button chip = new Button(words);
        chip.setId("chip-" + id + "-" + word.replaceAll("[/()]", ""));
        chip.getStyleClass().add("latch");
        chip.setAccessibleText("Choose " + word);
        chip.setOnAction(event -> choose(word));
        return chip;
    }

    /** A device that is chosen by mouse does at once what its word and Enter would do. */
    private void choose(String word) {
        Stroke stroke = desk.strokeProperty().get();
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
        for (Stroke stroke : Stroke.values()) {
            String pressed =
                    (event.isShortcutDown() ? "Ctrl+" : "") + event.getCode().getName();
            if (pressed.equals(stroke.key())) {
                choose(stroke);
                return true;
            }
        }
        switch (event.getCode()) {
            case LEFT -> desk.along(-1);
            case RIGHT -> desk.along(1);
            case UP -> desk.across(-1);
            case DOWN -> desk.across(1);
            case DELETE -> desk.take();
            default -> {
                return false;
            }
        }
        return true;
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
