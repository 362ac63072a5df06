package parable.files;

import java.util.List;
import java.util.stream.Collectors;
import parable.circuit.Terminal;
import parable.wiring.TerminalPlan;

/** The terminal plan as a table for a spreadsheet. */
public final class TerminalsCsv {

    private static final List<String> HEADER =
            List.of("Strip", "Terminal", "Wire", "Inside", "Leads to", "Outside", "Cable", "Core");

    private TerminalsCsv() {}

    /** The table; without lines for a sheet that is wired point to point. */
    public static String text(List<TerminalPlan.Line> plan) {
        return CsvTable.text(table(plan));
    }

    static Table table(List<TerminalPlan.Line> plan) {
        return new Table(HEADER, plan.stream().map(TerminalsCsv::row).toList());
    }

    private static List<String> row(TerminalPlan.Line line) {
        return List.of(
                line.at().terminal().tag(),
                line.at().terminal().marking(),
                line.at().number(),
                words(line.inside()),
                line.at().place(),
                words(line.outside()),
                line.cable(),
                line.core() == 0 ? "" : Integer.toString(line.core()));
    }

    private static String words(List<Terminal> terminals) {
        return terminals.stream().map(Terminal::toString).collect(Collectors.joining(" "));
    }
}
