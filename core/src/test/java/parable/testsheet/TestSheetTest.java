package parable.testsheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.bench.Fault;
import parable.circuit.Basis;
import parable.circuit.EditException;
import parable.circuit.Fieldwork;
import parable.circuit.Practice;
import parable.circuit.Reading;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.drafting.Dress;
import parable.files.TestsCsv;
import parable.parts.Assembly;
import parable.starters.Library;
import parable.wiring.Conductor;

class TestSheetTest {

    private static final Set<Coverage.Unseen> ON_GOOD_SHEETS = EnumSet.of(
            Coverage.Unseen.EARTHED_ANYWAY,
            Coverage.Unseen.NOTHING_EARTHED,
            Coverage.Unseen.ALWAYS_CLOSED,
            Coverage.Unseen.SECOND_FAULT);

    /** Of all faults of a starter one in so many is tried in the ordinary run. */
    private static final int SAMPLE = 23;

    private final Assembly pump = Examples.fitted(Examples.ofLibrary("Wash pump"));
    private final List<TestStep> steps = TestSheet.of(pump, Practice.IEC);

    static Stream<Sheet> starters() {
        return Share.oneIn(5, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    static Stream<Sheet> good() {
        return starters().filter(sheet -> !BAD.contains(sheet.name()));
    }

    /** Sheets that are there to show a mistake; what their circuit hides is part of it. */
    private static final Set<String> BAD = Set.of(
            "Two-block jog",
            "Stops in parallel",
            "Missing seal-in",
            "Overload not wired in",
            "No interlock",
            "Electrical interlock only",
            "Double swap",
            "Delta leads exchanged",
            "Delta lead on the line side",
            "Supplies joined");

    @ParameterizedTest
    @MethodSource("starters")
    void everyStepPassesOnASoundPanel(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        List<TestStep> all = TestSheet.of(assembly, Practice.IEC);
        List<Found> found = TestSheet.found(assembly, all, List.of());

        assertThat(all).extracting(TestStep::id).doesNotHaveDuplicates();
        assertThat(all).extracting(step -> step.situation().phase()).isSorted();
        assertThat(IntStream.range(0, all.size())
                        .filter(i -> !all.get(i).passes(found.get(i).text()))
                        .mapToObj(i -> all.get(i).words()))
                .isEmpty();
    }

    @ParameterizedTest
    @MethodSource("good")
    void aFaultFailsAStepOrItIsToldWhyNoneCanSeeIt(Sheet sheet) {
        assertThat(unseen(sheet, SAMPLE).values()).allMatch(ON_GOOD_SHEETS::contains);
    }

    @Tag("long")
    @ParameterizedTest
    @MethodSource("good")
    void everyFaultFailsAStepOrItIsToldWhyNoneCanSeeIt(Sheet sheet) {
        Map<String, Coverage.Unseen> unseen = unseen(sheet, 1);
        System.out.println(sheet.name() + ": " + unseen);
        assertThat(unseen.values()).allMatch(ON_GOOD_SHEETS::contains);
    }

    private static Map<String, Coverage.Unseen> unseen(Sheet sheet, int oneIn) {
        Assembly assembly = Examples.fitted(sheet);
        List<TestStep> all = TestSheet.of(assembly, Practice.IEC);
        List<Fault> faults = Coverage.possible(assembly);
        return IntStream.range(0, faults.size())
                .filter(i -> i % oneIn == 0)
                .mapToObj(faults::get)
                .filter(fault -> Coverage.firstFailing(assembly, all, fault).isEmpty())
                .collect(Collectors.toMap(
                        Fault::words, fault -> Coverage.reason(assembly, fault), (one, same) -> one, TreeMap::new));
    }

    @Test
    void whatParallelStopsHideIsToldAsHidden() {
        Sheet sheet = Examples.ofLibrary("Stops in parallel");
        assertThat(unseen(sheet, 1)).containsEntry("S0 11-12 is welded closed", Coverage.Unseen.HIDDEN);
    }

    private TestStep step(String words) {
        return steps.stream()
                .filter(one -> one.words().contains(words))
                .findFirst()
                .orElseThrow(() -> new AssertionError(words));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Ohms from S0 11 to S0 12 | 0 Ω",
                "Press S0. Ohms from S0 11 to S0 12 | open",
                "Push K1's armature in. Ohms from K1 13 to K1 14 | 0 Ω",
                "Read the dial of F2 | 4.90 A",
                "press S1, release S1. Volts AC on wire 7, the other probe parked on wire 2 | 229 V",
                "press S1, release S1, hit S4. Look | K1 out, F2 healthy, P1 dark, P2 lit, P3 dark",
                "release S1. Clamp on the lead of M1 V1 | 4.1 A",
                "switch G1 off, switch G1 on. Look | K1 out, F2 healthy, P1 dark, P2 lit, P3 dark"
            })
    void itExpectsWhatTheCircuitShows(String words, String expected) {
        assertThat(step(words).expected().text()).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Protective conductor from G1 PE to M1 PE | 0.15 | true",
                "Protective conductor from G1 PE to M1 PE | 0.0 | true",
                "Protective conductor from G1 PE to M1 PE | 0.9 | false",
                "Protective conductor from G1 PE to M1 PE | open | false",
                "Insulation of M1 | 200 MΩ | true",
                "Insulation of M1 | 0.5 MΩ | false",
                "Insulation of M1 | 0 | false",
                "Press S0. Ohms from S0 11 to S0 12 | OL | true",
                "Press S0. Ohms from S0 11 to S0 12 | 2.2 MΩ | true",
                "Press S0. Ohms from S0 11 to S0 12 | 0.2 | false",
                "Ohms from K1 A1 to K1 A2 | 0,5 kΩ | true",
                "Ohms from K1 A1 to K1 A2 | 700 | true",
                "Ohms from K1 A1 to K1 A2 | 2 | false",
                "Ohms from K1 A1 to K1 A2 | 1984 | false",
                "Ohms from P1 X1 to P1 X2 | open | false",
                "Ohms from P2 X1 to P2 X2 | open | true",
                "Ohms from P2 X1 to P2 X2 | 22 kΩ | true",
                "Ohms from P2 X1 to P2 X2 | above 10 kΩ, or open | true",
                "Ohms from P2 X1 to P2 X2 | 800 | false",
                "Press S0. Ohms from S0 11 to S0 12 | 22 kΩ | false",
                "Ohms from K1 A1 to K1 A2 | open | false",
                "Volts AC on wire 3, the other probe parked on wire 2 | 225 V | true",
                "Volts AC on wire 3, the other probe parked on wire 2 | 190 | false",
                "Volts AC on wire 9, the other probe parked on wire 2 | 3.1 V | true",
                "Clamp on the lead of M1 V1 | 4.4 A | true",
                "Clamp on the lead of M1 V1 | 5.5 A | false",
                "Loop impedance from G1 L1 | 0.6 | true",
                "Loop impedance from G1 L1 | 0.7 | false",
                "Loop impedance from G1 L1 | open | false",
                "switch G1 off. Five seconds later, volts AC from M1 U1 to M1 V1 | 12 V | true",
                "switch G1 off. Five seconds later, volts AC from M1 U1 to M1 V1 | 61 V | false",
                "hit S4. Look | ok | true",
                "hit S4. Look | k1 OUT, F2 healthy, P1 dark, P2 lit, P3 dark | true",
                "hit S4. Look | K1 in | false",
                "hit S4. Look | nothing | false"
            })
    void whatIsWrittenDownIsJudgedByItsTolerance(String words, String written, boolean passes) {
        assertThat(step(words).passes(written)).isEqualTo(passes);
    }

