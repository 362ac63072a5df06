package parable.stroke;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.check.Check;
import parable.circuit.ColourCode;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Duty;
import parable.circuit.EditException;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.circuit.Sheet;
import parable.desk.DeskLine;
import parable.desk.DeskStroke;
import parable.desk.PowerCircuit;
import parable.files.JobFile;
import parable.files.JobFormatException;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;
import parable.starters.Library;

/** Whole steps of the trade on circuits that are drawn already. */
class TradeStrokeTest {

    private static final Conventions IEC = Conventions.of(Practice.IEC);

    /** Those that draw in the power circuit, three rungs each. */
    private static final Set<TradeStroke> ADD_POWER = Set.of(TradeStroke.SECOND_DIRECTION, TradeStroke.BRAKE);

    private static Assembly drawn(PowerCircuit power, String... rungs) throws EditException {
        Sheet sheet = power.on(
                new Sheet(
                        "Drawn",
                        Duty.MAINTAINED,
                        List.of(new Rail("L", "1"), new Rail("N", "2")),
                        List.of(),
                        List.of(),
                        List.of(),
                        Extras.NONE),
                Practice.IEC);
        Assembly assembly = Examples.fitted(sheet);
        for (String rung : rungs) {
            assembly = new DeskLine(assembly, IEC, "230 V AC", Optional.empty(), DeskStroke.NEW_RUNG, rung)
                    .preview()
                    .assembly()
                    .orElseThrow();
        }
        return assembly;
    }

    private static Bench begun(Sheet sheet) throws ActionRefusedException {
        Bench bench = Bench.of(Examples.fitted(sheet));
        bench.act(new Action(Verb.CLOSE, "Q1"));
        bench.runUntil(100_000);
        return bench;
    }

    private static boolean tapped(Bench bench, String tag) throws ActionRefusedException {
        bench.act(new Action(Verb.PRESS, tag));
        bench.runUntil(bench.now() + 300_000);
        bench.act(new Action(Verb.RELEASE, tag));
        bench.runUntil(bench.now() + 300_000);
        return bench.moment().condition("M1") == Condition.FORWARD
                || bench.moment().condition("M1") == Condition.REVERSE;
    }

    @Test
    void aContactorHoldsItselfIn() throws EditException, ActionRefusedException {
        Assembly jog = drawn(PowerCircuit.DIRECT, "L /F2 /S0 S1 (K1) N");

        assertThat(tapped(begun(jog.sheet()), "S1")).as("before").isFalse();
        Sheet held = TradeStroke.HOLD_IN.on(jog, "K1", IEC);
        Bench bench = begun(held);
        assertThat(tapped(bench, "S1")).isTrue();
        assertThat(tapped(bench, "S0")).isFalse();
        assertThatThrownBy(() -> TradeStroke.HOLD_IN.on(Examples.fitted(held), "K1", IEC))
                .isInstanceOf(EditException.class)
                .hasMessageContaining("holds itself in already");
    }

    @Test
    void oneMoreStationStartsAndStopsFromAnotherPlace() throws EditException, ActionRefusedException {
        Assembly pump = Examples.fitted(Examples.ofLibrary("Wash pump"));
        Sheet more = TradeStroke.STATION.on(pump, "K1", IEC);
        List<Device> added = more.devices().stream()
                .filter(device -> pump.sheet().device(device.tag()).isEmpty())
                .toList();

        assertThat(added)
                .extracting(Device::label, Device::place, device -> device.setting("colour")
                        .orElse(""))
                .containsExactly(tuple("Stop", "Station 2", "red"), tuple("Start", "Station 2", "green"));
        for (String start : List.of("S1", "S3", added.get(1).tag())) {
            for (String stop : List.of("S0", "S2", added.get(0).tag())) {
                Bench bench = begun(more);
                assertThat(tapped(bench, start)).as("started by %s", start).isTrue();
                assertThat(tapped(bench, stop)).as("stopped by %s", stop).isFalse();
            }
        }
        Sheet third = TradeStroke.STATION.on(Examples.fitted(more), "K1", IEC);
        assertThat(third.devices()).extracting(Device::place).contains("Station 3");
    }

