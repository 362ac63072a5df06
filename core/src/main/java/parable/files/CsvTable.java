package parable.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * A table for a spreadsheet: commas, quotes where needed, lines ended as RFC 4180 has it; what a spreadsheet would take for a formula is a text
 * in it.
 */
final class CsvTable {

    private static final String MARK = "\uFEFF";

    private static final Pattern FORMULA =
            Pattern.compile("((?:^|[;|\\t\\r\\n])[\\s\"]*)([-=+@\\t\\r\\uFF1D\\uFF0B\\uFF0D\\uFF20])");

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

    /**
     * A sign that begins a formula gets an apostrophe in front (OWASP, CSV injection), also behind what some spreadsheets take for the end of a cell, and as the
     * wide forms that they take for the same.
     */
    private static String harmless(String cell) {
        return FORMULA.matcher(cell).replaceAll("$1'$2");
    }
}
