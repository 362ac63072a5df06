package parable.draw;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import parable.program.Logic;
import parable.program.Program;
import parable.program.Programs;
import parable.starters.Library;

/** The drawn ladder of a program: what it lets pass, followed along its lines, is what its networks say. */
class ProgramDrawingTest {

    private static final double GAP = 11;
    private static final double NEAR = 0.5;

    static Stream<Program> ofLibrary() {
        return Library.jobs().stream().flatMap(job -> job.sheets().stream()).flatMap(sheet -> sheet.program().stream());
    }

    @ParameterizedTest
    @MethodSource("ofLibrary")
    void theProgramsOfTheLibraryAreDrawnRight(Program program) {
        assertDrawnRight(program, new Random(1));
    }

    @Property(tries = 300)
    void whateverIsProgrammedIsDrawnRight(@ForAll long seed) {
        assertDrawnRight(Programs.by(seed), new Random(seed));
    }

    private static void assertDrawnRight(Program program, Random random) {
        ProgramDrawing drawing = ProgramDrawing.of(program);
        assertThat(drawing.strips()).hasSameSizeAs(program.networks());
        double below = 0;
        for (ProgramDrawing.Strip strip : drawing.strips()) {
            assertThat(strip.y()).isGreaterThanOrEqualTo(below);
            below = strip.y() + strip.height();
            assertThat(below).isLessThanOrEqualTo(drawing.height());
            assertInstructionsStandApart(strip, drawing);
            for (int i = 0; i < 8; i++) {
                Map<Integer, Boolean> passing = new HashMap<>();
                strip.instructions().forEach(instruction -> passing.put(instruction.leaf(), random.nextBoolean()));
                assertThat(conducts(strip, passing))
                        .as("network %d %s", strip.number(), passing)
                        .isEqualTo(isTrue(strip.network().logic(), passing, new int[1]));
            }
        }
    }

    private static void assertInstructionsStandApart(ProgramDrawing.Strip strip, ProgramDrawing drawing) {
        List<ProgramDrawing.Instruction> all = strip.instructions();
        for (int i = 0; i < all.size(); i++) {
            Box box = all.get(i).box();
            assertThat(box.x()).isGreaterThanOrEqualTo(strip.railX());
            assertThat(box.x() + box.width()).isLessThanOrEqualTo(Math.min(strip.endX(), drawing.width()));
            for (int j = i + 1; j < all.size(); j++) {
                assertThat(box.overlaps(all.get(j).box())).isFalse();
            }
        }
    }

    /** Whether one comes from the left rail to the end along wires and instructions that let pass. */
    private static boolean conducts(ProgramDrawing.Strip strip, Map<Integer, Boolean> passing) {
        List<double[]> lines = new ArrayList<>();
        strip.wires().forEach(wire -> lines.add(new double[] {wire.fromX(), wire.fromY(), wire.toX(), wire.toY()}));
        strip.instructions().stream()
                .filter(instruction -> passing.get(instruction.leaf()))
                .forEach(one -> lines.add(new double[] {one.x() - GAP, one.y(), one.x() + GAP, one.y()}));
        boolean[] reached = new boolean[lines.size()];
        boolean further = true;
        for (int i = 0; i < lines.size(); i++) {
            reached[i] = isOn(strip.railX(), strip.baseline(), lines.get(i));
        }
        while (further) {
            further = false;
            for (int i = 0; i < lines.size(); i++) {
                int line = i;
                boolean now = reached[i]
                        || IntStream.range(0, lines.size())
                                .anyMatch(other -> reached[other] && meet(lines.get(line), lines.get(other)));
                further |= now != reached[i];
                reached[i] = now;
            }
        }
        return IntStream.range(0, lines.size())
                .anyMatch(i -> reached[i] && isOn(strip.endX(), strip.baseline(), lines.get(i)));
    }

    private static boolean meet(double[] one, double[] other) {
        return isOn(one[0], one[1], other)
                || isOn(one[2], one[3], other)
                || isOn(other[0], other[1], one)
                || isOn(other[2], other[3], one);
    }

    private static boolean isOn(double x, double y, double[] line) {
        return x >= Math.min(line[0], line[2]) - NEAR
                && x <= Math.max(line[0], line[2]) + NEAR
                && y >= Math.min(line[1], line[3]) - NEAR
                && y <= Math.max(line[1], line[3]) + NEAR;
    }

    /** What a network says; its contacts are counted as they are written. */
    private static boolean isTrue(Logic logic, Map<Integer, Boolean> passing, int[] leaf) {
        if (logic instanceof Logic.Series series) {
            boolean all = true;
            for (Logic part : series.parts()) {
                all &= isTrue(part, passing, leaf);
            }
            return all;
        }
        if (logic instanceof Logic.Parallel parallel) {
            boolean any = false;
            for (Logic branch : parallel.branches()) {
                any |= isTrue(branch, passing, leaf);
            }
            return any;
        }
        return passing.get(leaf[0]++);
    }
}
