package parable.app.desk;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import parable.circuit.Device;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;

/** The devices of a sheet: what each is for and how it is set, and its contacts and coil to be put on the drawing. */
final class DeviceList extends ListView<Part> {

    /** The height of a row, in pixels; said, because a list that is not told makes rows out of sight to estimate it. */
    private static final double ROW = 25;

    private final DeskModel desk;
    private final Consumer<String> choose;
    private final Consumer<String> tell;
    private final Map<Device, Node> shown = new LastShown();

    /** What is shown of the devices that were seen last; making it takes longer than any other part of an edit. */
    private static final class LastShown extends LinkedHashMap<Device, Node> {
        private static final long serialVersionUID = 1L;
        private static final int MOST = 60;

        LastShown() {
            super(16, 0.75f, true);
        }

        @Override
        protected boolean removeEldestEntry(Map.Entry<Device, Node> eldest) {
            return size() > MOST;
        }
    }

    /**
     * The devices of the desk's sheet.
     *
     * @param assembly the sheet, fitted out
     * @param choose takes the word of a contact or coil that was chosen, such as {@code /K1}
     * @param tell takes what is wrong with what was written of a device, empty if nothing is
     */
    DeviceList(
            DeskModel desk, ReadOnlyObjectProperty<Assembly> assembly, Consumer<String> choose, Consumer<String> tell) {
        this.desk = desk;
        this.choose = choose;
        this.tell = tell;
        setId("devices");
        getStyleClass().add("device-list");
        setFocusTraversable(false);
        setFixedCellSize(ROW);
        setCellFactory(list -> new Row());
        assembly.addListener((any, before, changed) -> show(changed));
        show(assembly.get());
    }

    /** Lists the devices of the sheet as it is now; rows that stay the same are left alone. */
    private void show(Assembly assembly) {
        List<Part> parts = assembly.parts();
        List<Device> devices = assembly.sheet().devices();
        List<Device> before = getItems().stream().map(Part::device).toList();
        if (devices.equals(before)) {
            return;
        }
        int most = Math.min(before.size(), devices.size());
        int same = alike(before, devices, most);
        int sameAtEnd = alike(reversed(before), reversed(devices), most - same);
        List<Part> changed = getItems().subList(same, before.size() - sameAtEnd);
        List<Part> fresh = parts.subList(same, parts.size() - sameAtEnd);
        if (changed.size() == fresh.size()) {
            for (int i = 0; i < fresh.size(); i++) {
                if (!fresh.get(i).device().equals(changed.get(i).device())) {
                    getItems().set(same + i, fresh.get(i));
                }
            }
        } else {
            changed.clear();
            getItems().addAll(same, fresh);
        }
    }

    /** How many of two lists are equal from their beginning on, at most so many. */
    private static int alike(List<Device> some, List<Device> others, int most) {
        int alike = 0;
        while (alike < most && some.get(alike).equals(others.get(alike))) {
            alike++;
        }
        return alike;
    }

    private static List<Device> reversed(List<Device> devices) {
        List<Device> reversed = new ArrayList<>(devices);
        Collections.reverse(reversed);
        return reversed;
    }

    /**
     * A row; only those that can be seen have one. The list empties its rows and hands them devices again at will; so what is shown of a device stays in its
     * row unseen until another row takes it or this one is given another device.
     */
    private final class Row extends ListCell<Part> {

        @Override
        protected void updateItem(Part part, boolean empty) {
            super.updateItem(part, empty);
            boolean shows = !empty && part != null;
            if (shows) {
                take(shown(part));
            }
            if (getGraphic() != null) {
                getGraphic().setVisible(shows);
            }
        }

        private void take(Node wanted) {
            if (getGraphic() != wanted) {
                if (wanted.getParent() instanceof Row other) {
                    other.setGraphic(null);
                }
                setGraphic(wanted);
            }
        }
    }

    private Node shown(Part part) {
        return shown.computeIfAbsent(part.device(), any -> row(part));
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
                Optional<String> wrong = desk.describe(device, field.getText());
                tell.accept(wrong.orElse(""));
                if (wrong.isEmpty()) {
                    shown.remove(device);
                }
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
        chip.setOnAction(event -> choose.accept(word));
        return chip;
    }
}
