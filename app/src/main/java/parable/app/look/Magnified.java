package parable.app.look;

import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/** Everything in a window larger than it is made, for eyes that need it. */
public final class Magnified extends Region {

    private final Region content;
    private final Scale scale = new Scale(1, 1);
    private final DoubleProperty factor = new SimpleDoubleProperty(1);

    /** Shows this, as large as it is made. */
    public Magnified(Region content) {
        this.content = content;
        content.setManaged(false);
        content.getTransforms().add(scale);
        getChildren().add(content);
        factor.addListener((any, before, now) -> {
            scale.setX(now.doubleValue());
            scale.setY(now.doubleValue());
            requestLayout();
        });
    }

    /** How many times larger, from 1 to 2. */
    public DoubleProperty factorProperty() {
        return factor;
    }

    @Override
    protected void layoutChildren() {
        content.resizeRelocate(0, 0, getWidth() / factor.get(), getHeight() / factor.get());
    }
}
