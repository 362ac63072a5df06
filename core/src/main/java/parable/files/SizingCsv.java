package parable.files;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Job;
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

    private static final List<String> PAPER_HEADER = List.of("Device", "Result", "Value", "Limit", "How it follows");

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

    /** A row for each result of some sheets, what they have in common left out. */
    static String ofSheets(List<SheetSizing> sheets) {
        List<List<String>> rows = new ArrayList<>();
        sheets.forEach(sheet -> addAll(sheet, rows));
        return CsvTable.text(new Table(RESULT_HEADER, rows));
    }

    /** A row for each result of some sheets, then those of what they have in common. */
    public static String results(JobSizing sizing, List<SheetSizing> sheets) {
        List<List<String>> rows = new ArrayList<>();
        sheets.forEach(sheet -> addAll(sheet, rows));
        add("", "", sizing.results(), rows);
        return CsvTable.text(new Table(RESULT_HEADER, rows));
    }

    private static void addAll(SheetSizing sheet, List<List<String>> rows) {
        sheet.motors()
                .forEach(one -> one.sizing().ifPresent(sized -> add(sheet.sheet(), one.tag(), sized.results(), rows)));
        sheet.supplies()
                .forEach(one -> one.sizing().ifPresent(sized -> add(sheet.sheet(), one.tag(), sized.results(), rows)));
        sheet.brakes()
                .forEach(one -> one.sizing().ifPresent(sized -> add(sheet.sheet(), one.tag(), sized.results(), rows)));
    }

    /** A row for each result. */
    public static String results(List<SizingResult> results) {
        List<List<String>> rows = new ArrayList<>();
        add("", "", results, rows);
        return CsvTable.text(new Table(RESULT_HEADER, rows));
    }

    /** The results of a sheet for paper, a row each. */
    static Table resultTable(SheetSizing sheet) {
        List<List<String>> rows = new ArrayList<>();
        sheet.motors()
                .forEach(one ->
                        addShort(one, one.sizing().map(sized -> sized.results()).orElse(List.of()), rows));
        sheet.supplies()
                .forEach(one ->
                        addShort(one, one.sizing().map(sized -> sized.results()).orElse(List.of()), rows));
        sheet.brakes()
                .forEach(one ->
                        addShort(one, one.sizing().map(sized -> sized.results()).orElse(List.of()), rows));
        return new Table(PAPER_HEADER, rows);
    }

    /** Results for paper, a row each. */
    static Table resultTable(List<SizingResult> results) {
        return new Table(
                PAPER_HEADER.subList(1, PAPER_HEADER.size()),
                results.stream()
                        .map(result -> shortRow("", result))
                        .map(row -> row.subList(1, row.size()))
                        .toList());
    }

    private static void addShort(SheetSizing.Sized<?> one, List<SizingResult> results, List<List<String>> rows) {
        if (!one.problem().isEmpty()) {
            rows.add(List.of(one.tag(), one.problem(), "", "", ""));
        }
        results.forEach(result -> rows.add(shortRow(one.tag(), result)));
    }

    private static List<String> shortRow(String tag, SizingResult result) {
        String marks =
                (result.overridden() ? ", overridden" : "") + (result.ofEditedTable() ? ", by an edited table" : "");
        return List.of(
                tag,
                result.name(),
                result.written() + marks,
                result.verdict()
                        .map(verdict -> (verdict.met() ? "kept: " : "NOT KEPT: ") + verdict.words())
                        .orElse(""),
                result.formula() + ". " + result.source() + (result.row().isEmpty() ? "" : ", " + result.row()));
    }

    /** What of a drawing is not as it is sized, a row each. */
    static Table differenceTable(SheetSizing sheet) {
        return new Table(
                List.of("Device", "What", "Drawn", "Sized", "Why"),
                sheet.differences().stream()
                        .map(one -> List.of(one.tag(), one.what(), one.drawn(), one.sized(), one.why()))
                        .toList());
    }

    /** What belongs on the plate of a panel (IEC 60204-1, 16.4; NFPA 79, 16.4), a sentence each; nothing without motors. */
    static List<String> ratings(Job job, JobSizing sizing) {
        List<String> lines = new ArrayList<>();
        sizing.result("feeder-current")
                .ifPresent(current -> lines.add("Current of the feeder: " + current.written() + ", "
                        + job.practice().words() + " practice."));
        sizing.rows().stream()
                .max((one, other) -> JobSizing.Row.compare(one.current(), other.current()))
                .ifPresent(row -> lines.add("Largest motor: " + row.power() + ", " + row.current() + " (" + row.sheet()
                        + ", " + row.motor() + ")."));
        sizing.result("feeder-protection")
                .ifPresent(device -> lines.add(device.name() + ": " + device.written() + "."));
        sizing.result("panel-short-circuit")
                .ifPresent(current -> lines.add("Prospective short-circuit current: " + current.written()
                        + ", with the supply and feeder that are stated or assumed under sizing."));
        return lines;
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