    @Test
    void contactorsBarEachOther() throws EditException, ActionRefusedException {
        Assembly free =
                drawn(PowerCircuit.REVERSING, "L /F2 /S0 @5 S1 @6 (K1) N", "@5 K1 @6", "@5 S2 @7 (K2) N", "@5 K2 @7");
        Sheet without = free.sheet()
                .withDevices(free.sheet().devices().stream()
                        .filter(device -> !device.kind().equals("mechanical-interlock"))
                        .toList());
        Sheet barred = TradeStroke.BAR.on(Examples.fitted(without), "K1", IEC);

        assertThat(Check.of(Examples.fitted(without), ColourCode.of(Practice.IEC)))
                .anyMatch(finding -> finding.code().equals("interlock-missing"));
        assertThat(Check.of(Examples.fitted(barred), ColourCode.of(Practice.IEC)))
                .noneMatch(finding -> finding.code().contains("interlock"));
        Bench bench = begun(barred);
        tapped(bench, "S1");
        tapped(bench, "S2");
        assertThat(bench.moment().condition("K2")).isEqualTo(Condition.OUT);
        assertThatThrownBy(() -> TradeStroke.BAR.on(Examples.fitted(barred), "K2", IEC))
                .hasMessageContaining("bar each other already");
        assertThatThrownBy(() -> TradeStroke.BAR.on(Examples.fitted(Examples.ofLibrary("Wash pump")), "K1", IEC))
                .hasMessageContaining("no opponent");
    }

    @Test
    void anEndSwitchStops() throws EditException, ActionRefusedException {
        Assembly pump = Examples.fitted(Examples.ofLibrary("Wash pump"));
        Sheet ended = TradeStroke.END_SWITCH.on(pump, "K1", IEC);
        String end = ended.devices().get(ended.devices().size() - 1).tag();
        Bench bench = begun(ended);

        assertThat(tapped(bench, "S1")).isTrue();
        bench.act(new Action(Verb.ACTUATE, end));
        bench.runUntil(bench.now() + 300_000);
        assertThat(bench.moment().condition("K1")).isEqualTo(Condition.OUT);
    }

    @ParameterizedTest
    @EnumSource(
            value = TradeStroke.class,
            names = {"LAMP_RUNNING", "LAMP_STOPPED", "LAMP_TRIPPED"})
    void aLampTellsWhatItSays(TradeStroke stroke) throws EditException, ActionRefusedException {
        Assembly bare = drawn(PowerCircuit.DIRECT, "L /F2 /S0 @5 S1 @6 (K1) N", "@5 K1 @6");
        Sheet lit = stroke.on(bare, "K1", IEC);
        Bench bench = begun(lit);
        boolean atRest = bench.moment().condition("P1") == Condition.LIT;
        tapped(bench, "S1");
        boolean running = bench.moment().condition("P1") == Condition.LIT;
        bench.act(new Action(Verb.TRIP, "F2"));
        bench.runUntil(bench.now() + 300_000);
        boolean tripped = bench.moment().condition("P1") == Condition.LIT;

        assertThat(List.of(atRest, running, tripped))
                .isEqualTo(
                        switch (stroke) {
                            case LAMP_RUNNING -> List.of(false, true, false);
                            case LAMP_STOPPED -> List.of(true, false, true);
                            default -> List.of(false, false, true);
                        });
        assertThat(lit.device("P1").orElseThrow().label())
                .isEqualToIgnoringCase(stroke.words().substring(6));
    }

