package parable.finding;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import parable.bench.Fault;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.testsheet.Coverage;
import parable.testsheet.TestSheet;
import parable.testsheet.TestStep;

/**
 * What to do about something that was found.
 *
 * @param suspect what it is
 * @param deeds how it is mended, a sentence each
 * @param proof the steps of the test sheet that fail with it in, and so prove it mended, at most {@value #MOST_STEPS}
 */
public record Mend(Suspect suspect, List<String> deeds, List<TestStep> proof) {

    private static final int MOST_STEPS = 3;

    /** Not modified: the lists are copied. */
    public Mend {
        deeds = List.copyOf(deeds);
        proof = List.copyOf(proof);
    }

    /** The mend of something on a panel. */
    public static Mend of(Assembly assembly, Practice practice, Suspect suspect) {
        List<TestStep> steps = TestSheet.of(assembly, practice);
        List<TestStep> proof = suspect.faults().stream()
                .flatMap(fault -> failing(assembly, steps, fault))
                .distinct()
                .toList();
        return new Mend(
                suspect,
                suspect.faults().stream().map(fault -> deed(assembly, fault)).toList(),
                proof);
    }

    private static Stream<TestStep> failing(Assembly assembly, List<TestStep> steps, Fault fault) {
        return Coverage.failing(assembly, steps, fault).limit(MOST_STEPS);
    }

    private static String deed(Assembly assembly, Fault fault) {
        Part part = assembly.part(fault.tag()).orElseThrow();
        String place = fault.place().isEmpty() ? "" : " " + fault.place();
        String device = part.device().kind().replace('-', ' ') + " " + fault.tag();
        return switch (fault.kind()) {
            case WELDED -> "Exchange the " + device + " or its contact" + place
                    + ", and find what welded it: a short circuit, a start that jogged, a rating too small.";
            case BURNT -> "Clean or exchange the contact" + place + " of the " + device + ".";
            case BROKEN -> "Exchange the " + device + " or what is burnt through in it"
                    + (place.isEmpty() ? "." : ":" + place + ".");
            case SHORTED -> "Exchange the " + device + " or what is shorted in it:" + place + ".";
            case STUCK -> "Free the " + device + " or exchange it.";
            case BLOWN -> "Find why it blew before anything else. Then exchange " + fault.tag()
                    + " for one of the same rating.";
            case LOST -> "Find why " + fault.tag() + place
                    + " gives nothing: what is before it, then the device itself.";
            case LOW -> "Find why " + fault.tag() + place
                    + " gives too little: what is before it, its load, then the device itself.";
            case MISSET, UNDERSET -> "Set the dial of " + fault.tag() + " to "
                    + part.heater()
                            .map(heater -> String.format(Locale.ROOT, "%.2f A", heater.setting()))
                            .orElse("what the drawing says")
                    + ".";
            case MISSING -> "Fit the mechanical interlock " + fault.tag() + ".";
            case OFF -> "Put the wire back on " + fault.tag() + place + " and tighten it; tug those beside it.";
            case LOOSE -> "Tighten " + fault.tag() + place + " and tug it.";
            case EARTHED -> "Find where " + fault.tag() + place
                    + " touches earth: a bruised wire, water, a screw. One end off at a time, and put back.";
            case MISPLACED, SWAPPED -> "Put the wires of " + fault.tag() + place.replace("-", " and ")
                    + " where the drawing has them.";
        };
    }

    /** What the record is told of it. */
    public String entry() {
        return "Found: " + suspect.words() + ". " + String.join(" ", deeds);
    }
}
