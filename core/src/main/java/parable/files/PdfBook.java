package parable.files;

import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.util.Matrix;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Point;
import parable.parts.Assembly;

/**
 * A PDF about a job, in black on white. Pages lie on their side: A4, in North American practice Letter. What would be too small to read on one page
 * goes on over several; each page says at its foot what it is and how far it can be relied on.
 */
final class PdfBook implements Closeable {

    private static final double MARGIN = 36;
    private static final double SMALLEST = 0.5;

    /** A drawing that is a little too wide is rather made smaller than cut from top to bottom. */
    private static final double SMALLEST_ACROSS = 0.4;

    private static final double LARGEST = 1;

    /** A drawing on several pages fills this share of each at least. */
    private static final double LEAST_PAGE = 0.6;

    /** Between a cut and what is not to be cut, in drawing units: as much as there is. */
    private static final List<Double> ROOM_AROUND = List.of(12.0, 6.0, 3.0);

    private static final String AT_REST = "At rest: breakers open, nothing pressed. ";
    private static final double LINE = 13;
    private static final double HEADING = 24;
    private static final double BOX = 7;
    static final double PAD = 4;
    private static final double SMALLEST_VIEW = 0.55;
    private static final double GAP = 14;

    private final PDDocument document = new PDDocument();
    private final PdfFonts fonts;
    private final Job job;
    private final PDRectangle paper;
    private final PageFoot foot;
    private final List<PDPage> written = new ArrayList<>();
    private String circuit = "";

    PdfBook(Job job) throws IOException {
        this.job = job;
        document.getDocumentInformation().setTitle(job.name());
        fonts = new PdfFonts(document);
        PDRectangle upright = job.practice() == Practice.IEC ? PDRectangle.A4 : PDRectangle.LETTER;
        paper = new PDRectangle(upright.getHeight(), upright.getWidth());
        foot = new PageFoot(job, MARGIN, paper.getWidth());
    }

    /** What is written from now on is about this circuit; an empty word for what is about none. */
    void about(String revision) {
        circuit = revision;
    }

    /** The pages written since this was asked last; they are only bound into the book once it is made of them. */
    List<PDPage> section() {
        List<PDPage> section = List.copyOf(written);
        written.clear();
        return section;
    }

    /** The book of all that was written, in that order. */
    byte[] bytes() throws IOException {
        return bytes(List.of(section()));
    }

