package parable.drafting;

import java.util.Map;
import parable.circuit.Practice;

/** The letters that the tag of a kind of device begins with: by IEC 81346-2, or by NEMA ICS 19 in North American practice. */
final class ClassLetters {

    private record Letters(String iec, String american) {}

    private static final Map<String, Letters> LETTERS = Map.ofEntries(
            Map.entry("contactor", new Letters("K", "M")),
            Map.entry("control-relay", new Letters("KA", "CR")),
            Map.entry("timer", new Letters("KT", "TR")),
            Map.entry("push-button", new Letters("S", "PB")),
            Map.entry("illuminated-button", new Letters("S", "PB")),
            Map.entry("selector", new Letters("S", "SS")),
            Map.entry("emergency-stop", new Letters("S", "ES")),
            Map.entry("drum-switch", new Letters("S", "SW")),
            Map.entry("pilot-lamp", new Letters("P", "LT")),
            Map.entry("horn", new Letters("H", "AH")),
            Map.entry("overload-relay", new Letters("F", "OL")),
            Map.entry("fuse", new Letters("F", "FU")),
            Map.entry("circuit-breaker", new Letters("Q", "CB")),
            Map.entry("motor-protective-breaker", new Letters("Q", "CB")),
            Map.entry("isolator", new Letters("Q", "DISC")),
            Map.entry("three-phase-motor", new Letters("M", "MTR")),
            Map.entry("single-phase-motor", new Letters("M", "MTR")),
            Map.entry("dc-motor", new Letters("M", "MTR")),
            Map.entry("mechanical-interlock", new Letters("X", "MI")),
            Map.entry("control-transformer", new Letters("T", "T")),
            Map.entry("rectifier", new Letters("V", "REC")),
            Map.entry("resistor", new Letters("R", "RES")),
            Map.entry("solenoid", new Letters("Y", "SOL")),
            Map.entry("limit-switch", new Letters("B", "LS")),
            Map.entry("float-switch", new Letters("B", "FS")),
            Map.entry("pressure-switch", new Letters("B", "PS")),
            Map.entry("proximity-switch", new Letters("B", "PRS")),
            Map.entry("zero-speed-switch", new Letters("B", "ZS")),
            Map.entry("metal-part", new Letters("UC", "ENC")),
            Map.entry("dc-supply", new Letters("G", "PSU")),
            Map.entry("controller", new Letters("A", "PLC")));
    private static final Letters SUPPLY = new Letters("G", "G");

    private ClassLetters() {}

    /** The letters for a kind of device. */
    static String of(String kind, Practice practice) {
        Letters letters = LETTERS.getOrDefault(kind, SUPPLY);
        return switch (practice) {
            case IEC -> letters.iec;
            case NORTH_AMERICAN -> letters.american;
        };
    }

    /** A tag of these letters: a contactor's number goes before its letter in North American practice, others behind. */
    static String tag(String kind, Practice practice, int number) {
        String letters = of(kind, practice);
        return kind.equals("contactor") && practice == Practice.NORTH_AMERICAN ? number + letters : letters + number;
    }
}
