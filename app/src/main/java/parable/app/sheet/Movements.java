package parable.app.sheet;

import javafx.scene.layout.Pane;
import parable.app.look.Look;
import parable.app.run.RunModel;
import parable.draw.Drawing;

/** What moves over a drawing while time runs: the bars of timers that count, and the arrows of motors that turn. */
final class Movements extends Pane {

    private final Countdowns countdowns;
    private final Rotors rotors;

    Movements(RunModel run, Look look) {
        countdowns = new Countdowns(run);
        rotors = new Rotors(run, look);
        setManaged(false);
        setMouseTransparent(true);
        getChildren().addAll(countdowns, rotors);
    }

    /** Finds timers and motors of another drawing. */
    void fit(Drawing drawing) {
        countdowns.fit(drawing);
        rotors.fit(drawing);
    }

    /** Puts everything where the drawing is. */
    void show(double scale, double left, double top) {
        countdowns.show(scale, left, top);
        rotors.show(scale, left, top);
    }
}
