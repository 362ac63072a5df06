package parable.app.step;

import javafx.scene.Node;

/**
 * One of several things that can be read beside the drawing in a step.
 *
 * @param id by which it is found: {@code card}
 * @param words what is on its button
 * @param content what is read
 */
public record Leaf(String id, String words, Node content) {

    /** The leaf that every step with a drawing has: the card of what is selected. */
    public static final String CARD = "card";
}
