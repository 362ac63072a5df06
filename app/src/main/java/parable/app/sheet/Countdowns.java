package parable.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Subject;
import parable.parts.Family;

/** A bar under the coil of each timer that counts, as long as the share of its time that is left. */
final class Countdowns extends Pane {

    private static final double HIGH = 5;

    private final RunModel run;
    private final List<Countdown> countdowns = new ArrayList<>();

    /** The bar of a timer. */
    private static final class Countdown extends Rectangle {
        private final String tag;
        private final Box box;
        private double whole;

        Countdown(String tag, Box box) {
            this.tag = tag;
            this.box = box;
            getStyleClass().add("countdown");
        }
    }

    Countdowns(RunModel run) {
        this.run = run;
        setId("countdowns");
        setManaged(false);
        setMouseTransparent(true);
        run.shownProperty().addListener((any, before, now) -> tick());
        run.shownTimeProperty().addListener((any, before, now) -> tick());
    }

    /** Finds the timers of another drawing. */
    void fit(Drawing drawing) {
        countdowns.clear();
        drawing.symbols()
                .filter(symbol -> symbol.subject() instanceof Subject.OfLoad)
                .filter(symbol -> run.assembly()
                        .part(symbol.subject().tag())
                        .filter(part -> part.family() == Family.TIMER)
                        .isPresent())
                .forEach(symbol -> countdowns.add(new Countdown(symbol.subject().tag(), symbol.box())));
        getChildren().setAll(countdowns);
        tick();
    }

    /** Puts the bars where the drawing is. */
    void show(double scale, double left, double top) {
        for (Countdown countdown : countdowns) {
            Box box = countdown.box;
            countdown.whole = box.width() * scale;
            countdown.relocate(box.x() * scale - left, (box.y() + box.height()) * scale - top + 1);
            countdown.setHeight(HIGH * scale);
        }
        tick();
    }

    private void tick() {
        Moment moment = run.shownProperty().get();
        for (Countdown countdown : countdowns) {
            Optional<Moment.Count> count =
                    moment.assembly().part(countdown.tag).isPresent() ? moment.count(countdown.tag) : Optional.empty();
            countdown.setVisible(count.isPresent());
            count.ifPresent(any -> countdown.setWidth(Math.rint(
                    countdown.whole * any.shareLeft(run.shownTimeProperty().get()))));
        }
    }
}
