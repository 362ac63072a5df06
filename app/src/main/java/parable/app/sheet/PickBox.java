package parable.app.sheet;

import java.util.Optional;
import parable.card.Pick;
import parable.circuit.Place;
import parable.draw.Box;
import parable.draw.Drawing;
import parable.draw.Mark;

/** Where on a drawing something of its sheet is. */
final class PickBox {

    private static final int MOST_ITEMS = 40;

    private PickBox() {}

    /** The first place where it is drawn, empty if it is not. */
    static Optional<Box> on(Drawing drawing, Pick pick) {
        if (pick instanceof Pick.OfDevice device) {
            return drawing.symbols()
                    .filter(symbol -> symbol.subject().tag().equals(device.tag()))
                    .map(Mark.Symbol::box)
                    .findFirst();
        }
        if (pick instanceof Pick.OfWire wire) {
            return drawing.pointOn(wire.number()).map(at -> new Box(at.x(), at.y(), 0, 0));
        }
        Pick.OfRung rung = (Pick.OfRung) pick;
        for (int item = 0; item < MOST_ITEMS; item++) {
            Optional<Box> box = drawing.boxOf(new Place(rung.circuit(), rung.rung(), item));
            if (box.isPresent()) {
                return box;
            }
        }
        return Optional.empty();
    }
}