    /** By the table of IEC 60228: 18.1 ohm a km of 1 mm2, with as much again and 0.1 ohm. */
    @ParameterizedTest
    @CsvSource({"1 mm², 1", "2.5 mm², 2.5", "14 AWG, 2.08", "10 AWG, 5.26", "1/0 AWG, 53.5", "3/0 AWG, 85"})
    void whatAProtectiveConductorHasAtMostGoesByItsSize(String size, double square) {
        assertThat(new Conductor("green-yellow", size, "none")
                        .squareMillimetres()
                        .orElseThrow())
                .isCloseTo(square, withinPercentage(1));
    }

    @Test
    void aMotorsInsulationIsMissedWhenALeadTouchesItsFrame() {
        Assembly pump = Examples.fitted(Examples.washPump());
        List<TestStep> insulation = TestSheet.of(pump, Practice.IEC).stream()
                .filter(one -> one.observation() instanceof Observation.Insulation)
                .toList();
        assertThat(insulation).singleElement().satisfies(one -> assertThat(one.words())
                .isEqualTo("Insulation of M1 with its cable at 500 V DC: U1 V1 W1 joined, against wire PE."));
        assertThat(Coverage.firstFailing(pump, insulation, new Fault(Fault.Kind.EARTHED, "M1", "V1")))
                .isPresent();
    }

