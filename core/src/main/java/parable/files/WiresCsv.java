package parable.files;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import parable.circuit.Terminal;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** The wire list as a table for a spreadsheet, in the order in which the wires are made. */
public final class WiresCsv {

    private static final List<String> HEADER = List.of(
            "Wire", "From", "To", "Rung", "Second conductor at", "Colour", "Size", "Length m", "Leaves its place");

    private WiresCsv() {}

    /** The table. */
    public static String text(WireList list) {
        return CsvTable.text(HEADER, list.wires().stream().map(WiresCsv::row).toList());
    }

    private static List<String> row(Wire wire) {
        return List.of(
                wire.number(),
                wire.from().toString(),
                wire.to().toString(),
                wire.rung() == 0 ? "power" : Integer.toString(wire.rung()),
                wire.seconds().stream().map(Terminal::toString).collect(Collectors.joining(" ")),
                wire.colour(),
                wire.size(),
                String.format(Locale.ROOT, "%.2f", wire.metres()),
                wire.crosses() ? "yes" : "");
    }
}
