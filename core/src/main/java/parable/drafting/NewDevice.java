package parable.drafting;

import java.util.Map;
import java.util.Optional;
import parable.circuit.EditException;
import parable.circuit.Sheet;

/** A device that is put on a sheet before any rung goes through it. */
public final class NewDevice {

    private static final Map<String, String> LETTERS = Map.ofEntries(
            Map.entry("contactor", "K"),
            Map.entry("control-relay", "KA"),
            Map.entry("timer", "KT"),
            Map.entry("push-button", "S"),
            Map.entry("illuminated-button", "S"),
            Map.entry("selector", "S"),
            Map.entry("emergency-stop", "S"),
            Map.entry("drum-switch", "S"),
            Map.entry("pilot-lamp", "P"),
            Map.entry("horn", "H"),
            Map.entry("overload-relay", "F"),
            Map.entry("fuse", "F"),
            Map.entry("circuit-breaker", "Q"),
            Map.entry("motor-protective-breaker", "Q"),
            Map.entry("isolator", "Q"),
            Map.entry("three-phase-motor", "M"),
            Map.entry("single-phase-motor", "M"),
            Map.entry("dc-motor", "M"),
            Map.entry("mechanical-interlock", "X"),
            Map.entry("control-transformer", "T"),
            Map.entry("rectifier", "V"),
            Map.entry("resistor", "R"),
            Map.entry("solenoid", "Y"));

    private NewDevice() {}

    /** The lowest tag that is free for a device of this kind: its letter by IEC 81346-2 and a number from 1 on. */
    public static String tagFor(Sheet sheet, String kind) {
        String letters = LETTERS.getOrDefault(kind, kind.endsWith("supply") ? "G" : "B");
        int number = 1;
        while (sheet.device(letters + number).isPresent()) {
            number++;
        }
        return letters + number;
    }

    /**
     * The sheet with one more device of a kind, under its lowest free tag.
     *
     * @param voltage the voltage of its coil or lamp
     * @throws EditException if there is no such kind
     */
    public static Sheet on(Sheet sheet, String kind, String voltage) throws EditException {
        Fitting fitting = new Fitting(sheet, voltage);
        fitting.need(tagFor(sheet, kind), Optional.of(kind));
        return fitting.sheet();
    }
}
