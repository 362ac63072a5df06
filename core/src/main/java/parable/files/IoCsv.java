package parable.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import parable.plc.IoPoint;

/** The list of inputs and outputs as a table for a spreadsheet: commas, quotes where needed, lines ended as RFC 4180 has it. */
public final class IoCsv {

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader(
                    "Variable",
                    "Address",
                    "Terminal",
                    "Device",
                    "Contact",
                    "Description",
                    "At rest",
                    "Actuated",
                    "Voltage")
            .get();

    private IoCsv() {}

    /** The table; what a spreadsheet would take for a formula is a text in it. */
    public static String text(List<IoPoint> points) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(text, FORMAT)) {
            for (IoPoint point : points) {
                printer.printRecord(
                        harmless(point.variable().orElse("")),
                        harmless(point.address().toString()),
                        point.terminal(),
                        harmless(point.device()),
                        harmless(point.contact()),
                        harmless(point.description()),
                        point.atRest() ? "1" : "0",
                        point.isInput() ? point.acted() ? "1" : "0" : "",
                        point.voltage());
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("a table in memory could not be written", impossible);
        }
        return text.toString();
    }

    /** A leading sign that begins a formula gets an apostrophe in front (OWASP, CSV injection). */
    static String harmless(String cell) {
        return !cell.isEmpty() && "=+-@\t\r".indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }
}
