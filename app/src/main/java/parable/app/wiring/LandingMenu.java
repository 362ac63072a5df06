package parable.app.wiring;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import parable.circuit.Terminal;
import parable.wiring.Landing;
import parable.wiring.Wire;

/** Offers where else the ends of the wire in hand may land. */
final class LandingMenu extends MenuButton {

    private final WiringModel model;

    LandingMenu(WiringModel model) {
        super("Land it elsewhere");
        this.model = model;
        setId("wire-landing");
        setFocusTraversable(false);
        setOnShowing(event -> getItems().setAll(choices()));
        getItems().setAll(none());
    }

    /** What is to be said of the wire in hand beside what it is made of. */
    String remark() {
        return model.landing().filter(Landing::isChosen).isPresent() ? " Its wire number is wired as you chose." : "";
    }

    private List<MenuItem> choices() {
        List<MenuItem> choices = new ArrayList<>();
        model.wire().ifPresent(wire -> model.landing().ifPresent(landing -> {
            choices.addAll(ends(landing, wire.from(), wire));
            choices.addAll(ends(landing, wire.to(), wire));
            if (landing.isChosen()) {
                choices.add(new SeparatorMenuItem());
                choices.add(item(
                        "Wire " + wire.number() + " as proposed, the shortest way",
                        () -> model.landAsProposed(landing)));
            }
        }));
        return choices.isEmpty() ? List.of(none()) : choices;
    }

    private List<MenuItem> ends(Landing landing, Terminal end, Wire wire) {
        String stays = words(end.equals(wire.from()) ? wire.to() : wire.from());
        return landing.insteadOf(end).stream()
                .map(terminal -> item(
                        "From " + stays + " to " + words(terminal) + " instead of " + words(end),
                        () -> model.land(landing, end, terminal)))
                .toList();
    }

    private static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setOnAction(event -> action.run());
        return item;
    }

    private static MenuItem none() {
        MenuItem none = new MenuItem("Nowhere: nothing else is on this wire number");
        none.setDisable(true);
        return none;
    }

    private static String words(Terminal terminal) {
        return terminal.tag() + " " + terminal.marking();
    }
}
