package parable.app.look;

import java.util.function.Consumer;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/** Something to paint on that stays sharp where the whole window is magnified: it has as many more pixels as it is shown larger. Lengths are those of a window that is not. */
public final class SharpCanvas extends Region {

    private final Canvas canvas = new Canvas();
    private final Scale fine = new Scale(1, 1);
    private final DoubleProperty density = new SimpleDoubleProperty(1);
    private final ChangeListener<Number> follow = (any, before, now) -> density.set(now.doubleValue());

    /** An empty one of no size, which is resized and painted by whoever holds it. */
    public SharpCanvas() {
        setManaged(false);
        canvas.setManaged(false);
        canvas.getTransforms().add(fine);
        getChildren().add(canvas);
        density.addListener((any, before, now) -> fit());
        widthProperty().addListener((any, before, now) -> fit());
        heightProperty().addListener((any, before, now) -> fit());
    }

    /** One that goes by the magnification of a window; what is on it is gone when that changes. */
    public SharpCanvas(Look look) {
        this();
        density.set(look.magnificationProperty().get());
        look.magnificationProperty().addListener(new WeakChangeListener<>(follow));
    }

    /** Pixels for a length of 1, from 1 on. */
    public DoubleProperty densityProperty() {
        return density;
    }

    private void fit() {
        canvas.setWidth(Math.ceil(getWidth() * density.get()));
        canvas.setHeight(Math.ceil(getHeight() * density.get()));
        fine.setX(1 / density.get());
        fine.setY(1 / density.get());
    }

    /** Lets something be painted over what is there; the context is as it was found afterwards. */
    public void paint(Consumer<GraphicsContext> painter) {
        GraphicsContext graphics = canvas.getGraphicsContext2D();
        graphics.save();
        graphics.scale(density.get(), density.get());
        painter.accept(graphics);
        graphics.restore();
    }
}
