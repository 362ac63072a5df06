package parable.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.ratings.JobTables;

/** What a meter shows of coils, lamps and electronics, against the figures of data sheets. */
class CoilDataTest {

    private static Load only(String kind, Map<String, String> settings) throws SettingException {
        return Catalogue.kind(kind)
                .orElseThrow()
                .fit(new Device("K1", kind, "", "", "", settings, Extras.NONE))
                .loads()
                .get(0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12 A | 230 V AC | 500 | 700",
                "12 A | 24 V AC | 5 | 8",
                "12 A | 110 V AC | 110 | 160",
                "32 A | 230 V AC | 350 | 450",
                "65 A | 230 V AC | 150 | 250",
                "12 A | 24 V DC | 65 | 80"
            })
    void theCopperOfAContactorsCoilIsThatOfItsSize(String rated, String coil, double least, double most)
            throws SettingException {
        assertThat(only("contactor", Map.of("rated", rated, "coil", coil)).meterOhms())
                .isBetween(least, most);
    }

    @ParameterizedTest
    @CsvSource({"9 A", "12 A", "25 A", "38 A", "50 A", "95 A", "150 A", "265 A"})
    void anOpenArmatureLetsEightToTenTimesAsMuchFlow(String rated) throws SettingException {
        double amperes = Double.parseDouble(rated.replace(" A", ""));
        CoilData coil = CoilData.contactor(JobTables.SHIPPED, amperes);
        assertThat(coil.inrush() / coil.sealed()).isBetween(8.0, 10.0);
    }

    @Test
    void itsOwnDataGoFirst() throws SettingException {
        assertThat(only("contactor", Map.of("ohms", "430 ohm")).meterOhms()).isEqualTo(430);
        assertThat(only("contactor", Map.of("inrush", "100 VA")).meterOhms()).isCloseTo(397, within(1.0));
        assertThat(only("contactor", Map.of("coil", "24 V DC", "holding", "3 VA"))
                        .meterOhms())
                .as("with direct current the copper is all there is")
                .isCloseTo(192, within(1.0));
    }

    @ParameterizedTest
    @CsvSource({"pilot-lamp", "timer", "horn", "dc-supply", "rectifier"})
    void aMeterShowsNextToNothingThroughDiodes(String kind) throws SettingException {
        assertThat(only(kind, Map.of()).meterOhms()).isGreaterThan(10_000);
    }
}
