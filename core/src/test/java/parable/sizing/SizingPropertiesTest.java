package parable.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static parable.sizing.WorkedCasesTest.sized;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Meter;
import parable.check.HeavyDuty;
import parable.circuit.Device;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Verb;
import parable.ratings.RatingLine;
import parable.ratings.RatingTables;

/** What is true of every formula: which way results go, that units do not matter, and that the bench says the same. */
class SizingPropertiesTest {

    /** The largest whose frame of twice the power the table of contactors has, in kW. */
    private static final double MOST_JOGGED = 75;

    private static double value(String line, String key) throws SizingException {
        return sized(line).result(key).orElseThrow().value();
    }

    /** More of the one never gives less of the other; a minus before the key turns it round. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "%s kW 400 V | current | 0.37 0.75 2.2 5.5 11 22 45 90",
                "%s kW 400 V | overload | 0.37 0.75 2.2 5.5 11 22 45 90",
                "%s kW 400 V | contactor | 0.37 0.75 2.2 5.5 11 22 45 90",
                "%s kW 400 V | protection | 0.37 0.75 2.2 5.5 11 22 45 90",
                "%s kW 400 V | wire | 0.37 0.75 2.2 5.5 11 22 45 75",
                "%s kW 400 V | protective-conductor | 0.37 0.75 2.2 5.5 11 22 45 75",
                "11 kW 400 V, %s m | drop | 1 5 20 60 200",
                "11 kW 400 V, %s m | start-drop | 1 5 20 60 200",
                "11 kW 400 V, %s degC | wire | 30 35 40 45 50 55 60",
                "11 kW 400 V, grouped %s | wire | 1 2 3 4 6 9",
                "11 kW 400 V, load %s % | start-time | 0 20 40 60 80 100",
                "11 kW 400 V, load %s % | overload-class | 0 20 40 60 80 100",
                "11 kW 400 V, load %s % | -starts-an-hour | 0 20 40 60 80 100",
                "11 kW 400 V, run-up %s s | start-time | 0.2 0.5 1 2 5 10",
                "11 kW 400 V, run-up %s s | protection | 0.2 0.5 1 2 5 10",
                "11 kW 400 V star-delta, run-up %s s | timer | 0.2 0.5 1 2 5 10",
                "11 kW 400 V, start-current %s x | start-current-of-the-line | 3 5 7 9",
                "11 kW 400 V, operations %s million | contactor-life | 0.1 0.5 1 2",
                "2.2 kW 400 V, let-through %s A2s | withstand | 100 1000 18000 1000000",
                "%s hp 460 V | protection | 0.5 1 5 15 40 75 125",
                "%s hp 460 V | wire | 0.5 1 5 15 40 75 100",
                "%s hp 460 V | overload-most | 0.5 1 5 15 40 75 125",
                "30 hp 460 V star-delta, %s degC | leads | 10 20 30 40 50",
                "transformer %s VA 400/230 V, inrush 300 VA | control-voltage | 63 100 160 250 400 1000",
                "transformer 100 VA 400/230 V, inrush %s VA | -control-voltage | 20 70 100 200 300",
                "transformer 100 VA 400/230 V, inrush %s VA | transformer | 20 70 100 200 300 700",
                "transformer 100 VA 400/230 V, inrush 70 VA, %s m | -coil-voltage | 1 20 100 400",
                "transformer 100 VA 400/230 V, holding %s VA | critical-length | 2 5 8 20",
                "brake 11.5 A 1.4 ohm, brake-times %s x | brake-current | 1 1.5 2 2.5",
                "brake 11.5 A %s ohm | brake-transformer | 0.5 1 2 4",
                "brake 11.5 A 1.4 ohm 360 V, brake-time %s s | brake-energy | 1 2 4 8",
                "supply %s kVA 35 mm² | panel-short-circuit | 50 100 250 400 1000",
                "supply 400 kVA %s m 35 mm² | -panel-short-circuit | 1 10 50 200",
                "supply 400 kVA %s mm² | panel-short-circuit | 1.5 4 10 35 95"
            })
    void goesOneWay(String line, String key, String steps) throws SizingException {
        boolean falls = key.startsWith("-");
        String name = falls ? key.substring(1) : key;
        double before = falls ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY;
        double first = Double.NaN;
        for (String step : steps.split(" ")) {
            double now = value(line.replace("%s", step), name);
            assertThat(falls ? now <= before + 1e-9 : now >= before - 1e-9)
                    .as(line + " at " + step + ": " + now + " after " + before)
                    .isTrue();
            before = now;
            first = Double.isNaN(first) ? now : first;
        }
        assertThat(before).as("it does move").isNotEqualTo(first);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2.2 kW 400 V, 30.48 m | 2.2 kW 400 V, 100 ft",
                "3.7285 kW 460 V, NEC | 5 hp 460 V",
                "2.2 kW 400 V, 45 °C | 2.2kW 400V 45degC",
                "2.2 kW 400 V, 6 In | 2.2 kW 400 V start-current 6 x",
                "IEC 5 hp 400 V | 3.7285 kW 400 V",
                "transformer 100 VA 480/120 V NEC | transformer NEC rated 100 VA primary 480 V secondary 120 V",
                "2.2 kW 400 V, cosphi 0.7/0.3 | 2.2 kW 400 V power-factor 0.7 start-power-factor 0.3"
            })
    void itDoesNotMatterHowItIsWritten(String one, String other) throws SizingException {
        List<SizingResult> first = sized(one).results();
        List<SizingResult> second = sized(other).results();
        assertThat(first).hasSameSizeAs(second);
        for (int i = 0; i < first.size(); i++) {
            assertThat(first.get(i).key()).isEqualTo(second.get(i).key());
            assertThat(first.get(i).value())
                    .isCloseTo(
                            second.get(i).value(),
                            within(1e-9 + 1e-9 * second.get(i).value()));
        }
    }

    /** What is put in the place of a result goes on from there, and nothing before it changes. */
    @Test
    void anOverrideGoesOnFromThere() throws SizingException {
        SizingLine.SizedLine before = sized("11 kW 400 V, 50 m");
        SizingLine.SizedLine after = sized("11 kW 400 V, 50 m, wire 16 mm²");

        assertThat(after.result("wire").orElseThrow().overridden()).isTrue();
        assertThat(after.result("wire").orElseThrow().written()).isEqualTo("16 mm² (54 A)");
        assertThat(after.result("protective-conductor").orElseThrow().written()).isEqualTo("16 mm²");
        assertThat(after.result("drop").orElseThrow().value())
                .isLessThan(before.result("drop").orElseThrow().value());
        assertThat(after.result("current")).isEqualTo(before.result("current"));
        assertThat(sized("4 kW 400 V jogging, contactor 40 A")
                        .result("contactor")
                        .orElseThrow()
                        .written())
                .isEqualTo("40 A");
        assertThat(sized("5 hp 460 V, contactor 45 A")
                        .result("contactor")
                        .orElseThrow()
                        .written())
                .isEqualTo("45 A");
        assertThat(sized("11 kW 400 V, wire 1 mm²").result("wire").orElseThrow().fails())
                .isTrue();
        SizingLine.SizedLine other = sized("11 kW 400 V, current 30 A");
        assertThat(other.result("overload").orElseThrow().value()).isEqualTo(30);
        assertThat(other.result("wire").orElseThrow().written()).startsWith("6 mm²");
    }

