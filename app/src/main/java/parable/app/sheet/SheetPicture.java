package parable.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import parable.app.look.Ink;
import parable.app.meter.Probe;
import parable.draw.Box;
import parable.draw.Mark;
import parable.draw.Point;

/** The part of a sheet's drawing that is in view, as it is at one instant. */
final class SheetPicture implements Patches.Picture {

    /** What is drawn of a mark reaches no further beyond its extent, in drawing units. */
    static final double MARGIN = 20;

    private final List<Seen> marks;
    private final List<Box> extents;
    private final Pointers pointers;
    private final Manner manner;

    /**
     * A picture.
     *
     * @param marks what of the drawing is in view
     * @param pointers what lies on it
     * @param manner how it is looked at
     */
    SheetPicture(List<Seen> marks, Pointers pointers, Manner manner) {
        this.marks = List.copyOf(marks);
        this.extents = marks.stream().map(seen -> seen.extent().widened(MARGIN)).toList();
        this.pointers = pointers;
        this.manner = manner;
    }

    /**
     * What lies on the drawing.
     *
     * @param probes where the probes of the meter are
     * @param marked what is pointed out
     * @param ends where its terminals are
     * @param selection the frame around what is selected, empty if nothing is
     * @param way the contacts on the way of a current
     */
    record Pointers(
            Map<Probe, Point> probes, Marked marked, List<Point> ends, Optional<Box> selection, List<WayMark> way) {

        /** Those within a box of the drawing; all but the selection may be anywhere. */
        Pointers within(Box area) {
            return new Pointers(
                    probes,
                    marked,
                    ends,
                    selection.filter(box -> box.widened(MARGIN).overlaps(area)),
                    way.stream()
                            .filter(mark -> mark.box().widened(MARGIN).overlaps(area))
                            .toList());
        }
    }

    /**
     * How it is looked at.
     *
     * @param scale from drawing units to pixels
     * @param ink its colours
     */
    record Manner(double scale, Ink ink) {

        Box inDrawing(Box area) {
            return new Box(area.x() / scale, area.y() / scale, area.width() / scale, area.height() / scale);
        }
    }

    private record Look(List<Seen> marks, Pointers pointers, Manner manner) {}

    @Override
    public Object look(Box area) {
        Box there = manner.inDrawing(area);
        return new Look(within(there), pointers.within(there), manner);
    }

    private List<Seen> within(Box area) {
        List<Seen> within = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++) {
            if (extents.get(i).overlaps(area)) {
                within.add(marks.get(i));
            }
        }
        return within;
    }

    @Override
    public void paint(GraphicsContext graphics, Box area) {
        Box there = manner.inDrawing(area);
        Ink ink = manner.ink;
        List<Seen> here = within(there);
        graphics.setFill(ink.paper());
        graphics.fillRect(area.x(), area.y(), area.width(), area.height());
        graphics.scale(manner.scale, manner.scale);
        new Painter(graphics, ink).paint(here);
        Probes.paint(graphics, pointers.probes(), ink.symbol());
        List<Mark> lines = here.stream().map(Seen::mark).toList();
        WireMark.paint(graphics, lines, pointers.marked(), pointers.ends(), ink);
        pointers.within(there).selection().ifPresent(box -> frame(graphics, box));
        pointers.within(there).way().forEach(mark -> mark.paint(graphics, ink));
    }

    private void frame(GraphicsContext graphics, Box box) {
        graphics.setStroke(manner.ink.symbol());
        graphics.setLineWidth(2.4);
        graphics.setLineDashes(9, 4);
        graphics.strokeRoundRect(box.x(), box.y(), box.width(), box.height(), 8, 8);
        graphics.setLineDashes();
    }
}
