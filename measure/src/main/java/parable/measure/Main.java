package parable.measure;

import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** Prints the figures of this source; ends with exit code 1 if one of them is beyond its limit. */
public final class Main {

    private static final int LONG_METHOD = 60;
    private static final int LONG_TYPE = 450;
    private static final int LONG_CONSTRUCTOR = 40;
    private static final int MANY_PARAMETERS = 6;
    private static final List<String> MODULES = List.of("core", "app", "theme");

    private Main() {}

    /**
     * Measures.
     *
     * @param arguments the folder that the modules are in
     * @throws IOException if the source cannot be read
     */
    public static void main(String[] arguments) throws IOException {
        System.exit(print(Path.of(arguments[0]), System.out) ? 0 : 1);
    }

    /** Prints the figures of the modules in a folder; returns whether all are within their limits. */
    static boolean print(Path home, PrintStream out) throws IOException {
        Figures figures = new Figures(Source.in(folders(home, "main")));
        long main = Lines.in(folders(home, "main"));
        long test = Lines.in(folders(home, "test"));
        out.printf("Lines of Java: %d, of tests %d, which is %.1f %%%n", main, test, 100.0 * test / (main + test));
        out.printf(
                "Methods and constructors: %d; median %d lines, 99 %% at %d or less%n",
                figures.bodies(), figures.linesOf(50), figures.linesOf(99));
        return Stream.of(
                        list(
                                out,
                                "Methods above " + LONG_METHOD + " lines",
                                figures.methodsAbove(LONG_METHOD).stream()
                                        .map(one -> one.type() + "." + one.name() + ", " + one.lines())),
                        list(
                                out,
                                "Types above " + LONG_TYPE + " lines",
                                figures.typesAbove(LONG_TYPE).stream().map(one -> one.type() + ", " + one.lines())),
                        list(
                                out,
                                "Constructors of the window above " + LONG_CONSTRUCTOR + " lines",
                                figures.constructorsAbove(LONG_CONSTRUCTOR, "parable.app").stream()
                                        .map(one -> one.type() + ", " + one.lines())),
                        list(
                                out,
                                "More than " + MANY_PARAMETERS + " parameters",
                                figures.takingMoreThan(MANY_PARAMETERS).stream()),
                        list(
                                out,
                                "Names in more than one package",
                                figures.namedTwice().entrySet().stream()
                                        .map(one -> one.getKey() + " in " + String.join(", ", one.getValue()))),
                        list(
                                out,
                                "Circles of packages",
                                figures.circles().stream().map(one -> String.join(", ", one))))
                .reduce(true, Boolean::logicalAnd);
    }

    private static List<Path> folders(Path home, String kind) {
        return MODULES.stream()
                .map(module -> home.resolve(module).resolve("src").resolve(kind).resolve("java"))
                .filter(Files::isDirectory)
                .toList();
    }

    private static boolean list(PrintStream out, String heading, Stream<String> found) {
        List<String> lines = found.toList();
        out.println(heading + ": " + (lines.isEmpty() ? "none" : lines.size()));
        lines.forEach(line -> out.println("  " + line));
        return lines.isEmpty();
    }
}
