package parable.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * A table for a spreadsheet: commas, quotes where needed, lines ended as RFC 4180 has it; what a spreadsheet would take for a formula is a text
 * in it.
 */
final class CsvTable {

    private static final String MARK = "\uFEFF";

    private CsvTable() {}

    /** The table behind a byte order mark, by which spreadsheets know that it is UTF-8. */
    static String text(Table table) {
        return MARK + plain(table);
    }

    /** The table alone, for programs that take the first sign for part of the heading. */
    static String plain(Table table) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
            printer.printRecord(table.header());
            for (List<String> row : table.rows()) {
                printer.printRecord(row.stream().map(CsvTable::harmless));
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("a table in memory could not be written", impossible);
        }
        return text.toString();
    }

    /** A leading sign that begins a formula gets an apostrophe in front (OWASP, CSV injection). */
    private static String harmless(String cell) {
        return !cell.isEmpty() && "=+-@\t\r".indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }
}
