package parable.app.story;

import javafx.collections.ListChangeListener;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import parable.app.run.RunModel;
import parable.app.time.Clock;
import parable.bench.StoryLine;

/** The story of the running sheet, the latest line at the bottom. Choosing a line shows its instant. */
public final class StoryView extends BorderPane {

    private final ListView<StoryLine> lines = new ListView<>();
    private boolean following;

    /** The story of a running sheet. */
    public StoryView(RunModel run) {
        getStyleClass().add("story");
        Label heading = new Label("What happens and why");
        heading.getStyleClass().add("plate-name");
        setTop(heading);
        setCenter(lines);
        lines.setId("story");
        lines.setItems(run.story());
        lines.setCellFactory(any -> new Line());
        Label empty = new Label(
                "Nothing has happened yet.\nClose the breaker on the drawing, then press a button on the door.");
        empty.setWrapText(true);
        empty.getStyleClass().add("empty");
        lines.setPlaceholder(empty);
        run.story().addListener((ListChangeListener<StoryLine>) change -> {
            following = true;
            lines.getSelectionModel().clearSelection();
            lines.scrollTo(run.story().size() - 1);
            following = false;
        });
        lines.getSelectionModel().selectedItemProperty().addListener((any, before, line) -> {
            if (line != null && !following) {
                run.lookAt(line.time());
            }
        });
    }

    /** A line: when, and what; what was caused by another line stands further in. */
    private static final class Line extends ListCell<StoryLine> {

        private final Label time = new Label();
        private final Label text = new Label();
        private final HBox box = new HBox(8, time, text);

        Line() {
            time.getStyleClass().add("time");
            time.setMinWidth(84);
            text.setWrapText(true);
            HBox.setHgrow(text, Priority.ALWAYS);
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(StoryLine line, boolean empty) {
            super.updateItem(line, empty);
            if (empty || line == null) {
                setGraphic(null);
                return;
            }
            time.setText(Clock.words(line.time()));
            text.setText(line.text());
            text.getStyleClass().setAll("label", line.cause().isPresent() ? "effect" : "deed");
            setGraphic(box);
        }
    }
}
