package parable.app.fault;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import parable.app.run.RunModel;
import parable.bench.Fault;
import parable.parts.Part;

/** The faults that a device can have, as menus by what they are; those that are in are ticked when a menu is opened. */
public final class FaultGroups {

    private FaultGroups() {}

    /** Those of a device of a running sheet, none if it can have no fault. */
    public static List<Menu> of(RunModel run, Part part) {
        Map<String, List<Fault>> groups = new LinkedHashMap<>();
        Fault.possibleIn(part).forEach(fault -> groups.computeIfAbsent(groupOf(fault.kind()), any -> new ArrayList<>())
                .add(fault));
        List<Menu> menus = new ArrayList<>();
        groups.forEach((title, faults) -> menus.add(group(run, title, faults)));
        return menus;
    }

    private static Menu group(RunModel run, String title, List<Fault> faults) {
        Menu menu = new Menu(title);
        for (Fault fault : faults) {
            CheckMenuItem item = new CheckMenuItem(fault.words());
            item.setUserData(fault);
            item.setOnAction(event -> run.set(fault, item.isSelected()));
            menu.getItems().add(item);
        }
        menu.setOnShowing(event -> menu.getItems().forEach(item -> ((CheckMenuItem) item)
                .setSelected(run.shownProperty().get().faults().contains((Fault) item.getUserData()))));
        return menu;
    }

    private static String groupOf(Fault.Kind kind) {
        return switch (kind) {
            case WELDED -> "Contact welded";
            case BURNT -> "Contact burnt";
            case BROKEN, SHORTED -> "Coil, lamp or winding";
            case STUCK, BLOWN, LOST, LOW, MISSET, UNDERSET, MISSING -> "The device itself";
            case OFF -> "Wire off";
            case LOOSE -> "Terminal loose";
            case EARTHED -> "Terminal on earth";
            case MISPLACED -> "Wire on the neighbouring terminal";
            case SWAPPED -> "Two wires exchanged";
        };
    }
}
