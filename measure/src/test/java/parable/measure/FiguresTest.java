package parable.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FiguresTest {

    @TempDir
    private Path folder;

    private Figures figures;

    private void write(String inPackage, String type, String body) throws IOException {
        Path file = folder.resolve(inPackage.replace('.', '/')).resolve(type + ".java");
        Files.createDirectories(file.getParent());
        Files.writeString(file, "package " + inPackage + ";\n" + body);
    }

    @BeforeEach
    void measure() throws IOException {
        write(
                "mill.sail",
                "Sail",
                """
                import mill.grind.Stone;
                final class Sail {
                    private record Hidden() {}
                    enum Kind { CLOTH, WOOD }
                    Sail(int a, int b, int c, int d, int e, int f, int g) {
                        turn();
                    }
                    @Override
                    public String toString() {
                        return "sail";
                    }
                    void turn() {}
                    abstract static class Canvas {
                        abstract int threads();
                    }
                }
                """);
        write(
                "mill.grind",
                "Stone",
                """
                import mill.sail.Sail;
                import java.util.List;
                record Stone(int a, int b, int c, int d, int e, int f, int g) {
                    enum Kind { BASALT }
                    record Hidden() {}
                    Stone {
                        if (a < 0) {
                            throw new IllegalArgumentException();
                        }
                    }
                    int grind(int a, int b, int c, int d, int e, int f, int g) {
                        int sum = a;
                        sum += b;
                        sum += c;
                        sum += d;
                        return sum;
                    }
                }
                """);
        write("mill.sack", "Sail", "import mill.grind.Stone;\ninterface Sail {}\n");
        write("mill.sack", "Canvas", "final class Canvas {}\n");
        figures = new Figures(Source.in(List.of(folder)));
    }

    @Test
    void methodsAreCountedFromTheirHeaderToTheirLastLine() {
        assertThat(figures.bodies()).as("with two constructors").isEqualTo(5);
        assertThat(figures.methodsAbove(0))
                .extracting(method -> method.type() + "." + method.name() + " " + method.lines())
                .containsExactly("Stone.grind 7", "Sail.toString 3", "Sail.turn 1");
        assertThat(figures.methodsAbove(3)).extracting(Declared.Method::name).containsExactly("grind");
    }

    @Test
    void aShareOfTheMethodsIsNoLongerThanItsFigure() {
        assertThat(figures.linesOf(20)).isEqualTo(1);
        assertThat(figures.linesOf(50)).isEqualTo(3);
        assertThat(figures.linesOf(61)).as("Stone's constructor").isEqualTo(5);
        assertThat(figures.linesOf(99)).isEqualTo(7);
    }

    @Test
    void typesCountWhatIsInside() {
        assertThat(figures.typesAbove(13))
                .extracting(type -> type.type() + " " + type.lines())
                .containsExactly("Stone 16", "Sail 15");
    }

    @Test
    void constructorsAreThoseOfAPackageAndBelow() {
        assertThat(figures.constructorsAbove(2, "mill"))
                .extracting(Declared.Constructor::type)
                .containsExactly("Stone", "Sail");
        assertThat(figures.constructorsAbove(2, "mill.sail"))
                .extracting(Declared.Constructor::type)
                .containsExactly("Sail");
        assertThat(figures.constructorsAbove(2, "mill.sa")).isEmpty();
    }

    @Test
    void aRecordMayTakeManyButNothingElse() {
        assertThat(figures.takingMoreThan(6)).containsExactly("Stone.grind takes 7", "new Sail takes 7");
        assertThat(figures.takingMoreThan(7)).isEmpty();
    }

    @Test
    void aNameAtTheTopLevelIsNotUsedAgain() {
        assertThat(figures.namedTwice().keySet())
                .as("two nested kinds are told apart by what is around them, and a private record is seen by nobody")
                .containsExactly("Canvas", "Sail");
        assertThat(figures.namedTwice().get("Sail")).containsExactly("mill.sack", "mill.sail");
    }

    @Test
    void packagesThatLeadToEachOtherMakeACircle() throws IOException {
        assertThat(figures.circles()).containsExactly(new TreeSet<>(Set.of("mill.grind", "mill.sail")));
        write("mill.grind", "Stone", "record Stone() {}\n");
        assertThat(new Figures(Source.in(List.of(folder))).circles()).isEmpty();
    }

    @Test
    void linesOfAllFilesAreCounted() throws IOException {
        assertThat(Lines.in(List.of(folder))).isEqualTo(17 + 19 + 3 + 2);
    }
}
