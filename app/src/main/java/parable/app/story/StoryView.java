package parable.app.story;

import java.util.List;
import javafx.collections.ListChangeListener;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.run.RunModel;
import parable.app.time.Clock;
import parable.bench.StoryLine;

/**
 * The story of the running sheet, the latest line at the bottom. Choosing a line, with the mouse or the arrow keys, shows
 * its instant. Only the latest lines are listed; the slider of the past reaches the others.
 */
public final class StoryView extends BorderPane {

    private static final int MOST_LINES = 300;

    /** What the story asks for itself; it takes what the others leave, and never takes anything from them. */
    private static final double SMALL = 120;

    private static final PseudoClass LATER = PseudoClass.getPseudoClass("later");
    private static final PseudoClass SHOWN = PseudoClass.getPseudoClass("shown");

    private final RunModel run;
    private final VBox lines = new VBox();
    private final ScrollPane pane = new ScrollPane(lines);
    private final Label empty =
            new Label("Nothing has happened yet. Close the breaker on the drawing, then press a button on the door.");

    /** The story of a running sheet. */
    public StoryView(RunModel run) {
        this.run = run;
        getStyleClass().add("story");
        Label heading = new Label("What happens and why");
        heading.getStyleClass().add("plate-name");
        setTop(heading);
        setCenter(pane);
        pane.setId("story");
        pane.setPrefHeight(SMALL);
        pane.setFitToWidth(true);
        pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        pane.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        lines.getStyleClass().add("story-lines");
        lines.heightProperty().addListener((any, before, height) -> pane.setVvalue(1));
        empty.setWrapText(true);
        empty.getStyleClass().add("empty");
        run.story().addListener((ListChangeListener<StoryLine>) change -> rewrite(change));
        run.shownTimeProperty().addListener((any, before, time) -> markShown());
        lines.getChildren().add(empty);
        append(run.story());
    }

    private void rewrite(ListChangeListener.Change<? extends StoryLine> change) {
        while (change.next()) {
            if (change.wasRemoved()) {
                lines.getChildren().setAll(empty);
                append(run.story());
            } else {
                append(change.getAddedSubList());
            }
        }
    }

    private void append(List<? extends StoryLine> added) {
        int from = Math.max(0, added.size() - MOST_LINES);
        for (StoryLine line : added.subList(from, added.size())) {
            lines.getChildren().add(new Line(line));
        }
        if (lines.getChildren().size() > 1) {
            lines.getChildren().remove(empty);
        }
        int surplus = lines.getChildren().size() - MOST_LINES;
        if (surplus > 0) {
            lines.getChildren().remove(0, surplus);
        }
        markShown();
    }

    /** Marks the lines of the instant that is looked at, and those that are still to come from there. */
    private void markShown() {
        long shown = run.shownTimeProperty().get();
        long latest = Long.MIN_VALUE;
        for (Line line : listed()) {
            latest = line.line.time() <= shown ? line.line.time() : latest;
        }
        for (Line line : listed()) {
            line.pseudoClassStateChanged(LATER, line.line.time() > shown);
            boolean isShown = run.looksBack() && line.line.time() == latest;
            line.pseudoClassStateChanged(SHOWN, isShown);
            if (isShown) {
                bringIntoView(line);
            }
        }
    }

    private void bringIntoView(Line line) {
        double hidden = lines.getHeight() - pane.getViewportBounds().getHeight();
        if (hidden > 0) {
            double top = line.getBoundsInParent().getMinY()
                    - pane.getViewportBounds().getHeight() / 2;
            pane.setVvalue(Math.max(0, Math.min(1, top / hidden)));
        }
    }

    private List<Line> listed() {
        return lines.getChildren().stream()
                .filter(Line.class::isInstance)
                .map(Line.class::cast)
                .toList();
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
    private final class Line extends HBox {

        private final StoryLine line;

        Line(StoryLine line) {
            super(8);
            this.line = line;
            getStyleClass().add("story-line");
            Label time = new Label(Clock.words(line.time()));
            time.getStyleClass().add("time");
            time.setMinWidth(62);
            time.setAlignment(Pos.TOP_RIGHT);
            Label text = new Label(line.text());
            text.setWrapText(true);
            text.setMinHeight(Region.USE_PREF_SIZE);
            text.getStyleClass().add(line.cause().isPresent() ? "effect" : "deed");
            HBox.setHgrow(text, Priority.ALWAYS);
            getChildren().addAll(time, text);
            setOnMouseClicked(event -> {
                pane.requestFocus();
                run.lookAt(line.time());
            });
        }
    }
}
