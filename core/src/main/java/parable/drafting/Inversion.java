package parable.drafting;

import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.PartException;

/** Exchanges a contact that is open at rest for one of the same device that is closed at rest, or the other way round. */
public final class Inversion {

    private Inversion() {}

    /**
     * The sheet with the contact at a place exchanged for the lowest free one of the other sort; the device gets a further block
     * where it has none.
     *
     * @param voltage the voltage of coils that are put on the sheet; none is
     * @throws EditException if no contact stands there, or the device can have none of the other sort
     */
    public static Sheet at(Sheet sheet, Place place, String voltage) throws EditException {
        RungItem.Passage passage = Structure.passageAt(sheet, place);
        Contact contact = contact(sheet, passage);
        Fitting fitting = new Fitting(sheet, voltage);
        RungItem.Passage other = fitting.contact(passage.tag(), !contact.isNormallyClosed());
        return Structure.exchanged(fitting.sheet(), place, other);
    }

    private static Contact contact(Sheet sheet, RungItem.Passage passage) throws EditException {
        try {
            return Assembly.of(sheet)
                    .part(passage.tag())
                    .flatMap(part -> part.contactBetween(passage.from(), passage.to())
                            .map(index -> part.contacts().get(index)))
                    .filter(contact -> !contact.pole())
                    .orElseThrow(() -> new EditException(
                            passage.text(), "no contact of a control circuit", "one that has an opposite"));
        } catch (PartException impossible) {
            throw new EditException(passage.tag(), impossible.found(), impossible.expected());
        }
    }
}
