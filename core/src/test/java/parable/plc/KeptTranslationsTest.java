package parable.plc;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.Kept;
import parable.Sketches;
import parable.circuit.Device;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.program.StructuredText;

/** Whole translations as they were kept: program, panel and what is where for which reason. */
class KeptTranslationsTest {

    private static List<String> written(Sheet relays, Practice practice, TranslationChoices choices)
            throws TranslationException {
        Translation translation = Translation.of(Examples.fitted(relays), practice, choices);
        Sheet sheet = translation.sheet();
        List<String> lines = new ArrayList<>();
        StructuredText.write(sheet.program().orElseThrow()).lines().forEach(lines::add);
        lines.add("== Panel");
        sheet.power().stream().map(Rung::text).forEach(lines::add);
        lines.add("");
        sheet.control().stream().map(Rung::text).forEach(lines::add);
        lines.add("== Devices");
        for (Device device : sheet.devices()) {
            lines.add(device.tag() + " " + device.kind() + " " + new TreeMap<>(device.settings()) + " " + device.label()
                    + ", " + device.place());
        }
        lines.add("== What is where");
        for (Split split : translation.splits()) {
            lines.add(split.what() + (split.inCopper() ? ", copper" : "") + (split.inProgram() ? ", program" : "")
                    + (split.changeable() ? ", to be decided" : "") + ": " + split.why());
        }
        lines.add("== Inputs and outputs");
        IoList.of(Examples.fitted(sheet)).forEach(point -> lines.add(point.toString()));
        return lines;
    }

    @ParameterizedTest
    @CsvSource({
        "Wash pump, IEC",
        "Mill, IEC",
        "Timed brake, IEC",
        "Travel turned round, IEC",
        "Warning at start, IEC",
        "Jog relay, IEC",
        "24 V DC, IEC",
        "Lamp board, IEC",
        "Glycol pump, NORTH_AMERICAN"
    })
    void ofTheLibrary(String name, Practice practice) throws TranslationException {
        Kept.assertSame("translations", name, written(Examples.ofLibrary(name), practice, TranslationChoices.PROPOSED));
    }

    @ParameterizedTest
    @CsvSource({"AUXILIARY, true", "OUTPUT_BIT, false", "AUXILIARY_WITH_ALARM, true"})
    void withOtherChoices(SealIn sealIn, boolean transistor) throws TranslationException {
        TranslationChoices choices =
                new TranslationChoices(sealIn, transistor, 500, Map.of("S4 11-12", false, "S0 11-12", true));

        Kept.assertSame(
                "translations",
                "Wash pump " + sealIn + (transistor ? " transistor" : ""),
                written(Examples.ofLibrary("Wash pump"), Practice.IEC, choices));
    }

    @ParameterizedTest
    @CsvSource({
        "plc, Trips of two motors",
        "plc, Relay that switches a load of its own",
        "sound, Overload contact last",
        "sound, Two-channel emergency stop",
        "sound, Control on direct current",
        "sound, Mains or generator",
        "sound, Safety relay with monitored reset"
    })
    void ofSketches(String file, String name) throws TranslationException {
        Kept.assertSame(
                "translations", name, written(Sketches.sheet(file, name), Practice.IEC, TranslationChoices.PROPOSED));
    }
}
