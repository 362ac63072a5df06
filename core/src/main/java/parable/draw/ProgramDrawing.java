package parable.draw;

import java.util.ArrayList;
import java.util.List;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.Program;
import parable.program.ProgramNetwork;

/**
 * A program as a ladder: each network a strip with its remark above and its statement below, contacts from the left rail to what the network
 * ends on. Plain geometry in pixels at 100 %.
 *
 * @param strips one for each network, top to bottom
 * @param width of the whole
 * @param height of the whole
 */
public record ProgramDrawing(List<Strip> strips, double width, double height) {

    private static final double LEFT = 62;
    private static final double CELL = 118;
    private static final double ROW = 62;
    private static final double REMARK = 26;
    private static final double STATEMENT = 30;
    private static final double END = 190;
    private static final double GAP = 12;

    /** Not modified: the list is copied. */
    public ProgramDrawing {
        strips = List.copyOf(strips);
    }

    /**
     * A contact instruction or comparison.
     *
     * @param leaf its number in the network, as it is written
     * @param logic itself
     * @param x its middle
     * @param y the height of its wire
     */
    public record Instruction(int leaf, Logic logic, double x, double y) {

        /** The box around it with its texts. */
        public Box box() {
            return new Box(x - CELL / 2 + 4, y - 34, CELL - 8, 56);
        }
    }

    /**
     * A piece of wire of a network.
     *
     * @param behind what must let pass for it to be reached from the left rail, nothing for one that is joined to it
     */
    public record PowerFlow(double fromX, double fromY, double toX, double toY, List<Logic> behind) {

        /** Not modified: the list is copied. */
        public PowerFlow {
            behind = List.copyOf(behind);
        }
    }

    /**
     * One network.
     *
     * @param number its number, from 1
     * @param network itself
     * @param y its upper edge
     * @param height of it
     * @param baseline the height of the wire that leads to its end
     * @param instructions in the order in which they are written
     * @param wires between them
     * @param endX the left edge of what it ends on
     */
    public record Strip(
            int number,
            ProgramNetwork network,
            double y,
            double height,
            double baseline,
            List<Instruction> instructions,
            List<PowerFlow> wires,
            double endX) {

        /** Not modified: the lists are copied. */
        public Strip {
            instructions = List.copyOf(instructions);
            wires = List.copyOf(wires);
        }

        /** Where its left rail is. */
        public double railX() {
            return LEFT;
        }

        /** The height of the text of its statement. */
        public double statementY() {
            return y + height - 10;
        }
    }

    /** The ladder of a program. */
    public static ProgramDrawing of(Program program) {
        double widest = program.networks().stream()
                .mapToDouble(network -> columns(network.logic()) * CELL)
                .max()
                .orElse(CELL);
        double endX = LEFT + Math.max(widest, 4 * CELL) + 16;
        List<Strip> strips = new ArrayList<>();
        double y = GAP;
        for (int n = 0; n < program.networks().size(); n++) {
            Strip strip = strip(n + 1, program.networks().get(n), y, endX);
            strips.add(strip);
            y += strip.height() + GAP;
        }
        return new ProgramDrawing(strips, endX + END, y);
    }

    private static int columns(Logic logic) {
        if (logic instanceof Logic.Series series) {
            return series.parts().stream().mapToInt(ProgramDrawing::columns).sum();
        }
        return logic instanceof Logic.Parallel parallel
                ? parallel.branches().stream()
                        .mapToInt(ProgramDrawing::columns)
                        .max()
                        .orElse(1)
                : 1;
    }

    private static int rows(Logic logic) {
        if (logic instanceof Logic.Series series) {
            return series.parts().stream().mapToInt(ProgramDrawing::rows).max().orElse(1);
        }
        return logic instanceof Logic.Parallel parallel
                ? parallel.branches().stream().mapToInt(ProgramDrawing::rows).sum()
                : 1;
    }

    private static Strip strip(int number, ProgramNetwork network, double y, double endX) {
        int rows = rows(network.logic());
        boolean counter = network.end() instanceof NetworkEnd.Counter;
        double height = REMARK + Math.max(rows, counter ? 2 : 1) * ROW + STATEMENT;
        double baseline = y + REMARK + 42;
        Layout layout = new Layout();
        layout.place(network.logic(), LEFT, baseline, List.of());
        double reached = LEFT + columns(network.logic()) * CELL;
        layout.wires.add(new PowerFlow(reached, baseline, endX, baseline, List.of(network.logic())));
        return new Strip(number, network, y, height, baseline, layout.instructions, layout.wires, endX);
    }

    /** Puts the instructions of a network side by side and under each other. */
    private static final class Layout {

        private final List<Instruction> instructions = new ArrayList<>();
        private final List<PowerFlow> wires = new ArrayList<>();

        void place(Logic logic, double x, double y, List<Logic> before) {
            if (logic instanceof Logic.Series series) {
                double at = x;
                List<Logic> sofar = before;
                for (Logic part : series.parts()) {
                    place(part, at, y, sofar);
                    at += columns(part) * CELL;
                    sofar = with(sofar, part);
                }
            } else if (logic instanceof Logic.Parallel parallel) {
                placeSideBySide(parallel, x, y, before);
            } else {
                instructions.add(new Instruction(instructions.size(), logic, x + CELL / 2, y));
                wires.add(new PowerFlow(x, y, x + CELL / 2 - 11, y, before));
                wires.add(new PowerFlow(x + CELL / 2 + 11, y, x + CELL, y, with(before, logic)));
            }
        }

        private static List<Logic> with(List<Logic> before, Logic more) {
            List<Logic> all = new ArrayList<>(before);
            all.add(more);
            return all;
        }

        private void placeSideBySide(Logic.Parallel parallel, double x, double y, List<Logic> before) {
            double right = x + columns(parallel) * CELL;
            double at = y;
            double last = y;
            for (Logic branch : parallel.branches()) {
                place(branch, x, at, before);
                double ends = x + columns(branch) * CELL;
                if (ends < right) {
                    wires.add(new PowerFlow(ends, at, right, at, with(before, branch)));
                }
                last = at;
                at += rows(branch) * ROW;
            }
            wires.add(new PowerFlow(x, y, x, last, before));
            wires.add(new PowerFlow(right, y, right, last, with(before, parallel)));
        }
    }
}
