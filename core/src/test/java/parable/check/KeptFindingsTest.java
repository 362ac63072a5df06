package parable.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.Kept;
import parable.Sketches;
import parable.circuit.ColourCode;
import parable.circuit.Conventions;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.starters.Library;

/** Everything that the rules say of every wrong circuit, and what they offer, as it was kept. */
class KeptFindingsTest {

    private static void add(List<String> lines, String name, Sheet sheet, Practice practice) {
        lines.add("== " + name);
        Assembly assembly = Examples.fitted(sheet);
        List<Finding> found = Check.of(assembly, ColourCode.of(practice));
        for (Finding finding : found) {
            lines.add(finding.severity() + " " + finding.code() + " " + finding.where() + ": " + finding.text());
            lines.add("    " + finding.reason());
            Repair.of(assembly, finding, found, Conventions.of(practice), () -> false)
                    .ifPresent(repair -> lines.add("    Offered: " + repair.words()));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"truth", "sound", "plc"})
    void onSketches(String file) {
        List<String> lines = new ArrayList<>();
        Sketches.in(file).forEach(sketch -> add(lines, sketch.name(), sketch.sheet(), Practice.IEC));

        Kept.assertSame("findings", file, lines);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Tern Hollow bad examples", "Tern Hollow further starters", "Pike Landing ice house"})
    void onJobs(String job) {
        List<String> lines = new ArrayList<>();
        Library.jobs().stream()
                .filter(one -> one.name().equals(job))
                .flatMap(one -> one.sheets().stream().flatMap(sheet -> Stream.of(sheet)))
                .forEach(sheet -> add(
                        lines, sheet.name(), sheet, job.startsWith("Pike") ? Practice.NORTH_AMERICAN : Practice.IEC));

        Kept.assertSame("findings", job, lines);
    }
}
