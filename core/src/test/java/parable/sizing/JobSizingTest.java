package parable.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.bench.Progress;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.SizingBasis;
import parable.circuit.Stated;
import parable.circuit.TableCopy;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.ratings.RatingFormatException;
import parable.ratings.RatingTables;
import parable.starters.Library;

class JobSizingTest {

    private static final Job PRESS_HOUSE = Examples.pressHouse();
    private static List<SheetFacts> facts;

    @BeforeAll
    static void explore() throws PartException {
        facts = new ArrayList<>();
        for (Sheet sheet : PRESS_HOUSE.sheets()) {
            facts.add(SheetFacts.explored(sheet, Practice.IEC, JobTables.SHIPPED, Progress.UNWATCHED));
        }
    }

    private static JobSizing with(Stated... stated) {
        Job job = PRESS_HOUSE.with(new SizingBasis(List.of(stated), List.of()));
        return JobSizing.of(job, facts, RatingTables.of(Practice.IEC));
    }

    private static double value(JobSizing sizing, String key) {
        return sizing.result(key).orElseThrow().value();
    }

    @Test
    void everyMotorHasARow() {
        JobSizing sizing = with();
        assertThat(sizing.rows()).hasSize(7);
        assertThat(sizing.rows().get(1).cells())
                .containsSubsequence("Mill", "M1", "Apple mill", "18.5 kW", "star-delta", "35 A", "20.2 A", "25 A")
                .hasSameSizeAs(JobSizing.Row.heads());
        assertThat(sizing.rows()).extracting(JobSizing.Row::state).containsOnly("kept");
        assertThat(sizing.rows()).extracting(JobSizing.Row::control).contains("T1 63 VA", "T1 160 VA, G2 1.3 A");
    }

    /** The table is sorted by what the numbers are, not by their letters. */
    @ParameterizedTest
    @CsvSource({"4.9 A, 35 A", "9 A, 12 A", "0.75 kW, 18.5 kW", "Mill, Wash pump"})
    void cellsAreInOrder(String less, String more) {
        assertThat(JobSizing.Row.compare(less, more)).isNegative();
        assertThat(JobSizing.Row.compare(more, less)).isPositive();
        assertThat(JobSizing.Row.compare(less, less)).isZero();
    }

