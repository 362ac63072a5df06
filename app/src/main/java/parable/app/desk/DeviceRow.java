package parable.app.desk;

import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import parable.circuit.Device;
import parable.desk.DeviceLine;
import parable.parts.Family;
import parable.parts.Part;

/** A device in the list: its tag, what it is for and how it is set, and its contacts and coil to choose. */
final class DeviceRow extends HBox {

    private static final double ROOM_FOR_TAG = 44;

    /** It gets what is left of the row; what it would like to have must not make the row wider than the list. */
    private static final double ROOM_FOR_DESCRIPTION = 40;

    private final TextField description = new TextField();
    private final Button open;
    private final Button closed;
    private final Button load;
    private Part part;

    /**
     * The row of a device.
     *
     * @param choose takes the word of a contact or coil that was chosen, such as {@code /K1}
     * @param describe takes the device and what was written of it, when that is not as it was
     */
    DeviceRow(Part part, Consumer<String> choose, BiConsumer<Device, String> describe) {
        super(4);
        this.part = part;
        Label tag = new Label(part.tag());
        tag.getStyleClass().add("tag");
        tag.setMinWidth(ROOM_FOR_TAG);
        open = chip(part.tag(), "no", choose);
        closed = chip("/" + part.tag(), "nc", choose);
        load = chip("(" + part.tag() + ")", "coil", choose);
        open.setText("open");
        closed.setText("closed");
        setAlignment(Pos.CENTER_LEFT);
        setHgrow(description, Priority.ALWAYS);
        description.setPrefWidth(ROOM_FOR_DESCRIPTION);
        description.setMinWidth(0);
        description.setId("device-" + part.tag());
        description.getStyleClass().add("description");
        description.setAccessibleText("What " + part.tag() + " is for and how it is set");
        description.setOnAction(event -> take(describe));
        description.focusedProperty().addListener((any, had, has) -> {
            if (had) {
                take(describe);
            }
        });
        getChildren().addAll(tag, description, open, closed, load);
        write();
    }

    private static Button chip(String word, String id, Consumer<String> choose) {
        Button chip = new Button();
        chip.setId("chip-" + id + "-" + word.replaceAll("[/()]", ""));
        chip.getStyleClass().add("latch");
        chip.setAccessibleText("Choose " + word);
        chip.setOnAction(event -> choose.accept(word));
        chip.managedProperty().bind(chip.visibleProperty());
        return chip;
    }

    /** Shows the device as it is now; what is being written of one that has not changed stays. */
    void show(Part now) {
        if (now != part) {
            part = now;
            write();
        }
    }

    private void write() {
        description.setText(DeviceLine.of(part.device()));
        description.setPromptText(part.family().words());
        open.setVisible(hasContacts());
        closed.setVisible(hasContacts());
        load.setVisible(!part.loads().isEmpty() && part.family() != Family.MOTOR);
        load.setText(part.contacts().isEmpty() ? "load" : "coil");
    }

    private boolean hasContacts() {
        return part.contacts().stream().anyMatch(contact -> !contact.pole())
                || part.family() == Family.PUSH_BUTTON
                || part.family() == Family.CONTACTOR
                || part.family() == Family.MACHINE_SWITCH;
    }

    /** What is written over the description: leaving it or Enter takes it. */
    private void take(BiConsumer<Device, String> describe) {
        if (!description.getText().equals(DeviceLine.of(part.device()))) {
            describe.accept(part.device(), description.getText());
        }
    }
}
