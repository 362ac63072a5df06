package parable.app.story;

import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.ListChangeListener;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import parable.app.run.RunModel;
import parable.app.time.Clock;
import parable.bench.StoryLine;

/**
 * The story of the running sheet, the latest line at the bottom. Choosing a line, with the mouse or the arrow keys, shows
 * its instant.
 */
public final class StoryView extends BorderPane {

    /** What the story asks for itself; it takes what the others leave, and never takes anything from them. */
    private static final double SMALL = 120;

    private static final PseudoClass LATER = PseudoClass.getPseudoClass("later");
    private static final PseudoClass SHOWN = PseudoClass.getPseudoClass("shown");

    private final RunModel run;
    private final ListView<StoryLine> lines;
    private final ReadOnlyObjectWrapper<Instant> instant =
            new ReadOnlyObjectWrapper<>(new Instant(Long.MIN_VALUE, false));

    /**
     * What is looked at.
     *
     * @param time of the last line until then
     * @param past whether it is not the present
     */
    private record Instant(long time, boolean past) {}

    /** The story of a running sheet. */
    public StoryView(RunModel run) {
        this.run = run;
        lines = new ListView<>(run.story());
        getStyleClass().add("story");
        Label heading = new Label("What happens and why");
        heading.getStyleClass().add("plate-name");
        setTop(heading);
        setCenter(lines);
        lines.setId("story");
        lines.setAccessibleText("What happens and why, line by line");
        lines.getStyleClass().add("story-lines");
        lines.setPrefHeight(SMALL);
        lines.setCellFactory(any -> new Line());
        lines.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        Label empty = new Label(
                "Nothing has happened yet. Close the breaker on the drawing, then press a button on the door.");
        empty.setWrapText(true);
        empty.getStyleClass().add("empty");
        lines.setPlaceholder(empty);
        run.story().addListener((ListChangeListener<StoryLine>) change -> follow());
        run.shownTimeProperty().addListener((any, before, time) -> markShown());
        follow();
    }

    private void follow() {
        lines.scrollTo(run.story().size() - 1);
        markShown();
    }

    /** Finds the instant that is looked at; the lines mark themselves by it. */
    private void markShown() {
        int last = lastShown();
        instant.set(
                new Instant(last < 0 ? Long.MIN_VALUE : run.story().get(last).time(), run.looksBack()));
        if (run.looksBack() && last >= 0) {
            lines.scrollTo(Math.max(0, last - 2));
        }
    }

    private int lastShown() {
        int last = run.story().size() - 1;
        while (last >= 0
                && run.story().get(last).time() > run.shownTimeProperty().get()) {
            last--;
        }
        return last;
    }

    private void key(KeyEvent event) {
        if (event.getCode() == KeyCode.UP) {
            run.stepBack();
            event.consume();
        } else if (event.getCode() == KeyCode.DOWN) {
            run.stepForward();
            event.consume();
        }
    }

    /** A line: when, and what; what was caused by another line stands further in. */
    private final class Line extends ListCell<StoryLine> {

        private final Label time = new Label();
        private final Label text = new Label();
        private final HBox row = new HBox(8, time, text);

        Line() {
            getStyleClass().add("story-line");
            setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
            setPrefWidth(0);
            time.getStyleClass().add("time");
            time.setMinWidth(62);
            time.setAlignment(Pos.TOP_RIGHT);
            text.setWrapText(true);
            text.setMinHeight(Region.USE_PREF_SIZE);
            HBox.setHgrow(text, Priority.ALWAYS);
            setOnMouseClicked(event -> {
                if (!isEmpty()) {
                    run.lookAt(getItem().time());
                }
            });
            instant.addListener((any, before, now) -> mark());
        }

        @Override
        protected void updateItem(StoryLine line, boolean none) {
            super.updateItem(line, none);
            if (none) {
                setGraphic(null);
            } else {
                time.setText(Clock.words(line.time()));
                text.setText(line.text());
                text.getStyleClass().removeAll("effect", "deed");
                text.getStyleClass().add(line.cause().isPresent() ? "effect" : "deed");
                setGraphic(row);
            }
            mark();
        }

        private void mark() {
            boolean later = !isEmpty() && getItem().time() > instant.get().time();
            boolean shown = !isEmpty()
                    && instant.get().past()
                    && getItem().time() == instant.get().time();
            pseudoClassStateChanged(LATER, later);
            pseudoClassStateChanged(SHOWN, shown);
        }
    }
}
