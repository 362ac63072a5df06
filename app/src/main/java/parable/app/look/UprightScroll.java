package parable.app.look;

import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.skin.ScrollPaneSkin;

/**
 * A scroll pane that is scrolled up and down only: what it holds is as wide as it is. Its content is in the window at once, and not only after the next frame, so that the keyboard can be put into one of
 * its fields.
 */
public final class UprightScroll extends ScrollPane {

    /** An empty one. */
    public UprightScroll() {
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        setSkin(new ScrollPaneSkin(this));
    }

    /** One with this content. */
    public UprightScroll(Node content) {
        this();
        setContent(content);
    }
}
