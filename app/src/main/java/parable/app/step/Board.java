package parable.app.step;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.sheet.Legend;
import parable.app.sheet.Marked;
import parable.app.sheet.SheetView;
import parable.app.time.TimeBar;
import parable.app.time.TimeStrip;

/** The drawing of a sheet with time under it, which most steps have in the middle; some have parts of it elsewhere for a while. */
public final class Board {

    private static final double STRIP = 132;

    private final SheetView sheet;
    private final Legend legend;
    private final TimeStrip strip;
    private final TimeBar bar;
    private final VBox whole = new VBox();
    private Runnable takeBack = () -> {};

    /**
     * A board.
     *
     * @param legend what the signs on the drawing mean, and what can be done with it
     * @param strip what each device did over time
     * @param bar the buttons of time
     */
    public Board(SheetView sheet, Legend legend, TimeStrip strip, TimeBar bar) {
        this.sheet = sheet;
        this.legend = legend;
        this.strip = strip;
        this.bar = bar;
        strip.setMinHeight(STRIP);
        strip.setPrefHeight(STRIP);
        VBox.setVgrow(sheet, Priority.ALWAYS);
    }

    /** The drawing. */
    SheetView sheet() {
        return sheet;
    }

    /** What is written under the drawing. */
    Legend legend() {
        return legend;
    }

    /** The buttons of time. */
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
        legend.hint(hint);
        whole.getChildren().setAll(List.of(sheet, legend, strip, bar));
        return whole;
    }

    /** Takes the drawing back from where it is, with no marks on it, and shows the instant that is looked at. */
    void clear() {
        takeBack.run();
        takeBack = () -> {};
        whole.getChildren().clear();
        sheet.point(Marked.NOTHING);
        sheet.showInstead(Optional.empty());
    }

    /** The drawing is elsewhere from now on; what is given takes it away from there. */
    void lend(Runnable takesBack) {
        takeBack = takesBack;
    }
}