    /** Every result that has a limit says in words how it is to it, and each says how it follows and from where. */
    @Test
    void everyResultSaysHowItFollows() throws SizingException {
        for (String line : List.of(
                "2.2 kW 400 V",
                "18.5 kW 400 V star-delta",
                "4 kW 400 V jogging",
                "5 hp 460 V",
                "30 hp 460 V star-delta",
                "1 hp 230 V single-phase",
                "1 hp 180 V dc",
                "1 kW 230 V single-phase",
                "0.75 kW 180 V dc",
                "transformer 100 VA 400/230 V inrush 70 VA holding 8 VA",
                "brake 11.5 A 1.4 ohm 360 V",
                "supply 400 kVA 35 mm²")) {
            for (SizingResult result : sized(line).results()) {
                assertThat(result.formula()).as(line + ", " + result.key()).isNotBlank();
                assertThat(result.written()).as(line + ", " + result.key()).isNotBlank();
                assertThat(result.value())
                        .as(line + ", " + result.key())
                        .isFinite()
                        .isNotNegative();
                result.verdict().ifPresent(verdict -> assertThat(verdict.words())
                        .as(line + ", " + result.key())
                        .endsWith(".")
                        .matches("[A-Z0-9].*"));
            }
        }
    }

    /** The clamp on the bench shows at rated load what the table says, for both go by the same tables. */
    @ParameterizedTest
    @CsvSource({"2.2 kW", "7.5 kW", "30 kW"})
    void theBenchShowsTheSameCurrents(String power) throws SizingException, ActionRefusedException {
        Sheet pump = Examples.ofLibrary("Overload contact last");
        double current = value(power + " 400 V", "current");
        Sheet loaded = pump.withDevices(pump.devices().stream()
                .map(device -> device.kind().equals("three-phase-motor") ? loaded(device, power) : device)
                .map(device -> device.tag().equals("Q1") ? device.with("rated", "100 A") : device)
                .map(device ->
                        device.tag().equals("F2") ? device.with("setting", 2 * Math.ceil(current) + " A") : device)
                .toList());
        Bench bench = Bench.of(Examples.fitted(loaded));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(100_000);
        bench.act(new Action(Verb.PRESS, "S1"));
        bench.runUntil(60_000_000);
        assertThat(clamp(bench)).isCloseTo(current, within(0.03 * current));
    }

    private static Device loaded(Device motor, String power) {
        return motor.with("power", power).with("current", "").with("load", "100 %");
    }

    private static double clamp(Bench bench) {
        return bench.moment()
                .meter()
                .read(Meter.Range.AMPERES, "M1:U1", "")
                .value()
                .orElse(0.0);
    }

