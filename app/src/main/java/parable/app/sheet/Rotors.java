package parable.app.sheet;

import java.util.ArrayList;
import java.util.List;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Polygon;
import javafx.util.Duration;
import parable.app.look.Look;
import parable.app.look.WhileShown;
import parable.app.run.RunModel;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.bench.Sample;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Subject;

/**
 * An arrow that goes around each motor that turns, clockwise forward, the faster the motor the faster the arrow. It moves ten times a second, while time runs, a motor
 * turns and motion is wanted; otherwise nothing is painted.
 */
final class Rotors extends Pane {

    private static final Duration BEAT = Duration.millis(100);

    /** At synchronous speed a turn takes one and a half seconds: a real one could not be seen. */
    private static final double DEGREES = 360 * 0.1 / 1.5;

    private static final double ARROW = 6;

    private final RunModel run;
    private final Look look;
    private final Timeline turning = new Timeline(new KeyFrame(BEAT, event -> turn()));
    private final List<Rotor> rotors = new ArrayList<>();

    /** The arrow of a motor, on the motor's circle. */
    private static final class Rotor extends Polygon {
        private final String tag;
        private final Box box;
        private double x;
        private double y;
        private double radius;

        Rotor(String tag, Box box) {
            super(-ARROW, -ARROW, ARROW, 0, -ARROW, ARROW);
            this.tag = tag;
            this.box = box;
            getStyleClass().add("rotor");
        }

        void centre(double scale, double left, double top) {
            x = (box.x() + box.width() / 2) * scale - left;
            y = (box.y() + box.height() / 2) * scale - top;
            radius = Math.min(box.width(), box.height()) / 2 * scale;
            turn(0);
        }

        void turn(double degrees) {
            setRotate(getRotate() + degrees);
            double angle = Math.toRadians(getRotate() - 90);
            relocate(x + radius * Math.cos(angle) - ARROW, y + radius * Math.sin(angle) - ARROW);
        }
    }

    Rotors(RunModel run, Look look) {
        this.run = run;
        this.look = look;
        setId("rotors");
        setManaged(false);
        setMouseTransparent(true);
        turning.setCycleCount(Animation.INDEFINITE);
        run.shownProperty().addListener((any, before, now) -> look());
        run.runningProperty().addListener((any, before, now) -> look());
        WhileShown.follow(this, this::look, look.motionProperty());
        sceneProperty().addListener((any, before, now) -> look());
    }

    /** Finds the motors of another drawing. */
    void fit(Drawing drawing) {
        rotors.clear();
        drawing.symbolsBesideLadder()
                .filter(symbol -> symbol.subject() instanceof Subject.OfMotor)
                .forEach(symbol -> rotors.add(new Rotor(symbol.subject().tag(), symbol.box())));
        getChildren().setAll(rotors);
        look();
    }

    /** Puts the arrows where the drawing is. */
    void show(double scale, double left, double top) {
        rotors.forEach(rotor -> rotor.centre(scale, left, top));
    }

    private boolean turns(Rotor rotor) {
        Moment moment = run.shownProperty().get();
        return moment.assembly().part(rotor.tag).isPresent() && moment.condition(rotor.tag) != Condition.STOPPED;
    }

    private void look() {
        boolean wanted = look.motionProperty().get() && getScene() != null;
        boolean any = false;
        for (Rotor rotor : rotors) {
            boolean turns = wanted && turns(rotor);
            rotor.setVisible(turns);
            any |= turns;
        }
        if (any && run.runningProperty().get()) {
            turning.play();
        } else {
            turning.stop();
        }
    }

    private void turn() {
        for (Rotor rotor : rotors) {
            if (rotor.isVisible()) {
                List<Sample> samples = run.trace(rotor.tag);
                double speed =
                        samples.isEmpty() ? 0 : samples.get(samples.size() - 1).speed();
                rotor.turn(speed * DEGREES);
            }
        }
    }
}
