package parable.app.desk;

import parable.desk.DeskStroke;

/** The keys that choose what is done with the next thing that is typed. */
public final class StrokeKey {

    private StrokeKey() {}

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
