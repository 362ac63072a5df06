package parable.files;

import java.util.List;
import parable.circuit.Job;
import parable.circuit.TitleBlock;
import parable.draw.Mark;
import parable.draw.Point;

/**
 * The foot of a page: what it is, how far it can be relied on, and the title block. Heights are counted from the lower edge of the paper, in points, and upwards are less than 0.
 */
final class PageFoot {

    /** How much of a page it takes above the margin, in points. */
    static final double HEIGHT = 48;

    private static final double LINE = -31;
    private static final double BOX = 17;
    private static final double PAD = 4;

    /** How wide the boxes of the title block are as shares of the page: drawing, revision, date, drawn, checked, circuit, page. */
    private static final List<Double> SHARES = List.of(0.15, 0.08, 0.12, 0.16, 0.16, 0.2, 0.13);

    private final Job job;
    private final double margin;
    private final double right;

    /**
     * That of the pages of a job.
     *
     * @param margin in points
     * @param width of the paper, in points
     */
    PageFoot(Job job, double margin, double width) {
        this.job = job;
        this.margin = margin;
        right = width - margin;
    }

    /**
     * Draws it.
     *
     * @param title what is on the page
     * @param remark a sentence before the practice, empty if there is none
     * @param circuit the revision of the circuit that the page is about, empty if it is about none
     */
    void draw(Pen pen, String title, String remark, String circuit) {
        double line = -(margin + HEIGHT - 10);
        double words = line + 15;
        pen.lines(List.of(new Point(margin, line), new Point(right, line)), 0.8);
        label(pen, margin, words, job.name() + ": " + title, Mark.TextRole.TAG, Mark.Anchor.START);
        String state = remark + job.practice().words() + " practice.";
        label(pen, right, words, state, Mark.TextRole.MARKING, Mark.Anchor.END);
        label(
                pen,
                margin,
                words + 13,
                "Made to advise, not to certify: isolate, lock out and prove dead before work; local code and licensed"
                        + " practice decide.",
                Mark.TextRole.MARKING,
                Mark.Anchor.START);
        titleBlock(pen, circuit);
    }

    /** Writes the number of the page into its box. */
    void number(Pen pen, String words) {
        label(pen, right - PAD, LINE, words, Mark.TextRole.MARKING, Mark.Anchor.END);
    }

    /** A row of boxes: what the title block says, what of it is to be written by hand, and last the room for the number of the page. */
    private void titleBlock(Pen pen, String circuit) {
        TitleBlock title = job.conventions().title();
        List<String> entries = List.of(
                "Drawing " + title.drawing(),
                "Rev. " + title.revision(),
                "Date " + title.date(),
                "Drawn " + title.drawn(),
                "Checked " + title.checked(),
                circuit.isEmpty() ? "" : "Circuit " + circuit,
                "");
        double bottom = LINE + 5;
        double top = bottom - BOX;
        double left = margin;
        for (int i = 0; i < entries.size(); i++) {
            double end = left + SHARES.get(i) * (right - margin);
            pen.lines(
                    List.of(
                            new Point(left, bottom),
                            new Point(left, top),
                            new Point(end, top),
                            new Point(end, bottom),
                            new Point(left, bottom)),
                    0.5);
            label(pen, left + PAD, LINE, entries.get(i), Mark.TextRole.MARKING, Mark.Anchor.START);
            left = end;
        }
    }

    private static void label(Pen pen, double x, double y, String text, Mark.TextRole role, Mark.Anchor anchor) {
        pen.text(new Mark.Text(new Point(x, y), text, role, anchor));
    }
}
