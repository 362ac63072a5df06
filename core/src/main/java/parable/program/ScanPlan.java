package parable.program;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A program made ready to be scanned. What it remembers from scan to scan is one small number for each of its variables, in their
 * order; those of inputs are 0 or 1 as they were read last. The bench and the proof scan with the same plan.
 */
public final class ScanPlan {

    private final Program program;

    /** By their names as they are declared, and in capitals. */
    private final Map<String, Integer> slots = new HashMap<>();

    private final List<Optional<BlockCode>> blocks = new ArrayList<>();
    private final List<long[]> marks = new ArrayList<>();
    private final BitSet inputs = new BitSet();
    private final BitSet remembered = new BitSet();
    private final List<Integer> timers;

    /** The plan of a program. */
    public ScanPlan(Program program) {
        this.program = program;
        List<Variable> variables = program.variables();
        for (int slot = 0; slot < variables.size(); slot++) {
            Variable variable = variables.get(slot);
            slots.put(variable.name(), slot);
            slots.put(key(variable.name()), slot);
            inputs.set(slot, isIn(variable, Address.Area.INPUT));
            remembered.set(slot, isIn(variable, Address.Area.OUTPUT));
            marks.add(marks(variable));
            blocks.add(block(variable, marks.get(slot).length));
        }
        findRemembered();
        timers = IntStream.range(0, blocks.size())
                .filter(slot -> blocks.get(slot).orElse(null) instanceof BlockCode.OfTimer)
                .boxed()
                .toList();
    }

    private static String key(String name) {
        return name.toUpperCase(Locale.ROOT);
    }

    private static boolean isIn(Variable variable, Address.Area area) {
        return variable.address().filter(at -> at.area() == area).isPresent();
    }

    private long[] marks(Variable variable) {
        TreeSet<Long> marks = new TreeSet<>();
        long preset = program.networks().stream()
                .filter(network -> network.end() instanceof NetworkEnd.Timer timer
                        && key(timer.variable()).equals(key(variable.name())))
                .mapToLong(network -> ((NetworkEnd.Timer) network.end()).millis())
                .findFirst()
                .orElse(0);
        program.networks().stream()
                .flatMap(network -> everyLogic(network))
                .flatMap(ScanPlan::leaves)
                .filter(leaf -> leaf instanceof Logic.Elapsed elapsed
                        && key(elapsed.timer()).equals(key(variable.name())))
                .map(leaf -> ((Logic.Elapsed) leaf).millis())
                .forEach(marks::add);
        marks.add(preset);
        return marks.stream()
                .mapToLong(Long::longValue)
                .filter(mark -> mark > 0 && mark <= preset)
                .toArray();
    }

    private static Stream<Logic> everyLogic(ProgramNetwork network) {
        return network.end() instanceof NetworkEnd.Counter counter
                ? Stream.of(network.logic(), counter.reset())
                : Stream.of(network.logic());
    }

    private static Stream<Logic> leaves(Logic logic) {
        if (logic instanceof Logic.Series series) {
            return series.parts().stream().flatMap(ScanPlan::leaves);
        }
        return logic instanceof Logic.Parallel parallel
                ? parallel.branches().stream().flatMap(ScanPlan::leaves)
                : Stream.of(logic);
    }

    private Optional<BlockCode> block(Variable variable, int marked) {
        return switch (variable.type()) {
            case BOOL -> Optional.empty();
            case TON -> Optional.of(new BlockCode.OnDelay(marked));
            case TOF -> Optional.of(new BlockCode.OffDelay(marked));
            case TP -> Optional.of(new BlockCode.Pulse(marked));
            case CTU -> Optional.of(new BlockCode.UpCounter(preset(variable)));
            case R_TRIG -> Optional.of(new BlockCode.EdgeCode(true));
            case F_TRIG -> Optional.of(new BlockCode.EdgeCode(false));
        };
    }

    private int preset(Variable counter) {
        return program.networks().stream()
                .map(ProgramNetwork::end)
                .filter(end ->
                        end instanceof NetworkEnd.Counter && key(end.variable()).equals(key(counter.name())))
                .mapToInt(end -> ((NetworkEnd.Counter) end).preset())
                .findFirst()
                .orElse(1);
    }

    /** A bit has to be remembered if something reads or keeps it before it is written in a scan; an output in any case. */
    private void findRemembered() {
        BitSet written = new BitSet();
        for (ProgramNetwork network : program.networks()) {
            everyLogic(network)
                    .flatMap(Logic::operands)
                    .map(operand -> slot(operand.variable()))
                    .filter(slot -> !written.get(slot) && !inputs.get(slot))
                    .forEach(remembered::set);
            int slot = slot(network.end().variable());
            boolean keeps = network.end() instanceof NetworkEnd.Coil coil
                    && (coil.kind() == NetworkEnd.Coil.Kind.SET || coil.kind() == NetworkEnd.Coil.Kind.RESET);
            if (blocks.get(slot).isPresent() || keeps && !written.get(slot)) {
                remembered.set(slot);
            }
            written.set(slot);
        }
    }

    /** The program. */
    public Program program() {
        return program;
    }

    /** What is remembered before the first scan. */
    public int[] initial() {
        return new int[program.variables().size()];
    }

    /** The place of a variable among the program's, in capitals or not. */
    public int slot(String variable) {
        Integer declared = slots.get(variable);
        Integer slot = declared == null ? slots.get(key(variable)) : declared;
        if (slot == null) {
            throw new IllegalArgumentException(variable + ": the program has no such variable");
        }
        return slot;
    }

