package parable.files;

import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import parable.draw.Mark;

/** The fonts of a document, embedded, so that text stays text. */
final class PdfFonts {

    private final PDFont regular;
    private final PDFont bold;
    private final Map<Integer, Boolean> known = new HashMap<>();
    private final Map<List<Object>, Double> widths = new HashMap<>();

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

    /** How wide a text is as it is set, in points. */
    double width(String text, Mark.TextRole role) throws IOException {
        double width = 0;
        for (int sign : printable(text).codePoints().toArray()) {
            Double known = widths.get(List.of(sign, role.bold()));
            if (known == null) {
                known = of(role.bold()).getStringWidth(Character.toString(sign)) / 1000.0;
                widths.put(List.of(sign, role.bold()), known);
            }
            width += known * role.size();
        }
        return width;
    }

    /** The text with a question mark for every sign that the font lacks. */
    String printable(String text) {
        StringBuilder printable = new StringBuilder();
        text.codePoints().forEach(sign -> {
            boolean has = known.computeIfAbsent(sign, any -> has(Character.toString(sign)));
            printable.appendCodePoint(has ? sign : '?');
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
