package parable.app.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import parable.app.look.Ink;
import parable.app.meter.Probe;
import parable.app.wiring.WireMark;
import parable.draw.Box;
import parable.draw.Mark;
import parable.draw.Point;

/**
 * The part of a sheet's drawing that is in view, as it is at one instant.
 *
 * @param marks what of it is in view
 * @param pointers what lies on it
 * @param viewport how it lies under the view
 */
record SheetPicture(List<Seen> marks, Pointers pointers, Viewport viewport) implements Strips.Picture {

    /** What is drawn of a mark reaches no further beyond it, in drawing units. */
    static final double MARGIN = 20;

    /**
     * What lies on the drawing.
     *
     * @param probes where the probes of the meter are
     * @param marked what is pointed out
     * @param ends where its terminals are
     * @param selection what is selected, empty if nothing is
     */
    record Pointers(Map<Probe, Point> probes, Marked marked, List<Point> ends, Optional<Box> selection) {

        /** Those between two heights of the drawing; all but the selection may be anywhere. */
        Pointers between(double top, double bottom) {
            return new Pointers(
                    probes,
                    marked,
                    ends,
                    selection.filter(box -> box.y() + box.height() >= top - MARGIN && box.y() <= bottom + MARGIN));
        }
    }

    /**
     * How the drawing lies under the view.
     *
     * @param scale from drawing units to pixels
     * @param across how far it is scrolled to the right, in pixels
     * @param down how far it is scrolled down, in pixels
     * @param ink its colours
     */
    record Viewport(double scale, double across, double down, Ink ink) {

        double inDrawing(double height) {
            return (height + down) / scale;
        }
    }

    private record Look(List<Seen> marks, Pointers pointers, Viewport viewport) {}

    @Override
    public Object look(double top, double bottom) {
        double from = viewport.inDrawing(top);
        double to = viewport.inDrawing(bottom);
        return new Look(between(from, to), pointers.between(from, to), viewport);
    }

    private List<Seen> between(double from, double to) {
        return marks.stream()
                .filter(seen -> seen.mark().reaches(from - MARGIN, to + MARGIN))
                .toList();
    }

    @Override
    public void paint(GraphicsContext graphics, double top, double bottom) {
        double from = viewport.inDrawing(top);
        double to = viewport.inDrawing(bottom);
        Ink ink = viewport.ink();
        List<Seen> here = between(from, to);
        graphics.setFill(ink.paper());
        graphics.fillRect(0, top, graphics.getCanvas().getWidth(), bottom - top);
        graphics.translate(-viewport.across(), -viewport.down());
        graphics.scale(viewport.scale(), viewport.scale());
        new Painter(graphics, ink).paint(here);
        Probes.paint(graphics, pointers.probes(), ink.symbol());
        List<Mark> lines = here.stream().map(Seen::mark).toList();
        WireMark.paint(graphics, lines, pointers.marked(), pointers.ends(), ink);
        pointers.between(from, to).selection().ifPresent(box -> frame(graphics, box));
    }

    private void frame(GraphicsContext graphics, Box box) {
        graphics.setStroke(viewport.ink().symbol());
        graphics.setLineWidth(2.4);
        graphics.setLineDashes(9, 4);
        graphics.strokeRoundRect(box.x() - 2, box.y() - 4, box.width() + 4, box.height() + 8, 8, 8);
        graphics.setLineDashes();
    }
}