    /** The book of these sections, in this order. */
    byte[] bytes(List<List<PDPage>> sections) throws IOException {
        List<PDPage> pages = sections.stream().flatMap(List::stream).toList();
        for (int i = 0; i < pages.size(); i++) {
            document.addPage(pages.get(i));
            try (PDPageContentStream content = new PDPageContentStream(
                    document, pages.get(i), PDPageContentStream.AppendMode.APPEND, true, true)) {
                String number = "Page " + (i + 1) + " of " + pages.size();
                foot.number(new PdfPen(content, fonts), number);
            }
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        document.save(bytes);
        return bytes.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }

    private double width() {
        return paper.getWidth() - 2 * MARGIN;
    }

    /** How far down a page can be written on. */
    private double bottom() {
        return paper.getHeight() - MARGIN - PageFoot.HEIGHT;
    }

    private interface OnPage {
        void draw(Pen pen) throws IOException;
    }

    private void page(String title, OnPage content) throws IOException {
        PDPage page = new PDPage(paper);
        written.add(page);
        try (PDPageContentStream stream = new PDPageContentStream(document, page)) {
            stream.setLineCapStyle(1);
            stream.setLineJoinStyle(1);
            stream.saveGraphicsState();
            stream.transform(new Matrix(1, 0, 0, 1, 0, paper.getHeight()));
            content.draw(new PdfPen(stream, fonts));
            stream.restoreGraphicsState();
            foot.draw(new PdfPen(stream, fonts), title, "", circuit);
        }
    }

    /** Several drawings side by side and below each other, as large as lets them share a page; on more pages if they would be too small. */
    void draw(Assembly assembly, List<Drawing> drawings, String title) throws IOException {
        double scale = LARGEST;
        while (scale > SMALLEST_VIEW
                && rows(drawings, scale).stream().mapToDouble(Row::height).sum() > bottom() - MARGIN) {
            scale -= 0.05;
        }
        List<Row> rows = rows(drawings, scale);
        while (!rows.isEmpty()) {
            double height = 0;
            int here = 0;
            while (here < rows.size() && (here == 0 || height + rows.get(here).height() <= bottom() - MARGIN)) {
                height += rows.get(here).height();
                here++;
            }
            page(assembly, rows.subList(0, here), scale, title);
            rows = rows.subList(here, rows.size());
        }
    }

    /** Drawings beside each other, with the height of the highest and a gap, in points. */
    private record Row(List<Drawing> drawings, double height) {}

    private List<Row> rows(List<Drawing> drawings, double scale) {
        List<Row> rows = new ArrayList<>();
        List<Drawing> row = new ArrayList<>();
        double used = 0;
        for (Drawing drawing : drawings) {
            if (!row.isEmpty() && used + drawing.width() * scale > width()) {
                rows.add(row(row, scale));
                row = new ArrayList<>();
                used = 0;
            }
            row.add(drawing);
            used += drawing.width() * scale + GAP;
        }
        rows.add(row(row, scale));
        return rows;
    }

    private static Row row(List<Drawing> drawings, double scale) {
        double highest = drawings.stream().mapToDouble(Drawing::height).max().orElse(0);
        return new Row(List.copyOf(drawings), highest * scale + GAP);
    }

    private void page(Assembly assembly, List<Row> rows, double scale, String title) throws IOException {
        PDPage page = new PDPage(paper);
        written.add(page);
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            double top = MARGIN;
            for (Row row : rows) {
                double left = MARGIN;
                for (Drawing drawing : row.drawings()) {
                    content.saveGraphicsState();
                    content.transform(new Matrix(
                            (float) scale, 0, 0, (float) scale, (float) left, (float) (paper.getHeight() - top)));
                    new AtRest(assembly, new PdfPen(content, fonts)).draw(drawing);
                    content.restoreGraphicsState();
                    left += drawing.width() * scale + GAP;
                }
                top += row.height();
            }
            foot.draw(new PdfPen(content, fonts), title, "", circuit);
        }
    }

    /** A page with a heading and lines of text; a line that begins with a hash is a heading itself. More lines go on over more pages. */
    void text(String title, String heading, List<String> lines) throws IOException {
        List<String> set = new ArrayList<>();
        for (String line : lines) {
            set.addAll(
                    line.isEmpty() || line.startsWith("#")
                            ? List.of(line)
                            : wrapped(line, width(), Mark.TextRole.NOTE));
        }
        int most = (int) ((bottom() - MARGIN - 2 * HEADING) / (LINE + 2));
        for (int from = 0; from < Math.max(1, set.size()); from += most) {
            List<String> here = set.subList(from, Math.min(set.size(), from + most));
            page(title, pen -> {
                label(pen, MARGIN, MARGIN + HEADING - 8, heading, Mark.TextRole.HEADING, Mark.Anchor.START);
                double y = MARGIN + 2 * HEADING;
                for (String line : here) {
                    boolean bold = line.startsWith("#");
                    label(
                            pen,
                            MARGIN,
                            y,
                            bold ? line.substring(1).strip() : line,
                            bold ? Mark.TextRole.TAG : Mark.TextRole.NOTE,
                            Mark.Anchor.START);
                    y += LINE + 2;
                }
            });
        }
    }

    /**
     * A table, its heading on every page that it goes on over. Columns are as wide as what is in them, those with nothing in them wide enough
     * to be written in by hand.
     *
     * @param boxes how many of the last columns are boxes to be ticked
     */
    void table(String title, Table table, int boxes) throws IOException {
        double[] widths = new ColumnWidths(fonts, width()).of(table, boxes);
        int row = 0;
        do {
            row = page(title, table, widths, boxes, row);
        } while (row < table.rows().size());
    }

    /** One page of a table; returns the first row that is left. */
    private int page(String title, Table table, double[] widths, int boxes, int from) throws IOException {
        int[] next = {from};
        page(title, pen -> {
            label(pen, MARGIN, MARGIN + 12, title, Mark.TextRole.HEADING, Mark.Anchor.START);
            double y = row(pen, table.header(), widths, 0, MARGIN + HEADING, true);
            while (next[0] < table.rows().size()
                    && y + height(table.rows().get(next[0]), widths, Mark.TextRole.MARKING) <= bottom()) {
                y = row(pen, table.rows().get(next[0]), widths, boxes, y, false);
                next[0]++;
            }
        });
        return Math.max(next[0], from + 1);
    }

