package parable.files;

import java.io.InputStream;

/** The fonts that ship with the application, as TrueType files; on screen and on paper they are the same. */
public enum Typefaces {
    /** Words and numbers, made to be read at a glance. */
    WORDS("B612-Regular.ttf"),
    /** The same in bold. */
    BOLD_WORDS("B612-Bold.ttf"),
    /** Signs that the others lack, such as the earth sign. */
    SIGNS("NotoSansSymbols-Regular.ttf");

    private final String file;

    Typefaces(String file) {
        this.file = file;
    }

    /** The font file; to be closed by the caller. */
    public InputStream open() {
        InputStream stream = Typefaces.class.getResourceAsStream("fonts/" + file);
        if (stream == null) {
            throw new IllegalStateException("the font " + file + " did not come with the application");
        }
        return stream;
    }
}
