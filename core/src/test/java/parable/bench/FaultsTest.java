package parable.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Part;
import parable.parts.Verb;

class FaultsTest {

    private Bench bench;

    @BeforeEach
    void start() throws ActionRefusedException {
        bench = Examples.washPumpBench();
        at(0, Verb.CLOSE, "Q1");
        at(100, Verb.PRESS, "S1");
        at(300, Verb.RELEASE, "S1");
        bench.runUntil(1_000_000);
    }

    private void at(long millis, Verb verb, String tag) throws ActionRefusedException {
        bench.runUntil(millis * 1000);
        bench.act(new Action(verb, tag));
    }

    @Test
    void aWeldedPoleHoldsTheArmatureAndTheMirrorContactStaysOpen() throws ActionRefusedException {
        bench.set(new Fault(Fault.Kind.WELDED, "K1", "1-2"), true);
        at(1_100, Verb.PRESS, "S0");
        bench.runUntil(2_000_000);

        assertThat(bench.moment().closed("K1", 0)).isTrue();
        assertThat(bench.moment().closed("K1", 4)).as("21-22").isFalse();
        assertThat(bench.moment().energised("K1")).isFalse();

        bench.set(new Fault(Fault.Kind.WELDED, "K1", "1-2"), false);
        bench.runUntil(3_000_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);
        assertThat(bench.moment().closed("K1", 4)).isTrue();
    }

    @Test
    void aStuckArmatureStaysWhereItIs() throws ActionRefusedException {
        bench.set(new Fault(Fault.Kind.STUCK, "K1", ""), true);
        at(1_100, Verb.PRESS, "S0");
        bench.runUntil(2_000_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
    }

    @Test
    void aLampThatIsOutIsDarkAndNothingElseChanges() throws ActionRefusedException {
        bench.set(new Fault(Fault.Kind.BROKEN, "P1", ""), true);
        assertThat(bench.moment().condition("P1")).isEqualTo(Condition.DARK);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
        assertThat(bench.moment()
                        .meter()
                        .read(Meter.Range.VOLTS_AC, "P1:X1", "P1:X2")
                        .text())
                .isEqualTo("230.0 V");
    }

    @Test
    void aTerminalWithoutItsWireIsMeasuredApartFromIt() throws ActionRefusedException {
        bench.set(new Fault(Fault.Kind.OFF, "K1", "A1"), true);
        bench.runUntil(1_500_000);

        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);
        assertThat(bench.moment()
                        .meter()
                        .read(Meter.Range.VOLTS_AC, "K1:A1", "K1:A2")
                        .text())
                .isEqualTo("0.0 V");
        at(2_000, Verb.PRESS, "S1");
        bench.runUntil(2_100_000);
        assertThat(bench.moment().meter().read(Meter.Range.VOLTS_AC, "7", "2").text())
                .isEqualTo("230.0 V");
    }

