package parable.files;

import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.HashMap;
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

    /** The widths of signs in thousandths of the size, by their codes; not a number where nobody has asked yet. */
    private final double[] regularWidths = unknown();

    private final double[] boldWidths = unknown();

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
        double[] widths = role.bold() ? boldWidths : regularWidths;
        String set = printable(text);
        double width = 0;
        for (int i = 0; i < set.length(); i++) {
            char sign = set.charAt(i);
            if (Double.isNaN(widths[sign])) {
                widths[sign] = of(role.bold()).getStringWidth(String.valueOf(sign));
            }
            width += widths[sign];
        }
        return width * role.size() / 1000;
    }

    private static double[] unknown() {
        double[] widths = new double[Character.MAX_VALUE + 1];
        Arrays.fill(widths, Double.NaN);
        return widths;
    }

    /** The text with a question mark for every sign that the font lacks. */
    String printable(String text) {
        boolean all = text.codePoints().allMatch(this::isKnown);
        if (all) {
            return text;
        }
        StringBuilder printable = new StringBuilder();
        text.codePoints().forEach(sign -> printable.appendCodePoint(isKnown(sign) ? sign : '?'));
        return printable.toString();
    }

    private boolean isKnown(int sign) {
        return sign <= Character.MAX_VALUE && known.computeIfAbsent(sign, any -> has(Character.toString(sign)));
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
