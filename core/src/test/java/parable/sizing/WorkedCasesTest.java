package parable.sizing;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.ratings.RatingTables;

/** Cases that were worked by hand, exact to the digits that are given. */
class WorkedCasesTest {

    private static final String DIRECT = "2.2 kW 400 V, 25 m, B2, 40 degC, 7 In, cosphi 0.80/0.35";
    private static final String AMERICAN = "5 hp 460 V, nameplate 6.3 A, service-factor 1.15";
    private static final String WYE_DELTA =
            "30 hp 460 V, nameplate 37 A, service-factor 1.15, wye-delta, grouped 6, 200 ft";
    private static final String IN = ", sealed 0 VA, inrush 190 VA, inrush-power-factor 0.4, ur 6 %, ux 3 %";

    static SizingLine.SizedLine sized(String line) throws SizingException {
        SizingLine read = SizingLine.read(line);
        return read.sized(RatingTables.of(read.practice()));
    }

    private static void assertDigits(double value, String expected) {
        BigDecimal digits = new BigDecimal(expected);
        assertThat(BigDecimal.valueOf(value).setScale(digits.scale(), RoundingMode.HALF_UP))
                .isEqualByComparingTo(digits);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                DIRECT + " | current | 4.9",
                DIRECT + " | overload | 4.9",
                DIRECT + " | contactor | 9",
                DIRECT + " | wire | 13.1",
                DIRECT + " | drop | 2.56",
                DIRECT + " | start-drop | 7.91",
                "4 kW 400 V, jogging | current | 8.5",
                "4 kW 400 V, jogging | makes-and-breaks | 51",
                "4 kW 400 V, jogging | contactor | 25",
                "4 kW 400 V, jogging | contactor-life | 0.288",
                AMERICAN + " | current | 7.6",
                AMERICAN + " | overload-most | 7.88",
                AMERICAN + " | protection | 20",
                AMERICAN + " | fuse-dual-element | 15",
                AMERICAN + " | fuse-non-time-delay | 25",
                AMERICAN + " | breaker-instantaneous | 60.8",
                AMERICAN + " | disconnect | 8.74",
                WYE_DELTA + " | current | 40",
                WYE_DELTA + " | overload | 21.4",
                WYE_DELTA + " | overload-most | 26.7",
                WYE_DELTA + " | protection | 100",
                WYE_DELTA + " | fuse-dual-element | 70",
                WYE_DELTA + " | start-current-of-the-line | 72.3",
                WYE_DELTA + ", terminals 75 °C | drop | 9.56",
                "transformer 150 VA 480/120 V NEC | primary-current | 0.3125",
                "transformer 150 VA 480/120 V NEC | secondary-current | 1.25",
                "transformer 150 VA 480/120 V NEC | primary-fuse | 1.5",
                "transformer 150 VA 480/120 V NEC | secondary-fuse | 1.5",
                "transformer 150 VA 480/120 V NEC | secondary-fuse-most | 2",
                "transformer 75 VA 480/120 V NEC" + IN + " | control-voltage | 87.0",
                "transformer 100 VA 480/120 V NEC" + IN + " | control-voltage | 90.2",
                "brake 11.5 A, 1.40 ohm, 2 In | brake-current | 23",
                "brake 11.5 A, 1.40 ohm, 2 In | brake-voltage | 32.2",
                "brake 11.5 A, 1.40 ohm, 2 In | brake-transformer-voltage | 35.8",
                "brake 11.5 A, 1.40 ohm, 2 In | brake-transformer | 913",
                "brake 11.5 A, 1.40 ohm, 2 In, 360 V, 4 s | brake-resistor | 14.25",
                "brake 11.5 A, 1.40 ohm, 2 In, 360 V, 4 s | brake-resistor-power | 7539",
                "brake 11.5 A, 1.40 ohm, 2 In, 360 V, 4 s | brake-energy | 30158",
                "supply 400 kVA, 4 %, supply-ratio 0.25, 50 m, 35 mm² | supply-current | 577",
                "supply 400 kVA, 4 %, supply-ratio 0.25, 50 m, 35 mm² | supply-short-circuit | 14434",
                "supply 400 kVA, 4 %, supply-ratio 0.25, 50 m, 35 mm² | panel-short-circuit | 6391",
                "2.2 kW 400 V, let-through 18000 A2s | withstand | 1.17"
            })
    void theNumber(String line, String key, String expected) throws SizingException {
        assertDigits(sized(line).result(key).orElseThrow().value(), expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                DIRECT + " | wire | 1.5 mm² (13.1 A)",
                DIRECT + " | protective-conductor | 1.5 mm²",
                DIRECT + " | drop | 2.56 V, 0.639 %",
                DIRECT + " | start-drop | 7.91 V, 1.98 %",
                "4 kW 400 V, jogging | contactor | 25 A (AC-3, 11 kW), or one with AC-4 of 8.5 A",
                AMERICAN + " | wire | 14 AWG (15 A)",
                AMERICAN + " | contactor | size 0, 18 A",
                WYE_DELTA + ", terminals 75 °C | wire | 8 AWG (50 A)",
                WYE_DELTA + ", terminals 60 °C | wire | 6 AWG (55 A)",
                WYE_DELTA + ", terminals 75 °C | leads | 8 AWG (50 A)",
                WYE_DELTA + ", terminals 75 °C | drop | 9.56 V, 1.99 %"
            })
    void asItIsWritten(String line, String key, String expected) throws SizingException {
        assertThat(sized(line).result(key).orElseThrow().written()).isEqualTo(expected);
    }

    /** The motors of the press house are 4.9, 35, 8.5, 4.9, 4.9, 11.5 and 1.9 A, that of 35 A in star-delta. */
    @ParameterizedTest
    @CsvSource({
        "feeder-current, 71.6",
        "feeder-wire, 86",
        "feeder-protection, 80",
        "feeder-protective-conductor, 16",
        "feeder-peak-largest, 118.3",
        "panel-short-circuit, 6391"
    })
    void theFeederOfThePressHouse(String key, String expected) throws PartException {
        Job job = Examples.pressHouse();
        List<SheetFacts> facts = new java.util.ArrayList<>();
        for (Sheet sheet : job.sheets()) {
            facts.add(SheetFacts.drawn(sheet, Practice.IEC, JobTables.SHIPPED));
        }
        JobSizing sizing = JobSizing.of(job, facts, RatingTables.of(Practice.IEC));

        assertThat(sizing.problem()).isEmpty();
        assertDigits(sizing.result(key).orElseThrow().value(), expected);
        assertThat(sizing.result("feeder-wire").orElseThrow().written()).startsWith("35 mm²");
    }

    @Test
    void aMotorWhoseWireIsBeyondTheTableIsSizedAllTheSame() throws SizingException {
        SizingLine.SizedLine large = sized("110 kW 400 V");
        SizingResult wire = large.result("wire").orElseThrow();
        assertThat(wire.fails()).isTrue();
        assertThat(wire.verdict().orElseThrow().words())
                .isEqualTo(
                        "No size of the table carries the 195 A that are needed: lay several in parallel, or lay them otherwise.");
        assertThat(large.result("overload").orElseThrow().value()).isEqualTo(195);
    }

    @Test
    void whatDoesNotKeepItsLimitIsSaidWithTheWayOut() throws SizingException {
        SizingResult fails = sized("transformer 75 VA 480/120 V NEC" + IN)
                .result("control-voltage")
                .orElseThrow();
        assertThat(fails.fails()).isTrue();
        assertThat(sized("transformer 75 VA 480/120 V NEC" + IN)
                        .result("transformer")
                        .orElseThrow()
                        .value())
                .isEqualTo(100);

        SizingResult drop = sized("11 kW 400 V, 100 m").result("drop").orElseThrow();
        assertThat(drop.fails()).isFalse();
        assertThat(sized("11 kW 400 V, 400 m, start-drop-limit 40 %")
                        .result("drop")
                        .orElseThrow()
                        .verdict()
                        .orElseThrow()
                        .words())
                .isEqualTo("It may be at most 5 % of 400 V; 16 mm² keeps it.");
    }
}
