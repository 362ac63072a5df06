package parable.files;

import java.util.List;
import parable.wiring.Label;

/** The labels to be printed, a line each with the text first, as any label printer's program can read. */
public final class LabelsCsv {

    private static final List<String> HEADER = List.of("Text", "Goes on", "At", "Place");

    private LabelsCsv() {}

    /** The table. */
    public static String text(List<Label> labels) {
        return CsvTable.plain(table(labels));
    }

    static Table table(List<Label> labels) {
        return new Table(HEADER, labels.stream().map(LabelsCsv::row).toList());
    }

    private static List<String> row(Label label) {
        return List.of(label.text(), label.goesOn().words(), label.at(), label.place());
    }
}
