package parable.drafting;

import java.util.Optional;
import parable.circuit.ColourUse;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Catalogue;

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

    /**
     * The sheet with a device of this tag; unchanged if it has one.
     *
     * @param kind empty for the one that the letters of the tag say
     * @param voltage the voltage of its coil or lamp
     * @throws EditException if there is no such kind, or the letters say none
     */
    public static Sheet tagged(Sheet sheet, String tag, Optional<String> kind, String voltage) throws EditException {
        Fitting fitting = new Fitting(sheet, voltage);
        fitting.need(tag, kind);
        return fitting.sheet();
    }

    /**
     * The sheet with one more device of a kind, named, and in the first colour that a job allows for what it does.
     *
     * @param label what it is for, empty if that is not known
     * @param use what its colour tells, empty if it has none; a kind that has no choice of colour gets none
     * @param voltage the voltage of its coil or lamp
     * @throws EditException if there is no such kind
     */
    public static Sheet named(
            Sheet sheet, String kind, String label, Optional<ColourUse> use, String voltage, Conventions conventions)
            throws EditException {
        String tag = tagFor(sheet, kind, conventions.practice());
        Sheet with = on(sheet, kind, voltage, conventions.practice());
        Device device = with.device(tag).orElseThrow().labelled(label);
        return new Edit.PutDevice(use.filter(any ->
                                Catalogue.kind(kind).orElseThrow().settings().contains("colour"))
                        .flatMap(any ->
                                conventions.colours().colours(any).stream().findFirst())
                        .map(colour -> device.with("colour", colour))
                        .orElse(device))
                .on(with);
    }
}
