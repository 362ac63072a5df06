package parable.app.sheet;

import javafx.geometry.Orientation;
import javafx.scene.control.ScrollBar;
import parable.draw.Box;

/** Which part of a drawing is in view: its scale, how far it is moved, and the two bars that show it. */
final class Viewport {

    private static final double BAR = 12;

    private final ScrollBar down = new ScrollBar();
    private final ScrollBar across = new ScrollBar();
    private double scale = 1;
    private double width;
    private double height;

    /**
     * Nothing is moved yet.
     *
     * @param moved called when another part is in view
     */
    Viewport(Runnable moved) {
        down.setOrientation(Orientation.VERTICAL);
        down.setAccessibleText("Further up and down the drawing");
        across.setAccessibleText("Further left and right on the drawing");
        down.valueProperty().addListener((any, before, now) -> moved.run());
        across.valueProperty().addListener((any, before, now) -> moved.run());
    }

    /** The bar at the right. */
    ScrollBar down() {
        return down;
    }

    /** The bar at the foot. */
    ScrollBar across() {
        return across;
    }

    /**
     * Makes room for a drawing at a scale; what was in the middle stays there if the scale is another one.
     *
     * @param content the size of the drawing in its units
     * @param foot so many pixels of the height have something on them; what is drawn there can be moved up
     */
    void fit(Box content, double newScale, double newWidth, double newHeight, double foot) {
        width = newWidth;
        height = newHeight;
        scale = newScale;
        place(down, content.height() * scale + foot - height, height);
        place(across, content.width() * scale + (down.isVisible() ? BAR : 0) - width, width);
        down.resizeRelocate(width - BAR, 0, BAR, height);
        across.resizeRelocate(0, height - BAR, width - BAR, BAR);
    }

    private static void place(ScrollBar bar, double hidden, double shown) {
        bar.setVisible(hidden > 0);
        bar.setMax(Math.max(0, hidden));
        bar.setVisibleAmount(Math.max(1, shown * hidden / (shown + Math.max(1, hidden))));
        bar.setUnitIncrement(40);
        bar.setBlockIncrement(0.8 * shown);
        if (bar.getValue() > bar.getMax()) {
            bar.setValue(bar.getMax());
        }
    }

    /** Pixels for a unit of the drawing. */
    double scale() {
        return scale;
    }

    /** Whether some of the drawing is out of view. */
    boolean hides() {
        return down.isVisible() || across.isVisible();
    }

    /** How far the drawing is moved to the left, in whole pixels: in between everything would be blurred. */
    double left() {
        return Math.rint(across.getValue());
    }

    /** How far the drawing is moved up, in whole pixels. */
    double top() {
        return Math.rint(down.getValue());
    }

    /** Where on the drawing something in the view is, across. */
    double drawingX(double x) {
        return (x + left()) / scale;
    }

    /** Where on the drawing something in the view is, down. */
    double drawingY(double y) {
        return (y + top()) / scale;
    }

    /** What of the drawing is in view, in its units. */
    Box seen() {
        return new Box(drawingX(0), drawingY(0), width / scale, height / scale);
    }

    /** Moves the drawing by so many pixels, as far as it goes. */
    void moveBy(double right, double below) {
        move(across, across.getValue() + right);
        move(down, down.getValue() + below);
    }

    /** Brings a point of the drawing to a point of the view, as far as it goes; the scale must be set before. */
    void bring(double drawnX, double drawnY, double x, double y) {
        move(across, drawnX * scale - x);
        move(down, drawnY * scale - y);
    }

    private static void move(ScrollBar bar, double to) {
        bar.setValue(Math.max(bar.getMin(), Math.min(bar.getMax(), to)));
    }

    /** Moves no more than is needed to have a box of the drawing in view. */
    void bringIntoView(Box box) {
        move(down, nearest(down.getValue(), height, box.y() * scale, box.height() * scale));
        move(across, nearest(across.getValue(), width, box.x() * scale, box.width() * scale));
    }

    private static double nearest(double now, double shown, double from, double size) {
        return from < now || size > shown ? from : Math.max(now, from + size - shown);
    }
}
