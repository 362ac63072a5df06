package parable;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * What the program said of a sheet, in {@code src/test/resources/kept}; a part of it was read as an electrician would read it. Whatever says something else now fails. With {@code
 * PARABLE_KEPT=write} in the environment the files are written anew, to be read again before they are committed.
 */
public final class Kept {

    private static final Path FOLDER = Path.of("src", "test", "resources", "kept");

    private Kept() {}

    /**
     * Compares.
     *
     * @param kind what is said, which is the folder
     * @param name of what
     * @param now line by line
     */
    public static void assertSame(String kind, String name, List<String> now) {
        Path file = FOLDER.resolve(kind).resolve(name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-") + ".txt");
        try {
            if ("write".equals(System.getenv("PARABLE_KEPT"))) {
                Files.createDirectories(file.getParent());
                Files.writeString(file, String.join("\n", now) + "\n");
            }
            assertThat(now).as("%s, as it is kept in %s", name, file).isEqualTo(Files.readAllLines(file));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
