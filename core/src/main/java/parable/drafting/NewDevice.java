package parable.drafting;

import java.util.Optional;
import parable.circuit.EditException;
import parable.circuit.Practice;
import parable.circuit.Sheet;

/** A device that is put on a sheet before any rung goes through it. */
public final class NewDevice {

    private NewDevice() {}

    /** The lowest tag that is free for a device of this kind: its letters by the practice and a number from 1 on. */
    public static String tagFor(Sheet sheet, String kind, Practice practice) {
        int number = 1;
        while (sheet.device(ClassLetters.tag(kind, practice, number)).isPresent()) {
            number++;
        }
        return ClassLetters.tag(kind, practice, number);
    }

    /**
     * The sheet with one more device of a kind, under its lowest free tag.
     *
     * @param voltage the voltage of its coil or lamp
     * @throws EditException if there is no such kind
     */
    public static Sheet on(Sheet sheet, String kind, String voltage, Practice practice) throws EditException {
        Fitting fitting = new Fitting(sheet, voltage);
        fitting.need(tagFor(sheet, kind, practice), Optional.of(kind));
        return fitting.sheet();
    }
}
