package parable.app.sheet;

import parable.draw.Drawing;

/** How large a drawing is shown, in pixels for a unit of it. */
final class Readability {

    /** At this scale the smallest letters have 11 pixels. */
    static final double LEAST = 1;

    private static final double LARGEST = 1.4;

    private double width;
    private double height;
    private double kept;

    /** As large as all of the drawing fits, however small that is. */
    double whole(Drawing drawing, double toWidth, double toHeight) {
        return Math.min(LARGEST, fitting(drawing, toWidth, toHeight));
    }

    /**
     * As large as it can be read, larger if there is room. In a view of the same size it becomes smaller when the drawing has grown, and never larger again; what is only
     * offered and not yet drawn does not count.
     *
     * @param drawing the sheet as it is, without what is offered
     */
    double at(Drawing drawing, double toWidth, double toHeight) {
        double fits = Math.min(LARGEST, Math.max(LEAST, fitting(drawing, toWidth, toHeight)));
        boolean resized = toWidth != width || toHeight != height;
        width = toWidth;
        height = toHeight;
        kept = resized ? fits : Math.min(kept, fits);
        return kept;
    }

    private static double fitting(Drawing drawing, double width, double height) {
        return Math.min(width / drawing.width(), height / drawing.height());
    }
}
