package parable.app.tour;

import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import parable.app.look.ActionButton;

/** The act that is to be done next, on a slip over a corner of the drawing. It looks whether it has been done; what it is to be done with is framed. */
public final class TourSlip extends VBox {

    private static final PseudoClass TARGET = PseudoClass.getPseudoClass("tour-target");
    private static final Duration LOOKING = Duration.millis(300);
    private static final double WIDTH = 340;

    private final TourGround ground;
    private final Label count = new Label();
    private final Label words = new Label();
    private final Timeline looking = new Timeline(new KeyFrame(LOOKING, event -> look()));
    private Optional<Node> framed = Optional.empty();
    private int at;

    /** An act that one turned to by hand stays, though it may have been done before. */
    private boolean turned;

    /** A slip that is put away. */
    public TourSlip(TourGround ground) {
        super(8);
        this.ground = ground;
        setId("tour");
        getStyleClass().add("tour-slip");
        setMaxSize(WIDTH, USE_PREF_SIZE);
        setPrefWidth(WIDTH);
        count.getStyleClass().add("card-heading");
        words.setId("tour-words");
        words.getStyleClass().add("card-words");
        words.setWrapText(true);
        words.setMinHeight(Region.USE_PREF_SIZE);
        HBox ways = new HBox(
                8,
                new ActionButton("tour-back", "Back", "The act before", () -> turn(at - 1)),
                new ActionButton("tour-skip", "Skip", "The next act, without doing this one", () -> turn(at + 1)),
                new ActionButton("tour-end", "End the tour", "It begins anew from the menu View", this::end));
        ways.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(count, words, ways);
        looking.setCycleCount(Animation.INDEFINITE);
        setVisible(false);
        setManaged(false);
    }

    /** Begins with the first act. */
    public void begin() {
        setVisible(true);
        setManaged(true);
        go(0);
        look();
        looking.play();
    }

    private void end() {
        looking.stop();
        frame(Optional.empty());
        setVisible(false);
        setManaged(false);
    }

    private void turn(int step) {
        go(step);
        turned = true;
    }

    private void go(int step) {
        turned = false;
        if (step >= TourStep.ALL.size()) {
            end();
            return;
        }
        at = Math.max(0, step);
        count.setText("Tour, " + (at + 1) + " of " + TourStep.ALL.size());
        words.setText(TourStep.ALL.get(at).words());
    }

    private void look() {
        TourStep step = TourStep.ALL.get(at);
        boolean done = step.done().test(ground);
        turned &= done;
        if (done && !turned) {
            go(at + 1);
        } else {
            frame(step.target().isEmpty() ? Optional.empty() : ground.part(step.target()));
        }
    }

    private void frame(Optional<Node> target) {
        if (!framed.equals(target)) {
            framed.ifPresent(node -> node.pseudoClassStateChanged(TARGET, false));
            target.ifPresent(node -> node.pseudoClassStateChanged(TARGET, true));
            framed = target;
        }
    }
}
