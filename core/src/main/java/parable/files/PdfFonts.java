package parable.files;

import java.io.IOException;
import java.io.InputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The fonts of a document, embedded, so that text stays text. */
final class PdfFonts {

    private final PDFont regular;
    private final PDFont bold;

    PdfFonts(PDDocument document) throws IOException {
        regular = load(document, Typefaces.WORDS);
        bold = load(document, Typefaces.BOLD_WORDS);
    }

    private static PDFont load(PDDocument document, Typefaces typeface) throws IOException {
        try (InputStream stream = typeface.open()) {
            return PDType0Font.load(document, stream);
        }
    }

    PDFont of(boolean heavy) {
        return heavy ? bold : regular;
    }

    /** The text with a question mark for every sign that the font lacks. */
    String printable(String text) {
        StringBuilder printable = new StringBuilder();
        text.codePoints().forEach(sign -> {
            String one = Character.toString(sign);
            printable.append(has(one) ? one : "?");
        });
        return printable.toString();
    }

    private boolean has(String sign) {
        try {
            regular.encode(sign);
            bold.encode(sign);
            return true;
        } catch (IOException | IllegalArgumentException lacking) {
            return false;
        }
    }
}
