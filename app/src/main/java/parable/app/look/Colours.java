package parable.app.look;

import java.util.Map;
import javafx.scene.paint.Color;

/** The colours of operators and lamps as paint. */
public final class Colours {

    private static final Color UNPAINTED = Color.web("#c9cdd1");
    private static final Map<String, Color> PAINT = Map.of(
            "red", Color.web("#c8102e"),
            "yellow", Color.web("#f2b900"),
            "green", Color.web("#12813f"),
            "blue", Color.web("#1d5fa8"),
            "white", Color.web("#f7f7f5"),
            "grey", Color.web("#9aa1a8"),
            "black", Color.web("#23272b"));

    private Colours() {}

    /** The paint of a colour that a device may have; unpainted metal for any other word. */
    public static Color paint(String word) {
        return PAINT.getOrDefault(word, UNPAINTED);
    }
}
