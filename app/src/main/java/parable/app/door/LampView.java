package parable.app.door;

import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import parable.app.look.Colours;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.parts.Part;

/** A pilot lamp on the door: rays and the word tell that it is lit, not only its brightness. */
final class LampView extends Tile.Face {

    private static final double RADIUS = 12;

    private final Part part;
    private final Circle lens = new Circle(RADIUS);
    private final Group rays = new Group();
    private final Label word = new Label();
    private Optional<Condition> shown = Optional.empty();

    LampView(Part part) {
        this.part = part;
        setId("door-" + part.tag());
        getStyleClass().addAll("door-device", "lamp");
        Circle bezel = new Circle(RADIUS + 4);
        bezel.getStyleClass().add("bezel");
        lens.getStyleClass().add("lens");
        for (int i = 0; i < 12; i++) {
            double angle = Math.PI * i / 6;
            Line ray = new Line(
                    (RADIUS + 6) * Math.cos(angle),
                    (RADIUS + 6) * Math.sin(angle),
                    (RADIUS + 11) * Math.cos(angle),
                    (RADIUS + 11) * Math.sin(angle));
            ray.getStyleClass().add("ray");
            rays.getChildren().add(ray);
        }
        Circle room = new Circle(RADIUS + 12, Color.TRANSPARENT);
        word.getStyleClass().add("condition");
        Label legend = new Label(part.device().title());
        legend.getStyleClass().add("legend");
        Label tag = new Label(part.tag());
        tag.getStyleClass().add("tag");
        words.getChildren().addAll(legend, tag, word);
        getChildren().addAll(new Group(room, bezel, lens, rays), words);
    }

    @Override
    void show(Moment moment) {
        Condition condition = moment.condition(part.tag());
        if (shown.filter(condition::equals).isPresent()) {
            return;
        }
        shown = Optional.of(condition);
        Color colour = Colours.paint(part.device().setting("colour").orElse("white"));
        boolean lit = condition == Condition.LIT;
        lens.setFill(
                switch (condition) {
                    case LIT -> colour.deriveColor(0, 1, 1.25, 1);
                    case DIM -> colour.deriveColor(0, 0.8, 0.7, 1);
                    default -> colour.deriveColor(0, 0.45, 0.42, 1);
                });
        rays.setVisible(lit);
        word.setText(condition.word());
        word.pseudoClassStateChanged(Door.ON, lit);
        setAccessibleText(part.device().title() + " " + part.tag() + ": " + condition.word());
    }
}
