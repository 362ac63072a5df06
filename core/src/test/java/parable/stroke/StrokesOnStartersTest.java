package parable.stroke;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.Share;
import parable.bench.ActionRefusedException;
import parable.bench.Condition;
import parable.check.Check;
import parable.check.Severity;
import parable.circuit.ColourCode;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;
import parable.starters.Library;

/** What the greater strokes draw does on the bench what an electrician expects of it, on every starter of the library where they fit. */
class StrokesOnStartersTest {

    private static final Conventions IEC = Conventions.of(Practice.IEC);

    /** By then every timer of the library has run off, in microseconds. */
    private static final long SPENT = 15_000_000;

    /** Found once; every stroke is tried on them. */
    private static List<Arguments> started = List.of();

    /** Sheets of the library with a contactor of which a tap on a button brings it in to stay. */
    private static List<Arguments> started() throws ActionRefusedException {
        if (started.isEmpty()) {
            started = findStarted();
        }
        return started;
    }

    private static List<Arguments> findStarted() throws ActionRefusedException {
        List<Arguments> found = new ArrayList<>();
        List<Sheet> sheets = Share.oneIn(3, Library.jobs().stream().flatMap(job -> job.sheets().stream()))
                .toList();
        for (Sheet sheet : sheets) {
            for (Part part : Examples.fitted(sheet).parts()) {
                List<String> starts =
                        part.family() == Family.CONTACTOR ? TriedStarter.starts(sheet, part.tag()) : List.of();
                if (!starts.isEmpty()) {
                    found.add(Arguments.of(sheet, part.tag(), starts.get(0)));
                }
            }
        }
        return found;
    }

    private static String text(Sheet sheet) {
        return sheet.name() + sheet.rungs().map(Rung::text).collect(Collectors.joining("\n", "\n", ""));
    }

    private static Stream<Sheet> drawn(TradeStroke stroke, Sheet sheet, String tag) {
        try {
            return Stream.of(stroke.on(Examples.fitted(sheet), tag, IEC));
        } catch (EditException noFit) {
            return Stream.empty();
        }
    }

    @ParameterizedTest
    @MethodSource("started")
    void jogRunsItWhileItIsPressed(Sheet sheet, String tag, String start) throws ActionRefusedException {
        for (Sheet with : drawn(TradeStroke.JOG, sheet, tag).toList()) {
            String jog = TriedStarter.added(sheet, with, "push-button");
            TriedStarter tried = new TriedStarter(with);
            tried.act(Verb.PRESS, jog);
            assertThat(tried.isIn(tag)).as("pressed: %s", text(with)).isTrue();
            tried.act(Verb.RELEASE, jog);
            assertThat(tried.isIn(tag)).as("let go").isFalse();
            tried.passes(SPENT);
            tried.tap(start);
            assertThat(tried.isIn(tag)).as("started: %s", text(with)).isTrue();
            tried.tap(jog);
            assertThat(tried.isIn(tag)).as("jogged while it runs").isTrue();
        }
    }

    @ParameterizedTest
    @MethodSource("started")
    void aWarningComesBeforeIt(Sheet sheet, String tag, String start) throws ActionRefusedException {
        for (Sheet with : drawn(TradeStroke.WARNING, sheet, tag).toList()) {
            String horn = TriedStarter.added(sheet, with, "horn");
            TriedStarter tried = new TriedStarter(with);
            assertThat(tried.condition(horn)).isEqualTo(Condition.SILENT);
            tried.tap(start);
            assertThat(tried.isIn(tag)).as("at once: %s", text(with)).isFalse();
            assertThat(tried.condition(horn)).as("at once").isEqualTo(Condition.SOUNDING);
            tried.passes(3_000_000);
            assertThat(tried.isIn(tag)).as("warned").isTrue();
            assertThat(tried.condition(horn)).as("warned").isEqualTo(Condition.SILENT);
            for (String stop : stops(sheet, tag, start)) {
                tried.tap(stop);
                tried.passes(SPENT);
                assertThat(tried.isIn(tag)).as("stopped by %s", stop).isFalse();
                tried.tap(start);
                tried.tap(stop);
                tried.passes(SPENT);
                assertThat(tried.isIn(tag))
                        .as("stopped by %s while it warns", stop)
                        .isFalse();
                tried.tap(start);
                tried.passes(SPENT);
            }
        }
    }

    /** The buttons that let it go. */
    private static List<String> stops(Sheet sheet, String tag, String start) throws ActionRefusedException {
        List<String> stops = new ArrayList<>();
        for (Device device : sheet.devices()) {
            if (device.kind().equals("push-button")) {
                TriedStarter tried = new TriedStarter(sheet);
                tried.tap(start);
                tried.tap(device.tag());
                if (!tried.isIn(tag)) {
                    stops.add(device.tag());
                }
            }
        }
        return stops;
    }

