package parable.benchmark;

import parable.circuit.Circuit;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.circuit.WireNumbers;
import parable.drafting.Inversion;
import parable.drafting.NewDevice;
import parable.drafting.TypedRung;

/** What is done to a large sheet. */
public enum EditKind {
    /** A contact before the first coil. */
    IN_SERIES,
    /** A contact around the first start. */
    PARALLEL,
    /** A contact in the middle of the ladder taken away. */
    TAKE,
    /** An open contact for a closed one. */
    EXCHANGE,
    /** A new rung, typed, on top of all others. */
    NEW_RUNG,
    /** A rung in the middle taken away. */
    TAKE_RUNG,
    /** The first rung moved to the end. */
    MOVE_RUNG,
    /** A contactor renamed wherever it stands. */
    RENAME,
    /** All wires numbered in order. */
    RENUMBER,
    /** A contactor listed, not yet wired. */
    NEW_DEVICE;

    private static final String VOLTS = "230 V AC";

    /** The sheet after the edit; the sheet given is not modified. */
    Sheet on(Sheet whole) throws EditException {
        int half = whole.control().size() / 2;
        Place start = new Place(Circuit.CONTROL, 0, 9);
        Place middle = new Place(Circuit.CONTROL, half, 1);
        return switch (this) {
            case IN_SERIES -> Structure.inSeries(whole, start, false, Structure.passageAt(whole, middle));
            case PARALLEL -> Structure.around(whole, start, start.item(), Structure.passageAt(whole, middle));
            case TAKE -> Structure.taken(whole, middle);
            case EXCHANGE -> Inversion.at(whole, middle, VOLTS);
            case NEW_RUNG -> {
                TypedRung typed = TypedRung.read("L /S0 S1 @99999 (K1000) N ; typed", whole, VOLTS);
                yield new Edit.InsertRung(Circuit.CONTROL, 0, typed.rung()).on(typed.sheet());
            }
            case TAKE_RUNG -> new Edit.TakeRung(Circuit.CONTROL, half).on(whole);
            case MOVE_RUNG -> Structure.rungMoved(
                    whole, Circuit.CONTROL, 0, whole.control().size() - 1);
            case RENAME -> Structure.renamed(whole, "K1", "K999");
            case RENUMBER -> WireNumbers.changed(whole, WireNumbers.inOrder(whole));
            case NEW_DEVICE -> NewDevice.on(whole, "contactor", VOLTS, Practice.IEC);
        };
    }
}
