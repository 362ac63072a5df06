package parable.app.look;

import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Skin;

/**
 * A scroll pane that paints its content directly. The toolkit's own paints a picture of all that is in view first, anew at any change in it, and then that
 * picture.
 */
public class DirectScroll extends ScrollPane {

    /** An empty one. */
    public DirectScroll() {}

    /** One with this content. */
    public DirectScroll(Node content) {
        super(content);
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        Skin<?> skin = super.createDefaultSkin();
        getChildrenUnmodifiable().forEach(child -> child.setCache(false));
        return skin;
    }
}
