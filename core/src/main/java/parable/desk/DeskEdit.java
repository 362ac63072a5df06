package parable.desk;

import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.drafting.Inversion;

/**
 * A sheet after a change of what was selected on it.
 *
 * @param sheet the changed sheet
 * @param selected what is selected then
 */
public record DeskEdit(Sheet sheet, Place selected) {

    /** The selected stretch taken away and the gap closed; in the power circuit from all lines that lead through what is on it. */
    public static DeskEdit taken(Sheet sheet, Stretch stretch) throws EditException {
        if (stretch.at().circuit() == Circuit.POWER) {
            return new DeskEdit(PowerLines.taken(sheet, stretch.first(), stretch.last()), stretch.first());
        }
        return new DeskEdit(Structure.taken(sheet, stretch.first(), stretch.last()), stretch.first());
    }

    /**
     * The selected contact exchanged for one of its device that is closed at rest, or open if it was closed.
     *
     * @param voltage that of coils and lamps that are put on the sheet
     */
    public static DeskEdit inverted(Sheet sheet, Stretch stretch, String voltage) throws EditException {
        return new DeskEdit(Inversion.at(sheet, stretch.at(), voltage), stretch.at());
    }

    /** The selected rung moved among the others of its circuit, down by so many. */
    public static DeskEdit rungMoved(Sheet sheet, Stretch stretch, int sense) throws EditException {
        Place at = stretch.at();
        return new DeskEdit(
                Structure.rungMoved(sheet, at.circuit(), at.rung(), at.rung() + sense),
                new Place(at.circuit(), at.rung() + sense, at.item()));
    }

    /**
     * The selected device changed with its neighbour; in the power circuit in all lines that lead through it.
     *
     * @param sense more than 0 for the one on the return side
     */
    public static DeskEdit deviceMoved(Sheet sheet, Stretch stretch, int sense) throws EditException {
        Place at = stretch.at();
        Optional<PowerLines> lines = PowerLines.at(sheet, at);
        return new DeskEdit(
                lines.isPresent() ? lines.get().shifted(sense > 0) : Structure.shifted(sheet, at, sense > 0),
                new Place(at.circuit(), at.rung(), Structure.neighbour(sheet, at, sense > 0)));
    }
}
