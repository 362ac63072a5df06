package parable.app.fault;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import parable.app.look.Hint;
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
        Hint.on(this, "Weld a contact, take a wire off, burn a coil through, and see what it does");
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
            List<Menu> groups = FaultGroups.of(run, part);
            if (!groups.isEmpty()) {
                Menu menu = new Menu(part.tag() + "  " + part.device().label());
                menu.getItems().setAll(groups);
                getItems().add(menu);
            }
        }
    }

    private void show(List<Fault> faults) {
        setText(
                faults.isEmpty()
                        ? "Put in a fault"
                        : faults.size() == 1 ? "1 fault is in" : faults.size() + " faults are in");
    }
}
