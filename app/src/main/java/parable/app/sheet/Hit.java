package parable.app.sheet;

import java.util.Optional;
import parable.circuit.Place;
import parable.draw.Drawing;
import parable.draw.Mark;
import parable.draw.Subject;

/**
 * What is on a drawing at a point.
 *
 * @param subject the contact, load or device whose symbol is there, empty if none is
 * @param place where that is on a rung, empty if it is on none
 * @param wire the number of the wire there, empty if none is near
 */
public record Hit(Optional<Subject> subject, Optional<Place> place, Optional<String> wire) {

    /** The device that is there, empty if none is. */
    public Optional<String> tag() {
        return subject.map(Subject::tag);
    }

    private static final double WIRE = 16;

    /** What is drawn at a point, in the units of the drawing. */
    static Hit on(Drawing drawing, double x, double y) {
        return new Hit(
                drawing.symbols()
                        .filter(symbol -> symbol.box().contains(x, y))
                        .findFirst()
                        .map(Mark.Symbol::subject),
                drawing.placeAt(x, y),
                drawing.wireNear(x, y, WIRE));
    }
}
