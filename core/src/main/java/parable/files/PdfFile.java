package parable.files;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Point;
import parable.draw.SheetDrawing;
import parable.parts.Assembly;
import parable.parts.PartException;

/**
 * Drawings of sheets as PDF, with the geometry of the screen, everything at rest, in black on white. Pages lie on their side: A4,
 * in North American practice Letter. What would be too small to read on one page goes on over several.
 */
public final class PdfFile {

    private static final double MARGIN = 36;
    private static final double FOOT = 30;
    private static final double SMALLEST = 0.5;
    private static final double LARGEST = 1;

    private final PDDocument document;
    private final PdfFonts fonts;
    private final Job job;
    private final PDRectangle paper;

    private PdfFile(PDDocument document, Job job) throws IOException {
        this.document = document;
        this.job = job;
        fonts = new PdfFonts(document);
        PDRectangle upright = job.practice() == Practice.IEC ? PDRectangle.A4 : PDRectangle.LETTER;
        paper = new PDRectangle(upright.getHeight(), upright.getWidth());
    }

    /** The bytes of the file with these sheets of a job, one after the other. */
    public static byte[] of(Job job, List<Sheet> sheets) {
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle(job.name());
            PdfFile file = new PdfFile(document, job);
            for (Sheet sheet : sheets) {
                file.add(sheet);
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        } catch (IOException impossible) {
            throw new UncheckedIOException("a file in memory cannot be written", impossible);
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    private void add(Sheet sheet) throws IOException, PartException {
        Assembly assembly = Assembly.of(sheet);
        Drawing drawing = SheetDrawing.of(assembly, job.practice());
        double width = paper.getWidth() - 2 * MARGIN;
        double height = paper.getHeight() - 2 * MARGIN - FOOT;
        double whole = Math.min(width / drawing.width(), height / drawing.height());
        double scale = Math.max(SMALLEST, Math.min(LARGEST, whole));
        int across = pages(drawing.width() * scale, width);
        int down = pages(drawing.height() * scale, height);
        for (int row = 0; row < down; row++) {
            for (int column = 0; column < across; column++) {
                String part =
                        across * down == 1 ? "" : ", part " + (row * across + column + 1) + " of " + across * down;
                Tile tile = new Tile(column * width / scale, row * height / scale, scale);
                add(assembly, drawing, tile, sheet.name() + part);
            }
        }
    }

    private static int pages(double length, double page) {
        return Math.max(1, (int) Math.ceil(length / page - 1e-9));
    }

    /** The part of a drawing that goes on one page: its left upper corner in drawing units, and the scale. */
    private record Tile(double left, double top, double scale) {}

    private void add(Assembly assembly, Drawing drawing, Tile tile, String title) throws IOException {
        PDPage page = new PDPage(paper);
        document.addPage(page);
        double top = paper.getHeight() - MARGIN;
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            content.setLineCapStyle(1);
            content.setLineJoinStyle(1);
            content.saveGraphicsState();
            content.addRect(
                    (float) MARGIN - 2,
                    (float) (MARGIN + FOOT) - 2,
                    paper.getWidth() - 2 * (float) MARGIN + 4,
                    paper.getHeight() - 2 * (float) MARGIN - (float) FOOT + 4);
            content.clip();
            float scale = (float) tile.scale();
            content.transform(new Matrix(
                    scale, 0, 0, scale, (float) (MARGIN - tile.left() * scale), (float) (top + tile.top() * scale)));
            new AtRest(assembly, new PdfPen(content, fonts)).draw(drawing);
            content.restoreGraphicsState();
            foot(new PdfPen(content, fonts), title);
        }
    }

    private void foot(Pen pen, String title) {
        double line = -(MARGIN + FOOT - 10);
        double words = -MARGIN - 4;
        double right = paper.getWidth() - MARGIN;
        pen.lines(List.of(new Point(MARGIN, line), new Point(right, line)), 0.8);
        label(pen, MARGIN, words, job.name() + ": " + title, Mark.TextRole.TAG, Mark.Anchor.START);
        String state = "At rest: breakers open, nothing pressed. "
                + job.practice().words() + " practice.  Page " + document.getNumberOfPages();
        label(pen, right, words, state, Mark.TextRole.MARKING, Mark.Anchor.END);
        label(
                pen,
                MARGIN,
                words + 14,
                "Made to advise, not to certify: isolate, lock out and prove dead before work; local code and licensed"
                        + " practice decide.",
                Mark.TextRole.MARKING,
                Mark.Anchor.START);
    }

    private static void label(Pen pen, double x, double y, String text, Mark.TextRole role, Mark.Anchor anchor) {
        pen.text(new Mark.Label(new Point(x, y), text, role, anchor));
    }
}
