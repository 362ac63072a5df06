package parable.app.look;

import javafx.scene.control.Button;

/** A button that says what it does, and more when pointed at. */
public final class ActionButton extends Button {

    /**
     * A button.
     *
     * @param id by which it can be found in the window
     * @param hint what is said when it is pointed at
     */
    public ActionButton(String id, String words, String hint, Runnable action) {
        super(words);
        setId(id);
        Hint.on(this, hint);
        setOnAction(event -> action.run());
    }
}
