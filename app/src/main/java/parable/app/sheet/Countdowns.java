package parable.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import parable.app.run.RunModel;
import parable.bench.Moment;
import parable.circuit.Rung;
import parable.circuit.Terminal;
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
        List<Rung> ladder = run.assembly().sheet().control();
        IntStream.range(0, ladder.size())
                .filter(rung -> ladder.get(rung).terminals().map(Terminal::tag).anyMatch(this::isTimer))
                .boxed()
                .flatMap(drawing::symbolsOn)
                .filter(symbol -> symbol.subject() instanceof Subject.OfLoad
                        && isTimer(symbol.subject().tag()))
                .forEach(symbol -> countdowns.add(new Countdown(symbol.subject().tag(), symbol.box())));
        getChildren().setAll(countdowns);
        tick();
    }

    private boolean isTimer(String tag) {
        return run.assembly()
                .part(tag)
                .filter(part -> part.family() == Family.TIMER)
                .isPresent();
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
