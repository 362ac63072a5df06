package parable.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The source of this program is within the limits that it has set itself. */
class HouseTest {

    private static final Path HOME = Path.of("..").toAbsolutePath().normalize();

    @Test
    void nothingIsBeyondItsLimit() throws Exception {
        ByteArrayOutputStream printed = new ByteArrayOutputStream();
        boolean within;
        try (PrintStream out = new PrintStream(printed, true, StandardCharsets.UTF_8)) {
            within = Main.print(HOME, out);
        }
        assertThat(within).as(printed.toString(StandardCharsets.UTF_8)).isTrue();
    }

    @Test
    void halfOfTheMethodsHaveFiveLinesOrFewerAndHardlyAnyMoreThanForty() throws Exception {
        Figures figures =
                new Figures(Source.in(List.of(HOME.resolve("core/src/main/java"), HOME.resolve("app/src/main/java"))));
        assertThat(figures.linesOf(50)).isLessThanOrEqualTo(5);
        assertThat(figures.linesOf(99)).isLessThanOrEqualTo(40);
    }
}
