package parable.app.look;

import java.util.Arrays;
import java.util.List;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;

/**
 * Follows what outlives a part of the window, such as the open job or how the window is looked at, as long as that part is in the window. What was left
 * behind costs nothing and can go.
 */
public final class WhileShown {

    private final List<ObservableValue<?>> followed;
    private final Runnable action;
    private final ChangeListener<Object> changed;
    private List<Object> known;

    private WhileShown(Runnable action, List<ObservableValue<?>> followed) {
        this.action = action;
        this.followed = followed;
        changed = (any, before, now) -> action.run();
        known = values();
    }

    /**
     * Follows values while a part is shown; what changed meanwhile is made up for when it is shown again.
     *
     * @param part of the window
     * @param action what is to be done when a value has changed
     */
    public static void follow(Node part, Runnable action, ObservableValue<?>... values) {
        WhileShown following = new WhileShown(action, List.of(values));
        part.sceneProperty().addListener((any, before, now) -> following.be(now != null));
        following.be(part.getScene() != null);
    }

    private void be(boolean shown) {
        followed.forEach(value -> value.removeListener(changed));
        if (shown) {
            followed.forEach(value -> value.addListener(changed));
            if (!values().equals(known)) {
                action.run();
            }
        } else {
            known = values();
        }
    }

    private List<Object> values() {
        return Arrays.asList(followed.stream().map(ObservableValue::getValue).toArray());
    }
}
