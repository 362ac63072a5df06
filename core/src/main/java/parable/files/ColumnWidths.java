package parable.files;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import parable.draw.Mark;

/** How wide the columns of a printed table are, in points. */
final class ColumnWidths {

    private static final double BY_HAND = 58;
    private static final double WIDEST = 300;

    private final PdfFonts fonts;
    private final double room;

    /**
     * Widths on a page.
     *
     * @param room the width of all columns together
     */
    ColumnWidths(PdfFonts fonts, double room) {
        this.fonts = fonts;
        this.room = room;
    }

    /**
     * As wide as what is in them, and all together as wide as the page.
     *
     * @param boxes how many of the last columns are boxes to be ticked
     */
    double[] of(Table table, int boxes) throws IOException {
        double[] widths = new double[table.header().size()];
        double sum = 0;
        for (int i = 0; i < widths.length; i++) {
            double widest = 0;
            for (List<String> row : table.rows()) {
                widest = Math.max(widest, fonts.width(row.get(i), Mark.TextRole.MARKING));
            }
            boolean byHand = widest == 0 && i < widths.length - boxes;
            double heading = fonts.width(table.header().get(i), Mark.TextRole.WIRE_NUMBER);
            widths[i] = 2 * PdfBook.PAD + 1 + Math.max(heading, byHand ? BY_HAND : Math.min(WIDEST, widest));
            sum += widths[i];
        }
        return sum <= room ? spread(widths, room / sum) : shrunk(widths, sum - room);
    }

    private static double[] spread(double[] widths, double factor) {
        return Arrays.stream(widths).map(one -> one * factor).toArray();
    }

    /** Takes what is too much from the columns that are wider than most. */
    private static double[] shrunk(double[] widths, double surplus) {
        double[] shrunk = widths.clone();
        double left = surplus;
        while (left > 0.5) {
            double widest = Arrays.stream(shrunk).max().orElse(0);
            double next = Arrays.stream(shrunk)
                    .filter(one -> one < widest - 0.5)
                    .max()
                    .orElse(widest / 2);
            long wide = Arrays.stream(shrunk).filter(one -> one >= widest - 0.5).count();
            double cut = Math.min(left / wide, widest - next);
            for (int i = 0; i < shrunk.length; i++) {
                if (shrunk[i] >= widest - 0.5) {
                    shrunk[i] -= cut;
                }
            }
            left -= cut * wide;
        }
        return shrunk;
    }
}
