package parable.program;

import java.util.BitSet;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/** A program while it runs: what its bits and blocks are, scan after scan. */
public final class ProgramRun {

    private final ScanPlan plan;
    private final int[] memory;
    private final long[] since;
    private long now;

    /** A program before its first scan: every bit 0, at 0 ms. */
    public ProgramRun(Program program) {
        this(new ScanPlan(program));
    }

    /** A plan before its first scan. */
    public ProgramRun(ScanPlan plan) {
        this(plan, plan.initial(), new long[plan.initial().length], 0);
    }

    private ProgramRun(ScanPlan plan, int[] memory, long[] since, long now) {
        this.plan = plan;
        this.memory = memory;
        this.since = since;
        this.now = now;
    }

    /** Another run at the same point as this one. */
    public ProgramRun copy() {
        return new ProgramRun(plan, memory.clone(), since.clone(), now);
    }

    /** The program. */
    public Program program() {
        return plan.program();
    }

    /**
     * Scans once, from the first network to the last.
     *
     * @param inputs the names of the variables with an input address that read 1; all others of them read 0
     * @param millis the time of the scan in ms, not before that of the scan before
     */
    public void scan(Set<String> inputs, long millis) {
        BitSet ones = new BitSet();
        for (int slot = 0; slot < program().variables().size(); slot++) {
            ones.set(slot, inputs.contains(program().variables().get(slot).name()));
        }
        scan(ones, millis);
    }

    /**
     * Like {@link #scan(Set, long)}; returns whether anything that is remembered has changed.
     *
     * @param inputs the places of the inputs that read 1 among the program's variables; not modified
     */
    public boolean scan(BitSet inputs, long millis) {
        if (millis < now) {
            throw new IllegalArgumentException("time runs forward: it is " + now + " ms, asked for " + millis);
        }
        now = millis;
        int[] before = memory.clone();
        plan.scan(memory, inputs, slot -> reached(slot));
        boolean changed = false;
        for (int slot = 0; slot < memory.length; slot++) {
            changed |= memory[slot] != before[slot];
            if (plan.runs(memory, slot) && begins(before, slot)) {
                since[slot] = now;
            }
        }
        return changed;
    }

    /** Whether a timer that runs has begun to in the scan after this memory. */
    private boolean begins(int[] before, int slot) {
        return !plan.runs(before, slot);
    }

    private int reached(int slot) {
        int reached = 0;
        for (long mark : plan.marks(slot)) {
            reached += now - since[slot] >= mark ? 1 : 0;
        }
        return reached;
    }

    /** When in ms the next timer passes a mark that the program may notice; empty if none runs. */
    public OptionalLong nextMark() {
        return plan.timers().stream()
                .filter(slot -> plan.runs(memory, slot))
                .mapToLong(slot -> since[slot] + plan.nextMark(memory, slot))
                .min();
    }

    /** Whether a network lets pass as things are now. */
    public boolean passes(Logic logic) {
        return plan.passes(memory, logic);
    }

    /** Whether a bit is 1. */
    public boolean reads(Logic.Operand operand) {
        return isOne(operand.variable());
    }

    /** Whether a variable, or the output of a block, is 1. */
    public boolean isOne(String name) {
        return plan.isOne(memory, plan.slot(name));
    }

    /** The elapsed time of a timer in ms as of the last scan. */
    public long elapsed(String timer) {
        return elapsed(timer, now);
    }

    /** The elapsed time of a timer in ms at a time, in ms, not before the last scan. */
    public long elapsed(String timer, long millis) {
        int slot = plan.slot(timer);
        if (plan.runs(memory, slot)) {
            long[] marks = plan.marks(slot);
            return Math.min(millis - since[slot], marks[marks.length - 1]);
        }
        int passed = plan.passed(memory, slot);
        return passed == 0 ? 0 : plan.marks(slot)[passed - 1];
    }

    /** How many edges a counter has counted. */
    public int counted(String counter) {
        return plan.counted(memory, plan.slot(counter));
    }

    /** This run gone on with a changed program: what is called the same and is the same kind of thing keeps its value. */
    public ProgramRun goneOnWith(ScanPlan changed) {
        ProgramRun next = new ProgramRun(changed, changed.initial(), new long[changed.initial().length], now);
        for (int slot = 0; slot < next.memory.length; slot++) {
            Variable variable = changed.program().variables().get(slot);
            Optional<Variable> old = program().variable(variable.name()).filter(one -> one.type() == variable.type());
            if (old.isPresent()) {
                int from = plan.slot(variable.name());
                boolean same = plan.marks(from).length == changed.marks(slot).length;
                next.memory[slot] = same ? memory[from] : 0;
                next.since[slot] = since[from];
            }
        }
        return next;
    }
}