    /** What each fault does to the running wash pump within two seconds, stop not pressed. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SHORTED   | K1 | A1-A2 | F4 BLOWN",
                "BLOWN     | F4 | ''    | K1 OUT",
                "EARTHED   | K1 | A1    | F4 BLOWN",
                "EARTHED   | K1 | A2    | K1 IN",
                "LOOSE     | S0 | 11    | K1 OUT",
                "MISPLACED | K1 | A1-A2 | F4 BLOWN",
                "MISPLACED | S1 | 13-14 | K1 IN",
                "SWAPPED   | M1 | U1-V1 | M1 REVERSE",
                "SWAPPED   | K1 | A1-A2 | K1 IN",
                "BROKEN    | M1 | U1-*  | M1 SINGLE_PHASED",
                "STUCK     | M1 | ''    | M1 LOCKED"
            })
    void theFaultsOfWiresCoilsAndMotors(Fault.Kind kind, String tag, String place, String expected)
            throws ActionRefusedException {
        bench.set(new Fault(kind, tag, place), true);
        bench.runUntil(3_000_000);

        String[] words = expected.split(" ");
        assertThat(bench.moment().condition(words[0])).isEqualTo(Condition.valueOf(words[1]));
    }

    @Test
    void aLowSupplyHoldsButDoesNotPullIn() throws ActionRefusedException {
        for (String phase : new String[] {"L1", "L2", "L3"}) {
            bench.set(new Fault(Fault.Kind.LOW, "G1", phase), true);
        }
        bench.runUntil(2_000_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
        at(2_000, Verb.PRESS, "S0");
        at(2_500, Verb.RELEASE, "S0");
        at(3_000, Verb.PRESS, "S1");
        bench.runUntil(4_000_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);
    }

    @Test
    void aDialAtHalfItsCurrentTripsUnderNoOverload() throws ActionRefusedException {
        bench.runUntil(3_000_000_000L);
        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.HEALTHY);
        bench.set(new Fault(Fault.Kind.UNDERSET, "F2", ""), true);
        bench.runUntil(3_600_000_000L);
        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.TRIPPED);
    }

    @Test
    void aDialAtTwiceItsCurrentLetsAnOverloadThrough() throws ActionRefusedException {
        bench.set(new Fault(Fault.Kind.MISSET, "F2", ""), true);
        bench.act(new Action(Verb.LOAD, "M1", "150"));
        bench.runUntil(3_000_000_000L);
        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.HEALTHY);
        bench.set(new Fault(Fault.Kind.MISSET, "F2", ""), false);
        bench.runUntil(3_600_000_000L);
        assertThat(bench.moment().condition("F2")).isEqualTo(Condition.TRIPPED);
    }

    @Test
    void everyPossibleFaultCanBePutInAndTakenOutWithoutATrace() throws ActionRefusedException {
        for (Part part : bench.assembly().parts()) {
            for (Fault fault : Fault.possibleIn(part)) {
                bench.runUntil(1_000_000);
                bench.set(fault, true);
                bench.runUntil(1_800_000);
                bench.set(fault, false);
                bench.rewindTo(900_000);
                assertThat(bench.moment().condition("M1")).as(fault.words()).isEqualTo(Condition.FORWARD);
                assertThat(bench.moment().faults()).isEmpty();
            }
        }
    }

    /** Whatever single fault is put into whatever starter of the library, the engine has an outcome and time goes on; here every sixteenth, in the long run each. */
    @ParameterizedTest
    @MethodSource("parable.Examples#sheets")
    void someSingleFaultsOfEveryStarterHaveAnOutcome(Sheet sheet) throws ActionRefusedException {
        everyFaultHasAnOutcome(sheet, 16);
    }

    @Tag("long")
    @ParameterizedTest
    @MethodSource("parable.Examples#sheets")
    void everySingleFaultOfEveryStarterHasAnOutcome(Sheet sheet) throws ActionRefusedException {
        everyFaultHasAnOutcome(sheet, 1);
    }

    private static void everyFaultHasAnOutcome(Sheet sheet, int stride) throws ActionRefusedException {
        Assembly assembly = Examples.fitted(sheet);
        Bench other = Bench.of(assembly);
        for (Part operated : assembly.parts()) {
            for (Verb verb : List.of(Verb.CLOSE, Verb.PRESS)) {
                if (operated.drive().verbs().containsKey(verb) && operated.drive() instanceof Drive.ByHand) {
                    other.act(new Action(verb, operated.tag()));
                }
            }
            other.runUntil(other.now() + 40_000);
        }
        long operated = other.now();
        List<Fault> faults = assembly.parts().stream()
                .flatMap(part -> Fault.possibleIn(part).stream())
                .toList();
        for (int i = 0; i < faults.size(); i += stride) {
            other.rewindTo(operated);
            int before = other.story().size();
            other.set(faults.get(i), true);
            other.runUntil(other.now() + 600_000);
            assertThat(other.story()).hasSizeGreaterThan(before);
            assertThat(other.story().get(before).text())
                    .isEqualTo("Fault put in: " + faults.get(i).words() + ".");
        }
    }

    @Test
    void faultsAreToldAndGoWithTheInstant() throws ActionRefusedException {
        bench.set(new Fault(Fault.Kind.BURNT, "K1", "13-14"), true);
        bench.runUntil(1_500_000);

        assertThat(bench.story()).extracting(StoryLine::text).contains("Fault put in: K1 13-14 no longer conducts.");
        assertThat(bench.momentAt(900_000).faults()).isEmpty();
        assertThat(bench.moment().faults()).hasSize(1);
        bench.rewindTo(900_000);
        assertThat(bench.moment().faults()).isEmpty();
        bench.runUntil(1_500_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.IN);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "WELDED | K1 | 33-34 | a contact such as 13-14",
                "OFF | K1 | 99 | a terminal of the device",
                "BROKEN | S1 | '' | a device with a coil, lamp or winding",
                "STUCK | P1 | '' | a device that moves",
                "STUCK | K9 | '' | a device of this sheet"
            })
    void aFaultThatCannotBeIsRefused(Fault.Kind kind, String tag, String place, String expected) {
        assertThatExceptionOfType(ActionRefusedException.class)
                .isThrownBy(() -> bench.set(new Fault(kind, tag, place), true))
                .withMessageStartingWith(tag + ": cannot have the fault")
                .withMessageEndingWith(expected);
        assertThat(bench.moment().faults()).isEmpty();
    }
}
