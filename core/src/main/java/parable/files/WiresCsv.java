package parable.files;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import parable.circuit.Fieldwork;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** The wire list as a table for a spreadsheet, in the order in which the wires are made. */
public final class WiresCsv {

    private static final List<String> HEADER = List.of(
            "Wire",
            "From",
            "To",
            "Rung",
            "Second conductor at",
            "Colour",
            "Size",
            "Ends",
            "Length m",
            "Route",
            "Done",
            "Tugged",
            "Checked");

    private WiresCsv() {}

    /** The table, with what has been ticked off. */
    public static String text(WireList list, Fieldwork work) {
        return CsvTable.text(table(list, work));
    }

    static Table table(WireList list, Fieldwork work) {
        return new Table(
                HEADER, list.wires().stream().map(wire -> row(wire, work)).toList());
    }

    private static String ticked(Fieldwork work, Wire wire, Tick tick) {
        return work.ticks(wire.from(), wire.to()).contains(tick) ? "x" : "";
    }

    private static List<String> row(Wire wire, Fieldwork work) {
        return List.of(
                wire.number(),
                wire.from().toString(),
                wire.to().toString(),
                wire.rung() == 0 ? "power" : Integer.toString(wire.rung()),
                wire.seconds().stream().map(Terminal::toString).collect(Collectors.joining(" ")),
                wire.conductor().colour(),
                wire.conductor().size(),
                wire.conductor().ferrule(),
                String.format(Locale.ROOT, "%.2f", wire.metres()),
                wire.route(),
                ticked(work, wire, Tick.DONE),
                ticked(work, wire, Tick.TUGGED),
                ticked(work, wire, Tick.CHECKED));
    }
}