    @ParameterizedTest
    @CsvSource({
        "demand, 50 %, feeder-current, 35.8",
        "supply-power, 100 kVA, supply-current, 144.3",
        "supply-impedance, 8 %, supply-short-circuit, 7217",
        "feeder-current, 100 A, feeder-protection, 100",
        "mounting, free, panel-surface, 3.23"
    })
    void whatIsStatedGoesOn(String quantity, String stated, String key, double expected) {
        JobSizing sizing = with(new Stated("", quantity, stated));
        assertThat(sizing.problem()).isEmpty();
        assertThat(value(sizing, key)).isCloseTo(expected, within(0.002 * expected));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "demand | 5 % | job, demand: found 5 %, expected 10 to 100 %",
                "mounting | outside | job, mounting: found outside, expected one of free, on a wall",
                "feeder-ambient | 75 °C | job, feeder-ambient: found 75 °C, expected at most 60 °C, which the table has",
                "nonsense | 1 | job: found nonsense, expected one of its inputs or results"
            })
    void whatMakesNoSenseIsSaid(String quantity, String stated, String words) {
        assertThat(with(new Stated("", quantity, stated)).problem()).startsWith(words);
    }

    /** The feeder of 35 mm2 and 50 m with 71.6 A, and at the peak of 140.6 A. */
    @Test
    void theDropAlongTheFeederIsPlotted() {
        JobSizing sizing = with();
        double ohms = 0.0225 * 50 / 35;
        double reactance = 0.08e-3 * 50;
        assertThat(value(sizing, "feeder-drop"))
                .isCloseTo(Math.sqrt(3) * 71.6 * (ohms * 0.8 + reactance * 0.6), within(1e-9));
        Plot plot = SizingPlots.of(sizing).orElseThrow();
        assertThat(plot.curves().get(0).at(50).orElseThrow())
                .isCloseTo(400 - value(sizing, "feeder-drop"), within(1e-9));
        assertThat(plot.curves().get(1).at(50).orElseThrow())
                .isCloseTo(400 - value(sizing, "feeder-peak-drop"), within(1e-9));
        assertThat(SizingPlots.of(JobSizing.of(PRESS_HOUSE, List.of(), RatingTables.of(Practice.IEC))))
                .isEmpty();
    }

    /** The loop from a line over the case of the motor, by hand for the mill, whose breaker is largest: 50 m of 35 and 16 mm2, 10 m of 4 and 10 mm2. */
    @Test
    void theSmallestFaultCurrentStillOpensTheBreaker() {
        SizingResult fault = with().result("earth-fault").orElseThrow();
        double resistance = 0.25 * 0.016 + 0.0225 * 50 * (1 / 35.0 + 1 / 16.0) + 0.0225 * 10 * (1 / 4.0 + 1 / 10.0);
        double reactance = Math.sqrt(1 - 0.0625) * 0.016 + 2 * 0.08e-3 * 60;
        assertThat(fault.value()).isCloseTo(400 / Math.sqrt(3) / Math.hypot(resistance, reactance), within(1e-6));
        assertThat(fault.inputs()).contains("Mill M1", "Q1 50 A");
        assertThat(fault.fails()).isFalse();

        SizingResult far = with(new Stated("", "feeder-length", "400 m"))
                .result("earth-fault")
                .orElseThrow();
        assertThat(far.fails()).isTrue();
        assertThat(far.verdict().orElseThrow().words()).startsWith("Q1 does not open at once at Mill M1: a thicker");
    }

    /** What is beyond the tables is said where it is, and the rest is sized all the same. */
    @Test
    void aFeederBeyondTheTablesLeavesTheRest() {
        JobSizing large = with(new Stated("", "feeder-current", "800 A"));
        assertThat(large.result("feeder-protection")
                        .orElseThrow()
                        .verdict()
                        .orElseThrow()
                        .words())
                .isEqualTo("No device of the table carries 800 A: divide the feeder.");
        assertThat(value(large, "panel-heat")).isEqualTo(value(with(), "panel-heat"));
    }

    /** A small cabinet in a warm room takes a fan, and a larger one does without. */
    @Test
    void aSmallCabinetTakesAFan() {
        JobSizing small = with(
                new Stated("", "width", "400 mm"),
                new Stated("", "height", "500 mm"),
                new Stated("", "depth", "200 mm"));
        SizingResult inside = small.result("panel-temperature").orElseThrow();
        assertThat(inside.fails()).isTrue();
        assertThat(inside.verdict().orElseThrow().words()).contains("a fan of ").contains(" m³/h");
        JobSizing warm = with(new Stated("", "room", "55 °C"));
        assertThat(warm.result("panel-temperature")
                        .orElseThrow()
                        .verdict()
                        .orElseThrow()
                        .words())
                .contains("it takes cooling");
        double watts = value(small, "panel-heat");
        double area = 1.4 * 0.4 * (0.5 + 0.2) + 1.8 * 0.2 * 0.5;
        assertThat(value(small, "panel-temperature")).isCloseTo(35 + watts / (5.5 * area), within(1e-9));
    }

    /** The heat is that of what can be on together: less than of all at once where star and delta, or forward and reverse, exclude each other. */
    @Test
    void whatExcludesEachOtherDoesNotHeatTogether() throws PartException {
        List<SheetFacts> everything = new ArrayList<>();
        for (Sheet sheet : PRESS_HOUSE.sheets()) {
            everything.add(SheetFacts.drawn(sheet, Practice.IEC, JobTables.SHIPPED));
        }
        double all = value(JobSizing.of(PRESS_HOUSE, everything, RatingTables.of(Practice.IEC)), "panel-heat");
        assertThat(value(with(), "panel-heat")).isLessThan(all - 5);
    }

    @Test
    void theAmericanFeederIsTheLargestAndAQuarterAndTheRest() throws PartException {
        Job iceHouse = Library.jobs().get(1);
        List<SheetFacts> known = new ArrayList<>();
        for (Sheet sheet : iceHouse.sheets()) {
            known.add(SheetFacts.drawn(sheet, Practice.NORTH_AMERICAN, JobTables.SHIPPED));
        }
        JobSizing sizing = JobSizing.of(iceHouse, known, RatingTables.of(Practice.NORTH_AMERICAN));
        assertThat(value(sizing, "feeder-current")).isCloseTo(1.25 * 40 + 7.6 + 21 + 4.8 + 3.4, within(1e-9));
        assertThat(value(sizing, "feeder-protection")).isEqualTo(125);
        assertThat(100 + 7.6 + 21 + 4.8 + 3.4)
                .as("the largest branch and the rest")
                .isBetween(125.0, 150.0);
    }

    @Test
    void aTableOfTheJobsOwnIsMarkedOnEveryResultThatRestsOnIt() throws RatingFormatException {
        List<String> dearer =
                new ArrayList<>(RatingTables.of(Practice.IEC).table("wire").written());
        dearer.replaceAll(line -> line.startsWith("1.5 |") ? "1.5 | 4 | 4 | 4 | 4" : line);
        Job job = PRESS_HOUSE.with(new SizingBasis(List.of(), List.of(new TableCopy("wire", dearer))));
        JobSizing sizing = JobSizing.of(job, facts, JobSizing.tables(job));
        MotorSizing pump = sizing.sheet("Wash pump").orElseThrow().motor("M1").orElseThrow();

        assertThat(pump.result("wire").orElseThrow().written()).isEqualTo("2.5 mm² (17.4 A)");
        assertThat(pump.result("wire").orElseThrow().ofEditedTable()).isTrue();
        assertThat(pump.result("overload").orElseThrow().ofEditedTable()).isFalse();
        assertThat(sizing.sheet("Wash pump").orElseThrow().differences())
                .as("the drawing has the wire that the table that ships proposes")
                .extracting(DrawingDifference::what)
                .containsExactly("wire of the motor");
    }

    /** A motor that makes no sense leaves the others as they are. */
    @Test
    void oneMotorThatMakesNoSenseLeavesTheOthers() throws PartException {
        Sheet pump = PRESS_HOUSE.sheet("Wash pump").orElseThrow();
        List<SheetFacts> changed = new ArrayList<>(facts);
        changed.set(
                0,
                SheetFacts.drawn(
                        pump.withStated(List.of(new Stated("M1", "length", "far"))), Practice.IEC, JobTables.SHIPPED));
        JobSizing sizing = JobSizing.of(PRESS_HOUSE, changed, RatingTables.of(Practice.IEC));

        assertThat(sizing.sheets().get(0).problems())
                .containsExactly("M1, length: found far, expected 0.1 to 2000 m, or in ft");
        assertThat(sizing.rows().get(0).state()).startsWith("M1, length: found far");
        assertThat(value(sizing, "feeder-current")).isCloseTo(71.6 - 4.9, within(1e-9));
    }

    @Test
    void theCheckAndTheSizingAgreeOnTheLibrary() {
        assertThat(with().sheets()).allSatisfy(sheet -> {
            assertThat(sheet.failing()).as(sheet.sheet()).isEmpty();
            assertThat(sheet.problems()).isEmpty();
        });
    }
}
