package parable.app.desk;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
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
import parable.parts.PartException;

/** The devices of a sheet: what each is for and how it is set, and its contacts and coil to be put on the drawing. */
final class DeviceList extends ListView<Part> {

    private final DeskModel desk;
    private final Consumer<String> choose;
    private final Consumer<String> tell;

    /**
     * The devices of the desk's sheet.
     *
     * @param choose takes the word of a contact or coil that was chosen, such as {@code /K1}
     * @param tell takes what is wrong with what was written of a device, empty if nothing is
     */
    DeviceList(DeskModel desk, Consumer<String> choose, Consumer<String> tell) {
        this.desk = desk;
        this.choose = choose;
        this.tell = tell;
        setId("devices");
        getStyleClass().add("device-list");
        setFocusTraversable(false);
        setCellFactory(list -> new Row());
    }

    /** Lists the devices of the sheet as it is now; rows that stay the same are left alone. */
    void show() {
        List<Device> devices = desk.sheet().devices();
        if (devices.equals(getItems().stream().map(Part::device).toList())) {
            return;
        }
        try {
            List<Part> parts = Assembly.of(desk.sheet()).parts();
            if (parts.size() != getItems().size()) {
                getItems().setAll(parts);
                return;
            }
            for (int i = 0; i < parts.size(); i++) {
                if (!parts.get(i).device().equals(getItems().get(i).device())) {
                    getItems().set(i, parts.get(i));
                }
            }
        } catch (PartException impossible) {
            tell.accept(impossible.getMessage());
        }
    }

    /** A row; only those that can be seen have one. */
    private final class Row extends ListCell<Part> {

        private Optional<Device> shown = Optional.empty();

        @Override
        protected void updateItem(Part part, boolean empty) {
            super.updateItem(part, empty);
            Optional<Device> wanted = empty || part == null ? Optional.empty() : Optional.of(part.device());
            if (!wanted.equals(shown)) {
                shown = wanted;
                setGraphic(wanted.isPresent() ? row(part) : null);
            }
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
                tell.accept(desk.describe(device, field.getText()).orElse(""));
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
