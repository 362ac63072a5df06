package parable.app.sizing;

import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.VBox;

/**
 * What is being typed while a page is made anew beneath it: the field that has the keyboard goes on where it was.
 *
 * @param field its id, empty if the keyboard is elsewhere
 * @param text what is in it, empty unless somebody has changed it
 * @param caret where in that
 */
record Typing(String field, Optional<String> text, int caret) {

    /** What is typed or focused in some content. */
    static Typing in(VBox content) {
        Node owner = content.getScene() == null ? null : content.getScene().getFocusOwner();
        boolean inside = false;
        for (Node at = owner; at != null; at = at.getParent()) {
            inside |= at == content;
        }
        if (!inside || owner.getId() == null) {
            return new Typing("", Optional.empty(), 0);
        }
        return owner instanceof TextInputControl typed && !typed.getText().equals(typed.getUserData())
                ? new Typing(owner.getId(), Optional.of(typed.getText()), typed.getCaretPosition())
                : new Typing(owner.getId(), Optional.empty(), 0);
    }

    /** Puts the keyboard and what was typed into the field of that id, where there is one again. */
    void goOnIn(VBox content) {
        Node again = field.isEmpty() ? null : content.lookup("#" + field);
        if (again != null) {
            again.requestFocus();
            if (again instanceof TextInputControl typed && text.isPresent()) {
                typed.setText(text.get());
                typed.positionCaret(Math.min(caret, text.get().length()));
            }
        }
    }
}