    /** Set to 4.9 A it opens at once from 14 times that, 68.6 A; two thirds of 230.9 V over it are 2.244 ohms, less some milliohms of the way. */
    @Test
    void aMotorProtectiveBreakerOpensByItsDial() {
        assertThat(TestSheet.of(Examples.fitted(Examples.ofLibrary("Breaker auxiliary")), Practice.IEC))
                .extracting(TestStep::observation)
                .filteredOn(Observation.Loop.class::isInstance)
                .map(Observation.Loop.class::cast)
                .first()
                .satisfies(loop -> {
                    assertThat(loop.opens()).isEqualTo("Q1 opens in time at 69 A");
                    assertThat(loop.most()).isBetween(1.744, 2.244);
                });
    }

    /** Two thirds of 230.9 V over what opens the breaker at once, less some milliohms of line and protective conductor. */
    @ParameterizedTest
    @CsvSource({
        "B, 10, 50",
        "C, 10, 100",
        "D, 10, 200",
        "C, 16, 160",
    })
    void theLoopMustOpenWhatIsBeforeTheMotor(String curve, double rated, double amperes) {
        Sheet pump = Examples.washPump();
        Sheet fitted = pump.withDevices(pump.devices().stream()
                .map(device ->
                        device.tag().equals("Q1") ? device.with("curve", curve).with("rated", rated + " A") : device)
                .toList());
        Observation.Loop loop = TestSheet.of(Examples.fitted(fitted), Practice.IEC).stream()
                .map(TestStep::observation)
                .filter(Observation.Loop.class::isInstance)
                .map(Observation.Loop.class::cast)
                .findFirst()
                .orElseThrow();

        double whole = 2.0 / 3 * 400 / Math.sqrt(3) / amperes;
        assertThat(loop.opens()).isEqualTo("Q1 opens in time at " + Math.round(amperes) + " A");
        assertThat(loop.most()).isLessThan(whole).isGreaterThan(whole - 0.5);
    }

    /** What can hold a voltage once the supply is off is measured then: each motor, and a DC supply of more than 60 V; one of 24 V could not fail. */
    @ParameterizedTest
    @CsvSource({"Wash pump, M1 U1, 1", "24 V relay, G2 +, 0", "Press platen, M1 U1, 2", "Drum switch, M1 U1, 0"})
    void whatMayBeLeftAfterSwitchingOffIsMeasured(String sheet, String from, int times) {
        assertThat(TestSheet.of(Examples.fitted(Examples.ofLibrary(sheet)), Practice.IEC))
                .filteredOn(step -> step.observation() instanceof Observation.Residual)
                .filteredOn(step -> step.observation().words().contains("from " + from))
                .hasSize(times)
                .allMatch(step -> step.words().contains("switch G1 off"))
                .allMatch(step -> step.expected().text().equals("at most 60 V"));
    }

