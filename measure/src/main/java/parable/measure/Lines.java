package parable.measure;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** How many lines of Java there are, blank ones and comments counted. */
final class Lines {

    private Lines() {}

    /** The lines of all Java files in some folders and below. */
    static long in(List<Path> folders) throws IOException {
        long lines = 0;
        for (Path folder : folders) {
            try (Stream<Path> below = Files.walk(folder)) {
                for (Path file :
                        (Iterable<Path>) below.filter(one -> one.toString().endsWith(".java"))::iterator) {
                    try (Stream<String> of = Files.lines(file)) {
                        lines += of.count();
                    }
                }
            }
        }
        return lines;
    }
}