    private double height(List<String> cells, double[] widths, Mark.TextRole role) throws IOException {
        int lines = 1;
        for (int i = 0; i < widths.length; i++) {
            lines = Math.max(
                    lines, wrapped(cells.get(i), widths[i] - 2 * PAD, role).size());
        }
        return lines * LINE + PAD;
    }

    private double row(Pen pen, List<String> cells, double[] widths, int boxes, double top, boolean heading)
            throws IOException {
        Mark.TextRole role = heading ? Mark.TextRole.WIRE_NUMBER : Mark.TextRole.MARKING;
        double x = MARGIN;
        for (int i = 0; i < widths.length; i++) {
            if (i >= widths.length - boxes) {
                box(pen, x + PAD, top + PAD, !cells.get(i).isEmpty());
            } else {
                double y = top + LINE - 2;
                for (String line : wrapped(cells.get(i), widths[i] - 2 * PAD, role)) {
                    label(pen, x + PAD, y, line, role, Mark.Anchor.START);
                    y += LINE;
                }
            }
            x += widths[i];
        }
        double under = top + height(cells, widths, role);
        pen.lines(List.of(new Point(MARGIN, under), new Point(MARGIN + width(), under)), heading ? 1.2 : 0.4);
        return under;
    }

    private static void box(Pen pen, double x, double y, boolean ticked) {
        pen.lines(
                List.of(
                        new Point(x, y),
                        new Point(x + BOX, y),
                        new Point(x + BOX, y + BOX),
                        new Point(x, y + BOX),
                        new Point(x, y)),
                0.8);
        if (ticked) {
            pen.lines(List.of(new Point(x, y), new Point(x + BOX, y + BOX)), 1.4);
            pen.lines(List.of(new Point(x + BOX, y), new Point(x, y + BOX)), 1.4);
        }
    }

