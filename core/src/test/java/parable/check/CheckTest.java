package parable.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.circuit.ColourCode;
import parable.circuit.ColourUse;
import parable.circuit.Duty;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.drafting.Dress;
import parable.starters.Library;
import parable.starters.MotorData;
import parable.starters.Starter;
import parable.starters.Wish;

class CheckTest {

    private static final String BAD = "Tern Hollow bad examples";

    static Stream<Sheet> goodSheets() {
        return Library.jobs().stream().filter(job -> !job.name().equals(BAD)).flatMap(job -> job.sheets().stream());
    }

    private static Sheet badSheet(String name) {
        return Library.jobs().stream()
                .filter(job -> job.name().equals(BAD))
                .findFirst()
                .flatMap(job -> job.sheet(name))
                .orElseThrow();
    }

    private static List<String> codes(Sheet sheet) {
        return Check.of(Examples.fitted(sheet), ColourCode.EITHER).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .map(Finding::code)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("goodSheets")
    void noStarterOfTheLibraryRaisesAFalseAlarm(Sheet sheet) {
        assertThat(codes(sheet)).as(sheet.name()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "Two-block jog, jog-release-race",
        "Stops in parallel, stop-stops-nothing",
        "Missing seal-in, start-does-not-hold",
        "Overload not wired in, trip-does-not-stop",
        "No interlock, interlock-missing",
        "Electrical interlock only, mechanical-interlock-missing",
        "Double swap, same-direction",
        "Delta leads exchanged, trips-when-tried",
        "Delta lead on the line side, short-when-tried",
        "Supplies joined, short-when-tried"
    })
    void everyBadExampleIsCaughtByItsOwnRule(String sheet, String code) {
        assertThat(codes(badSheet(sheet))).contains(code);
    }

    /** One mistake each, made in the wash pump or the press platen by putting another rung in the place of one that begins so. */
    static Stream<Arguments> mistakes() {
        return Stream.of(
                Arguments.of("Wash pump", "@6 K1[13-14]", "@5 K1[13-14] @7", "", "seal-in around the second stop"),
                Arguments.of(
                        "Wash pump", "@6 K1[13-14]", "@3 K1[13-14] @7", "estop-does-not-stop", "around the E-stop"),
                Arguments.of("Wash pump", "@6 K1[13-14]", "@4 K1[13-14] @7", "stop-stops-nothing", "around both stops"),
                Arguments.of("Wash pump", "@6 S3[13-14]", "@7 P1[X1-X2] N", "contact-used-twice", "a lamp drawn twice"),
                Arguments.of(
                        "Press platen", "@5 K1[13-14]", "@5 K2[33-34] @6", "contact-used-twice", "held by the other"),
                Arguments.of(
                        "Press platen",
                        "@5 S2[13-14]",
                        "@5 S2[13-14] @9 S8[11-12] @11 K2[A1-A2] N",
                        "interlock-one-sided",
                        "one interlock forgotten"),
                Arguments.of("Mill", "@6 KT[15-16]", "@6 KD[21-22] @8 KY[A1-A2] N", "stays-in-star", "star not timed"),
                Arguments.of("Press platen", "@1L1 K2[1-2]", "@1L1 K2[1-2] @2L1", "", "one lead not exchanged"));
    }

    private static Sheet with(String name, String beginning, String rung) {
        String text = Examples.pressHouseText();
        int at = text.indexOf("\"" + beginning, text.indexOf("\"name\": \"" + name + "\""));
        int end = text.indexOf('"', at + 1);
        Job job = Examples.read(text.substring(0, at + 1) + rung + text.substring(end));
        return job.sheet(name).orElseThrow();
    }

    @ParameterizedTest(name = "{4}")
    @MethodSource("mistakes")
    void aMistakeIsCaught(String name, String beginning, String rung, String code, String words) {
        List<String> found = codes(with(name, beginning, rung));
        assertThat(found).as(words).isNotEmpty();
        if (!code.isEmpty()) {
            assertThat(found).as(words).contains(code);
        }
    }

    @Test
    void aContactUsedWhileALowerOneIsFreeIsNoted() {
        Sheet sheet = with("Press platen", "@5 K1[13-14]", "@5 K1[33-34] @6");

        assertThat(Check.of(Examples.fitted(sheet), ColourCode.EITHER))
                .filteredOn(finding -> finding.code().equals("not-lowest-free"))
                .singleElement()
                .satisfies(finding -> assertThat(finding.text()).isEqualTo("K1 33-34 is used while 13-14 is free."));
    }

    @Test
    void aRestartIsADangerUnlessTheSheetDeclaresIt() {
        Sheet declared = Library.jobs().stream()
                .flatMap(job -> job.sheets().stream())
                .filter(sheet -> sheet.name().equals("Two-wire"))
                .findFirst()
                .orElseThrow();
        Sheet undeclared = new Sheet(
                declared.name(),
                Duty.MAINTAINED,
                declared.rails(),
                declared.devices(),
                declared.power(),
                declared.control(),
                declared.extras());

        assertThat(Check.of(Examples.fitted(declared), ColourCode.EITHER))
                .extracting(Finding::code, Finding::severity)
                .contains(tuple("restarts-when-power-returns", Severity.NOTE));
        assertThat(Check.of(Examples.fitted(undeclared), ColourCode.EITHER)
                        .get(0)
                        .severity())
                .isEqualTo(Severity.DANGER);
    }

    @Test
    void theDressChangesNothingButTheTags() {
        Job job = Examples.pressHouse();
        Job dressed = Dress.of(job, Practice.NORTH_AMERICAN);
        for (int i = 0; i < job.sheets().size(); i++) {
            assertThat(codes(dressed.sheets().get(i)))
                    .isEqualTo(codes(job.sheets().get(i)));
        }
    }

    @Test
    void theWorstStandsFirstAndEveryFindingCanBeReadAloud() {
        for (Sheet sheet : Library.jobs().stream()
                .filter(job -> job.name().equals(BAD))
                .findFirst()
                .orElseThrow()
                .sheets()) {
            List<Finding> findings = Check.of(Examples.fitted(sheet), ColourCode.EITHER);
            assertThat(findings).extracting(Finding::severity).isSorted();
            assertThat(findings).allSatisfy(finding -> {
                assertThat(finding.text()).endsWith(".").doesNotContain("null", "[", "{");
                assertThat(finding.reason()).endsWith(".");
            });
        }
    }

    @Test
    void loadsInSeriesAndALoadForAnotherVoltageAreFound() {
        Sheet sheet = Examples.sheet(
                """
                {"tag": "G1", "kind": "single-phase-supply", "voltage": "230 V AC"}, {"tag": "F1", "kind": "fuse"},
                {"tag": "P1", "kind": "pilot-lamp", "lamp": "230 V AC"},
                {"tag": "P2", "kind": "pilot-lamp", "lamp": "230 V AC"},
                {"tag": "P3", "kind": "pilot-lamp", "lamp": "24 V AC"},
                {"tag": "P4", "kind": "pilot-lamp", "lamp": "24 V DC"}
                """,
                "\"G1[L] F1[1-2] L\", \"G1[N] N\"",
                "\"L P1[X1-X2] @3 P2[X1-X2] N\", \"L P3[X1-X2] N\", \"L P4[X1-X2] N\"");

        assertThat(Check.of(Examples.fitted(sheet), ColourCode.EITHER))
                .extracting(Finding::code, finding -> finding.where().get(0))
                .containsExactly(
                        tuple("too-little-voltage", "P1"),
                        tuple("too-little-voltage", "P2"),
                        tuple("wrong-voltage", "P3"),
                        tuple("wrong-voltage", "P4"));
    }

    @Test
    void aMotorWithoutReleaseAndAControlCircuitWithoutFuseAreFound() {
        Sheet sheet = Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply"}, {"tag": "Q1", "kind": "circuit-breaker"},
                {"tag": "K1", "kind": "contactor", "coil": "230 V AC", "aux": "13-14"},
                {"tag": "K2", "kind": "contactor", "coil": "24 V AC", "aux": "11-12"},
                {"tag": "S1", "kind": "push-button", "blocks": "13-14"},
                {"tag": "S0", "kind": "push-button", "blocks": "11-12"},
                {"tag": "P9", "kind": "pilot-lamp", "lamp": "230 V AC"},
                {"tag": "M1", "kind": "three-phase-motor", "voltage": "400 V AC", "power": "2.2 kW"}
                """,
                "\"G1[L1] @L1 Q1[1-2] @1L1 K1[1-2] M1[U1]\", \"G1[L2] Q1[3-4] K1[3-4] M1[V1]\","
                        + " \"G1[L3] Q1[5-6] K1[5-6] M1[W1]\", \"@L1 @L\", \"G1[N] N\"",
                "\"@L S0[11-12] @4 S1[13-14] @5 K1[A1-A2] @6 K2[11-12] N\", \"@4 K1[13-14] @5\"");

        assertThat(codes(sheet))
                .contains("overload-missing", "control-unprotected", "contact-behind-coil", "coil-not-wired");
        assertThat(Check.of(Examples.fitted(sheet), ColourCode.EITHER))
                .extracting(Finding::code)
                .contains("not-wired");
    }

    /** Every function at every place of the library where a timer stands, with those that fit there. */
    @ParameterizedTest
    @CsvSource({
        "Mill, on-delay",
        "Star-delta direct, on-delay",
        "Star-delta dead time, star-delta",
        "Mill start warning, on-delay",
        "Warning at start, on-delay",
        "Timed brake, off-delay interval"
    })
    void aTimerWhoseFunctionDoesNotFitItsPlaceIsFound(String name, String fitting) {
        Sheet sheet = Examples.ofLibrary(name);
        List<String> functions = fitting.equals("star-delta")
                ? List.of(fitting)
                : List.of("on-delay", "off-delay", "interval", "flasher");
        for (String function : functions) {
            Sheet set = sheet.withDevices(sheet.devices().stream()
                    .map(device -> device.kind().equals("timer") ? device.with("function", function) : device)
                    .toList());

            assertThat(Check.reading(Examples.fitted(set), ColourCode.EITHER).stream()
                            .anyMatch(finding -> finding.code().equals("timer-function")))
                    .as("%s with %s", name, function)
                    .isEqualTo(!List.of(fitting.split(" ")).contains(function));
        }
    }

    /** What runs is green in one practice and red in the other; each is told of where the other is usual. */
    @ParameterizedTest
    @CsvSource({
        "P1, green, ''          , ''",
        "P1, red,   lamp-colour , ''",
        "P1, yellow, lamp-colour, lamp-colour",
        "P2, white, ''          , ''",
        "P2, red,   lamp-colour , lamp-colour",
        "P3, yellow, ''         , ''",
        "P3, green, lamp-colour , lamp-colour",
        "S1, black, ''          , ''",
        "S1, blue,  ''          , ''",
        "S1, red,   operator-colour, operator-colour",
        "S0, black, ''          , ''",
        "S0, yellow, operator-colour, operator-colour"
    })
    void coloursAreJudgedByThePractice(String tag, String colour, String iec, String northAmerican) {
        Sheet pump = Examples.ofLibrary("Wash pump");
        Sheet painted = pump.withDevices(pump.devices().stream()
                .map(device -> device.tag().equals(tag) ? device.with("colour", colour) : device)
                .toList());

        assertThat(coloursFound(painted, ColourCode.of(Practice.IEC))).isEqualTo(iec);
        assertThat(coloursFound(painted, ColourCode.of(Practice.NORTH_AMERICAN)))
                .isEqualTo(northAmerican);
    }

    private static String coloursFound(Sheet sheet, ColourCode code) {
        return Check.reading(Examples.fitted(sheet), code).stream()
                .map(Finding::code)
                .filter(found -> found.endsWith("-colour"))
                .collect(Collectors.joining(" "));
    }

    @Test
    void theColoursOfTheLibraryAreThoseOfItsPractice() {
        for (Job job : Library.jobs()) {
            for (Sheet sheet : job.sheets()) {
                assertThat(coloursFound(sheet, job.conventions().colours()))
                        .as(sheet.name())
                        .isEmpty();
            }
        }
    }

    @Test
    void aJobMayAgreeOnOtherColours() {
        ColourCode whiteStarts = ColourCode.of(Practice.IEC).with(ColourUse.START, List.of("white"));
        List<Finding> found = Check.reading(Examples.fitted(Examples.ofLibrary("Wash pump")), whiteStarts);

        assertThat(found).extracting(Finding::text).contains("S1 starts and is green; expected white.");
        Wish wish = Wish.of("Pump", Practice.IEC, MotorData.on400V("Pump", "floor", "2.2 kW"));
        Wish white = new Wish(
                wish.name(),
                wish.conventions().with(whiteStarts),
                wish.tables(),
                wish.motor(),
                wish.stations(),
                wish.lamps(),
                wish.choices());
        assertThat(coloursFound(Starter.of(white).sheet(), whiteStarts)).isEmpty();
        assertThat(coloursFound(Starter.of(wish).sheet(), whiteStarts)).isEqualTo("operator-colour");
    }
}
