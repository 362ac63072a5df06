package parable.app.wiring;

import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.Tab;
import javafx.scene.control.TableView;
import parable.circuit.Terminal;
import parable.wiring.Cable;
import parable.wiring.PartsLine;
import parable.wiring.TerminalPlan;

/** The lists that go with the wires, a tab each. */
final class Tables {

    private Tables() {}

    static List<Tab> of(WiringModel.Lists lists) {
        return List.of(
                WiringPage.tab("Strip", strip(lists.strip())),
                WiringPage.tab("Cables", cables(lists.cables())),
                WiringPage.tab("Parts", parts(lists.parts())),
                WiringPage.tab("Labels", labels(lists.labels())));
    }

    private static TableView<TerminalPlan.Line> strip(List<TerminalPlan.Line> lines) {
        TableView<TerminalPlan.Line> table = WiringPage.table(lines);
        table.getColumns()
                .setAll(List.of(
                        WiringPage.column(
                                "Terminal", line -> line.at().terminal().toString()),
                        WiringPage.narrow("Wire", 48, line -> line.at().number()),
                        WiringPage.narrow("Inside", 74, line -> words(line.inside())),
                        WiringPage.column(
                                "Outside",
                                line -> (line.cable().isEmpty() ? "" : line.cable() + " core " + line.core() + ", ")
                                        + words(line.outside()) + ", "
                                        + line.at().place())));
        table.setPlaceholder(empty("Wired point to point: there is no strip. Tick the box above for one."));
        return table;
    }

    private static TableView<Cable> cables(List<Cable> cables) {
        TableView<Cable> table = WiringPage.table(cables);
        table.getColumns()
                .setAll(List.of(
                        WiringPage.narrow("Cable", 56, Cable::name),
                        WiringPage.column("From, to", cable -> cable.from() + ", " + cable.to()),
                        WiringPage.column("Cores", cable -> cable.cores() + " x " + cable.size()),
                        WiringPage.narrow("Spare", 56, cable -> Integer.toString(cable.spares()))));
        table.setPlaceholder(empty("Nothing goes to a field box."));
        return table;
    }

    private static TableView<PartsLine> parts(List<PartsLine> lines) {
        TableView<PartsLine> table = WiringPage.table(lines);
        table.getColumns()
                .setAll(List.of(
                        WiringPage.narrow(
                                "", 36, line -> Integer.toString(line.tags().size())),
                        WiringPage.column(
                                "Part",
                                line -> line.part() + (line.settings().isEmpty() ? "" : ", " + line.settings())),
                        WiringPage.narrow("For", 88, line -> String.join(" ", line.tags()))));
        return table;
    }

    private static TableView<parable.wiring.Label> labels(List<parable.wiring.Label> labels) {
        TableView<parable.wiring.Label> table = WiringPage.table(labels);
        table.getColumns()
                .setAll(List.of(
                        WiringPage.narrow("Text", 56, parable.wiring.Label::text),
                        WiringPage.column("Goes on", label -> label.goesOn().words()),
                        WiringPage.column("At", parable.wiring.Label::at),
                        WiringPage.column("Place", parable.wiring.Label::place)));
        return table;
    }

    private static Label empty(String words) {
        Label label = new Label(words);
        label.setWrapText(true);
        label.getStyleClass().add("empty");
        return label;
    }

    private static String words(List<Terminal> terminals) {
        return terminals.stream().map(Terminal::toString).collect(Collectors.joining(" "));
    }
}