    /** On every starter: where a station was added its start does what a start there does, and its stop and an end switch let go. */
    @ParameterizedTest
    @MethodSource("sheets")
    void whatIsAddedDoesOnTheBenchWhatItIsCalled(Sheet sheet) throws ActionRefusedException {
        Assembly assembly = Examples.fitted(sheet);
        for (Part part : assembly.parts()) {
            boolean contactor = part.family() == Family.CONTACTOR || part.family() == Family.CONTROL_RELAY;
            if (!contactor || TriedStarter.starts(sheet, part.tag()).isEmpty()) {
                continue;
            }
            Optional<Sheet> more = fitting(TradeStroke.STATION, assembly, part.tag());
            if (more.isPresent()) {
                List<Device> station = TriedStarter.added(sheet, more.get());
                String what = sheet.name() + " " + part.tag() + " " + more.get().control();
                TriedStarter tried = new TriedStarter(more.get());
                tried.tap(station.get(1).tag());
                assertThat(tried.isIn(part.tag()))
                        .as("%s started by %s", what, station.get(1).tag())
                        .isTrue();
                tried.tap(station.get(0).tag());
                assertThat(tried.isIn(part.tag()))
                        .as("%s stopped by %s", what, station.get(0).tag())
                        .isFalse();
            }
            Optional<Sheet> ended = fitting(TradeStroke.END_SWITCH, assembly, part.tag());
            if (ended.isPresent()) {
                TriedStarter tried = new TriedStarter(ended.get());
                tried.tap(TriedStarter.starts(sheet, part.tag()).get(0));
                tried.act(
                        Verb.ACTUATE,
                        TriedStarter.added(sheet, ended.get()).get(0).tag());
                assertThat(tried.isIn(part.tag()))
                        .as("%s %s at its end", sheet.name(), part.tag())
                        .isFalse();
            }
        }
    }

    /** A start that nothing holds is a jog, and a stop that another leads around stops nothing: no station is built on them. */
    @ParameterizedTest
    @CsvSource({
        "Jog relay, K1, no start that its own contact holds",
        "Stops in parallel, K1, no stop that nothing leads around"
    })
    void aStationNeedsAStartThatHoldsAndAStopThatStops(String sheet, String tag, String reason) {
        Assembly assembly = Examples.fitted(Examples.ofLibrary(sheet));

        assertThatThrownBy(() -> TradeStroke.STATION.on(assembly, tag, IEC)).hasMessageContaining(reason);
    }

    private static Optional<Sheet> fitting(TradeStroke stroke, Assembly assembly, String tag) {
        try {
            return Optional.of(stroke.on(assembly, tag, IEC));
        } catch (EditException noFit) {
            return Optional.empty();
        }
    }

    private static Stream<Sheet> sheets() {
        return Share.oneIn(6, Library.jobs().stream().flatMap(job -> job.sheets().stream()));
    }

    /** On whatever sheet, at whatever contactor or relay: a stroke makes a circuit that can be fitted out, or says why it does not fit. */
    @ParameterizedTest
    @MethodSource("sheets")
    void aStrokeFitsOrSaysWhyNot(Sheet sheet) {
        Assembly assembly = Examples.fitted(sheet);
        assembly.parts().stream()
                .filter(part -> part.family() == Family.CONTACTOR || part.family() == Family.CONTROL_RELAY)
                .forEach(part -> {
                    for (TradeStroke stroke : TradeStroke.values()) {
                        try {
                            Sheet drawn = stroke.on(assembly, part.tag(), IEC);
                            assertThat(Examples.fitted(drawn).parts())
                                    .hasSizeGreaterThanOrEqualTo(
                                            assembly.parts().size());
                            Job kept = Library.jobs().get(0).with(drawn.named("Kept"));
                            assertThat(JobFile.read(JobFile.text(kept)))
                                    .as("%s is kept in a file as it is", stroke)
                                    .isEqualTo(kept);
                            assertThat(drawn.power())
                                    .as("%s leaves the power circuit as it is", stroke)
                                    .hasSize(sheet.power().size() + (ADD_POWER.contains(stroke) ? 3 : 0));
                        } catch (EditException noFit) {
                            assertThat(noFit).hasMessageContaining("expected");
                        } catch (JobFormatException unreadable) {
                            throw new AssertionError(stroke + " at " + part.tag(), unreadable);
                        }
                    }
                });
    }
}
