package parable.app.look;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import javafx.scene.text.Font;
import parable.files.Typefaces;

/** The fonts that ship with the application: one made to be read at a glance, and one that has every sign we need. */
public final class Typeface {

    /** The family for words and numbers. */
    public static final String WORDS = "B612";

    /** The family for signs that the others lack, such as the earth sign. */
    public static final String SIGNS = "Noto Sans Symbols";

    private Typeface() {}

    /** Makes the fonts known; must come before the first text is laid out. */
    public static void load() {
        for (Typefaces typeface : Typefaces.values()) {
            try (InputStream stream = typeface.open()) {
                if (Font.loadFont(stream, 12) == null) {
                    throw new IllegalStateException("the font " + typeface + " cannot be shown");
                }
            } catch (IOException broken) {
                throw new UncheckedIOException("the font " + typeface + " cannot be read", broken);
            }
        }
    }
}
