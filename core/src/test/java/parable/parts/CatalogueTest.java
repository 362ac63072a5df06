package parable.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CatalogueTest {

    private static Assembly fitted(String kind, String settings) throws PartException {
        return Devices.fitted(kind, settings);
    }

    /** The markings that stand on the real thing. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "contactor | aux: 13-14 21-22 53-54 | 1 2 3 4 5 6 13 14 21 22 53 54 A1 A2",
                "overload-relay | | 1 2 3 4 5 6 95 96 97 98",
                "circuit-breaker | poles: 1; aux: 13-14; release: shunt | 1 2 13 14 C1 C2",
                "circuit-breaker | release: undervoltage | 1 2 3 4 5 6 D1 D2",
                "motor-protective-breaker | | 1 2 3 4 5 6 13 14 21 22",
                "control-relay | changeovers: 2 | 11 12 14 21 22 24 A1 A2",
                "control-relay | base: 8-pin | 1 4 3 8 5 6 2 7",
                "control-relay | base: 11-pin | 1 4 3 6 5 7 11 8 9 2 10",
                "control-relay | base: 14-blade | 9 1 5 10 2 6 11 3 7 12 4 8 13 14",
                "timer | | 15 16 18 A1 A2",
                "timer | changeovers: 2 | 15 16 18 25 26 28 A1 A2",
                "timer | base: 8-pin; changeovers: 1 | 1 4 3 2 7",
                "timer | function: star-delta | 17 18 28 A1 A2",
                "three-phase-motor | | U1 V1 W1 PE",
                "three-phase-motor | leads: 6 | U1 U2 V1 V2 W1 W2 PE",
                "control-transformer | | H1 H4 X1 X2 PE",
                "dc-supply | | L N + - PE",
                "push-button | blocks: 11-12 23-24 | 11 12 23 24",
                "illuminated-button | | 13 14 X1 X2",
                "mechanical-interlock | |"
            })
    void everyKindHasTheMarkingsOfTheTrade(String kind, String settings, String markings) throws PartException {
        assertThat(fitted(kind, settings).parts().get(0).terminals())
                .containsExactlyInAnyOrder(markings == null ? new String[0] : markings.split(" "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "contactor | coil: lots | coil | a voltage such as '230 V AC'",
                "contactor | holding: 9999 VA | holding | a number of VA from 0.5 to 500",
                "contactor | aux: 13-15 | aux | contacts such as '13-14' (normally open)",
                "contactor | suppressor: diode | suppressor | none, RC or varistor",
                "timer | setting: -1 s | setting | a number of s from 0.01 to 36000",
                "timer | function: sometimes | function | one of on-delay, off-delay",
                "overload-relay | class: 7 | class | one of 10A, 10, 20, 30",
                "overload-relay | setting: 0 A | setting | a number of A from 0.1 to 1000",
                "control-relay | base: 8-pin; changeovers: 3 | changeovers | a whole number from 1 to 2",
                "selector | positions: on | positions | two or more different names",
                "selector | positions: off on; blocks: 13-14=up | blocks | positions being off, on",
                "three-phase-motor | leads: 4 | leads | one of 3, 6",
                "push-button | colour: mauve | colour | one of red, yellow"
            })
    void aSettingThatMakesNoSenseIsRefusedByTagAndName(String kind, String settings, String field, String expected) {
        assertThatExceptionOfType(PartException.class)
                .isThrownBy(() -> fitted(kind, settings))
                .withMessageStartingWith("K1: found ")
                .withMessageContaining(expected)
                .satisfies(
                        refused -> assertThat(refused.place()).isEqualTo(new PartException.Site.DeviceField(0, field)));
    }

    @Test
    void everyKindFitsWithItsDefaults() throws PartException {
        for (PartKind kind : Catalogue.kinds()) {
            assertThat(fitted(kind.id(), null).parts().get(0).family()).isEqualTo(kind.family());
        }
    }

    @Test
    void aDiodeMakesADcCoilLetGoSeveralTimesAsSlowly() throws PartException {
        Travel plain = fitted("contactor", "coil: 24 V DC").parts().get(0).travel();
        Travel suppressed = fitted("contactor", "coil: 24 V DC; suppressor: diode")
                .parts()
                .get(0)
                .travel();

        assertThat(suppressed.breakBack().nominal())
                .isBetween(
                        4 * plain.breakBack().nominal(), 8 * plain.breakBack().nominal());
        assertThat(suppressed.makeAway()).isEqualTo(plain.makeAway());
    }

    @ParameterizedTest
    @CsvSource({"70 %, 0.70, 0.70", "30 % to 60 %, 0.30, 0.60"})
    void aCoilStatesAtWhichVoltageItLetsGo(String written, double lowest, double highest) throws PartException {
        Drive.ByCoil coil = (Drive.ByCoil) Devices.fitted("contactor", "drop-out: " + written)
                .parts()
                .get(0)
                .drive();

        assertThat(coil.drops().lowest()).isEqualTo(lowest);
        assertThat(coil.drops().highest()).isEqualTo(highest);
        assertThat(coil.pulls()).isEqualTo(Drive.ByCoil.PULLS);
    }

    @ParameterizedTest
    @CsvSource({"drop-out, 60 % to 30 %", "drop-out, 99 %", "pull-in, half", "pull-in, 0 %"})
    void aShareThatSaysNothingSensibleIsRefused(String setting, String written) {
        assertThatExceptionOfType(PartException.class)
                .isThrownBy(() -> Devices.fitted("contactor", setting + ": " + written))
                .withMessageContaining("found '" + written + "', expected a share");
    }
}
