package parable.app.step;

/** How much room the door has beside the drawing, in pixels. */
public enum DoorRoom {
    /** It is not there. */
    NONE(0, 0),
    /** Small, for it is only looked at. */
    SMALL(90, 190),
    /** As large as there is room: it is operated. */
    LARGE(120, Double.MAX_VALUE),
    /** As large as there is room, and never small: there is no drawing to be operated. */
    INSTEAD_OF_DRAWING(250, Double.MAX_VALUE);

    private final double least;
    private final double most;

    DoorRoom(double least, double most) {
        this.least = least;
        this.most = most;
    }

    /** The least height. */
    public double least() {
        return least;
    }

    /** The greatest height. */
    public double most() {
        return most;
    }
}