    @Test
    void itTimesWhatATimerOrAMachineMakesWait() {
        Assembly mill = Examples.fitted(Examples.ofLibrary("Mill"));
        assertThat(TestSheet.of(mill, Practice.IEC))
                .filteredOn(step -> step.observation() instanceof Observation.After
                        || step.observation() instanceof Observation.Meanwhile)
                .extracting(step ->
                        step.observation().words() + ": " + step.expected().text())
                .contains("Seconds until KD is in: 8.0 s", "Seconds for which KY is in meanwhile: 8.0 s");
    }

    /** For any fault that a step shows, what it shows there leads back to it. */
    @ParameterizedTest
    @CsvSource({
        "BROKEN,K1,''",
        "WELDED,S0,11-12",
        "OFF,S2,12",
        "SWAPPED,F2,95-96",
        "MISSET,F2,''",
        "LOST,G1,L2",
        "BURNT,K1,13-14"
    })
    void aFailureLeadsToItsCause(Fault.Kind kind, String tag, String place) {
        Fault fault = new Fault(kind, tag, place);
        TestStep failing = Coverage.firstFailing(pump, steps, fault).orElseThrow();
        List<Found> found = TestSheet.found(pump, List.of(failing), List.of(fault));
        Results results =
                results(Fieldwork.NONE.with(reading(failing, found.get(0).text())));

        assertThat(results.verdict(failing)).isEqualTo(StepVerdict.FAIL);
        assertThat(LikelyCauses.of(pump, steps, results, failing))
                .extracting(LikelyCauses.Cause::fault)
                .contains(fault);
    }

    @Test
    void otherReadingsSpeakForOrAgainstACause() {
        Fault welded = new Fault(Fault.Kind.WELDED, "S0", "11-12");
        TestStep pressed = step("Press S0. Ohms from S0 11 to S0 12");
        TestStep look = step("press S1, release S1, press S0. Look");
        Results results = results(
                Fieldwork.NONE.with(reading(pressed, "0")).with(reading(step("Ohms from S0 11 to S0 12"), "ok")));

        assertThat(LikelyCauses.of(pump, steps, results, pressed)).contains(new LikelyCauses.Cause(welded, 0));
        assertThat(LikelyCauses.of(pump, steps, results, look)).isEmpty();
    }

    @Test
    void nothingIsSignedWhileAStepIsOpenOrFailedWithoutARemark() {
        Fieldwork work = Fieldwork.NONE;
        for (TestStep one : steps) {
            work = work.with(reading(one, one.expected().text()));
        }
        assertThat(results(work).unsigned(steps)).isEmpty();

        TestStep dial = step("Read the dial of F2");
        assertThat(results(work.forget(dial.id())).unsigned(steps)).containsExactly(dial);
        assertThat(results(work.with(reading(dial, "9.8 A"))).unsigned(steps)).containsExactly(dial);
        Reading remarked = results(work).taken(dial, "9.8 A", "larger motor ordered", "E. Marsh", "2026-11-26 10:00");
        assertThat(results(work.with(remarked)).unsigned(steps)).isEmpty();
        assertThat(results(work.with(remarked)).verdict(dial)).isEqualTo(StepVerdict.FAIL_WITH_REMARK);
    }

    private Reading reading(TestStep step, String found) {
        return results(Fieldwork.NONE).taken(step, found, "", "E. Marsh", "2026-11-26 10:00");
    }

    private Results results(Fieldwork work) {
        return Results.of(pump.sheet().withFieldwork(work));
    }

    private Sheet read() {
        Fieldwork work = Fieldwork.NONE;
        for (TestStep one : steps) {
            work = work.with(reading(one, one.expected().text()));
        }
        return pump.sheet().withFieldwork(work);
    }

