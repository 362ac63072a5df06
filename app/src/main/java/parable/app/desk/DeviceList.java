package parable.app.desk;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import parable.circuit.Device;
import parable.parts.Assembly;
import parable.parts.Part;

/** The devices of a sheet: what each is for and how it is set, and its contacts and coil to be put on the drawing. */
final class DeviceList extends ListView<Part> {

    /** The height of a row, in pixels; said, because a list that is not told makes rows out of sight to estimate it. */
    private static final double ROW = 25;

    private final DeskModel desk;
    private final Consumer<String> choose;
    private final Consumer<String> tell;
    private final Map<String, DeviceRow> shown = new LastShown();

    /** What is shown of the devices that were seen last; making it takes longer than any other part of an edit. */
    private static final class LastShown extends LinkedHashMap<String, DeviceRow> {
        private static final long serialVersionUID = 1L;
        private static final int MOST = 60;

        LastShown() {
            super(16, 0.75f, true);
        }

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, DeviceRow> eldest) {
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

    /** Lists the devices of the sheet as it is now; rows that stay the same are left alone, and what is new is brought into view. */
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
            boolean more = !before.isEmpty() && fresh.size() > changed.size();
            changed.clear();
            getItems().addAll(same, fresh);
            if (more) {
                scrollTo(same + fresh.size() - 1);
            }
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
        DeviceRow row = shown.computeIfAbsent(part.tag(), any -> new DeviceRow(part, choose, this::describe));
        row.show(part);
        return row;
    }

    /** What says nothing sensible is refused with the reason and stays to be mended. */
    private void describe(Device device, String written) {
        tell.accept(desk.describe(device, written).orElse(""));
    }
}