    /** Curves are read off where they are, each device trips sooner the more it carries, and the start passes below its breaker. */
    @Test
    void thePlotsSayWhatTheResultsSay() throws SizingException {
        SizingLine read = SizingLine.read("18.5 kW 400 V star-delta, drives mill, load 20 %, run-up 4 s, 80 m");
        MotorSizing motor = MotorSizing.of(
                new SizingInputs("M1", read.practice(), List.of(MotorQuestion.values()), Map.of(), read.given()),
                RatingTables.of(read.practice()),
                Map.of());
        List<Plot> plots = SizingPlots.of(motor, Optional.empty(), Optional.empty());
        assertThat(plots).extracting(Plot::title).hasSize(3);

        Plot speed = plots.get(0);
        assertThat(speed.curves())
                .extracting(Plot.PlotCurve::name)
                .contains("Torque in star", "Current in star", "Load", "Change to delta");
        assertThat(speed.curves().get(1).at(0).orElseThrow()).isCloseTo(7, within(1e-6));
        assertThat(speed.curves().get(3).at(0).orElseThrow()).isCloseTo(7.0 / 3, within(1e-6));
        assertThat(speed.read(50)).first().isEqualTo("Speed 50 %");

        Plot times = plots.get(1);
        for (int curve = 1; curve <= 2; curve++) {
            List<Plot.PlotPoint> points = times.curves().get(curve).points();
            for (int i = 1; i < points.size(); i++) {
                assertThat(points.get(i).up())
                        .isLessThanOrEqualTo(points.get(i - 1).up() + 1e-9);
            }
        }
        Plot.PlotCurve start = times.curves().get(0);
        Plot.PlotCurve breaker = times.curves().get(1);
        for (Plot.PlotPoint point : start.points()) {
            breaker.at(point.across())
                    .filter(opens -> point.up() < 100 && point.across() > 1.2 * 35)
                    .ifPresent(opens -> assertThat(point.up()).isLessThan(opens));
        }

        Plot way = plots.get(2);
        assertThat(way.curves().get(0).at(80).orElseThrow())
                .isCloseTo(400 - motor.result("drop").orElseThrow().value(), within(1e-9));
        assertThat(way.curves().get(0).at(0).orElseThrow()).isEqualTo(400);
    }

    /** An axis has a few lines, each on it, and a place and its value belong together. */
    @ParameterizedTest
    @CsvSource({
        "0, 100, false",
        "0, 7, false",
        "340, 404, false",
        "70, 101, false",
        "2.4, 294, true",
        "0.01, 10000, true"
    })
    void anAxisHasAFewLines(double least, double most, boolean logarithmic) {
        Plot.PlotAxis axis = new Plot.PlotAxis("Any", "A", least, most, logarithmic);
        assertThat(axis.marks())
                .hasSizeBetween(3, 10)
                .allMatch(mark -> mark >= least - 1e-9 && mark <= most * (1 + 1e-9));
        for (double place = 0; place <= 1; place += 0.125) {
            assertThat(axis.place(axis.value(place))).isCloseTo(place, within(1e-9));
        }
        List<Double> sorted = new ArrayList<>(axis.marks());
        sorted.sort(Double::compare);
        assertThat(axis.marks()).isEqualTo(sorted);
    }

    /** What sizing takes for a motor that is jogged passes the check of jogging contactors, whatever the motor. */
    @Test
    void aContactorThatIsSizedForJoggingPassesTheCheck() throws SizingException {
        for (RatingLine motor :
                RatingTables.of(Practice.IEC).table("motor-current").lines()) {
            double kilowatts = motor.amount();
            if (kilowatts <= MOST_JOGGED) {
                String line = motor.key() + " kW 400 V, duty jogging";
                assertThat(value(line, "contactor"))
                        .as(line)
                        .isGreaterThanOrEqualTo(HeavyDuty.TIMES * value(line, "current"));
            }
        }
    }

    /** The breaker that a starter is drawn with bears a start of usual length and is no larger than the practice allows. */
    @ParameterizedTest
    @EnumSource(Practice.class)
    void theFirstBreakerIsWithinTheLimits(Practice practice) throws SizingException {
        RatingTables tables = RatingTables.of(practice);
        boolean iec = practice == Practice.IEC;
        for (RatingLine motor : tables.table("motor-current").lines()) {
            if (motor.amount() > 0.37 && motor.amount() <= MOST_JOGGED) {
                String line = motor.key() + (iec ? " kW 400 V, run-up 0.5 s" : " hp 460 V");
                String breaker = FirstBreaker.of(tables, value(line, "current"));
                SizingLine read = SizingLine.read(line);
                MotorSizing sized = MotorSizing.of(
                        new SizingInputs("M1", practice, List.of(MotorQuestion.values()), Map.of(), read.given()),
                        tables,
                        Map.of("protection", breaker));
                assertThat(sized.result("protection").orElseThrow().fails())
                        .as(line + ", " + breaker)
                        .isFalse();
            }
        }
    }
}
