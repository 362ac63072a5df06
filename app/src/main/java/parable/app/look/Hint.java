package parable.app.look;

import javafx.event.EventHandler;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

/** What a thing of the window is for, told where the mouse rests on it and to those who have it read aloud. */
public final class Hint {

    private Hint() {}

    /** Gives a thing its hint. A tooltip is a window of its own with all that belongs to one, so it is made where the mouse comes first. */
    public static void on(Node node, String words) {
        node.setAccessibleHelp(words);
        node.addEventHandler(MouseEvent.MOUSE_ENTERED, new EventHandler<>() {
            @Override
            public void handle(MouseEvent event) {
                node.removeEventHandler(MouseEvent.MOUSE_ENTERED, this);
                Tooltip tooltip = new Tooltip();
                tooltip.textProperty().bind(node.accessibleHelpProperty());
                Tooltip.install(node, tooltip);
            }
        });
    }
}
