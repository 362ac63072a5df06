package parable.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

class FindCommandTest {

    private static final String SYMPTOM = "close Q1, turn S5 on; K1 out, F2 healthy, protection holds";

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int find(String... more) {
        CommandLine line = Main.commandLine();
        line.setOut(new PrintWriter(out, true));
        line.setErr(new PrintWriter(err, true));
        List<String> arguments = new ArrayList<>(
                List.of("find", Jobs.example("tern-hollow-direct-starters").toString(), "--sheet", "Two-wire"));
        arguments.addAll(List.of(more));
        return line.execute(arguments.toArray(String[]::new));
    }

    @Test
    void aSymptomGivesSuspectsAndTheNextLook() {
        assertThat(find("--symptom", SYMPTOM)).isZero();
        assertThat(out.toString().lines())
                .anyMatch(line -> line.matches("\\d+ suspects fit what was seen\\."))
                .anyMatch(line -> line.startsWith("Look next: Close Q1, turn S5 to on. Look at Q1, F1, M1."))
                .anyMatch(line -> line.startsWith("Then: --reading \"close Q1, turn S5 on; Q1 ..., F1 ..., M1 ...\""));
    }

    /** A wire that is off K1 A1 is found by the readings that it makes. */
    @Test
    void readingsLeadToTheMendAndWhatProvesIt() {
        assertThat(find(
                        "--symptom",
                        SYMPTOM,
                        "--reading",
                        "close Q1, turn S5 on; volts S5:14 to 2 = 230 V",
                        "--reading",
                        "close Q1, turn S5 on; volts K1:A1 to 2 = 0 V",
                        "--reading",
                        "dead; wires K1 = A1 comes off",
                        "--reading",
                        "close Q1, turn S5 on; M1 stopped"))
                .isZero();
        assertThat(out.toString().lines())
                .contains("    Put the wire back on K1 A1 and tighten it; tug those beside it.")
                .anyMatch(line -> line.startsWith("    Test: "))
                .last()
                .asString()
                .startsWith("This is advice.");
    }

    @Test
    void aMachineThatDoesWhatItShouldIsToldSo() {
        assertThat(find("--symptom", "close Q1, turn S5 on; K1 in, M1 forward, protection holds"))
                .isZero();
        assertThat(out.toString().lines()).contains("A sound panel shows the same: nothing that was told is wrong.");
    }

    @Test
    void asJsonItHasSuspectsNextLookAndWhatWasSeen() throws IOException {
        assertThat(find("--symptom", SYMPTOM, "--json")).isZero();
        JsonNode told = new ObjectMapper().readTree(out.toString());

        assertThat(told.at("/seen/0").textValue()).isEqualTo(SYMPTOM);
        assertThat(told.at("/fitting").intValue()).isBetween(10, 100);
        assertThat(told.at("/suspects")).hasSize(10);
        assertThat(told.at("/suspects/0/faults/0/tag").textValue()).isNotEmpty();
        assertThat(told.at("/next/minutes").doubleValue()).isPositive();
        assertThat(told.at("/next/shows").size()).isGreaterThan(1);
        assertThat(told.at("/sound").booleanValue()).isFalse();
        assertThat(told.at("/verdict")).isEmpty();
    }

    /** No single fault leaves the coil without voltage and the voltage on the coil. */
    @Test
    void whatCannotBeIsSaid() {
        assertThat(find(
                        "--symptom",
                        SYMPTOM,
                        "--reading",
                        "dead; wires K1 = A1 comes off",
                        "--reading",
                        "dead; dial F2 = 9.8 A"))
                .isEqualTo(1);
        assertThat(out.toString()).startsWith("That cannot be by one fault");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "--symptom | press X9; K1 out | what was done: found press X9, expected",
                "--symptom | close Q1; K9 out | what was looked at: found K9, expected a device of the sheet",
                "--doubt | 0.7 | --doubt: found 0.7, expected above 0 and below 0.5"
            })
    void whatMakesNoSenseIsSaidInOneLine(String option, String value, String words) {
        assertThat(find("--symptom", SYMPTOM, option, value)).isEqualTo(2);
        assertThat(err.toString()).startsWith(words);
        assertThat(err.toString().lines()).hasSize(1);
    }
}
