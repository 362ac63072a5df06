package parable.app.look;

import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;

/** What is painted in a region stays within it. */
public final class Clip {

    private Clip() {}

    /** Cuts off what reaches beyond the edges of a region, however large that becomes. */
    public static void atTheEdgesOf(Region region) {
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(region.widthProperty());
        clip.heightProperty().bind(region.heightProperty());
        region.setClip(clip);
    }
}
