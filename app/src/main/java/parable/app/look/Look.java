package parable.app.look;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.value.ObservableValue;

/** How one looks at the sheets of a window. */
public final class Look {

    private static final double STEP = 1.2;
    private static final double SMALLEST = 0.4;
    private static final double LARGEST = 4;

    private final ObjectProperty<Theme> theme = new SimpleObjectProperty<>(Theme.DAY);
    private final DoubleProperty zoom = new SimpleDoubleProperty(1);

    private final BooleanProperty whole = new SimpleBooleanProperty();

    private final DoubleProperty magnification = new SimpleDoubleProperty(1);

    private final BooleanProperty motion = new SimpleBooleanProperty(true);

    private final BooleanProperty sound = new SimpleBooleanProperty();

    /** Whether contactors and horns are heard. */
    public BooleanProperty soundProperty() {
        return sound;
    }

    /** Whether what turns is seen turning. */
    public BooleanProperty motionProperty() {
        return motion;
    }

    /** How many times larger everything in the window is, from 1 to 2. */
    public DoubleProperty magnificationProperty() {
        return magnification;
    }

    /** The colours. */
    public ObjectProperty<Theme> themeProperty() {
        return theme;
    }

    /** The colours of drawings. */
    public Ink ink() {
        return theme.get().ink();
    }

    /** How many times larger drawings are shown than they open, or than fits if all of them is shown; from 0.4 to 4. */
    public ReadOnlyDoubleProperty zoomProperty() {
        return zoom;
    }

    /** All of it that a drawing is to be laid out anew for. */
    public ObservableValue<?>[] ofDrawings() {
        return new ObservableValue<?>[] {zoom, whole, theme, magnification};
    }

    /** Shows drawings larger by so many steps, smaller if negative. */
    public void enlarge(int steps) {
        double wanted = zoom.get() * Math.pow(STEP, steps);
        zoom.set(Math.max(SMALLEST, Math.min(LARGEST, wanted)));
    }

    /** Whether drawings are fitted into the window rather than as large as they can be read. */
    public ReadOnlyBooleanProperty wholeProperty() {
        return whole;
    }

    /** Fits drawings into the window; if they are fitted, shows them again as large as they can be read. */
    public void fit() {
        whole.set(zoom.get() != 1 || !whole.get());
        zoom.set(1);
    }
}
