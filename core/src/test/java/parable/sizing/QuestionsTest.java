package parable.sizing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import parable.circuit.Practice;

/** What is asked: what is assumed makes sense, keys are told apart, and the page of keys has each of them. */
class QuestionsTest {

    static Stream<Arguments> all() {
        return Stream.of(
                Arguments.of("motor", List.of(MotorQuestion.values())),
                Arguments.of("transformer", ControlQuestion.all()),
                Arguments.of("brake", BrakeQuestion.all()),
                Arguments.of("job", JobQuestion.all()));
    }

    @ParameterizedTest
    @MethodSource("all")
    void whatIsAssumedMakesSenseInBothPractices(String about, List<? extends SizingQuestion> asked)
            throws SizingException {
        for (Practice practice : Practice.values()) {
            SizingInputs inputs = new SizingInputs(about, practice, asked, Map.of(), Map.of());
            assertThat(inputs.all()).isNotEmpty().allSatisfy(input -> {
                assertThat(input.origin()).isEqualTo(Origin.ASSUMED);
                assertThat(input.name()).isNotBlank();
            });
        }
    }

    /** Something stated by a key is either an answer or another result, never both. */
    @ParameterizedTest
    @MethodSource("all")
    void aKeyIsAQuestionOrAResult(String about, List<? extends SizingQuestion> asked) throws SizingException {
        Set<String> keys = new HashSet<>();
        assertThat(asked).allMatch(question -> keys.add(question.key()));
        List<String> lines =
                switch (about) {
                    case "motor" -> List.of(
                            "2.2 kW 400 V let-through 100 A2s",
                            "18.5 kW 400 V star-delta",
                            "4 kW 400 V jogging",
                            "30 hp 460 V star-delta");
                    case "transformer" -> List.of("transformer 100 VA 400/230 V holding 8 VA inrush 70 VA");
                    case "brake" -> List.of("brake 11.5 A 1.4 ohm 360 V");
                    default -> List.of("supply 400 kVA 35 mm²");
                };
        for (String line : lines) {
            assertThat(WorkedCasesTest.sized(line).results())
                    .extracting(SizingResult::key)
                    .doesNotContainAnyElementsOf(keys);
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void everyKeyIsInTheDocument(String about, List<? extends SizingQuestion> asked) throws IOException {
        String document = Files.readString(Path.of("..", "docs", "sizing.md"));
        assertThat(asked).allSatisfy(question -> assertThat(document)
                .contains("| `" + question.key() + "` | " + question.label() + " |"));
    }

    @ParameterizedTest
    @EnumSource(Practice.class)
    void whatIsGivenGoesBeforeWhatIsDrawn(Practice practice) throws SizingException {
        SizingInputs inputs = new SizingInputs(
                "M1",
                practice,
                List.of(MotorQuestion.values()),
                Map.of("power", "3 kW", "load", "50 %"),
                Map.of("power", "4 kW", "length", "12 m"));
        assertThat(inputs.said(MotorQuestion.POWER)).contains("4 kW");
        assertThat(inputs.origin(MotorQuestion.POWER)).isEqualTo(Origin.GIVEN);
        assertThat(inputs.origin(MotorQuestion.LOAD)).isEqualTo(Origin.DRAWN);
        assertThat(inputs.origin(MotorQuestion.DRIVES)).isEqualTo(Origin.ASSUMED);
        assertThat(inputs.said(MotorQuestion.LET_THROUGH)).isEmpty();
    }

    @Test
    void whatMakesNoSenseNamesItsPlace() {
        assertThatThrownBy(() -> new SizingInputs(
                        "M3", Practice.IEC, List.of(MotorQuestion.values()), Map.of(), Map.of("start", "soft")))
                .hasMessage("M3, start: found soft, expected one of direct, star-delta");
    }

    /** As fine as a meter or a dial shows it. */
    @ParameterizedTest
    @CsvSource({
        "4.9, 4.9",
        "2.5563, 2.56",
        "0.31249, 0.312",
        "13.14, 13.1",
        "118.27, 118.3",
        "6390.8, 6391",
        "0, 0",
        "-0.0001, 0",
        "1000, 1000",
        "9.999, 10",
        "0.05, 0.05",
        "12, 12"
    })
    void figuresAreAsFineAsTheyAreRead(double number, String written) {
        assertThat(Figures.written(number)).isEqualTo(written);
    }
}
