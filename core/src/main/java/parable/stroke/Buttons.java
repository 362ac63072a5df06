package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Structure;
import parable.parts.Family;

/** The buttons by which a contactor or relay is started and stopped. */
final class Buttons {

    private final StrokeSheet desk;

    Buttons(StrokeSheet desk) {
        this.desk = desk;
    }

    /** The buttons that start it while they are pressed, whether or not something holds them. */
    List<RungItem.Passage> starts() throws EditException {
        return pure(false);
    }

    /** Starts that its own contact holds. */
    List<RungItem.Passage> heldStarts() throws EditException {
        return starts().stream()
                .filter(start -> desk.isHeld(desk.placeOf(start)))
                .toList();
    }

    /** Stops that nothing leads around. */
    List<RungItem.Passage> stops() throws EditException {
        return pure(true).stream()
                .filter(stop -> !isBridged(desk.placeOf(stop)))
                .toList();
    }

    /** Buttons of which only open contacts are used on the sheet, or only closed ones: a jog button and one that bars another has both. */
    private List<RungItem.Passage> pure(boolean stops) throws EditException {
        List<RungItem.Passage> found = new ArrayList<>();
        for (Place place : desk.places((any, passage) -> desk.family(passage) == Family.PUSH_BUTTON)) {
            RungItem.Passage passage = Structure.passageAt(desk.sheet(), place);
            boolean here = stops ? desk.contactsBefore(desk.coil()).contains(passage) : isOnItsRungs(place);
            if (here && desk.isClosedAtRest(passage) == stops && isPure(passage)) {
                found.add(passage);
            }
        }
        return found;
    }

    /** The rung with the coil and those that begin or end at a point on it. */
    private boolean isOnItsRungs(Place place) throws EditException {
        int coil = desk.coil().rung();
        if (place.rung() == coil) {
            return true;
        }
        List<RungItem.NamedPoint> points = desk.rungs().get(coil).points().toList();
        List<RungItem> items = desk.rungs().get(place.rung()).items();
        return isInner(items.get(0), points) && isInner(items.get(items.size() - 1), points);
    }

    private static boolean isInner(RungItem end, List<RungItem.NamedPoint> points) {
        return end instanceof RungItem.NamedPoint point && !point.rail() && points.contains(point);
    }

    private boolean isPure(RungItem.Passage passage) throws EditException {
        for (Place place : desk.places((any, other) -> other.tag().equals(passage.tag()))) {
            RungItem.Passage other = Structure.passageAt(desk.sheet(), place);
            boolean contact =
                    desk.part(other).contactBetween(other.from(), other.to()).isPresent();
            if (contact && desk.isClosedAtRest(other) != desk.isClosedAtRest(passage)) {
                return false;
            }
        }
        return true;
    }

    /** Whether another rung without a load leads from before something to behind it. */
    private boolean isBridged(Place at) {
        List<RungItem> items = desk.rungs().get(at.rung()).items();
        return desk.rungs().stream()
                .map(Rung::items)
                .filter(others -> others != items)
                .filter(others -> others.stream()
                        .noneMatch(item -> item instanceof RungItem.Passage passage && desk.isLoad(passage)))
                .anyMatch(others -> {
                    int one = items.indexOf(others.get(0));
                    int other = items.indexOf(others.get(others.size() - 1));
                    return Math.min(one, other) >= 0
                            && Math.min(one, other) < at.item()
                            && Math.max(one, other) > at.item();
                });
    }
}
