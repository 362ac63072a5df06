package parable.files;

import java.util.List;
import java.util.stream.Collectors;
import parable.logbook.LogEntry;

/** Entries of a logbook as a table for a spreadsheet. */
public final class LogbookCsv {

    private static final List<String> HEADER =
            List.of("Number", "On", "By", "Machine", "Circuit", "Kind", "Text", "Readings", "Corrects", "Seal");

    private LogbookCsv() {}

    /** The table. */
    public static String text(List<LogEntry> entries) {
        return CsvTable.text(table(entries));
    }

    static Table table(List<LogEntry> entries) {
        return new Table(HEADER, entries.stream().map(LogbookCsv::row).toList());
    }

    private static List<String> row(LogEntry entry) {
        return List.of(
                Integer.toString(entry.number()),
                entry.on(),
                entry.by(),
                entry.machine(),
                entry.revision(),
                entry.kind().words(),
                entry.text(),
                entry.readings().entrySet().stream()
                        .map(reading -> reading.getKey() + " " + reading.getValue())
                        .collect(Collectors.joining("; ")),
                entry.corrects() == 0 ? "" : Integer.toString(entry.corrects()),
                entry.seal());
    }
}
