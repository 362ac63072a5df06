package parable.sizing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.SizingBasis;
import parable.circuit.Stated;
import parable.circuit.TableCopy;
import parable.drafting.Dress;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.ratings.RatingFormatException;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;
import parable.starters.Library;

/** What rests on a table that somebody edited says so. */
class EditedTablesTest {

    static Stream<Job> jobs() {
        return Share.oneIn(2, Stream.of(Examples.pressHouse(), iceHouse()).flatMap(job -> Stream.of(
                        job, Dress.of(job, Practice.IEC))
                .distinct()));
    }

    private static Job iceHouse() {
        return Library.jobs().stream()
                .filter(one -> one.practice() == Practice.NORTH_AMERICAN)
                .findFirst()
                .orElseThrow();
    }

    /** Edits that change what a table says, each in another direction. */
    private static List<List<String>> edits(RatingTable table) {
        return List.of(edited(table, number -> 1.3 * number), withoutEverySecondRow(table));
    }

    private static List<String> edited(RatingTable table, UnaryOperator<Double> change) {
        List<String> written = new ArrayList<>(table.written().subList(0, 2));
        for (RatingLine line : table.lines()) {
            List<String> cells = new ArrayList<>(line.cells());
            for (int i = 1; i < cells.size(); i++) {
                if (cells.get(i).matches("\\d+(\\.\\d+)?")) {
                    cells.set(i, "" + change.apply(Double.parseDouble(cells.get(i))));
                }
            }
            written.add(String.join(" | ", cells));
        }
        return written;
    }

    private static List<String> withoutEverySecondRow(RatingTable table) {
        List<String> written = table.written();
        List<String> left = new ArrayList<>(written.subList(0, 2));
        for (int i = 2; i < written.size(); i += 2) {
            left.add(written.get(i));
        }
        return left;
    }

    private static Map<String, SizingResult> results(Job job, List<SheetFacts> facts, List<TableCopy> own)
            throws RatingFormatException {
        JobSizing sizing =
                JobSizing.of(job, facts, RatingTables.of(job.practice()).with(own));
        Map<String, SizingResult> all = new LinkedHashMap<>();
        sizing.results().forEach(one -> all.put(one.key(), one));
        for (SheetSizing sheet : sizing.sheets()) {
            sheet.motors().forEach(one -> one.sizing().ifPresent(sized -> put(all, sheet, one.tag(), sized.results())));
            sheet.supplies()
                    .forEach(one -> one.sizing().ifPresent(sized -> put(all, sheet, one.tag(), sized.results())));
            sheet.brakes().forEach(one -> one.sizing().ifPresent(sized -> put(all, sheet, one.tag(), sized.results())));
        }
        return all;
    }

    private static void put(Map<String, SizingResult> all, SheetSizing sheet, String tag, List<SizingResult> results) {
        results.forEach(one -> all.put(sheet.sheet() + ", " + tag + ", " + one.key(), one));
    }

    private static List<SheetFacts> facts(Job job) throws PartException {
        List<SheetFacts> facts = new ArrayList<>();
        for (Sheet sheet : job.sheets()) {
            facts.add(SheetFacts.drawn(sheet, job.practice(), JobTables.of(job)));
        }
        return facts;
    }

    private static String said(SizingResult result) {
        return result.written() + " " + result.value() + " " + result.verdict();
    }

    /** Each table is edited in several ways: what comes out otherwise is marked, and what is not marked comes out as before. */
    @ParameterizedTest
    @MethodSource("jobs")
    void whatComesOutOtherwiseIsMarked(Job job) throws PartException, RatingFormatException {
        List<SheetFacts> facts = facts(job);
        Map<String, SizingResult> shipped = results(job, facts, List.of());
        assertThat(shipped.values()).noneMatch(SizingResult::ofEditedTable);
        Set<String> decisive = new TreeSet<>();
        for (RatingTable table : RatingTables.of(job.practice()).all()) {
            for (List<String> lines : edits(table)) {
                Map<String, SizingResult> now = results(job, facts, List.of(new TableCopy(table.name(), lines)));
                now.forEach((key, result) -> {
                    if (shipped.containsKey(key) && !said(shipped.get(key)).equals(said(result))) {
                        decisive.add(table.name());
                        assertThat(result.ofEditedTable())
                                .as("%s after %s: %s, before %s", key, table.name(), said(result), shipped.get(key))
                                .isTrue();
                    }
                });
            }
        }
        assertThat(decisive).as("tables that decide something").hasSizeGreaterThan(6);
    }

