package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Circuit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Structure;
import parable.parts.Family;

/** The poles of a contactor in the power circuit, and what is beside them. */
final class PowerPoles {

    private static final int LINES = 3;

    private final StrokeSheet desk;

    PowerPoles(StrokeSheet desk) {
        this.desk = desk;
    }

    /**
     * Its three poles, in the order of the lines.
     *
     * @throws EditException if there are not three before a three-phase motor
     */
    List<RungItem.Passage> three() throws EditException {
        List<RungItem.Passage> poles = new ArrayList<>();
        for (Place place : places()) {
            poles.add((RungItem.Passage) desk.item(place));
        }
        boolean motor = desk.before().parts().stream()
                .anyMatch(part -> part.family() == Family.MOTOR && part.loads().size() == LINES);
        if (poles.size() != LINES || !motor) {
            throw desk.noFit(poles.size() + " poles in the power circuit", "three, before a three-phase motor");
        }
        return poles;
    }

    private List<Place> places() {
        return desk.places(Circuit.POWER, (place, passage) -> passage.tag().equals(desk.tag()));
    }

    /** Where a pole is on the sheet as it is now. */
    Place place(RungItem.Passage pole) {
        return places().stream()
                .filter(place -> desk.item(place).equals(pole))
                .findFirst()
                .orElseThrow();
    }

    /** The point on one side of a pole; a new one if only another device is there. */
    RungItem beside(RungItem.Passage pole, boolean after) throws EditException {
        Place place = place(pole);
        Place next = new Place(place.circuit(), place.rung(), place.item() + (after ? 1 : -1));
        if (desk.item(next) instanceof RungItem.Passage) {
            desk.put(Structure.pointAfter(desk.sheet(), after ? place : next));
            return beside(pole, after);
        }
        return desk.item(next);
    }
}