    /** So that what is tried on every starter is tried on some. */
    @ParameterizedTest
    @EnumSource(
            value = TradeStroke.class,
            names = {"HOLD_IN", "LAMP_STOPPED"},
            mode = EnumSource.Mode.EXCLUDE)
    void eachFitsOnSomeStarters(TradeStroke stroke) throws ActionRefusedException {
        assertThat(started().stream()
                        .map(Arguments::get)
                        .flatMap(one -> drawn(stroke, (Sheet) one[0], (String) one[1])))
                .isNotEmpty();
    }

    @ParameterizedTest
    @MethodSource("started")
    void aSecondDirectionTurnsTheMotorTheOtherWayRound(Sheet sheet, String tag, String start)
            throws ActionRefusedException {
        for (Sheet with : drawn(TradeStroke.SECOND_DIRECTION, sheet, tag).toList()) {
            String other = TriedStarter.added(sheet, with, "contactor");
            String reverse = TriedStarter.added(sheet, with, "push-button");
            String motor = Examples.fitted(with).parts().stream()
                    .filter(part -> part.family() == Family.MOTOR)
                    .findFirst()
                    .orElseThrow()
                    .tag();
            TriedStarter one = new TriedStarter(with);
            one.tap(start);
            assertThat(one.condition(motor)).isEqualTo(Condition.FORWARD);
            one.tap(reverse);
            assertThat(one.isIn(other)).as("while the other is in").isFalse();
            TriedStarter back = new TriedStarter(with);
            back.tap(reverse);
            assertThat(back.condition(motor)).as(text(with)).isEqualTo(Condition.REVERSE);
            back.tap(start);
            assertThat(back.isIn(tag)).as("while the other is in").isFalse();
            assertThat(Check.of(Examples.fitted(with), ColourCode.of(Practice.IEC)))
                    .noneMatch(finding -> finding.code().contains("interlock"));
        }
    }

    @ParameterizedTest
    @MethodSource("started")
    void aBrakeBringsItToAStandForItsTimeAndBarsAStart(Sheet sheet, String tag, String start)
            throws ActionRefusedException {
        for (Sheet with : drawn(TradeStroke.BRAKE, sheet, tag).toList()) {
            String brake = TriedStarter.added(sheet, with, "contactor");
            TriedStarter tried = new TriedStarter(with);
            assertThat(tried.isIn(brake)).as("at rest: %s", text(with)).isFalse();
            tried.tap(start);
            tried.passes(8_000_000);
            assertThat(tried.isIn(tag)).isTrue();
            assertThat(tried.isIn(brake)).as("running").isFalse();
            for (String stop : stops(sheet, tag, start).stream().limit(1).toList()) {
                tried.tap(stop);
                assertThat(tried.isIn(brake)).as("stopped: %s", text(with)).isTrue();
                tried.tap(start);
                assertThat(tried.isIn(tag)).as("started while it brakes").isFalse();
                tried.passes(5_000_000);
                assertThat(tried.isIn(brake)).as("after its time").isFalse();
                if (sheet.program().isPresent()) {
                    continue; // its program waits for a reset, because the contactor did not do as it was told
                }
                tried.tap(start);
                assertThat(tried.isIn(tag)).as("started again: %s", text(with)).isTrue();
            }
            assertThat(Check.of(Examples.fitted(with), ColourCode.of(Practice.IEC)))
                    .noneMatch(finding -> finding.severity() == Severity.DANGER
                            && Check.of(Examples.fitted(sheet), ColourCode.of(Practice.IEC)).stream()
                                    .noneMatch(before -> before.code().equals(finding.code())));
        }
    }

    @ParameterizedTest
    @MethodSource("started")
    void anEmergencyStopLetsEverythingGo(Sheet sheet, String tag, String start) throws ActionRefusedException {
        for (Sheet with : drawn(TradeStroke.EMERGENCY_STOP, sheet, tag).toList()) {
            String stop = TriedStarter.added(sheet, with, "emergency-stop");
            TriedStarter tried = new TriedStarter(with);
            tried.tap(start);
            assertThat(tried.isIn(tag)).isTrue();
            tried.act(Verb.HIT, stop);
            tried.passes(1_000_000);
            assertThat(tried.in()).as("pressed: %s", text(with)).isEmpty();
            tried.tap(start);
            assertThat(tried.in()).as("started while it is pressed").isEmpty();
            tried.act(Verb.RELEASE, stop);
            assertThat(tried.isIn(tag)).as("pulled").isFalse();
        }
    }

