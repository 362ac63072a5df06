package parable.draw;

import parable.circuit.Practice;
import parable.parts.Contact;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * The symbols of a practice. Each reaches {@link #HALF} along the lane to both sides of its centre, where the wires end.
 */
interface Symbols {

    /** Half the length of a symbol along the lane. */
    double HALF = 14;

    /** The symbols of a practice for lanes that run this way. */
    static Symbols of(Practice practice, Axis axis) {
        return switch (practice) {
            case IEC -> new IecSymbols(axis);
            case NORTH_AMERICAN -> new NemaSymbols(axis);
        };
    }

    /** How far a contact reaches above its lane; its tag goes beyond that. */
    double heightAbove(Part part, Contact contact);

    /** How far a load reaches above its lane. */
    double heightAbove(LoadRole role);

    /** A contact or a pole of a part, by its position among the part's contacts. */
    Mark.Symbol contact(Part part, int index, Point at);

    /** A coil, lamp or other load of a part, by its position among the part's loads. */
    Mark.Symbol load(Part part, int load, Point at);
}
