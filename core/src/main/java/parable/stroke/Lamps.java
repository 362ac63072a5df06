package parable.stroke;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import parable.circuit.ColourUse;
import parable.circuit.EditException;
import parable.circuit.Places;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.parts.Family;

/** Lamps, each on a rung of its own straight from the rail, so that it tells of what it is for and of nothing else. */
final class Lamps {

    private final StrokeSheet desk;

    Lamps(StrokeSheet desk) {
        this.desk = desk;
    }

    Sheet running() throws EditException {
        desk.coil();
        return lamp("Running", ColourUse.RUNNING, desk.tag());
    }

    Sheet stopped() throws EditException {
        desk.coil();
        return lamp("Stopped", ColourUse.STOPPED, "/" + desk.tag());
    }

    Sheet tripped() throws EditException {
        List<String> overloads = before(Family.OVERLOAD_RELAY);
        if (overloads.size() != 1) {
            throw desk.noFit(
                    overloads.isEmpty() ? "no overload relay in its way" : String.join(" and ", overloads),
                    "one whose trip the lamp is to tell");
        }
        return lamp("Tripped", ColourUse.TRIPPED, overloads.get(0));
    }

    Sheet emergencyStop() throws EditException {
        List<String> stops = before(Family.EMERGENCY_STOP);
        if (stops.size() != 1) {
            throw desk.noFit(
                    stops.isEmpty() ? "no E-stop in its way" : String.join(" and ", stops),
                    "one that the lamp is to tell of");
        }
        return lamp("E-stop pressed", ColourUse.TRIPPED, stops.get(0));
    }

    Sheet controlOn() throws EditException {
        desk.coil();
        return lamp("Control on", Optional.empty(), "");
    }

    /** The devices of a family of which current for the coil has to pass a contact. */
    private List<String> before(Family family) throws EditException {
        return desk.contactsBefore(desk.coil()).stream()
                .filter(passage -> desk.family(passage) == family)
                .map(RungItem.Passage::tag)
                .distinct()
                .toList();
    }

    private Sheet lamp(String label, ColourUse use, String contact) throws EditException {
        return lamp(label, Optional.of(use), contact);
    }

    private Sheet lamp(String label, Optional<ColourUse> use, String contact) throws EditException {
        StrokeSheet.Rails rails = desk.rails();
        String lamp = desk.fresh("pilot-lamp", label, Places.DOOR, use);
        String from = rails.line();
        String to = rails.back();
        desk.rung(from + " " + contact + " (" + lamp + ") " + to + " ; " + label.toLowerCase(Locale.ROOT));
        return desk.sheet();
    }
}
