package parable.app.look;

import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;

/** How one looks at the sheets of a window. */
public final class Look {

    private static final double STEP = 1.2;
    private static final double SMALLEST = 0.4;
    private static final double LARGEST = 4;

    private final ObjectProperty<Theme> theme = new SimpleObjectProperty<>(Theme.DAY);
    private final DoubleProperty zoom = new SimpleDoubleProperty(1);

    /** The colours. */
    public ObjectProperty<Theme> themeProperty() {
        return theme;
    }

    /** The colours of drawings. */
    public Ink ink() {
        return theme.get().ink();
    }

    /** How many times larger than fitted into the window drawings are shown, from 0.4 to 4. */
    public ReadOnlyDoubleProperty zoomProperty() {
        return zoom;
    }

    /** Shows drawings larger by so many steps, smaller if negative. */
    public void enlarge(int steps) {
        double wanted = zoom.get() * Math.pow(STEP, steps);
        zoom.set(Math.max(SMALLEST, Math.min(LARGEST, wanted)));
    }

    /** Fits drawings into the window. */
    public void fit() {
        zoom.set(1);
    }
}
