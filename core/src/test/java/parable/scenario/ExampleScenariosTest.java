package parable.scenario;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import parable.Examples;
import parable.bench.Bench;
import parable.circuit.Sheet;

/** Every scenario that ships, on the sheet that its folder is named after. */
class ExampleScenariosTest {

    @TestFactory
    Stream<DynamicTest> everyExpectationIsMet() {
        return Examples.sheets().flatMap(sheet -> scripts(sheet)
                .map(script -> DynamicTest.dynamicTest(
                        sheet.name() + ": " + script.getFileName(), () -> assertAllMet(sheet, script))));
    }

    private static Stream<Path> scripts(Sheet sheet) {
        try (Stream<Path> files = Files.list(
                Examples.FOLDER.resolve(sheet.name().toLowerCase(Locale.ROOT).replace(' ', '-')))) {
            return files.sorted().toList().stream();
        } catch (IOException unreadable) {
            throw new AssertionError(unreadable);
        }
    }

    static void assertAllMet(Sheet sheet, Path script) throws IOException, ScenarioException {
        Player player = new Player(Bench.of(Examples.fitted(sheet)), Scenario.read(Files.readString(script)));
        player.playAll();
        assertThat(player.outcomes()).isNotEmpty().allSatisfy(outcome -> assertThat(outcome.foundInstead())
                .as(
                        "line %s: %s",
                        outcome.step().line(), outcome.step().expectation().text())
                .isEmpty());
    }

    @Test
    void withTheSealInWireCutItRunsOnlyWhileTheButtonIsHeld() throws Exception {
        String cut = Examples.pressHouseText().replace("        \"@6 K1[13-14] @7 ; holds itself in\",\n", "");
        Path script = Path.of("src", "test", "resources", "scenarios", "seal-in-cut.scenario");

        assertThat(cut).isNotEqualTo(Examples.pressHouseText());
        assertAllMet(Examples.read(cut).sheets().get(0), script);
    }
}
