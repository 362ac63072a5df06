package parable.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * The scenario scripts that belong to a sheet: those in the folder beside the job file that is named like the sheet, in
 * lower case with dashes.
 */
final class Recipes {

    private static final String ENDING = ".scenario";

    private Recipes() {}

    /** The scripts for a sheet in the order of their names; none if there is no such folder. */
    static List<Path> of(Path jobFile, String sheet) throws IOException {
        Path folder = jobFile.toAbsolutePath()
                .resolveSibling(sheet.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"));
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.toString().endsWith(ENDING))
                    .sorted()
                    .toList();
        }
    }

    /** What a script is called on screen: its file name without number and ending. */
    static String title(Path script) {
        String name = script.getFileName().toString();
        String words = name.substring(0, name.length() - ENDING.length())
                .replaceFirst("^\\d+-", "")
                .replace('-', ' ');
        return words.isEmpty() ? name : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