    /** All of them edited, and all overridden that can be: what is one's own rests on no table, but its limit may. */
    @Test
    void anOverriddenResultIsMarkedForItsLimitAlone() throws SizingException, RatingFormatException {
        MotorSizing own = motor(
                Practice.IEC,
                Map.of("power", "4 kW"),
                Map.of("current", "9 A", "wire", "4 mm²"),
                "motor-current",
                "wire");
        assertThat(own.result("current").orElseThrow().ofEditedTable())
                .as("a number of one's own, without a limit")
                .isFalse();
        assertThat(own.result("overload").orElseThrow().ofEditedTable())
                .as("follows from one's own number")
                .isFalse();
        assertThat(own.result("wire").orElseThrow().ofEditedTable())
                .as("what a wire of one's own carries is of the table")
                .isTrue();
        assertThat(own.result("drop").orElseThrow().ofEditedTable())
                .as("the drop rests on the wire that was named and the current of one's own")
                .isFalse();
    }

    /** The overload goes by the nameplate in North American practice, so that the table is nothing to it. */
    @ParameterizedTest
    @CsvSource({
        "NORTH_AMERICAN, '', 'current motor-current overload overload-most disconnect wire drop', ''",
        "NORTH_AMERICAN, 6.8 A, 'current disconnect wire drop', 'motor-current overload overload-most'",
        "IEC, '', 'current overload contactor protection wire protective-conductor drop start-drop', 'start-time starts-an-hour'",
        "IEC, 6.8 A, '', 'current overload contactor protection wire drop start-time'"
    })
    void theMarkGoesTheWayOfTheNumbers(Practice practice, String nameplate, String marked, String unmarked)
            throws SizingException, RatingFormatException {
        Map<String, String> said = new LinkedHashMap<>();
        said.put("power", practice == Practice.IEC ? "4 kW" : "5 hp");
        if (!nameplate.isEmpty()) {
            said.put("nameplate", nameplate);
        }
        MotorSizing sizing = motor(practice, said, Map.of(), "motor-current");

        Set<String> of = sizing.results().stream()
                .filter(SizingResult::ofEditedTable)
                .map(SizingResult::key)
                .collect(Collectors.toSet());
        assertThat(of).containsAll(words(marked));
        assertThat(words(unmarked)).noneMatch(of::contains);
    }

    private static List<String> words(String keys) {
        return keys.isEmpty() ? List.of() : List.of(keys.split(" "));
    }

    private static MotorSizing motor(
            Practice practice, Map<String, String> said, Map<String, String> overrides, String... edited)
            throws SizingException, RatingFormatException {
        RatingTables shipped = RatingTables.of(practice);
        List<TableCopy> own = Stream.of(edited)
                .map(name -> new TableCopy(name, edited(shipped.table(name), number -> 1.1 * number)))
                .toList();
        SizingInputs inputs = new SizingInputs("M1", practice, List.of(MotorQuestion.values()), Map.of(), said);
        return MotorSizing.of(inputs, shipped.with(own), overrides);
    }

    /** What nobody reads marks nothing. */
    @Test
    void aTableThatNothingRestsOnMarksNothing() throws PartException, RatingFormatException {
        Job job = iceHouse();
        RatingTable direct = RatingTables.of(job.practice()).table("motor-current-dc");
        Job edited = job.with(new SizingBasis(
                List.<Stated>of(), List.of(new TableCopy(direct.name(), edited(direct, number -> 2 * number)))));
        assertThat(results(edited, facts(edited), edited.sizing().tables()).values())
                .isNotEmpty()
                .noneMatch(SizingResult::ofEditedTable);
    }
}
