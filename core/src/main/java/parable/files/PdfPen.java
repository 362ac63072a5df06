package parable.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;
import parable.draw.Mark;
import parable.draw.Point;

/** Draws on a page that has been scaled and moved already, except that its y still grows upwards. */
final class PdfPen implements Pen {

    /** How far the control points of a quarter circle are along its tangents, in radii. */
    private static final double QUARTER = 0.5523;

    private final PDPageContentStream page;
    private final PdfFonts fonts;

    PdfPen(PDPageContentStream page, PdfFonts fonts) {
        this.page = page;
        this.fonts = fonts;
    }

    /** Something that is written to a file in memory. */
    private interface Writing {
        void write() throws IOException;
    }

    private static void inMemory(Writing writing) {
        try {
            writing.write();
        } catch (IOException impossible) {
            throw new UncheckedIOException("a page in memory cannot be written", impossible);
        }
    }

    @Override
    public void lines(List<Point> points, double width, double... dashes) {
        inMemory(() -> {
            float[] lengths = new float[dashes.length];
            for (int i = 0; i < dashes.length; i++) {
                lengths[i] = (float) dashes[i];
            }
            page.setLineDashPattern(lengths, 0);
            page.setLineWidth((float) width);
            outline(points);
            page.stroke();
        });
    }

    private void outline(List<Point> points) throws IOException {
        page.moveTo((float) points.get(0).x(), (float) -points.get(0).y());
        for (Point point : points.subList(1, points.size())) {
            page.lineTo((float) point.x(), (float) -point.y());
        }
    }

    @Override
    public void circle(Point centre, double radius, double width, boolean filled) {
        inMemory(() -> {
            page.setLineDashPattern(new float[0], 0);
            page.setLineWidth((float) width);
            page.moveTo((float) (centre.x() + radius), (float) -centre.y());
            for (int quarter = 0; quarter < 4; quarter++) {
                double from = quarter * Math.PI / 2;
                arc(centre, radius, from, from + Math.PI / 2);
            }
            if (filled) {
                page.fillAndStroke();
            } else {
                page.closeAndStroke();
            }
        });
    }

    private void arc(Point centre, double radius, double from, double to) throws IOException {
        double reach = QUARTER * radius;
        double x = centre.x();
        double y = -centre.y();
        page.curveTo(
                (float) (x + radius * Math.cos(from) - reach * Math.sin(from)),
                (float) (y + radius * Math.sin(from) + reach * Math.cos(from)),
                (float) (x + radius * Math.cos(to) + reach * Math.sin(to)),
                (float) (y + radius * Math.sin(to) - reach * Math.cos(to)),
                (float) (x + radius * Math.cos(to)),
                (float) (y + radius * Math.sin(to)));
    }

    @Override
    public void area(List<Point> corners) {
        inMemory(() -> {
            outline(corners);
            page.fill();
        });
    }

    @Override
    public void text(Mark.Text label) {
        inMemory(() -> {
            PDFont font = fonts.of(label.role().bold());
            String text = fonts.printable(label.text());
            double size = label.role().size();
            double width = font.getStringWidth(text) / 1000 * size;
            double back =
                    switch (label.anchor()) {
                        case START -> 0;
                        case MIDDLE -> width / 2;
                        case END -> width;
                    };
            page.beginText();
            page.setFont(font, (float) size);
            page.newLineAtOffset(
                    (float) (label.at().x() - back), (float) -label.at().y());
            page.showText(text);
            page.endText();
        });
    }
}
