package parable.app.desk;

import java.util.Arrays;
import javafx.scene.input.KeyEvent;
import parable.desk.DeskStroke;

/** The keys that choose what is done with the next thing that is typed. */
public final class StrokeKey {

    private static final String RUNG_LIKE_THIS = "Ctrl+7";

    private StrokeKey() {}

    /** Whether a key chooses what is typed next. */
    public static boolean begins(KeyEvent event) {
        String pressed = pressed(event);
        return pressed.equals(RUNG_LIKE_THIS)
                || Arrays.stream(DeskStroke.values())
                        .anyMatch(stroke -> of(stroke).equals(pressed));
    }

    /** A key as it is written on a button. */
    static String pressed(KeyEvent event) {
        return (event.isShortcutDown() ? "Ctrl+" : "") + event.getCode().getName();
    }

    /** The key of a stroke as it is written on a button: {@code Ctrl+1}. */
    public static String of(DeskStroke stroke) {
        return switch (stroke) {
            case RUNG -> "Enter";
            case NEW_RUNG -> "Insert";
            case BEFORE -> "Ctrl+1";
            case AFTER -> "Ctrl+2";
            case AROUND -> "Ctrl+3";
            case BRANCH -> "Ctrl+4";
            case EXCHANGE -> "Ctrl+5";
        };
    }
}
