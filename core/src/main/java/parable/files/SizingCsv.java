package parable.files;

import java.util.ArrayList;
import java.util.List;
import parable.sizing.JobSizing;
import parable.sizing.SheetSizing;
import parable.sizing.SizingResult;

/** Sizings as tables for a spreadsheet. */
public final class SizingCsv {

    private static final List<String> RESULT_HEADER = List.of(
            "Sheet",
            "Device",
            "Key",
            "Result",
            "Value",
            "Formula",
            "Source",
            "Row",
            "Kept",
            "Limit",
            "Overridden",
            "Table edited");

    private SizingCsv() {}

    /** A row for each motor of a job. */
    public static String motors(JobSizing sizing) {
        return CsvTable.text(motorTable(sizing));
    }

    static Table motorTable(JobSizing sizing) {
        return new Table(
                JobSizing.Row.heads(),
                sizing.rows().stream().map(JobSizing.Row::cells).toList());
    }

    /** A row for each result of some sheets, then those of what they have in common. */
    public static String results(JobSizing sizing, List<SheetSizing> sheets) {
        List<List<String>> rows = new ArrayList<>();
        for (SheetSizing sheet : sheets) {
            sheet.motors().forEach(one -> one.sizing()
                    .ifPresent(sized -> add(sheet.sheet(), one.tag(), sized.results(), rows)));
            sheet.supplies().forEach(one -> one.sizing()
                    .ifPresent(sized -> add(sheet.sheet(), one.tag(), sized.results(), rows)));
            sheet.brakes().forEach(one -> one.sizing()
                    .ifPresent(sized -> add(sheet.sheet(), one.tag(), sized.results(), rows)));
        }
        add("", "", sizing.results(), rows);
        return CsvTable.text(new Table(RESULT_HEADER, rows));
    }

    /** A row for each result. */
    public static String results(List<SizingResult> results) {
        List<List<String>> rows = new ArrayList<>();
        add("", "", results, rows);
        return CsvTable.text(new Table(RESULT_HEADER, rows));
    }

    private static void add(String sheet, String tag, List<SizingResult> results, List<List<String>> rows) {
        for (SizingResult result : results) {
            rows.add(List.of(
                    sheet,
                    tag,
                    result.key(),
                    result.name(),
                    result.written(),
                    result.formula(),
                    result.source(),
                    result.row(),
                    result.verdict()
                            .map(verdict -> verdict.met() ? "yes" : "no")
                            .orElse(""),
                    result.verdict().map(verdict -> verdict.words()).orElse(""),
                    result.overridden() ? "yes" : "",
                    result.ofEditedTable() ? "yes" : ""));
        }
    }
}
