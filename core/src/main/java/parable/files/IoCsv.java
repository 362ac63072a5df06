package parable.files;

import java.util.List;
import parable.plc.IoPoint;

/** The list of inputs and outputs as a table for a spreadsheet. */
public final class IoCsv {

    private static final List<String> HEADER = List.of(
            "Variable", "Address", "Terminal", "Device", "Contact", "Description", "At rest", "Actuated", "Voltage");

    private IoCsv() {}

    /** The table. */
    public static String text(List<IoPoint> points) {
        return CsvTable.text(table(points));
    }

    static Table table(List<IoPoint> points) {
        return new Table(HEADER, points.stream().map(IoCsv::row).toList());
    }

    private static List<String> row(IoPoint point) {
        return List.of(
                point.variable().orElse(""),
                point.address().toString(),
                point.terminal(),
                point.device(),
                point.contact(),
                point.description(),
                point.atRest() ? "1" : "0",
                point.isInput() ? point.acted() ? "1" : "0" : "",
                point.voltage());
    }
}
