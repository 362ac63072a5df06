package parable.app.sheet;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.shape.Line;
import parable.app.look.Ink;
import parable.network.NodeState;

/** What the weights of the wires mean. */
public final class Legend extends HBox {

    /**
     * One sample for each state a wire can be in.
     *
     * @param hint what can be done on the drawing
     */
    public Legend(Ink ink, String hint) {
        super(6);
        getStyleClass().add("legend-bar");
        setAlignment(Pos.CENTER_LEFT);
        for (NodeState state : NodeState.values()) {
            Line sample = new Line(0, 0, 30, 0);
            sample.setStroke(ink.of(state));
            sample.setStrokeWidth(Ink.widthOf(state));
            for (double dash : Ink.dashesOf(state)) {
                sample.getStrokeDashArray().add(dash);
            }
            Label words = new Label(state.words());
            words.getStyleClass().add("legend-words");
            getChildren().addAll(sample, words);
        }
        Label operable = new Label(hint);
        operable.getStyleClass().add("legend-words");
        getChildren().add(operable);
    }
}
