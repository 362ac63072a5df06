package parable.theme;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.css.Stylesheet;

/** A step of the build: lays the binary form beside each style sheet of a folder, where the toolkit finds it and need not read the text. */
public final class CompileStyles {

    private CompileStyles() {}

    /**
     * Compiles.
     *
     * @param arguments the folder
     * @throws IOException if a style sheet cannot be read or written
     */
    public static void main(String[] arguments) throws IOException {
        try (DirectoryStream<Path> sheets = Files.newDirectoryStream(Path.of(arguments[0]), "*.css")) {
            for (Path sheet : sheets) {
                compile(sheet);
            }
        }
    }

    static void compile(Path sheet) throws IOException {
        String name = sheet.getFileName().toString();
        Path binary = sheet.resolveSibling(name.substring(0, name.lastIndexOf('.')) + ".bss");
        Stylesheet.convertToBinary(sheet.toFile(), binary.toFile());
    }
}