    /**
     * Scans once, from the first network to the last.
     *
     * @param memory what is remembered; becomes what is remembered after the scan
     * @param ones the places of the inputs that read 1; not modified
     * @param reached for the place of a timer that runs, how many of its marks its elapsed time has reached
     */
    public void scan(int[] memory, BitSet ones, IntUnaryOperator reached) {
        for (int slot = inputs.nextSetBit(0); slot >= 0; slot = inputs.nextSetBit(slot + 1)) {
            memory[slot] = ones.get(slot) ? 1 : 0;
        }
        for (ProgramNetwork network : program.networks()) {
            perform(memory, network.end(), passes(memory, network.logic()), reached);
        }
    }

    private void perform(int[] memory, NetworkEnd end, boolean passes, IntUnaryOperator reached) {
        int slot = slot(end.variable());
        if (end instanceof NetworkEnd.Coil coil) {
            boolean is = memory[slot] == 1;
            boolean becomes =
                    switch (coil.kind()) {
                        case NORMAL -> passes;
                        case NEGATED -> !passes;
                        case SET -> is || passes;
                        case RESET -> is && !passes;
                    };
            memory[slot] = becomes ? 1 : 0;
            return;
        }
        BlockCode block = blocks.get(slot).orElseThrow();
        if (block instanceof BlockCode.OfTimer timer) {
            int now = timer.runs(memory[slot]) ? reached.applyAsInt(slot) : 0;
            memory[slot] = timer.called(memory[slot], passes, now);
        } else if (block instanceof BlockCode.UpCounter counter) {
            memory[slot] = counter.called(memory[slot], passes, passes(memory, ((NetworkEnd.Counter) end).reset()));
        } else {
            memory[slot] = ((BlockCode.EdgeCode) block).called(memory[slot], passes);
        }
    }

    /** Whether a network lets pass as things are. */
    public boolean passes(int[] memory, Logic logic) {
        if (logic instanceof Logic.LadderContact contact) {
            return isOne(memory, slot(contact.operand().variable())) != contact.closed();
        }
        if (logic instanceof Logic.Elapsed elapsed) {
            return hasElapsed(memory, elapsed) == elapsed.atLeast();
        }
        return logic instanceof Logic.Series series
                ? series.parts().stream().allMatch(part -> passes(memory, part))
                : ((Logic.Parallel) logic).branches().stream().anyMatch(part -> passes(memory, part));
    }

    private boolean hasElapsed(int[] memory, Logic.Elapsed elapsed) {
        int slot = slot(elapsed.timer());
        int mark = Arrays.binarySearch(marks.get(slot), elapsed.millis());
        return elapsed.millis() == 0 || mark >= 0 && passed(memory, slot) > mark;
    }

    /** Whether the bit, or the output of the block, at a place is 1. */
    public boolean isOne(int[] memory, int slot) {
        return blocks.get(slot).map(block -> block.output(memory[slot])).orElse(memory[slot] == 1);
    }

    /** Whether the timer at a place counts time; false for what is no timer. */
    public boolean runs(int[] memory, int slot) {
        return blocks.get(slot).orElse(null) instanceof BlockCode.OfTimer timer && timer.runs(memory[slot]);
    }

    /** How many marks the timer at a place has passed. */
    public int passed(int[] memory, int slot) {
        return ((BlockCode.OfTimer) blocks.get(slot).orElseThrow()).passed(memory[slot]);
    }

    /** The marks of the timer at a place, in ms, in order; the last is its preset time. */
    public long[] marks(int slot) {
        return marks.get(slot).clone();
    }

    /** The time in ms at which the timer at a place passes its next mark, counted from when it began; it must run. */
    public long nextMark(int[] memory, int slot) {
        return marks.get(slot)[passed(memory, slot)];
    }

    /** How many edges the counter at a place has counted. */
    int counted(int[] memory, int slot) {
        return memory[slot] >> 1;
    }

    /** The places of the timers, in order. */
    public List<Integer> timers() {
        return timers;
    }

    /** How many bits what must be remembered takes. */
    public int bits() {
        return remembered.stream().map(this::bits).sum();
    }

    private int bits(int slot) {
        return blocks.get(slot).map(BlockCode::bits).orElse(1);
    }

    /**
     * What must be remembered in one number; two memories of the same number behave the same for ever. Not modified.
     *
     * @throws IllegalStateException if it takes more than 62 bits
     */
    public long packed(int[] memory) {
        if (bits() >= Long.SIZE - 1) {
            throw new IllegalStateException("a program that remembers " + bits() + " bits");
        }
        long packed = 0;
        int at = 0;
        for (int slot = remembered.nextSetBit(0); slot >= 0; slot = remembered.nextSetBit(slot + 1)) {
            int value = memory[slot];
            packed |= (long) blocks.get(slot).map(block -> block.folded(value)).orElse(value) << at;
            at += bits(slot);
        }
        return packed;
    }

    /** Where in the packed number the value at a place begins, by bits from the lowest; it must be remembered. */
    public int shiftOf(int slot) {
        return remembered.stream()
                .filter(before -> before < slot)
                .map(this::bits)
                .sum();
    }

    /** How many bits the value at a place takes in the packed number. */
    public int widthOf(int slot) {
        return bits(slot);
    }

    /** The memory of a packed number; what need not be remembered is 0. */
    public int[] unpacked(long packed) {
        int[] memory = initial();
        int at = 0;
        for (int slot = remembered.nextSetBit(0); slot >= 0; slot = remembered.nextSetBit(slot + 1)) {
            memory[slot] = (int) (packed >> at) & (1 << bits(slot)) - 1;
            at += bits(slot);
        }
        return memory;
    }
}
