package parable.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static parable.sizing.WorkedCasesTest.sized;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.parts.TripCurve;
import parable.ratings.RatingTables;

/** Every formula a second time: by complex numbers, by the files of the tables read as plain text, by sums over the speed in place of the time. */
class IndependentSizingTest {

    /** A complex number, so that vectors are added without any sine or cosine of the program. */
    private record Complex(double re, double im) {
        Complex plus(Complex other) {
            return new Complex(re + other.re, im + other.im);
        }

        Complex times(Complex other) {
            return new Complex(re * other.re - im * other.im, re * other.im + im * other.re);
        }

        double length() {
            return Math.sqrt(re * re + im * im);
        }

        static Complex polar(double length, double angle) {
            return new Complex(length * Math.cos(angle), length * Math.sin(angle));
        }
    }

    /** The rows of a table of the file that ships, as plain text. */
    private static List<String[]> rows(String file, String table) throws IOException {
        try (InputStream in = RatingTables.class.getResourceAsStream(file)) {
            List<String[]> rows = new ArrayList<>();
            boolean inside = false;
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8).split("\n")) {
                if (line.startsWith("=")) {
                    inside = line.startsWith("= " + table + " |");
                } else if (inside && !line.isBlank()) {
                    rows.add(line.split(" \\| "));
                }
            }
            return rows.subList(1, rows.size());
        }
    }

    private static double number(String cell) {
        return cell.equals("-") ? 0 : Double.parseDouble(cell);
    }

    private static double value(SizingLine.SizedLine sized, String key) {
        return sized.result(key).orElseThrow().value();
    }

    /** The wire of each motor in each way of laying, at each temperature, beside so many others: looked up by hand in the text of the tables. */
    @Test
    void everyMetricWireIsTheFirstThatCarriesIt() throws IOException, SizingException {
        List<String[]> wires = rows("iec.txt", "wire");
        List<String[]> temperatures = rows("iec.txt", "wire-temperature");
        List<String[]> groups = rows("iec.txt", "wire-grouping");
        List<String> methods = List.of("B1", "B2", "C", "E");
        int looked = 0;
        for (String[] motor : rows("iec.txt", "motor-current")) {
            for (String method : methods) {
                for (int i = 0; i < temperatures.size(); i++) {
                    String[] group = groups.get((looked + i) % groups.size());
                    double factor = number(temperatures.get(i)[1]) * number(group[1 + methods.indexOf(method)]);
                    double needed = number(motor[1]) / factor;
                    String expected = wires.stream()
                            .filter(wire -> number(wire[0]) >= 1.5)
                            .filter(wire -> number(wire[1 + methods.indexOf(method)]) >= needed - 1e-6)
                            .map(wire -> wire[0] + " mm²")
                            .findFirst()
                            .orElse("none");
                    assertThat(wire(motor[0] + " kW 400 V, " + method + ", "
                                    + temperatures.get(i)[0] + " degC, grouped " + group[0]))
                            .as(motor[0] + " kW " + method + " " + temperatures.get(i)[0])
                            .isEqualTo(expected);
                    looked++;
                }
            }
        }
        assertThat(looked).isGreaterThan(800);
    }

    private static String wire(String line) throws SizingException {
        SizingResult wire = sized(line).result("wire").orElseThrow();
        return wire.fails()
                ? "none"
                : wire.written().substring(0, wire.written().indexOf(" ("));
    }

    /** Wires, breakers and fuses of each motor of the North American table, looked up by hand. */
    @ParameterizedTest
    @CsvSource({"2, 200 V", "4, 230 V", "5, 460 V", "6, 575 V"})
    void everyAmericanMotor(int column, String volts) throws IOException, SizingException {
        List<String[]> wires = rows("north-american.txt", "wire");
        List<String[]> breakers = rows("north-american.txt", "breaker");
        List<String[]> fuses = rows("north-american.txt", "fuse");
        for (String[] motor : rows("north-american.txt", "motor-current")) {
            double current = number(motor[column]);
            if (current > 215 / 1.25) {
                continue;
            }
            SizingLine.SizedLine sized = sized(motor[0] + " hp " + volts);
            assertThat(value(sized, "current")).isEqualTo(current);
            int terminals = 1.25 * current > 100 ? 2 : 1;
            assertThat(sized.result("wire").orElseThrow().written())
                    .startsWith(wires.stream()
                                    .skip(1)
                                    .filter(wire -> number(wire[terminals]) >= 1.25 * current - 1e-6)
                                    .findFirst()
                                    .orElseThrow()[0]
                            + " (");
            assertThat(value(sized, "protection")).isEqualTo(next(breakers, 2.5 * current));
            assertThat(value(sized, "fuse-dual-element")).isEqualTo(next(fuses, 1.75 * current));
            assertThat(value(sized, "fuse-non-time-delay")).isEqualTo(next(fuses, 3 * current));
            assertThat(value(sized, "disconnect")).isCloseTo(1.15 * current, within(1e-9));
        }
    }

    private static double next(List<String[]> sizes, double amperes) {
        return sizes.stream()
                .mapToDouble(size -> number(size[0]))
                .filter(size -> size >= amperes - 1e-6)
                .findFirst()
                .orElseThrow();
    }

    /** The drop as the real part of current times impedance, the current behind the voltage by its angle. */
    @Test
    void theDropIsThatOfComplexNumbers() throws SizingException {
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            double metres = 1 + random.nextInt(150);
            double factor = 0.4 + 0.6 * random.nextDouble();
            SizingLine.SizedLine sized = sized(
                    String.format(java.util.Locale.ROOT, "7.5 kW 400 V, %.1f m, power-factor %.4f", metres, factor));
            double written = Double.parseDouble(String.format(java.util.Locale.ROOT, "%.4f", factor));
            double length = Double.parseDouble(String.format(java.util.Locale.ROOT, "%.1f", metres));
            Complex current = Complex.polar(15.5, -Math.acos(written));
            Complex impedance = new Complex(0.0225 * length / 2.5, 0.08e-3 * length);
            assertThat(value(sized, "drop"))
                    .isCloseTo(Math.sqrt(3) * current.times(impedance).re(), within(1e-9));
        }
    }

    /** What a transformer loses as the real part of current times impedance, the two loads added as vectors. */
    @Test
    void theTransformerIsThatOfComplexNumbers() throws SizingException {
        Random random = new Random(6);
        for (int i = 0; i < 200; i++) {
            int held = random.nextInt(60);
            int inrush = 20 + random.nextInt(300);
            double in = Math.acos(0.3);
            double open = Math.acos(0.75);
            SizingLine.SizedLine sized = sized(
                    "transformer 250 VA 400/230 V, ur 4 %, ux 3 %, sealed " + held + " VA, inrush " + inrush + " VA");
            Complex load = Complex.polar(held, -in).plus(Complex.polar(inrush, -open));
            double lost = load.times(new Complex(0.04, 0.03)).re() / 250;
            assertThat(value(sized, "control-load")).isCloseTo(load.length(), within(1e-9));
            assertThat(value(sized, "control-voltage")).isCloseTo(100 * (1 - lost), within(1e-9));
        }
    }

    /** Short-circuit currents by adding the impedances of transformer and run as complex numbers. */
    @ParameterizedTest
    @CsvSource({"100, 4, 0.3, 10, 10", "400, 4, 0.25, 50, 35", "630, 6, 0.15, 120, 95", "1000, 6, 0.1, 5, 120"})
    void shortCircuitsAreThoseOfComplexNumbers(double kva, double uk, double ratio, double metres, String square)
            throws SizingException {
        SizingLine.SizedLine sized = sized("supply " + kva + " kVA " + uk + " %, supply-ratio " + ratio + ", " + metres
                + " m, " + square + " mm²");
        double length = 400 * 400 / (kva * 1000) * uk / 100;
        Complex transformer = Complex.polar(length, Math.acos(ratio));
        for (String[] run :
                new String[][] {{"panel-short-circuit", "0.0185"}, {"panel-short-circuit-least", "0.0225"}}) {
            Complex copper =
                    new Complex(Double.parseDouble(run[1]) * metres / Double.parseDouble(square), 0.08e-3 * metres);
            assertThat(value(sized, run[0]))
                    .isCloseTo(400 / Math.sqrt(3) / transformer.plus(copper).length(), within(1e-6));
        }
        assertThat(value(sized, "supply-short-circuit")).isCloseTo(400 / Math.sqrt(3) / length, within(1e-6));
    }

    /** The time of a start as a sum over the speed: the run-up over the torque that is left at each. */
    @ParameterizedTest
    @CsvSource({"pump, 80, 0.8, direct", "mill, 20, 4, star-delta", "fan, 60, 6, direct", "conveyor, 50, 0.9, direct"})
    void theTimeOfAStartIsTheSumOverTheSpeed(String drives, int load, double runUp, String start)
            throws SizingException {
        String line = "5.5 kW 400 V, drives " + drives + ", load " + load + " %, run-up " + runUp + " s, ";
        SizingLine.SizedLine sized = sized(line + start);
        SizingLine read = SizingLine.read(line + start);
        MotorSizing motor = MotorSizing.of(
                new SizingInputs(
                        "M1", read.practice(), List.of(MotorQuestion.values()), java.util.Map.of(), read.given()),
                RatingTables.of(read.practice()),
                java.util.Map.of());
        List<RunUp.RunUpPoint> curve = motor.start().curves().get(start.equals("star-delta") ? 1 : 0);
        double until = start.equals("star-delta") ? 0.8 : 0.94;
        double seconds = 0;
        for (int i = 1; i < curve.size() && curve.get(i).speed() <= until + 1e-9; i++) {
            seconds += runUp * 0.01 * (1 / left(curve.get(i - 1)) + 1 / left(curve.get(i))) / 2;
        }
        assertThat(value(sized, start.equals("star-delta") ? "star-time" : "start-time"))
                .isCloseTo(seconds, within(0.03 * seconds + 0.01));
    }

    private static double left(RunUp.RunUpPoint point) {
        return point.torque() - point.resistance();
    }

    /** The breaker that is chosen bears one and a half starts, and the next smaller does not. */
    @Test
    void theSmallestBreakerThatBearsTheStartIsChosen() throws IOException, SizingException {
        List<String[]> sizes = rows("iec.txt", "breaker");
        for (String kilowatts : List.of("0.75", "2.2", "5.5", "11", "22", "45")) {
            for (String curve : List.of("C", "D")) {
                SizingLine read = SizingLine.read(
                        kilowatts + " kW 400 V, curve " + curve + ", drives mill, load 30 %, run-up 3 s");
                MotorSizing motor = MotorSizing.of(
                        new SizingInputs(
                                "M1",
                                read.practice(),
                                List.of(MotorQuestion.values()),
                                java.util.Map.of(),
                                read.given()),
                        RatingTables.of(read.practice()),
                        java.util.Map.of());
                double current = motor.result("current").orElseThrow().value();
                double chosen = motor.result("protection").orElseThrow().value();
                double before = 0;
                for (String[] size : sizes) {
                    before = number(size[0]) < chosen ? number(size[0]) : before;
                }
                assertThat(worn(motor, curve, current, chosen)).isLessThanOrEqualTo(2.0 / 3 + 1e-9);
                assertThat(chosen).isGreaterThanOrEqualTo(current);
                assertThat(before < current || worn(motor, curve, current, before) > 2.0 / 3)
                        .as(kilowatts + " " + curve)
                        .isTrue();
            }
        }
    }

    private static double worn(MotorSizing motor, String curve, double current, double rating) {
        List<RunUp.RunUpPoint> points = motor.start().runUp().orElseThrow().points();
        double worn = 0;
        for (int i = 1; i < points.size(); i++) {
            double lasted = points.get(i).seconds() - points.get(i - 1).seconds();
            worn += lasted / TripCurve.named(curve).secondsAt(points.get(i - 1).times() * current / rating);
        }
        return worn;
    }

    /** The brake by Ohm's and Joule's laws, from the other end: the currents that its own results drive are those that are asked for. */
    @Test
    void theBrakeDrivesTheCurrentThatIsAskedFor() throws SizingException {
        Random random = new Random(7);
        for (int i = 0; i < 100; i++) {
            double amperes = 1 + random.nextInt(60);
            double ohms = 0.1 + random.nextInt(40) / 10.0;
            double supply = 12 + 2.5 * amperes * ohms + random.nextInt(300);
            SizingLine.SizedLine sized = sized("brake " + amperes + " A, " + ohms + " ohm, 2 In, "
                    + Math.min(1000, Math.round(supply)) + " V, 4 s");
            double resistor = value(sized, "brake-resistor");
            assertThat(Math.min(1000, Math.round(supply)) / (resistor + ohms))
                    .isCloseTo(Math.min(2 * amperes, Math.min(1000, Math.round(supply)) / ohms), within(1e-6));
            assertThat(value(sized, "brake-energy"))
                    .isCloseTo(
                            4 * value(sized, "brake-current") * value(sized, "brake-current") * resistor, within(1e-6));
            assertThat(0.9 * value(sized, "brake-transformer-voltage"))
                    .isCloseTo(value(sized, "brake-voltage"), within(1e-9));
        }
    }

    /** The fuses of every size of transformer, looked up by hand. */
    @ParameterizedTest
    @CsvSource({"NEC, 480, 120, north-american.txt", "IEC, 400, 230, iec.txt"})
    void theFusesOfEveryTransformer(String practice, int primary, int secondary, String file)
            throws IOException, SizingException {
        List<String[]> sizes = rows(file, "control-fuse");
        for (String[] size : rows(file, "control-transformer")) {
            double rated = number(size[0]);
            if (rated / secondary > 9) {
                continue;
            }
            SizingLine.SizedLine sized =
                    sized("transformer " + practice + " " + size[0] + " VA " + primary + "/" + secondary + " V");
            boolean american = practice.equals("NEC");
            assertThat(value(sized, american ? "primary-fuse" : "primary-fuse-most"))
                    .isEqualTo(below(sizes, 5 * rated / primary));
            assertThat(value(sized, "secondary-fuse"))
                    .isEqualTo(below(sizes, (american ? 1.25 : 1) * rated / secondary));
            assertThat(value(sized, "secondary-fuse-most"))
                    .isEqualTo(below(sizes, (american ? 1.67 : 1.25) * rated / secondary));
        }
    }

    private static double below(List<String[]> sizes, double amperes) {
        double largest = number(sizes.get(0)[0]);
        for (String[] size : sizes) {
            largest = number(size[0]) <= amperes + 1e-9 ? Math.max(largest, number(size[0])) : largest;
        }
        return largest;
    }

    /** At the critical length the cable lets through 0.157 of the holding current, at 50 and at 60 Hz, whatever the coil. */
    @ParameterizedTest
    @CsvSource({"8, 230, 50", "8, 120, 60", "2, 24, 50", "20, 400, 50"})
    void atTheCriticalLengthTheCableCarriesASixthOfTheHoldingCurrent(double holding, double volts, double hertz)
            throws SizingException {
        double metres = value(
                sized("transformer 100 VA 400/" + volts + " V, holding " + holding + " VA, inrush 70 VA, frequency "
                        + hertz + " Hz"),
                "critical-length");
        double farads = 0.3e-6 * metres / 1000;
        double leak = volts * 2 * Math.PI * hertz * farads;
        assertThat(leak / (holding / volts)).isCloseTo(Math.PI / 20, within(1e-6));
    }

    /** Overload by the nameplate, whatever the table says, over root 3 in the winding. */
    @ParameterizedTest
    @CsvSource({
        "12, 1, direct, 12, 13.8",
        "12, 1.15, direct, 12, 15",
        "12, 1.25, star-delta, 6.928, 8.660",
        "30, 1, star-delta, 17.32, 19.92"
    })
    void theOverloadGoesByTheNameplate(double nameplate, double factor, String start, double set, double most)
            throws SizingException {
        SizingLine.SizedLine sized =
                sized("10 hp 460 V, nameplate " + nameplate + " A, service-factor " + factor + ", " + start);
        assertThat(value(sized, "overload")).isCloseTo(set, within(0.001 * set));
        assertThat(value(sized, "overload-most")).isCloseTo(most, within(0.001 * most));
    }

    /** The contactor of every motor, in ordinary duty and jogged, looked up by hand. */
    @Test
    void theContactorOfEveryMotor() throws IOException, SizingException {
        List<String[]> frames = rows("iec.txt", "contactor");
        for (String[] motor : rows("iec.txt", "motor-current")) {
            double kilowatts = number(motor[0]);
            if (kilowatts <= 150) {
                assertThat(value(sized(motor[0] + " kW 400 V"), "contactor")).isEqualTo(next(frames, number(motor[1])));
                assertThat(value(sized(motor[0] + " kW 400 V jogging"), "contactor"))
                        .isEqualTo(number(frames.stream()
                                .filter(frame -> number(frame[1]) >= 2 * kilowatts - 1e-9)
                                .findFirst()
                                .orElseThrow()[0]));
            }
        }
        List<String[]> sizes = rows("north-american.txt", "contactor");
        for (String[] motor : rows("north-american.txt", "motor-current")) {
            double horsepower = number(motor[0]);
            assertThat(sized(motor[0] + " hp 460 V")
                            .result("contactor")
                            .orElseThrow()
                            .written())
                    .startsWith("size " + size(sizes, 4, horsepower) + ",");
            assertThat(sized(motor[0] + " hp 460 V jogging")
                            .result("contactor")
                            .orElseThrow()
                            .written())
                    .startsWith("size " + size(sizes, 8, horsepower) + ",");
        }
    }

    private static String size(List<String[]> sizes, int column, double horsepower) {
        return sizes.stream()
                .filter(size -> number(size[column]) >= horsepower - 1e-9)
                .findFirst()
                .orElseThrow()[1];
    }

    /** The release warmed by the start, step by step: dh/dt = (I² - h) / tau, and it trips at 1.15². */
    @ParameterizedTest
    @CsvSource({"10, 7", "20, 13", "30, 19"})
    void theReleaseIsWarmedStepByStep(String tripClass, double atSevenTimes) throws SizingException {
        SizingLine read = SizingLine.read("7.5 kW 400 V, drives fan, load 60 %, run-up 6 s, class " + tripClass);
        MotorSizing motor = MotorSizing.of(
                new SizingInputs(
                        "M1", read.practice(), List.of(MotorQuestion.values()), java.util.Map.of(), read.given()),
                RatingTables.of(read.practice()),
                java.util.Map.of());
        double trips = 1.15 * 1.15;
        double tau = atSevenTimes / Math.log(7.2 * 7.2 / (7.2 * 7.2 - trips));
        double heat = 0;
        List<RunUp.RunUpPoint> points = motor.start().runUp().orElseThrow().points();
        for (int i = 1; i < points.size(); i++) {
            double step = points.get(i).seconds() - points.get(i - 1).seconds();
            heat += step * (Math.pow(points.get(i - 1).times(), 2) - heat) / tau;
        }
        assertThat(motor.result("overload-class").orElseThrow().value()).isCloseTo(100 * heat / trips, within(0.5));
    }

    /** Nobody states a start: sizing assumes the one that the motor of the bench makes. */
    @Test
    void theStartThatIsAssumedIsThatOfTheBench() throws Exception {
        parable.parts.Part motor = parable.parts.Catalogue.kind("three-phase-motor")
                .orElseThrow()
                .fit(parable.Examples.ofLibrary("Wash pump").device("M1").orElseThrow());
        assertThat(value(sized("2.2 kW 400 V"), "start-current-of-the-line") / 4.9)
                .isCloseTo(motor.machine().orElseThrow().motor().startTimes(), within(1e-9));
    }

    /** The most starts an hour bring in an hour just the heat of rated load. */
    @Test
    void theMostStartsAnHourBringTheHeatOfRatedLoad() throws SizingException {
        SizingLine read = SizingLine.read("7.5 kW 400 V, load 70 %");
        MotorSizing motor = MotorSizing.of(
                new SizingInputs(
                        "M1", read.practice(), List.of(MotorQuestion.values()), java.util.Map.of(), read.given()),
                RatingTables.of(read.practice()),
                java.util.Map.of());
        double heat = 0;
        List<RunUp.RunUpPoint> points = motor.start().runUp().orElseThrow().points();
        for (int i = 1; i < points.size(); i++) {
            heat += Math.pow(points.get(i - 1).times(), 2)
                    * (points.get(i).seconds() - points.get(i - 1).seconds());
        }
        double most = motor.result("starts-an-hour").orElseThrow().value();
        assertThat(most * heat + 3600 * 0.49).isLessThanOrEqualTo(3600);
        assertThat((most + 1) * heat + 3600 * 0.49).isGreaterThan(3600);
    }
}
