package parable.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.Kept;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.WiringMethod;
import parable.parts.Assembly;

/** Whole lists of wires, cables, terminals, parts and labels as they were kept. */
class KeptListsTest {

    private static String wire(Wire wire) {
        return String.format(
                Locale.ROOT,
                "%s: %s to %s, rung %d, %s %s, ferrule %s, %.2f m, %s%s",
                wire.number(),
                wire.from(),
                wire.to(),
                wire.rung(),
                wire.conductor().size(),
                wire.conductor().colour(),
                wire.conductor().ferrule(),
                wire.metres(),
                wire.route(),
                wire.seconds().isEmpty() ? "" : ", second on " + wire.seconds());
    }

    private static List<String> written(Sheet sheet, Practice practice) {
        Assembly assembly = Examples.fitted(sheet);
        List<String> lines = new ArrayList<>();
        WireList.of(assembly, practice).wires().forEach(wire -> lines.add(wire(wire)));
        lines.add("== Cables");
        Cables.of(assembly, practice)
                .forEach(cable -> lines.add(cable.name() + " from " + cable.from() + " to " + cable.to() + ", "
                        + cable.cores() + " x " + cable.size() + ", " + cable.spares() + " spare"));
        lines.add("== Terminals");
        TerminalPlan.of(assembly, practice)
                .forEach(line -> lines.add(line.at().terminal() + " wire "
                        + line.at().number() + " for "
                        + line.at().place() + ": " + line.inside() + " | " + line.outside() + " " + line.cable() + " "
                        + line.core()));
        lines.add("== Parts");
        PartsList.of(assembly)
                .forEach(line -> lines.add(
                        line.tags().size() + " " + line.part() + ", " + line.settings() + ": " + line.tags()));
        lines.add("== Labels");
        Labels.of(assembly, practice)
                .forEach(label ->
                        lines.add(label.text() + " on " + label.goesOn() + " at " + label.at() + ", " + label.place()));
        return lines;
    }

    @ParameterizedTest
    @CsvSource({
        "Wash pump, IEC, TERMINAL_STRIP",
        "Mill, IEC, POINT_TO_POINT",
        "Timed brake, IEC, TERMINAL_STRIP",
        "24 V relay, IEC, POINT_TO_POINT",
        "By controller, IEC, TERMINAL_STRIP",
        "DC drum, IEC, POINT_TO_POINT",
        "Glycol pump, NORTH_AMERICAN, TERMINAL_STRIP",
        "Crusher, NORTH_AMERICAN, POINT_TO_POINT"
    })
    void everyLine(String name, Practice practice, WiringMethod method) {
        Sheet sheet = Examples.ofLibrary(name);

        Kept.assertSame(
                "lists", name, written(sheet.withFieldwork(sheet.fieldwork().by(method)), practice));
    }
}
