package parable.app.sizing;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.look.ActionButton;
import parable.app.look.DirectScroll;
import parable.app.look.WhileShown;
import parable.sizing.DrawingDifference;
import parable.sizing.SheetSizing;

/** What of the drawing of a sheet is not as it is sized, each taken over by a stroke, or all of it. */
public final class DifferencesView extends VBox {

    private static final double GAP = 8;

    private final SizingModel model;
    private final String name;
    private final VBox list = new VBox(GAP);
    private final Button all = new ActionButton(
            "take-over-all", "Take all over", "Puts all of it into the drawing; Ctrl+Z takes it back", this::takeAll);

    /**
     * The differences of a sheet.
     *
     * @param name the name of the sheet
     */
    public DifferencesView(SizingModel model, String name) {
        super(GAP);
        this.model = model;
        this.name = name;
        getStyleClass().add("findings");
        DirectScroll scroll = new DirectScroll(list);
        scroll.setFitToWidth(true);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(all, scroll);
        WhileShown.follow(this, this::show, model.sizedProperty());
        show();
    }

    private List<DrawingDifference> differences() {
        return model.sheet(name).map(SheetSizing::differences).orElse(List.of());
    }

    private void takeAll() {
        model.takeOver(name, differences());
    }

    private void show() {
        Optional<SheetSizing> sheet = model.sheet(name);
        all.setDisable(differences().isEmpty());
        if (sheet.isEmpty()) {
            list.getChildren().setAll(words("The sizing is being worked out…"));
        } else if (differences().isEmpty()) {
            list.getChildren().setAll(words(SheetSizing.NOTHING_DIFFERS));
        } else {
            list.getChildren().setAll(differences().stream().map(this::card).toList());
        }
    }

    private static Label words(String text) {
        return SizingPage.words(text, "card-words");
    }

    private Node card(DrawingDifference difference) {
        Label sort = new Label(difference.sort() == DrawingDifference.Sort.DIFFERS ? "Differs" : "Not said");
        sort.getStyleClass().add("severity");
        Label text = words(difference.tag() + ": " + difference.what());
        text.getStyleClass().setAll("label", "finding-text");
        Label values = words((difference.drawn().isEmpty() ? "nothing is drawn" : "drawn " + difference.drawn())
                + ", sized " + difference.sized());
        Button take = new ActionButton(
                "take-over-" + difference.tag(),
                "Take over " + difference.sized(),
                "Puts it into the drawing; Ctrl+Z takes it back",
                () -> model.takeOver(name, List.of(difference)));
        VBox card = new VBox(3, sort, text, values, words(difference.why()), take);
        card.getStyleClass().add("finding");
        return card;
    }
}
