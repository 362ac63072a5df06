package parable.scenario;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.Examples;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.circuit.Sheet;
import parable.parts.Part;

/** A run that is not put into words is the same run: the first script of each example, at every instant. */
class UntoldTest {

    static Stream<Sheet> sheets() {
        return Examples.sheets();
    }

    private static Path script(Sheet sheet) throws IOException {
        try (Stream<Path> files = Files.list(
                Examples.FOLDER.resolve(sheet.name().toLowerCase(Locale.ROOT).replace(' ', '-')))) {
            return files.sorted().findFirst().orElseThrow();
        }
    }

    private static Bench played(Bench bench, Path script) throws Exception {
        new Player(bench, Scenario.read(Files.readString(script))).playAll();
        return bench;
    }

    private static List<Condition> conditions(Bench bench, long time) {
        return bench.assembly().parts().stream()
                .map(Part::tag)
                .map(bench.momentAt(time)::condition)
                .toList();
    }

    @ParameterizedTest
    @MethodSource("sheets")
    void isTheSameRunWithoutAStory(Sheet sheet) throws Exception {
        Bench told = played(Bench.of(Examples.fitted(sheet)), script(sheet));
        Bench untold = played(Bench.untold(Examples.fitted(sheet)), script(sheet));

        assertThat(told.story()).isNotEmpty();
        assertThat(untold.story()).isEmpty();
        assertThat(untold.instants()).isEqualTo(told.instants());
        for (long time : told.instants()) {
            assertThat(conditions(untold, time)).as("at %d us", time).isEqualTo(conditions(told, time));
        }
    }
}