    private List<TestStep> stale(Sheet changed) {
        Results results = Results.of(changed);
        return steps.stream()
                .filter(one -> results.verdict(one) == StepVerdict.STALE)
                .toList();
    }

    /** A fuse, a breaker or the wires of a button changed: whatever was read through the circuit is to be read again. */
    @Test
    void readingsGoStaleWhenAChangeCanTouchThem() {
        Sheet sheet = read();
        Sheet fused = sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals("F2") ? device.with("setting", "5.2 A") : device)
                .toList());
        assertThat(stale(fused))
                .contains(
                        step("Read the dial of F2"),
                        step("press S1, release S1, press S0. Look"),
                        step("Ohms from S0 11 to S0 12"))
                .allMatch(one ->
                        one.situation().phase() != Phase.DEAD || !one.words().startsWith("Ohms from S1 14 to"));
        assertThat(Results.of(fused).unsigned(steps)).isNotEmpty();

        Sheet exchanged = sheet.retagged(Map.of("S0", "S2", "S2", "S0")).withFieldwork(sheet.fieldwork());
        assertThat(stale(exchanged)).contains(step("Tug the wires on S2, compare their numbers with the list"));
        assertThat(stale(exchanged).stream().filter(one -> one.situation().phase() != Phase.DEAD))
                .hasSameSizeAs(steps.stream()
                        .filter(one -> one.situation().phase() != Phase.DEAD)
                        .toList());
    }

    /** A wire read from end to end stays read while neither it nor the devices at its ends are touched. */
    @Test
    void readingsStayWhereNoChangeCanTouchThem() throws EditException {
        Sheet sheet = read();
        Sheet labelled = sheet.withDevices(
                sheet.devices().stream().map(device -> device.labelled("x")).toList());
        assertThat(stale(labelled)).isEmpty();
        for (Sheet renamed : List.of(
                Structure.renamed(sheet, "K1", "K7"),
                Dress.of(Examples.pressHouse().with(List.of(sheet)), Practice.NORTH_AMERICAN)
                        .sheets()
                        .get(0))) {
            assertThat(renamed.fieldwork().readings()).hasSameSizeAs(steps).noneMatch(Basis.of(renamed)::isStale);
        }

        Sheet set = sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals("F2") ? device.with("setting", "5.2 A") : device)
                .toList());
        List<TestStep> wires = steps.stream()
                .filter(one -> one.id().matches("dead: touch nothing: Ohms from .*"))
                .filter(one -> one.expected().text().startsWith("0"))
                .filter(one -> !one.id().contains("F2"))
                .toList();
        assertThat(wires)
                .hasSizeGreaterThan(20)
                .filteredOn(stale(set)::contains)
                .hasSizeLessThan(wires.size() / 2);
    }

    @Test
    void aStepIsKnownAgainAfterTheSheetWasMadeAnew() {
        List<TestStep> again = TestSheet.of(Examples.fitted(Examples.ofLibrary("Wash pump")), Practice.IEC);

        assertThat(again).isEqualTo(steps);
    }

    /** On paper what is still to be done is left free: the word "open" would be taken for what a meter shows. */
    @Test
    void whatIsToDoIsLeftFreeOnPaper() {
        Sheet pump = Examples.washPump();
        List<TestStep> all = TestSheet.of(Examples.fitted(pump), Practice.IEC);
        TestStep first = all.get(0);
        Reading reading = Results.of(pump).taken(first, "ok", "", "R. Vane", "2026-11-29");
        List<String> lines = TestsCsv.text(all, pump.withFieldwork(Fieldwork.NONE.with(reading)))
                .lines()
                .toList();

        assertThat(lines.get(2)).contains(",ok,pass,").startsWith("1,");
        assertThat(lines.get(3)).endsWith(",,,,,,").startsWith("2,");
    }
}