    private List<String> wrapped(String text, double width, Mark.TextRole role) throws IOException {
        List<String> lines = new ArrayList<>();
        String words = text.stripLeading();
        StringBuilder line = new StringBuilder(text.substring(0, text.length() - words.length()));
        for (String word : words.split(" ")) {
            String longer = line.toString().isBlank() ? line + word : line + " " + word;
            if (!line.toString().isBlank() && fonts.width(longer, role) > width) {
                lines.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    /** A drawing, on as many pages as it needs to be read. */
    void draw(Assembly assembly, Drawing drawing, String name) throws IOException {
        double width = paper.getWidth() - 2 * MARGIN;
        double height = paper.getHeight() - 2 * MARGIN - PageFoot.HEIGHT;
        double whole = Math.min(width / drawing.width(), height / drawing.height());
        double onOnePage = width / drawing.width();
        double smallest = onOnePage >= SMALLEST_ACROSS ? Math.min(SMALLEST, onOnePage) : SMALLEST;
        double scale = Math.max(smallest, Math.min(LARGEST, whole));
        int across = pages(drawing.width() * scale, width);
        List<Double> cuts = cuts(drawing, height / scale);
        int down = cuts.size() - 1;
        for (int row = 0; row < down; row++) {
            for (int column = 0; column < across; column++) {
                String part =
                        across * down == 1 ? "" : ", part " + (row * across + column + 1) + " of " + across * down;
                Tile tile = new Tile(column * width / scale, cuts.get(row), cuts.get(row + 1), scale);
                add(assembly, drawing, tile, name + part);
            }
        }
    }

    /** The heights at which a drawing is cut for pages of this height, its upper and lower edge included: where nothing but uprights is, if there is such a place. */
    private static List<Double> cuts(Drawing drawing, double page) {
        List<Double> cuts = new ArrayList<>(List.of(0.0));
        double last = 0;
        while (drawing.height() - last > page * (1 + 1e-9)) {
            last = cut(drawing, last, page);
            cuts.add(last);
        }
        cuts.add(last + page);
        return cuts;
    }

    private static double cut(Drawing drawing, double from, double page) {
        List<Mark> marks = drawing.marksBetween(from + LEAST_PAGE * page, from + page + ROOM_AROUND.get(0));
        for (double room : ROOM_AROUND) {
            for (double height = from + page; height > from + LEAST_PAGE * page; height--) {
                double here = height;
                if (marks.stream().noneMatch(mark -> isCutAt(mark, here, room))) {
                    return height;
                }
            }
        }
        return from + page;
    }

    /** An upright may be cut, anything else not. */
    private static boolean isCutAt(Mark mark, double height, double room) {
        boolean upright = mark instanceof Mark.WireLine wire
                && wire.points().stream().noneMatch(point -> Math.abs(point.y() - height) < room);
        return !upright && mark.reaches(height - room, height + room);
    }

    private static int pages(double length, double page) {
        return Math.max(1, (int) Math.ceil(length / page - 1e-9));
    }

    /** The part of a drawing that goes on one page: its left edge and its upper and lower one in drawing units, and the scale. */
    private record Tile(double left, double top, double bottom, double scale) {}

    private void add(Assembly assembly, Drawing drawing, Tile tile, String title) throws IOException {
        PDPage page = new PDPage(paper);
        written.add(page);
        double top = paper.getHeight() - MARGIN;
        try (PDPageContentStream content = new PDPageContentStream(document, page)) {
            content.setLineCapStyle(1);
            content.setLineJoinStyle(1);
            content.saveGraphicsState();
            content.addRect(
                    (float) MARGIN - 2,
                    (float) (top - (tile.bottom() - tile.top()) * tile.scale()) - 2,
                    paper.getWidth() - 2 * (float) MARGIN + 4,
                    (float) ((tile.bottom() - tile.top()) * tile.scale()) + 4);
            content.clip();
            float scale = (float) tile.scale();
            content.transform(new Matrix(
                    scale, 0, 0, scale, (float) (MARGIN - tile.left() * scale), (float) (top + tile.top() * scale)));
            new AtRest(assembly, new PdfPen(content, fonts)).draw(drawing, tile.top(), tile.bottom());
            content.restoreGraphicsState();
            content.saveGraphicsState();
            content.transform(new Matrix(1, 0, 0, 1, 0, paper.getHeight()));
            continued(new PdfPen(content, fonts), drawing, tile);
            columns(new PdfPen(content, fonts), drawing, tile);
            content.restoreGraphicsState();
            foot.draw(new PdfPen(content, fonts), title, MotorRatings.of(assembly) + AT_REST, circuit);
        }
    }

    /** The number of each wire that goes on over the upper or lower edge of a page, where it does. */
    private void continued(Pen pen, Drawing drawing, Tile tile) {
        double lower = MARGIN + (tile.bottom() - tile.top()) * tile.scale();
        Set<List<Object>> said = new HashSet<>();
        for (Mark mark : drawing.marks()) {
            if (mark instanceof Mark.WireLine wire) {
                for (double edge : List.of(tile.top(), tile.bottom())) {
                    double x = MARGIN + (wire.points().get(0).x() - tile.left()) * tile.scale();
                    if (crosses(wire, edge) && said.add(List.of(wire.number(), x, edge))) {
                        double y = edge == tile.top() ? MARGIN - 5 : lower + 10;
                        label(pen, x, y, wire.number(), Mark.TextRole.MARKING, Mark.Anchor.MIDDLE);
                    }
                }
            }
        }
    }

    /** The letters of the columns over a page that is not the first. */
    private void columns(Pen pen, Drawing drawing, Tile tile) {
        for (Mark mark : tile.top() > 0 ? drawing.marks() : List.<Mark>of()) {
            if (mark instanceof Mark.Text label && label.role() == Mark.TextRole.COLUMN) {
                double x = MARGIN + (label.at().x() - tile.left()) * tile.scale();
                if (x > MARGIN && x < paper.getWidth() - MARGIN) {
                    label(pen, x, MARGIN - 16, label.text(), Mark.TextRole.MARKING, Mark.Anchor.MIDDLE);
                }
            }
        }
    }

    private static boolean crosses(Mark.WireLine wire, double height) {
        Point one = wire.points().get(0);
        Point other = wire.points().get(wire.points().size() - 1);
        return Math.min(one.y(), other.y()) < height && Math.max(one.y(), other.y()) > height;
    }

    private static void label(Pen pen, double x, double y, String text, Mark.TextRole role, Mark.Anchor anchor) {
        pen.text(new Mark.Text(new Point(x, y), text, role, anchor));
    }
}
