package parable.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
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

    /** A docstring before a docstring belongs to nothing. Java refuses it from 23 on, and the build with it. */
    @Test
    void everyDocstringBelongsToSomething() throws Exception {
        Pattern twice = Pattern.compile("/\\*\\*(?:(?!\\*/).)*\\*/\\s*/\\*\\*", Pattern.DOTALL);
        List<Path> dangling;
        try (Stream<Path> files = Files.walk(HOME)) {
            dangling = files.filter(file -> file.toString().endsWith(".java"))
                    .filter(file -> twice.matcher(read(file)).find())
                    .toList();
        }
        assertThat(dangling).isEmpty();
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
