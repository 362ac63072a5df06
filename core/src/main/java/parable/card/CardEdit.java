package parable.card;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.parts.Assembly;
import parable.parts.PartException;

/** What is changed from a card. Every result can be fitted out. */
public final class CardEdit {

    private CardEdit() {}

    /**
     * The sheet with a device in the place of the one with its tag.
     *
     * @throws PartException if one of its settings says nothing sensible, or a rung uses a contact that it would have no more
     */
    public static Sheet put(Sheet sheet, Device device) throws PartException {
        return fitted(new Edit.PutDevice(device).on(sheet));
    }

    /**
     * The sheet with another tag for a device, wherever it is named.
     *
     * @throws EditException if there is no such device, or another has the new tag
     */
    public static Sheet renamed(Sheet sheet, String tag, String other) throws EditException {
        return Structure.renamed(sheet, tag, other.strip());
    }

    /** The sheet with another remark beside a rung that it has. */
    public static Sheet remarked(Sheet sheet, Pick.OfRung at, String remark) {
        List<Rung> rungs = new ArrayList<>(sheet.rungs(at.circuit()));
        rungs.set(at.rung(), new Rung(rungs.get(at.rung()).items(), remark.strip()));
        return sheet.withRungs(at.circuit(), rungs);
    }

    private static Sheet fitted(Sheet sheet) throws PartException {
        return Assembly.of(sheet).sheet();
    }
}
