package parable.cli;

import java.util.ArrayList;
import java.util.List;
import parable.circuit.Job;
import parable.files.SizingJson;
import parable.sizing.JobSizing;
import parable.sizing.SheetSizing;
import parable.sizing.SizingResult;

/** A sizing as it is printed for somebody to read. */
final class SizingPrint {

    private SizingPrint() {}

    /**
     * That of some sheets.
     *
     * @param together whether what they have in common is printed too
     */
    static String of(Job job, JobSizing sizing, List<SheetSizing> sheets, boolean together) {
        List<String> lines = new ArrayList<>();
        for (SheetSizing sheet : sheets) {
            lines.add(sheet.sheet());
            sheet.motors()
                    .forEach(one ->
                            add(one, one.sizing().map(sized -> sized.results()).orElse(List.of()), lines));
            sheet.supplies()
                    .forEach(one ->
                            add(one, one.sizing().map(sized -> sized.results()).orElse(List.of()), lines));
            sheet.brakes()
                    .forEach(one ->
                            add(one, one.sizing().map(sized -> sized.results()).orElse(List.of()), lines));
            sheet.differences().forEach(difference -> lines.add("  Drawing: " + difference.words()));
            if (sheet.differences().isEmpty()) {
                lines.add("  " + SheetSizing.NOTHING_DIFFERS);
            }
            lines.add("");
        }
        if (together) {
            lines.add("All of " + job.name());
            sizing.results().forEach(result -> lines.addAll(lines(result)));
            if (!sizing.problem().isEmpty()) {
                lines.add("  " + sizing.problem());
            }
            lines.add("");
        }
        lines.add(SizingJson.ADVICE);
        return String.join("\n", lines);
    }

    private static void add(SheetSizing.Sized<?> sized, List<SizingResult> results, List<String> lines) {
        lines.add("  " + sized.tag() + (sized.title().equals(sized.tag()) ? "" : ", " + sized.title()));
        if (!sized.problem().isEmpty()) {
            lines.add("    " + sized.problem());
        }
        results.forEach(result -> lines(result).forEach(line -> lines.add("  " + line)));
    }

    /** A result, its limit, and below it how it follows. */
    static List<String> lines(SizingResult result) {
        List<String> lines = new ArrayList<>();
        String marks = (result.overridden() ? "  (overridden)" : "")
                + (result.ofEditedTable() ? "  (by an edited table)" : "");
        String limit = result.verdict()
                .map(verdict -> "  " + (verdict.met() ? "kept: " : "NOT KEPT: ") + verdict.words())
                .orElse("");
        lines.add("  " + result.name() + ": " + result.written() + marks + limit + "  [" + result.key() + "]");
        String row = result.row().isEmpty() ? "" : ", " + result.row();
        lines.add("      " + String.join(" · ", List.of(result.formula(), result.source() + row)));
        return lines;
    }
}
