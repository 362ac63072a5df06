package parable.app.look;

import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.collections.ListChangeListener;
import javafx.collections.WeakListChangeListener;
import javafx.scene.Scene;
import javafx.scene.control.PopupControl;
import javafx.stage.PopupWindow;
import javafx.stage.Window;

/** Menus, lists and hints that open over a window are written as large as what is in it. */
public final class MagnifiedPopups {

    /** What the style sheet of the window has, in pixels. */
    private static final double WORDS = 13;

    private final Scene scene;
    private final ReadOnlyDoubleProperty factor;
    private final ListChangeListener<Window> opened = change -> {
        while (change.next()) {
            change.getAddedSubList().forEach(this::fit);
        }
    };

    /**
     * Those of the window that shows a scene.
     *
     * @param factor how many times larger than it is made the scene is shown
     */
    public MagnifiedPopups(Scene scene, ReadOnlyDoubleProperty factor) {
        this.scene = scene;
        this.factor = factor;
        Window.getWindows().addListener(new WeakListChangeListener<>(opened));
    }

    private void fit(Window window) {
        if (window instanceof PopupControl popup && belongsHere(popup)) {
            popup.setStyle(factor.get() > 1 ? "-fx-font-size: " + WORDS * factor.get() + "px;" : "");
        }
    }

    /** A menu that opens from a menu belongs to it. */
    private boolean belongsHere(PopupWindow popup) {
        Window owner = popup.getOwnerWindow();
        while (owner instanceof PopupWindow outer) {
            owner = outer.getOwnerWindow();
        }
        return owner != null && owner == scene.getWindow();
    }
}
