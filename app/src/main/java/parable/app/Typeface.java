package parable.app;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import javafx.scene.text.Font;

/** The fonts that ship with the application: one made to be read at a glance, and one that has every sign we need. */
public final class Typeface {

    /** The family for words and numbers. */
    public static final String WORDS = "B612";

    /** The family for signs that the others lack, such as the earth sign. */
    public static final String SIGNS = "Noto Sans Symbols";

    private Typeface() {}

    /** Makes the fonts known; must come before the first text is laid out. */
    public static void load() {
        for (String file : new String[] {"B612-Regular.otf", "B612-Bold.otf", "NotoSansSymbols-Regular.ttf"}) {
            try (InputStream stream = Typeface.class.getResourceAsStream("fonts/" + file)) {
                if (stream == null || Font.loadFont(stream, 12) == null) {
                    throw new IllegalStateException("the font " + file + " did not come with the application");
                }
            } catch (IOException broken) {
                throw new UncheckedIOException("the font " + file + " cannot be read", broken);
            }
        }
    }
}
