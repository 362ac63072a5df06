package parable.app.sheet;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.shape.Line;
import parable.app.look.Ink;
import parable.app.look.Look;
import parable.app.look.WhileShown;
import parable.network.NodeState;

/** What the weights of the wires mean, on as many lines as that takes. */
public final class Legend extends FlowPane {

    private final Look look;
    private final Label hint = new Label();

    /** One sample for each state a wire can be in. */
    public Legend(Look look) {
        super(6, 0);
        this.look = look;
        this.hint.getStyleClass().add("legend-words");
        getStyleClass().add("legend-bar");
        setAlignment(Pos.CENTER_LEFT);
        setMouseTransparent(true);
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        WhileShown.follow(this, this::show, look.themeProperty());
        show();
    }

    /** Says what can be done on the drawing. */
    public void hint(String words) {
        hint.setText(words);
    }

    /** Where the samples alone take more than one line there is no room for the hint. */
    @Override
    protected void layoutChildren() {
        double samples = getChildren().stream()
                .filter(child -> child != hint)
                .mapToDouble(child -> child.prefWidth(-1) + getHgap())
                .sum();
        hint.setVisible(samples <= getPrefWrapLength());
        hint.setManaged(hint.isVisible());
        super.layoutChildren();
    }

    private void show() {
        Ink ink = look.ink();
        getChildren().clear();
        for (NodeState state : NodeState.values()) {
            Line sample = new Line(0, 0, 22, 0);
            sample.setStroke(ink.of(state));
            sample.setStrokeWidth(Ink.widthOf(state));
            for (double dash : Ink.dashesOf(state)) {
                sample.getStrokeDashArray().add(dash);
            }
            Label words = new Label(state.words());
            words.getStyleClass().add("legend-words");
            words.setMinWidth(USE_PREF_SIZE);
            HBox one = new HBox(6, sample, words);
            one.setAlignment(Pos.CENTER_LEFT);
            getChildren().add(one);
        }
        getChildren().add(hint);
    }
}
