package parable.app.door;

import java.util.List;
import java.util.Locale;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What is mounted in one place: lamps above, operators below them, under the name of the place. */
final class Plate extends VBox {

    private final FlowPane lamps = row();
    private final FlowPane operators = row();

    private final String place;

    Plate(String place) {
        this.place = place;
        String words = place.isEmpty() ? "place not said" : place;
        Label name = new Label(words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1));
        name.getStyleClass().add("plate-name");
        VBox metal = new VBox(2, lamps, operators);
        metal.getStyleClass().add("plate");
        getChildren().addAll(name, metal);
    }

    /** The place, as the devices name it. */
    String place() {
        return place;
    }

    private static FlowPane row() {
        FlowPane row = new FlowPane(4, 2);
        row.managedProperty().bind(Bindings.isNotEmpty(row.getChildren()));
        return row;
    }

    /** Mounts these lamps and operators, in this order, and nothing else; what is mounted already stays where it is. */
    void mount(List<Tile> wantedLamps, List<Tile> wantedOperators) {
        mount(lamps, wantedLamps);
        mount(operators, wantedOperators);
    }

    /** What is between what both begin and both end with is exchanged at once. */
    private static void mount(FlowPane row, List<Tile> wanted) {
        List<Node> mounted = row.getChildren();
        int shorter = Math.min(mounted.size(), wanted.size());
        int before = 0;
        while (before < shorter && mounted.get(before) == wanted.get(before)) {
            before++;
        }
        int behind = 0;
        while (behind < shorter - before
                && mounted.get(mounted.size() - 1 - behind) == wanted.get(wanted.size() - 1 - behind)) {
            behind++;
        }
        mounted.subList(before, mounted.size() - behind).clear();
        mounted.addAll(before, wanted.subList(before, wanted.size() - behind));
    }
}
