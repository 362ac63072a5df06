package parable.app.step;

import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import parable.app.sheet.Legend;
import parable.app.sheet.Marked;
import parable.app.sheet.SheetView;
import parable.app.time.TimeBar;
import parable.app.time.TimeStrip;

/** The drawing of a sheet with time under it, which most steps have in the middle; some have parts of it elsewhere for a while. */
public final class Board {

    private static final double STRIP = 160;
    private static final double LEAST_STRIP = 60;
    private static final double LEAST_DRAWING = 200;
    private static final double EDGE = 6;

    /** So high, in pixels, the legend is with all of it on one line, its edges included. */
    private static final double LEAST_LEGEND = 30;

    /** What of the width the legend cannot have: its own edges and the bar that moves the drawing. */
    private static final double LEGEND_EDGE = 40;

    private final SheetView sheet;
    private final Legend legend;
    private final TimeBar bar;
    private final StackPane drawing;
    private final VBox above;
    private final VBox whole = new VBox();
    private double height = STRIP;
    private double grabbed;
    private Runnable takeBack = () -> {};

    /**
     * A board.
     *
     * @param legend what the signs on the drawing mean, and what can be done with it
     * @param strip what each device did over time
     * @param bar the controls of time
     */
    public Board(SheetView sheet, Legend legend, TimeStrip strip, TimeBar bar) {
        this.sheet = sheet;
        this.legend = legend;
        this.bar = bar;
        drawing = new StackPane(sheet, legend, bar.tense());
        drawing.setMinSize(0, 0);
        whole.setMinWidth(0);
        legend.prefWrapLengthProperty().bind(drawing.widthProperty().subtract(LEGEND_EDGE));
        legend.heightProperty()
                .addListener((any, before, now) -> sheet.keepFree(Math.max(LEAST_LEGEND, now.doubleValue() + EDGE)));
        StackPane.setAlignment(legend, Pos.BOTTOM_LEFT);
        StackPane.setMargin(legend, new Insets(0, EDGE * 2, EDGE * 2, 0));
        StackPane.setAlignment(bar.tense(), Pos.TOP_CENTER);
        VBox.setVgrow(drawing, Priority.ALWAYS);
        StackPane folding = new StackPane(strip, strip.folds());
        StackPane.setAlignment(strip.folds(), Pos.BOTTOM_RIGHT);
        StackPane.setMargin(strip.folds(), new Insets(0, EDGE * 3, EDGE / 2, 0));
        VBox.setVgrow(folding, Priority.ALWAYS);
        above = new VBox(edge(), folding);
        above.managedProperty().bind(above.visibleProperty());
        above.visibleProperty().bind(bar.stripProperty());
        above.visibleProperty().addListener((any, was, is) -> {
            if (is) {
                strip.order();
            }
        });
        high(STRIP);
    }

    /** The upper edge of the strip, by which its height is dragged. */
    private Region edge() {
        Region edge = new Region();
        edge.setId("strip-edge");
        edge.getStyleClass().add("strip-edge");
        edge.setMinHeight(EDGE);
        edge.setCursor(Cursor.V_RESIZE);
        edge.addEventHandler(MouseEvent.MOUSE_PRESSED, event -> grabbed = event.getScreenY() + height);
        edge.addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> high(grabbed - event.getScreenY()));
        return edge;
    }

    private void high(double wanted) {
        double most = Math.max(LEAST_STRIP, whole.getHeight() == 0 ? STRIP : whole.getHeight() - LEAST_DRAWING);
        height = Math.max(LEAST_STRIP, Math.min(most, wanted));
        above.setMinHeight(height);
        above.setMaxHeight(height);
    }

    /** The drawing. */
    SheetView sheet() {
        return sheet;
    }

    /** The drawing with the legend on its lower edge. */
    Node drawing() {
        return drawing;
    }

    /** Lays something over the drawing, until all of it is shown again. */
    void cover(Node layer) {
        drawing.getChildren().add(1, layer);
    }

    /** Says under the drawing what can be done with it. */
    void hint(String words) {
        legend.hint(words);
    }

    /** The controls of time. */
    TimeBar bar() {
        return bar;
    }

    /** Puts the keyboard on the whole, so that it is in no text. */
    void leaveText() {
        whole.requestFocus();
    }

    /** All of it, nothing on the drawing marked. */
    Node whole(String hint) {
        clear();
        hint(hint);
        whole.getChildren().setAll(drawing, above, bar);
        return whole;
    }

    /** Takes the drawing back from where it is, with no marks on it, and shows the instant that is looked at. */
    void clear() {
        takeBack.run();
        takeBack = () -> {};
        whole.getChildren().clear();
        drawing.getChildren().setAll(sheet, legend, bar.tense());
        sheet.point(Marked.NOTHING);
        sheet.showInstead(Optional.empty());
    }

    /** The drawing is elsewhere from now on; what is given takes it away from there. */
    void lend(Runnable takesBack) {
        takeBack = takesBack;
    }
}
