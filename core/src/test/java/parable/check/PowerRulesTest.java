package parable.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.ColourCode;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;

/** What the rules say of ratings, settings, voltages and protective conductors, each with its sound twin. */
class PowerRulesTest {

    private static final ColourCode COLOURS = ColourCode.of(Practice.IEC);

    private static List<String> found(Sheet sheet) throws PartException {
        return Check.reading(Assembly.of(sheet), COLOURS).stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .map(Finding::code)
                .toList();
    }

    private static Sheet library(String name) {
        return Library.jobs().stream()
                .flatMap(job -> job.sheet(name).stream())
                .findFirst()
                .orElseThrow();
    }

    private static Sheet with(Sheet sheet, String tag, String setting, String value) {
        return sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals(tag) ? device.with(setting, value) : device)
                .toList());
    }

    /** The release of the Mill is in the leads of the delta: 35 A in the line are 20.2 A there. */
    @ParameterizedTest
    @CsvSource({"20.2 A, false", "18 A, false", "28 A, true", "35 A, true", "40 A, true", "48 A, true", "12 A, true"})
    void theSettingIsComparedWithWhatFlowsThroughTheRelay(String setting, boolean wrong) throws PartException {
        assertThat(found(with(library("Mill"), "F2", "setting", setting)).contains("overload-setting"))
                .isEqualTo(wrong);
    }

    @Test
    void ofAReleaseThatIsSetTooHighItIsNotSaidThatItTripsEarly() throws PartException {
        Sheet mill = with(library("Mill"), "F2", "setting", "28 A");
        assertThat(Check.reading(Assembly.of(mill), COLOURS))
                .filteredOn(finding -> finding.code().equals("overload-setting"))
                .singleElement()
                .satisfies(finding -> assertThat(finding.text() + finding.reason())
                        .contains("20.2 A")
                        .contains("Set so high"));
    }

    @ParameterizedTest
    @CsvSource({
        "Wash pump, F2, setting, 4.9 A, ''",
        "Wash pump, F2, phase-loss, insensitive, insensitive-to-lost-line",
        "Wash pump, Q1, rated, 1 A, protection-too-small",
        "Wash pump, Q1, rated, 63 A, protection-too-large",
        "Wash pump, Q1, rated, 13 A, ''",
        "Wash pump, K1, rated, 4 A, contactor-too-small",
        "Wash pump, K1, rated, 6 A, ''",
        "Mill, KM, rated, 18 A, contactor-too-small",
        "Mill, KD, rated, 22 A, ''",
        "Mill, F1, rated, 63 A, control-fuse-too-large",
        "Wash pump, F1, rated, 6 A, ''",
        "Wash pump, M1, voltage, 230 V AC, motor-voltage",
        "Wash pump, M1, voltage, 690 V AC, motor-voltage",
        "Mill, M1, voltage, 230 V AC, motor-voltage",
        "Wash pump, K1, Aux, 13-14, unknown-setting",
        "Wash pump, S0, label, x, unknown-setting",
        "Transformer, T1, rated, 150 VA, ''",
        "Transformer, T1, rated, 20 VA, transformer-too-small",
        "Transformer, K1, rated, 95 A, ''",
        "Transformer, K1, rated, 265 A, transformer-too-small",
        "Transformer, T1, secondary-side, floating, floating-supply",
        "24 V DC, G2, minus, floating, floating-supply",
        "24 V DC, G2, minus, grounded, ''"
    })
    void aWrongValueIsFoundAndARightOneIsNot(String sheet, String tag, String setting, String value, String code)
            throws PartException {
        List<String> found = found(with(library(sheet), tag, setting, value));
        if (code.isEmpty()) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found).contains(code);
        }
    }

    private static Sheet drawn(String devices, String power) {
        return Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply"},
                {"tag": "Q1", "kind": "circuit-breaker", "rated": "10 A"},
                {"tag": "M1", "kind": "three-phase-motor", "power": "2.2 kW"}%s
                """
                        .formatted(devices),
                "\"G1[L1] Q1[1-2] M1[U1]\", \"G1[L2] Q1[3-4] M1[V1]\", \"G1[L3] Q1[5-6] M1[W1]\"" + power,
                "");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "F2[1-2] @a M1[U1] | F2[3-4] @b M1[V1] | F2[5-6] @c M1[W1] | ''",
                "M1[U1] | M1[V1] | M1[W1] | M1 has no overload release in any of its leads.",
                "F2[1-2] @a M1[U1] | M1[V1] | M1[W1] | Current reaches M1 past every overload release, by leads V1 and W1."
            })
    void itIsSaidByWhichLeadsTheCurrentPassesAReleaseBy(String one, String two, String three, String words)
            throws PartException {
        Sheet sheet = Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply"},
                {"tag": "Q1", "kind": "circuit-breaker", "rated": "10 A"},
                {"tag": "F2", "kind": "overload-relay", "setting": "4.9 A"},
                {"tag": "M1", "kind": "three-phase-motor", "power": "2.2 kW"}
                """,
                "\"G1[L1] Q1[1-2] %s\", \"G1[L2] Q1[3-4] %s\", \"G1[L3] Q1[5-6] %s\"".formatted(one, two, three),
                "");
        assertThat(Check.reading(Assembly.of(sheet), COLOURS))
                .filteredOn(finding -> finding.code().equals("overload-missing"))
                .extracting(Finding::text)
                .isEqualTo(words.isEmpty() ? List.of() : List.of(words));
    }

    /** However long a star is meant to last, it is waited for. */
    @ParameterizedTest
    @CsvSource({"4 s", "28 s", "35 s", "60 s", "120 s"})
    void aLongStarIsNotTakenForOneThatNeverEnds(String setting) throws PartException {
        assertThat(Check.of(Assembly.of(with(library("Mill"), "KT", "setting", setting)), COLOURS))
                .extracting(Finding::code)
                .doesNotContain("stays-in-star", "never-pulls-in", "nothing-starts", "full-voltage-first");
    }

    /** Drawn by hand from line to motor, with what is written between them. */
    private static Sheet fed(String devices, String between) {
        return Examples.sheet(
                "{\"tag\": \"G1\", \"kind\": \"single-phase-supply\"}, {\"tag\": \"M1\", \"kind\": \"single-phase-motor\"}"
                        + devices,
                "\"G1[L] " + between + " M1[U1-U2] G1[N]\", \"G1[PE] @PE M1[PE]\"",
                "");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "isolator, Q1, 1-2 | no-disconnect | false",
                "isolator, Q1, 1-2 | short-circuit-unprotected | true",
                "fuse, F1, 1-2 | no-disconnect | true",
                "fuse, F1, 1-2 | short-circuit-unprotected | false",
                "circuit-breaker, Q1, 1-2 | no-disconnect | false",
                "circuit-breaker, Q1, 1-2 | short-circuit-unprotected | false",
                "contactor, K1, 1-2 | no-disconnect | true",
                "contactor, K1, 1-2 | short-circuit-unprotected | true"
            })
    void aMotorCanBeSwitchedOffByHandAndIsProtectedAgainstShorts(String device, String code, boolean speaks)
            throws PartException {
        String[] one = device.split(", ");
        Sheet sheet = fed(", {\"tag\": \"" + one[1] + "\", \"kind\": \"" + one[0] + "\"}", one[1] + "[" + one[2] + "]");
        assertThat(found(sheet).contains(code)).isEqualTo(speaks);
    }

    @Test
    void whatIsGroundedHasItsConductorAndWhatItFeedsAFuse() throws PartException, RungSyntaxException {
        Sheet sound = library("Transformer");
        Sheet loose = sound.withRungs(
                Circuit.POWER,
                sound.power().stream()
                        .filter(rung -> !rung.text().contains("T1[PE]"))
                        .toList());
        assertThat(found(sound)).doesNotContain("grounded-side-without-conductor", "secondary-unprotected");
        assertThat(found(loose)).contains("grounded-side-without-conductor");
        String rail = sound.rails().get(0).name();
        List<Rung> unfused = new ArrayList<>(sound.power());
        unfused.removeIf(rung -> rung.text().startsWith("T1[X1]"));
        unfused.add(new RungNotation(Set.of(rail)).read("T1[X1] " + rail));
        Sheet bare = sound.withRungs(Circuit.POWER, unfused);
        assertThat(found(bare)).contains("secondary-unprotected");
    }

    @Test
    void aMotorWithoutProtectiveConductorIsADangerAndIsMended() throws PartException {
        Sheet without = drawn("", "");
        assertThat(found(without)).contains("protective-conductor");
        assertThat(found(drawn("", ", \"G1[PE] @PE M1[PE]\""))).doesNotContain("protective-conductor");
        Assembly assembly = Assembly.of(without);
        List<Finding> all = Check.of(assembly, COLOURS);
        Finding missing = all.stream()
                .filter(finding -> finding.code().equals("protective-conductor"))
                .findFirst()
                .orElseThrow();
        Repair repair = Repair.of(assembly, missing, all, Conventions.of(Practice.IEC), () -> false)
                .orElseThrow();
        assertThat(found(repair.sheet())).doesNotContain("protective-conductor");
    }

    @Test
    void aFuseInItOrTheNeutralInstead() throws PartException {
        String fuse = ", {\"tag\": \"F1\", \"kind\": \"fuse\"}";
        assertThat(found(drawn(fuse, ", \"G1[PE] F1[1-2] M1[PE]\""))).contains("protective-conductor");
        assertThat(found(drawn("", ", \"G1[N] M1[PE]\""))).contains("frame-on-neutral");
    }

    @Test
    void aFuseInTheNeutral() throws PartException {
        String lamp = ", {\"tag\": \"F1\", \"kind\": \"fuse\"}, {\"tag\": \"F2\", \"kind\": \"fuse\"},"
                + " {\"tag\": \"P1\", \"kind\": \"pilot-lamp\", \"lamp\": \"230 V AC\"}";
        String both = ", \"G1[PE] @PE M1[PE]\", \"G1[L1] F1[1-2] P1[X1-X2] F2[1-2] G1[N]\"";
        String one = ", \"G1[PE] @PE M1[PE]\", \"G1[L1] F1[1-2] P1[X1-X2] G1[N]\"";
        assertThat(found(drawn(lamp, both))).contains("fuse-in-neutral");
        assertThat(found(drawn(lamp, one))).doesNotContain("fuse-in-neutral");
    }

    @Test
    void anEmergencyStopThatSpringsBack() throws PartException {
        String button = ", {\"tag\": \"S4\", \"kind\": \"push-button\", \"label\": \"%s\"}";
        assertThat(found(drawn(button.formatted("Emergency stop"), ""))).contains("estop-springs-back");
        assertThat(found(drawn(button.formatted("E-stop"), ""))).contains("estop-springs-back");
        assertThat(found(drawn(button.formatted("Stop"), ""))).doesNotContain("estop-springs-back");
    }

    /** An auxiliary contact of the breaker that the lamp is fed through tells nothing: it is closed when all is dead. */
    @Test
    void aLampThatCanNeverLight() throws PartException {
        String lamp = ", {\"tag\": \"Q2\", \"kind\": \"motor-protective-breaker\"%s},"
                + " {\"tag\": \"P1\", \"kind\": \"pilot-lamp\", \"lamp\": \"230 V AC\"}";
        String behind = ", \"G1[L1] Q2[1-2] @b Q2[21-22] P1[X1-X2] G1[N]\"";
        String ahead = ", \"G1[L1] Q2[97-98] P1[X1-X2] G1[N]\"";
        assertThat(found(drawn(lamp.formatted(""), behind))).contains("lamp-never-lights");
        assertThat(found(drawn(lamp.formatted(", \"trip\": \"97-98\""), ahead))).doesNotContain("lamp-never-lights");
    }

    @Test
    void aDirectCurrentMotorWithoutReleaseInItsArmature() throws PartException {
        Sheet drum = library("DC drum");
        assertThat(found(drum)).isEmpty();
        Sheet without = drum.withDevices(drum.devices().stream()
                .map(device -> device.tag().equals("Q2")
                        ? new Device(
                                "Q2", "", "circuit-breaker", "Breaker", "panel", Map.of("rated", "10 A"), Extras.NONE)
                        : device)
                .toList());
        assertThat(found(without)).contains("overload-missing");
    }

    /** In a file too, where a field that nobody knows is carried along. */
    @Test
    void aMisspeltSettingInAFileIsFound() throws PartException {
        String contactor = ", {\"tag\": \"K1\", \"kind\": \"contactor\", \"%s\": \"13-14\"}";
        assertThat(found(drawn(contactor.formatted("Aux"), ""))).contains("unknown-setting");
        assertThat(found(drawn(contactor.formatted("aux"), ""))).doesNotContain("unknown-setting");
    }

    @Test
    void twoMotorsBehindOneRelease() throws PartException {
        Sheet two = Examples.sheet(
                """
                {"tag": "G1", "kind": "three-phase-supply"},
                {"tag": "F2", "kind": "overload-relay", "setting": "9.8 A"},
                {"tag": "M1", "kind": "three-phase-motor", "power": "2.2 kW"},
                {"tag": "M2", "kind": "three-phase-motor", "power": "2.2 kW"}
                """,
                "\"G1[L1] F2[1-2] @U M1[U1]\", \"G1[L2] F2[3-4] @V M1[V1]\", \"G1[L3] F2[5-6] @W M1[W1]\","
                        + " \"@U M2[U1]\", \"@V M2[V1]\", \"@W M2[W1]\"",
                "");
        assertThat(found(two)).contains("two-motors-one-release");
        assertThat(found(library("Wash pump"))).doesNotContain("two-motors-one-release");
    }
}
