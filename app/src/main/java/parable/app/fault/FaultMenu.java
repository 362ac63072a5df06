package parable.app.fault;

import java.util.List;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.Tooltip;
import parable.app.run.RunModel;
import parable.bench.Fault;
import parable.parts.Part;

/** The faults that can be put into the running sheet and taken out again, by device; those that are in are ticked. */
public final class FaultMenu extends MenuButton {

    private final RunModel run;

    /** The menu of a running sheet. */
    public FaultMenu(RunModel run) {
        this.run = run;
        setId("faults");
        setTooltip(new Tooltip("Weld a contact, take a wire off, burn a coil through, and see what it does"));
        for (Part part : run.assembly().parts()) {
            List<Fault> possible = Fault.possibleIn(part);
            if (!possible.isEmpty()) {
                getItems().add(menu(part, possible));
            }
        }
        run.shownProperty().addListener((any, before, moment) -> show(moment.faults()));
        show(run.shownProperty().get().faults());
    }

    private Menu menu(Part part, List<Fault> possible) {
        Menu menu = new Menu(part.tag() + "  " + part.device().label());
        for (Fault fault : possible) {
            CheckMenuItem item = new CheckMenuItem(fault.words());
            item.setUserData(fault);
            item.setOnAction(event -> run.set(fault, item.isSelected()));
            menu.getItems().add(item);
        }
        menu.setOnShowing(event -> menu.getItems().forEach(item -> ((CheckMenuItem) item)
                .setSelected(run.shownProperty().get().faults().contains((Fault) item.getUserData()))));
        return menu;
    }

    private void show(List<Fault> faults) {
        setText(
                faults.isEmpty()
                        ? "Put in a fault"
                        : faults.size() == 1 ? "1 fault is in" : faults.size() + " faults are in");
    }
}
