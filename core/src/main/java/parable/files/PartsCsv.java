package parable.files;

import java.util.List;
import parable.wiring.PartsLine;

/** The parts list as a table for a spreadsheet. */
public final class PartsCsv {

    private static final List<String> HEADER = List.of("Quantity", "Part", "Settings", "For");

    private PartsCsv() {}

    /** The table. */
    public static String text(List<PartsLine> lines) {
        return CsvTable.text(table(lines));
    }

    static Table table(List<PartsLine> lines) {
        return new Table(HEADER, lines.stream().map(PartsCsv::row).toList());
    }

    private static List<String> row(PartsLine line) {
        return List.of(
                Integer.toString(line.tags().size()), line.part(), line.settings(), String.join(" ", line.tags()));
    }
}
