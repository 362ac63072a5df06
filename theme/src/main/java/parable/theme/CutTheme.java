package parable.theme;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A step of the build: writes the day and the night theme of the controls, cut down to the style classes that the window has ({@code worn.txt}), as the
 * toolkit reads them fastest. The toolkit holds each new kind of node against each rule; three of four rules are for controls that the window has not.
 */
public final class CutTheme {

    private CutTheme() {}

    /**
     * Writes {@code day.bss} and {@code night.bss}.
     *
     * @param arguments the folder
     * @throws IOException if a theme cannot be read or written
     */
    public static void main(String[] arguments) throws IOException {
        Path folder = Path.of(arguments[0]);
        Set<String> worn = worn();
        write("primer-light", worn, folder.resolve("day"));
        write("primer-dark", worn, folder.resolve("night"));
    }

    private static void write(String theme, Set<String> worn, Path file) throws IOException {
        StyleText cut =
                StyleText.of(read("/atlantafx/base/theme/" + theme + ".css")).within(worn);
        Path text = Path.of(file + ".css");
        Files.writeString(text, cut.toString());
        CompileStyles.compile(text);
        Files.delete(text);
    }

    private static Set<String> worn() throws IOException {
        return read("/parable/theme/worn.txt")
                .lines()
                .filter(line -> !line.startsWith("#"))
                .collect(Collectors.toSet());
    }

    private static String read(String resource) throws IOException {
        try (InputStream in = CutTheme.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
