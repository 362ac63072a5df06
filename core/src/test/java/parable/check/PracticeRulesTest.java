package parable.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.Examples;
import parable.circuit.Circuit;
import parable.circuit.ColourCode;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;
import parable.starters.ControlSupply;
import parable.starters.Directions;
import parable.starters.EmergencyStop;
import parable.starters.EndSwitches;
import parable.starters.MotorData;
import parable.starters.Starter;
import parable.starters.Wish;

/** What the rules say of the practice: control voltages, excepted circuits, star times, coils for direct current; each with its sound twin. */
class PracticeRulesTest {

    private static List<String> found(Sheet sheet, Practice practice) {
        return Check.of(Examples.fitted(sheet), ColourCode.of(practice)).stream()
                .map(Finding::code)
                .toList();
    }

    private static Sheet with(Sheet sheet, String tag, String setting, String value) {
        return sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals(tag) ? device.with(setting, value) : device)
                .toList());
    }

    private static Sheet powerRung(Sheet sheet, String beginning, String instead) throws RungSyntaxException {
        List<Rung> power = new ArrayList<>();
        for (Rung rung : sheet.power()) {
            power.add(rung.text().startsWith(beginning) ? new RungNotation(Set.of("L", "N")).read(instead) : rung);
        }
        assertThat(power).isNotEqualTo(sheet.power());
        return sheet.withRungs(Circuit.POWER, power);
    }

    @ParameterizedTest
    @CsvSource({
        "@L1 F1[1-2] L, true",
        "@L1 F1[1-2] L ; control supply, true",
        "@L1 F1[1-2] L ; Excepted circuit: live while the breaker is open, false",
        "@1L1 F1[1-2] L ; behind the breaker, false"
    })
    void whatIsLiveWithTheMainSwitchOpenIsMarked(String supply, boolean wrong) throws Exception {
        Sheet sheet = powerRung(Examples.ofLibrary("Wash pump"), "@1L1 F1[1-2]", supply + (wrong ? "" : " "));

        assertThat(found(sheet, Practice.IEC).contains("ahead-of-main-switch")).isEqualTo(wrong);
    }

    @Test
    void everythingThatStaysLiveIsNamed() throws Exception {
        Sheet sheet = powerRung(Examples.ofLibrary("Wash pump"), "@1L1 F1[1-2]", "@L1 F1[1-2] L");

        assertThat(Check.of(Examples.fitted(sheet), ColourCode.of(Practice.IEC)))
                .filteredOn(finding -> finding.code().equals("ahead-of-main-switch"))
                .singleElement()
                .satisfies(finding ->
                        assertThat(finding.text()).isEqualTo("K1, P1, P2, P3 are still live when Q1 is open."));
    }

    @ParameterizedTest
    @CsvSource({
        "Wash pump, K1, 230 V AC, IEC, false",
        "Wash pump, K1, 400 V AC, IEC, true",
        "Glycol pump, M, 120 V AC, NORTH_AMERICAN, false",
        "Glycol pump, M, 240 V AC, NORTH_AMERICAN, true",
        "Glycol pump, M, 240 V AC, IEC, false"
    })
    void aCoilForMoreThanThePracticeAllowsIsFound(
            String sheet, String tag, String coil, Practice practice, boolean wrong) {
        assertThat(found(with(Examples.ofLibrary(sheet), tag, "coil", coil), practice)
                        .contains("control-voltage"))
                .isEqualTo(wrong);
    }

    @ParameterizedTest
    @CsvSource({"8 s, 20 %, false", "7.5 s, 20 %, false", "3 s, 20 %, true", "8 s, 90 %, true", "60 s, 20 %, false"})
    void aStarTimeShorterThanTheRunUpIsFound(String time, String load, boolean wrong) {
        Sheet mill = with(with(Examples.ofLibrary("Mill"), "KT", "setting", time), "M1", "load", load);

        assertThat(found(mill, Practice.IEC).contains("star-too-short")).isEqualTo(wrong);
    }

    /** 400 V behind a bridge are 360 V; two windings in series have 1.6 ohm, and the motor takes 11.5 A. */
    @ParameterizedTest
    @CsvSource({"14 ohm, false", "10 ohm, false", "20 ohm, false", "60 ohm, true", "4 ohm, true"})
    void aBrakeHasOneToThreeTimesTheCurrentOfItsMotor(String resistance, boolean wrong) {
        for (String name : List.of("Juice separator", "Timed brake")) {
            assertThat(found(with(Examples.ofLibrary(name), "R1", "resistance", resistance), Practice.IEC)
                            .contains("brake-current"))
                    .isEqualTo(wrong);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "@1L1 F6[1-2] @25 K2[1-2] @21 V1[~1-~2] @22 K2[4-3] @26 F7[2-1] @1L2, false",
        "@1L1 K2[1-2] @21 V1[~1-~2] @22 K2[4-3] @1L2, true",
        "@1L1 F6[1-2] @25 K2[1-2] @21 V1[~1-~2] @22 K2[4-3] @1L2, true"
    })
    void theRectifierOfABrakeHasAFuseInEachLine(String rung, boolean wrong) throws Exception {
        Sheet sheet = Examples.ofLibrary("Juice separator");
        Sheet changed = wrong ? powerRung(sheet, "@1L1 F6[1-2]", rung) : sheet;

        assertThat(found(changed, Practice.IEC).contains("brake-unfused")).isEqualTo(wrong);
    }

    private static Sheet direct(String settings, String rungs) {
        return Examples.sheet(
                """
                {"tag": "G1", "kind": "single-phase-supply"},
                {"tag": "T1", "kind": "dc-supply"},
                {"tag": "A1", "kind": "controller", "output": "transistor"},
                {"tag": "A2", "kind": "controller"},
                {"tag": "S1", "kind": "push-button", "blocks": "13-14"},
                {"tag": "S2", "kind": "push-button", "blocks": "11-12"},
                {"tag": "K1", "kind": "contactor", "coil": "24 V DC"%s}
                """
                        .formatted(settings),
                "\"G1[L] T1[L-N] G1[N]\"",
                rungs);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'' | T1[+] A1[QC0-Q0] K1[A1-A2] T1[-] | true",
                "'' | T1[+] A1[QC0-Q0] S2[11-12] K1[A1-A2] T1[-] | true",
                "diode | T1[+] A1[QC0-Q0] K1[A1-A2] T1[-] | false",
                "varistor | T1[+] A1[QC0-Q0] K1[A1-A2] T1[-] | false",
                "'' | T1[+] A2[QC0-Q0] K1[A1-A2] T1[-] | false",
                "'' | T1[+] S1[13-14] K1[A1-A2] T1[-] | false"
            })
    void aCoilOnATransistorNeedsASuppressor(String suppressor, String rung, boolean wrong) {
        Sheet sheet = direct(setting(suppressor), "\"" + rung + "\"");

        assertThat(found(sheet, Practice.IEC).contains("suppressor-missing")).isEqualTo(wrong);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "diode | T1[+] S1[13-14] K1[A2-A1] T1[-] | true",
                "diode | T1[+] S1[13-14] K1[A1-A2] T1[-] | false",
                "'' | T1[+] S1[13-14] K1[A2-A1] T1[-] | false"
            })
    void aDiodeTheWrongWayRoundIsFound(String suppressor, String rung, boolean wrong) {
        Sheet sheet = direct(setting(suppressor), "\"" + rung + "\"");

        assertThat(found(sheet, Practice.IEC).contains("coil-reversed")).isEqualTo(wrong);
    }

    private static String setting(String suppressor) {
        return suppressor.isEmpty() ? "" : ", \"suppressor\": \"" + suppressor + "\"";
    }

    @Test
    void aShortCircuitIsToldWithTheWiresThatMeet() {
        assertThat(Check.of(Examples.fitted(Examples.ofLibrary("Delta lead on the line side")), ColourCode.EITHER))
                .filteredOn(finding -> finding.code().equals("short-when-tried"))
                .singleElement()
                .satisfies(finding -> assertThat(finding.text())
                        .isEqualTo("Something is shorted once S1 was pressed: wires 2L1 and U1 meet."));
    }

    @ParameterizedTest
    @CsvSource({
        "L S5[13-14] N, L to N through S5[13-14]",
        "L S5[13-14] S6[11-12] N, L to N through S5[13-14] and S6[11-12]",
        "@5 S5[13-14] L, ''",
        "L S5[13-14] S6[13-14] @6, ''",
        "L S5[13-14] P9[X1-X2] N, ''"
    })
    void aRungFromOneSideToTheOtherNeedsALoad(String rung, String joins) throws Exception {
        Sheet pump = Examples.ofLibrary("Wash pump");
        List<Device> devices = new ArrayList<>(pump.devices());
        devices.addAll(Examples.sheet(
                        """
                        {"tag": "S5", "kind": "push-button", "blocks": "13-14"},
                        {"tag": "S6", "kind": "push-button", "blocks": "11-12 13-14"},
                        {"tag": "P9", "kind": "pilot-lamp", "lamp": "230 V AC"}
                        """,
                        "",
                        "")
                .devices());
        List<Rung> control = new ArrayList<>(pump.control());
        control.add(new RungNotation(Set.of("L", "N")).read(rung));
        Sheet sheet = pump.withDevices(devices).withRungs(Circuit.CONTROL, control);

        assertThat(Check.of(Examples.fitted(sheet), ColourCode.EITHER).stream()
                        .filter(finding -> finding.code().equals("rung-without-load"))
                        .map(Finding::text)
                        .toList())
                .isEqualTo(
                        joins.isEmpty()
                                ? List.of()
                                : List.of("Rung " + control.size() + " joins " + joins
                                        + ", without a coil, a lamp or any other load."));
    }

    @ParameterizedTest
    @CsvSource({
        "Pomace auger, K1, '', '', true",
        "Pomace auger, K1, 9 A, '', true",
        "Pomace auger, K1, 32 A, '', false",
        "Pomace auger, K1, 9 A, AC-4, false",
        "Pomace auger, K1, 1 A, AC-4, true",
        "Jog relay, K1, '', '', true",
        "Jog relay, K1, 25 A, AC-3, false",
        "Wash pump, K1, '', '', false",
        "Two-wire, K1, '', '', false",
        "Missing seal-in, K1, '', '', false"
    })
    void aContactorThatJogsIsMadeForIt(String name, String tag, String rated, String category, boolean wrong) {
        Sheet sheet = Examples.ofLibrary(name);
        Sheet changed = sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals(tag) ? set(device, rated, category) : device)
                .toList());

        assertThat(found(changed, Practice.IEC).contains("jog-duty")).isEqualTo(wrong);
    }

    @ParameterizedTest
    @CsvSource({
        "Direct change, K1 K2, '', '', true",
        "Direct change, K1, '', '', true",
        "Direct change, K1 K2, 9 A, '', false",
        "Direct change, K1 K2, 4 A, AC-3, true",
        "Direct change, K1 K2, 4 A, AC-4, false",
        "Direction selector, K2, '', '', false",
        "Travel turned round, K1, '', '', true",
        "Press platen, K1 K2, '', '', false",
        "Juice separator, K1 K2, '', '', false",
        "Wash pump, K1, '', '', false"
    })
    void aContactorThatTurnsAMotorRoundWhileItRunsIsMadeForIt(
            String name, String tags, String rated, String category, boolean wrong) {
        Sheet sheet = Examples.ofLibrary(name);
        Sheet changed = sheet.withDevices(sheet.devices().stream()
                .map(device -> List.of(tags.split(" ")).contains(device.tag()) ? set(device, rated, category) : device)
                .toList());

        assertThat(found(changed, Practice.IEC).contains("plugging-duty")).isEqualTo(wrong);
    }

    /** The timer's contact left out, and the speed switch's as well. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Juice separator | KT[15-18] | ''",
                "Juice separator | @8 KT[15-18] @9 | With S9 stuck, nothing ends the braking of M1 by direct current.",
                "Juice separator | @9 S9[13-14] @10 | ''",
                "Timed brake | KT[15-18] | ''"
            })
    void aBrakeEndsAlsoWhenItsSpeedSwitchSticks(String name, String leftOut, String told) throws RungSyntaxException {
        Sheet sheet = Examples.ofLibrary(name);
        List<Rung> control = new ArrayList<>();
        for (Rung rung : sheet.control()) {
            String[] ends = leftOut.split(" ");
            String text = ends.length == 1
                    ? rung.text()
                    : rung.text().replace(leftOut, ends[0]).replace(ends[2] + " ", ends[0] + " ");
            control.add(new RungNotation(Set.of("L", "N")).read(text));
        }

        assertThat(Check.of(Examples.fitted(sheet.withRungs(Circuit.CONTROL, control)), ColourCode.EITHER).stream()
                        .filter(finding -> finding.code().equals("brake-untimed"))
                        .map(Finding::text)
                        .collect(Collectors.joining()))
                .isEqualTo(told);
    }

    /** The buttons of one place are one device; E-stops and switches of the machine count each by itself. */
    @ParameterizedTest
    @CsvSource({
        "LINE_TO_NEUTRAL, NONE, NONE, door, false",
        "LINE_TO_NEUTRAL, ONE, NONE, door, false",
        "LINE_TO_NEUTRAL, ONE, NONE, door yard, true",
        "LINE_TO_NEUTRAL, NONE, NONE, door yard, false",
        "LINE_TO_NEUTRAL, ONE, STOP, door, true",
        "TRANSFORMER, ONE, STOP, door, false",
        "DC_24, ONE, STOP, door, false",
        "DC_24_WITH_RELAY, ONE, NONE, door yard, true"
    })
    void controlFromLineToNeutralIsForFewDevices(
            ControlSupply supply, EmergencyStop emergencyStop, EndSwitches ends, String places, boolean told) {
        MotorData motor = MotorData.on400V("Gate", "yard", "1.5 kW").driving("conveyor", "", "");
        Wish wish = Wish.of("Gate", Practice.IEC, motor)
                .with(supply)
                .with(emergencyStop)
                .from(places.split(" "));
        Sheet sheet = Starter.of(
                        ends == EndSwitches.NONE
                                ? wish
                                : wish.with(Directions.STOP_FIRST).with(ends))
                .sheet();

        assertThat(found(sheet, Practice.IEC).contains("control-transformer")).isEqualTo(told);
    }

    /** A contactor that stays in whatever the field does, or a relay whose coil is not in the field's circuit, protects from nothing. */
    @ParameterizedTest
    @CsvSource({
        "K1[11-14], K1[11-14], false",
        "K1[11-14] @2 K2, K2, true",
        "M1[F1-F2] @F2 K1[A1-A2] @M, M1[F1-F2] @M, false",
        "@F M1[F1-F2] @F2 K1[A1-A2] @M, @F M1[F1-F2] @M K1[A2-A1] @F, true"
    })
    void aFieldThatIsLostTakesTheArmatureOff(String before, String after, boolean wrong) throws RungSyntaxException {
        Sheet changed = Examples.ofLibrary("DC drum");
        for (Circuit circuit : Circuit.values()) {
            List<Rung> rungs = new ArrayList<>();
            for (Rung rung : changed.rungs(circuit)) {
                rungs.add(new RungNotation(Set.of()).read(rung.text().replace(before, after)));
            }
            changed = changed.withRungs(circuit, rungs);
        }

        assertThat(found(changed, Practice.IEC).contains("field-loss")).isEqualTo(wrong);
    }

    private static Device set(Device device, String rated, String category) {
        Map<String, String> settings = new LinkedHashMap<>(device.settings());
        settings.remove("rated");
        if (!rated.isEmpty()) {
            settings.put("rated", rated);
        }
        if (!category.isEmpty()) {
            settings.put("category", category);
        }
        return new Device(
                device.tag(), device.also(), device.kind(), device.label(), device.place(), settings, device.extras());
    }

    /** 14 ohm at 23 A are 7.4 kW, a fortieth of which is 185 W. */
    @ParameterizedTest
    @CsvSource({"250 W, false", "190 W, false", "170 W, true", "50 W, true"})
    void aBrakeResistorTakesItsHeat(String power, boolean wrong) {
        Sheet sheet = Examples.ofLibrary("Juice separator");

        assertThat(found(with(sheet, "R1", "power", power), Practice.IEC).contains("brake-resistor"))
                .isEqualTo(wrong);
    }

    /** Each contact before an input of the rinser's controller, taken out with its wires: the input is wired still and reads nothing. */
    @ParameterizedTest
    @CsvSource({
        "S4[21-22], A1:I0",
        "Q1[13-14], A1:I1",
        "S0[11-12], A1:I2",
        "S1[13-14], A1:I3",
        "K1[13-14], A1:I5",
        "F2[97-98], A1:I7"
    })
    void anInputThatNothingLeadsToIsNamed(String contact, String input) throws Exception {
        Sheet rinser = Examples.ofLibrary("Bottle rinser");
        assertThat(neverFed(rinser)).isEmpty();
        List<Rung> control = new ArrayList<>();
        for (Rung rung : rinser.control()) {
            control.add(
                    rung.text().contains("P " + contact + " ")
                            ? new RungNotation(Set.of("P", "M"))
                                    .read(rung.text().replace("P " + contact + " ", ""))
                            : rung);
        }
        assertThat(control).isNotEqualTo(rinser.control());

        assertThat(neverFed(rinser.withRungs(Circuit.CONTROL, control)))
                .containsExactly(input + " is wired, and nothing leads to it from a supply.");
    }

    private static List<String> neverFed(Sheet sheet) {
        return Check.reading(Examples.fitted(sheet), ColourCode.of(Practice.IEC)).stream()
                .filter(finding -> finding.code().equals("plc-input-never-fed"))
                .map(Finding::text)
                .toList();
    }

    /** What is offered does away with what was found, and with nothing else. */
    @Test
    void aDiodeOrALongerStarTimeIsOffered() {
        Sheet coil = direct("", "\"T1[+] A1[QC0-Q0] K1[A1-A2] T1[-]\"");
        assertThat(repair(coil, "suppressor-missing").map(Repair::words))
                .contains("Fits a diode across the coil of K1, its cathode at the plus.");

        Sheet hasty = with(Examples.ofLibrary("Mill"), "KT", "setting", "4 s");
        Optional<Repair> longer = repair(hasty, "star-too-short");
        assertThat(longer.map(Repair::words)).contains("Gives the motor 8 s in star instead of 4 s.");
        assertThat(found(longer.orElseThrow().sheet(), Practice.IEC)).doesNotContain("star-too-short");

        assertThat(repair(with(hasty, "KT", "setting", "2 s"), "star-too-short"))
                .as("four seconds are too short as well")
                .isEmpty();
    }

    private static Optional<Repair> repair(Sheet sheet, String code) {
        List<Finding> findings = Check.of(Examples.fitted(sheet), ColourCode.of(Practice.IEC));
        Finding finding = findings.stream()
                .filter(one -> one.code().equals(code))
                .findFirst()
                .orElseThrow();
        return Repair.of(Examples.fitted(sheet), finding, findings, Conventions.of(Practice.IEC), () -> false);
    }
}
