package parable.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import parable.ratings.RatingTables;

class WrongInputsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0 kW 400 V | motor, power: found 0 kW, expected 0.06 to 315 kW, or in hp",
                "-3 kW 400 V | motor, power: found -3 kW, expected 0.06 to 315 kW, or in hp",
                "2.2 kW 690 V | motor, voltage: found 690 V, expected 380 to 415 V",
                "2.2 kW 400 V -3 m | motor, length: found -3 m, expected 0.1 to 2000 m, or in ft",
                "2.2 kW 400 V length long | motor, length: found long, expected 0.1 to 2000 m, or in ft",
                "400 kW 400 V | motor, power: found 400 kW, expected 0.06 to 315 kW, or in hp",
                "250 hp 460 V | motor, power: found 250 hp, expected 0.5 to 200 hp at 460 V",
                "5 hp 300 V | motor, voltage: found 300 V, expected one of 110 to 120, 200, 208, 220 to 240, 440 to 480, 550 to 600 V",
                "2.2 kW 400 V 70 degC | motor, ambient: found 70 degC, expected at most 60 °C, which the table has",
                "2.2 kW 400 V grouped 12 | motor, grouped: found 12, expected at most 9, which the table has",
                "2.2 kW 400 V method D | motor, method: found D, expected one of B1, B2, C, E",
                "2.2 kW 400 V wire 3 mm² | motor, wire: found 3 mm², expected one of 0.75 mm², 1 mm²",
                "2.2 kW 400 V overload much | motor, overload: found much, expected 0 to 1000000000 A",
                "2.2 kW 400 V nonsense 3 | motor, nonsense: found 3, expected one of the inputs or results",
                "2.2 kW 400 V 5 kg | motor: found 5 kg, expected a number with one of these units",
                "2.2 kW 3 kW 400 V | motor: found 3 kW, expected power only once",
                "2,2 kW 400 V | motor: found 2,2, expected a number with one of these units",
                "abc | motor: found abc, expected a quantity with its unit, or a key and its value",
                "1 kW 400 V dc star-delta | motor, start: found star-delta, expected direct",
                "brake 11.5 A | brake, brake-ohms: found nothing, expected 0.001 to 1000 ohm",
                "supply 400 kVA 3 mm² | feeder, feeder-wire: found 3 mm², expected one of 0.75 mm²"
            })
    void isSaidWithWhatThereIs(String line, String words) {
        assertThatThrownBy(() -> WorkedCasesTest.sized(line))
                .isInstanceOf(SizingException.class)
                .hasMessageStartingWith(words);
    }

    @Test
    void anEmptyLineAsksForAMotor() {
        assertThatThrownBy(() -> SizingLine.read("  ,"))
                .hasMessage("motor: found nothing, expected power and voltage, such as '2.2 kW 400 V'");
    }

    /** Whatever is written, it is sized or refused in words. */
    @Test
    void noLineBreaksIt() {
        String[] words = {
            "2.2",
            "kW",
            "400",
            "V",
            "0",
            "-1",
            "hp",
            "m",
            "wire",
            "4",
            "mm²",
            "star-delta",
            "jogging",
            "dc",
            "B2",
            "%",
            "brake",
            "transformer",
            "supply",
            "ohm",
            "In",
            "°C",
            "75",
            "1e9",
            "∞",
            "NaN",
            "overload",
            "A",
            ",",
            ";;",
            "/"
        };
        java.util.Random random = new java.util.Random(11);
        int sized = 0;
        for (int i = 0; i < 4000; i++) {
            StringBuilder line = new StringBuilder(i % 2 == 0 ? "2.2 kW 400 V" : "");
            for (int word = random.nextInt(7); word > 0; word--) {
                line.append(' ').append(words[random.nextInt(words.length)]);
            }
            try {
                SizingLine read = SizingLine.read(line.toString());
                assertThat(read.sized(RatingTables.of(read.practice())).results())
                        .as(line.toString())
                        .allSatisfy(result -> assertThat(result.value()).isFinite());
                sized++;
            } catch (SizingException refused) {
                assertThat(refused.getMessage()).contains("found ").contains("expected ");
            }
        }
        assertThat(sized).isGreaterThan(300);
    }
}
