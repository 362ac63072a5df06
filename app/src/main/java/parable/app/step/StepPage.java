package parable.app.step;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyEvent;

/** One step of the job on one sheet. */
public interface StepPage {

    /** What is in the middle of the window, made ready for this step. */
    Node centre();

    /** What can be read beside it, one leaf at a time; the card of what is selected comes with every step that has a drawing. */
    List<Leaf> leaves();

    /** Whether the card of what is selected is the first leaf; otherwise it is the last. */
    default boolean cardFirst() {
        return false;
    }

    /** Whether there is a drawing on which something can be selected. */
    default boolean hasCard() {
        return true;
    }

    /** What is always beside it, over the leaves. */
    default List<Node> always() {
        return List.of();
    }

    /** Puts the keyboard where this step needs it. */
    void takeKeyboard();

    /** How the door is beside the middle; it is not, unless said. */
    default DoorRoom door() {
        return DoorRoom.NONE;
    }

    /** Whether numbers of findings are on the drawing. */
    default boolean showsFindings() {
        return true;
    }

    /** The sheet was edited while this step was shown; returns whether middle and side have to be put together anew. */
    default boolean edited() {
        return false;
    }

    /**
     * A key that the window has no use for.
     *
     * @param inText whether the cursor is in a text
     * @return whether it meant something here
     */
    default boolean key(KeyEvent event, boolean inText) {
        return false;
    }
}
