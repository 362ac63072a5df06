package parable.app.look;

import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ScrollBar;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/** Everything in a window larger than it is made, for eyes that need it. Where it does not fit side by side any more, it is moved by a bar and goes along with the keyboard. */
public final class Magnified extends Region {

    private final Region content;
    private final Scale scale = new Scale(1, 1);
    private final DoubleProperty factor = new SimpleDoubleProperty(1);
    private final ScrollBar across = new ScrollBar();

    /** Shows this, as large as it is made. */
    public Magnified(Region content) {
        this.content = content;
        content.setManaged(false);
        content.getTransforms().add(scale);
        across.setId("magnified-across");
        across.setManaged(false);
        across.setVisible(false);
        getChildren().addAll(content, across);
        factor.addListener((any, before, now) -> {
            scale.setX(now.doubleValue());
            scale.setY(now.doubleValue());
            requestLayout();
        });
        across.valueProperty().addListener((any, before, now) -> content.setLayoutX(-now.doubleValue()));
        ChangeListener<Node> focused = (any, before, now) -> bringIntoView(now);
        sceneProperty().addListener((any, before, now) -> {
            if (before != null) {
                before.focusOwnerProperty().removeListener(focused);
            }
            if (now != null) {
                now.focusOwnerProperty().addListener(focused);
            }
        });
    }

    /** How many times larger, from 1 to 2. */
    public DoubleProperty factorProperty() {
        return factor;
    }

    private void bringIntoView(Node part) {
        if (across.isVisible() && part != null) {
            Bounds at = sceneToLocal(part.localToScene(part.getLayoutBounds()));
            double right = Math.max(0, at.getMaxX() - getWidth());
            double left = Math.max(0, -at.getMinX());
            across.setValue(Math.max(0, Math.min(across.getMax(), across.getValue() + right - left)));
        }
    }

    @Override
    protected void layoutChildren() {
        double width = Math.max(getWidth(), Math.ceil(content.minWidth(-1) * factor.get()));
        double hidden = width - getWidth();
        double bar = hidden > 0 ? Math.ceil(across.prefHeight(-1) * factor.get()) : 0;
        across.setVisible(hidden > 0);
        across.setMax(hidden);
        across.setVisibleAmount(hidden * getWidth() / width);
        across.setValue(Math.min(across.getValue(), hidden));
        across.resizeRelocate(0, getHeight() - bar, getWidth(), bar);
        content.resizeRelocate(-across.getValue(), 0, width / factor.get(), (getHeight() - bar) / factor.get());
    }
}
