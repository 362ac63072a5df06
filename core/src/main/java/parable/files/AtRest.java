package parable.files;

import java.util.List;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Stroke;
import parable.draw.Subject;
import parable.parts.Assembly;
import parable.parts.Part;

/** Draws a sheet as it is at rest: breakers open, fuses sound, supplies there, nothing actuated. */
final class AtRest {

    private static final double WIRE = 1;
    private static final double SYMBOL = 1.6;
    private static final double JUNCTION = 2.6;

    private final Assembly assembly;
    private final Pen pen;

    AtRest(Assembly assembly, Pen pen) {
        this.assembly = assembly;
        this.pen = pen;
    }

    void draw(Drawing drawing) {
        drawing.marks().forEach(this::draw);
    }

    /** What of a drawing may be seen between two heights. */
    void draw(Drawing drawing, double top, double bottom) {
        drawing.marksBetween(top, bottom).forEach(this::draw);
    }

    private void draw(Mark mark) {
        if (mark instanceof Mark.WireLine wire) {
            pen.lines(wire.points(), WIRE);
        } else if (mark instanceof Mark.Junction junction) {
            pen.circle(junction.at(), JUNCTION, SYMBOL, true);
        } else if (mark instanceof Mark.Link link) {
            pen.lines(List.of(link.from(), link.to()), WIRE, 4, 3);
        } else if (mark instanceof Mark.Symbol symbol) {
            symbol.always().forEach(this::draw);
            (isOn(symbol.subject()) ? symbol.on() : symbol.off()).forEach(this::draw);
        } else if (mark instanceof Mark.Figure figure) {
            figure.strokes().forEach(this::draw);
        } else if (mark instanceof Mark.Text label) {
            pen.text(label);
        }
    }

    private boolean isOn(Subject subject) {
        Part part = assembly.part(subject.tag()).orElseThrow();
        return subject instanceof Subject.OfContact contact
                ? part.contacts().get(contact.contact()).closedAt(part.initial())
                : subject instanceof Subject.OfSupply;
    }

    private void draw(Stroke stroke) {
        if (stroke instanceof Stroke.Lines lines) {
            if (lines.dashed()) {
                pen.lines(lines.points(), WIRE, 3, 3);
            } else {
                pen.lines(lines.points(), SYMBOL);
            }
        } else if (stroke instanceof Stroke.Circle circle) {
            pen.circle(circle.centre(), circle.radius(), SYMBOL, circle.filled());
        } else if (stroke instanceof Stroke.Area area) {
            pen.area(area.corners());
        }
    }
}