    @ParameterizedTest
    @MethodSource("started")
    void whateverIsDrawnAResetOfTheOverloadStartsNothing(Sheet sheet, String tag, String start)
            throws ActionRefusedException {
        for (TradeStroke stroke : TradeStroke.values()) {
            for (Sheet with : drawn(stroke, sheet, tag).toList()) {
                for (Part overload : Examples.fitted(with).parts()) {
                    if (overload.family() == Family.OVERLOAD_RELAY
                            && !afterTrip(sheet, start, overload.tag()).get(1).contains(tag)) {
                        List<List<String>> after = afterTrip(with, start, overload.tag());
                        assertThat(after.get(1)).as("tripped: %s", text(with)).doesNotContain(tag);
                        assertThat(after.get(3)).as("reset: %s", text(with)).doesNotContain(tag);
                    }
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("started")
    void whereverTheOverloadContactIsItStopsWhatItStopped(Sheet sheet, String tag, String start)
            throws ActionRefusedException {
        for (TradeStroke stroke : List.of(TradeStroke.OVERLOAD_FIRST, TradeStroke.OVERLOAD_LAST)) {
            for (Sheet with : drawn(stroke, sheet, tag).toList()) {
                assertThat(with.devices()).isEqualTo(sheet.devices());
                for (Part overload : Examples.fitted(with).parts()) {
                    if (overload.family() == Family.OVERLOAD_RELAY) {
                        assertThat(afterTrip(with, start, overload.tag()))
                                .as("%s %s", stroke, text(with))
                                .isEqualTo(afterTrip(sheet, start, overload.tag()));
                    }
                }
            }
        }
    }

    /** What is in when it runs, at a trip, when it is started while tripped, and 4 s after the reset. */
    private static List<List<String>> afterTrip(Sheet sheet, String start, String overload)
            throws ActionRefusedException {
        TriedStarter tried = new TriedStarter(sheet);
        List<List<String>> found = new ArrayList<>();
        tried.tap(start);
        tried.passes(4_000_000);
        found.add(tried.in());
        tried.act(Verb.TRIP, overload);
        found.add(tried.in());
        tried.tap(start);
        found.add(tried.in());
        tried.act(Verb.RESET, overload);
        tried.passes(4_000_000);
        found.add(tried.in());
        return found;
    }

    @Test
    void theContactGoesFromTheBeginningToTheEndAndBack() throws EditException {
        Sheet platen = Examples.ofLibrary("Press platen");
        Sheet last = TradeStroke.OVERLOAD_LAST.on(Examples.fitted(platen), "K1", IEC);
        assertThat(last.control().stream().map(rung -> rung.text()))
                .filteredOn(text -> text.contains("F2[95-96]"))
                .singleElement()
                .asString()
                .contains("K1[A1-A2]")
                .contains("F2[95-96] N");
        Sheet first = TradeStroke.OVERLOAD_FIRST.on(Examples.fitted(last), "K2", IEC);
        assertThat(first.control().get(0).text()).startsWith("L F2[95-96] @");
        assertThatThrownBy(() -> TradeStroke.OVERLOAD_FIRST.on(Examples.fitted(first), "K1", IEC))
                .hasMessageContaining("it is the first already");
        assertThatThrownBy(() -> TradeStroke.OVERLOAD_LAST.on(Examples.fitted(last), "K1", IEC))
                .hasMessageContaining("it is the last already");
    }

    @Test
    void aLampTellsThatTheEmergencyStopIsPressed() throws Exception {
        Sheet pump = Examples.ofLibrary("Wash pump");
        Sheet lit = TradeStroke.LAMP_EMERGENCY_STOP.on(Examples.fitted(pump), "K1", IEC);
        String lamp = TriedStarter.added(pump, lit, "pilot-lamp");
        TriedStarter tried = new TriedStarter(lit);
        assertThat(tried.condition(lamp)).isEqualTo(Condition.DARK);
        tried.act(Verb.HIT, "S4");
        assertThat(tried.condition(lamp)).isEqualTo(Condition.LIT);
        Sheet on = TradeStroke.LAMP_CONTROL_ON.on(Examples.fitted(lit), "K1", IEC);
        assertThat(new TriedStarter(on).condition(TriedStarter.added(lit, on, "pilot-lamp")))
                .isEqualTo(Condition.LIT);
    }

    /** A lamp of a contactor is on the contactor's supply, whichever rails the sheet lists first. */
    @ParameterizedTest
    @MethodSource("started")
    void aLampIsLitWithItsContactor(Sheet sheet, String tag, String start) throws ActionRefusedException {
        for (Sheet with : drawn(TradeStroke.LAMP_RUNNING, sheet, tag).toList()) {
            String lamp = TriedStarter.added(sheet, with, "pilot-lamp");
            TriedStarter tried = new TriedStarter(with);
            assertThat(tried.condition(lamp)).as(text(with)).isEqualTo(Condition.DARK);
            tried.tap(start);
            assertThat(tried.condition(lamp)).as(text(with)).isEqualTo(Condition.LIT);
        }
    }

    /** What does not fit says why, in words that can be acted on. */
    @ParameterizedTest
    @CsvSource({
        "JOG, Jog relay, K1, no start that its own contact holds",
        "WARNING, Mill, KM, expected",
        "SECOND_DIRECTION, Press platen, K1, K2 is its opponent already",
        "EMERGENCY_STOP, Wash pump, K1, an E-stop before it already",
        "OVERLOAD_FIRST, Wash pump, K1, it is the first already",
        "LAMP_EMERGENCY_STOP, Two-wire, K1, no E-stop in its way"
    })
    void oneThatDoesNotFitSaysWhy(TradeStroke stroke, String sheet, String tag, String reason) {
        assertThatThrownBy(() -> stroke.on(Examples.fitted(Examples.ofLibrary(sheet)), tag, IEC))
                .hasMessageContaining(reason);
    }
}
