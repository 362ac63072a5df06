package parable.app.fault;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Tooltip;
import parable.app.run.RunModel;
import parable.bench.Fault;
import parable.parts.Assembly;
import parable.parts.Part;

/** The faults that can be put into the running sheet and taken out again, by device; those that are in are ticked. */
public final class FaultMenu extends MenuButton {

    private final RunModel run;
    private Optional<Assembly> fitted = Optional.empty();

    /** The menu of a running sheet. */
    public FaultMenu(RunModel run) {
        this.run = run;
        setId("faults");
        setTooltip(new Tooltip("Weld a contact, take a wire off, burn a coil through, and see what it does"));
        addEventHandler(MenuButton.ON_SHOWING, event -> fit());
        run.shownProperty().addListener((any, before, moment) -> show(moment.faults()));
        show(run.shownProperty().get().faults());
    }

    /** The faults are listed when asked for: a large sheet has thousands. */
    private void fit() {
        if (fitted.equals(Optional.of(run.assembly()))) {
            return;
        }
        fitted = Optional.of(run.assembly());
        getItems().clear();
        for (Part part : run.assembly().parts()) {
            List<Fault> possible = Fault.possibleIn(part);
            if (!possible.isEmpty()) {
                getItems().add(menu(part, possible));
            }
        }
    }

    private Menu menu(Part part, List<Fault> possible) {
        Menu menu = new Menu(part.tag() + "  " + part.device().label());
        Map<String, List<Fault>> groups = new LinkedHashMap<>();
        possible.forEach(fault -> groups.computeIfAbsent(groupOf(fault.kind()), any -> new ArrayList<>())
                .add(fault));
        groups.forEach((title, faults) -> menu.getItems().add(group(title, faults)));
        return menu;
    }

    private Menu group(String title, List<Fault> faults) {
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
            case STUCK, BLOWN, LOST, LOW, MISSET, MISSING -> "The device itself";
            case OFF -> "Wire off";
            case LOOSE -> "Terminal loose";
            case EARTHED -> "Terminal on earth";
            case MISPLACED -> "Wire on the neighbouring terminal";
            case SWAPPED -> "Two wires exchanged";
        };
    }

    private void show(List<Fault> faults) {
        setText(
                faults.isEmpty()
                        ? "Put in a fault"
                        : faults.size() == 1 ? "1 fault is in" : faults.size() + " faults are in");
    }
}
