package parable.plc;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A program while it runs: what its bits and blocks are, scan after scan. */
public final class ProgramRun {

    private final Program program;
    private final Set<String> ones = new HashSet<>();
    private final Map<String, Block> blocks = new HashMap<>();
    private long now;

    /** What an instance of a function block remembers; times in ms. */
    private static final class Block {
        private boolean input;
        private boolean output;
        private long elapsed;
        private int counted;
        private boolean running;
    }

    /** A program before its first scan: every bit 0, at 0 ms. */
    public ProgramRun(Program program) {
        this.program = program;
        program.variables().stream()
                .filter(variable -> variable.type() != VariableType.BOOL)
                .forEach(variable -> blocks.put(key(variable.name()), new Block()));
    }

    private static String key(String name) {
        return name.toUpperCase(Locale.ROOT);
    }

    /**
     * Scans once, from the first network to the last.
     *
     * @param inputs the names of the variables with an input address that read 1; all others of them read 0
     * @param millis the time of the scan in ms, not before that of the scan before
     */
    public void scan(Set<String> inputs, long millis) {
        if (millis < now) {
            throw new IllegalArgumentException("time runs forward: it is " + now + " ms, asked for " + millis);
        }
        for (Variable variable : program.variables()) {
            if (variable.address().filter(at -> at.area() == Address.Area.INPUT).isPresent()) {
                set(variable.name(), inputs.contains(variable.name()));
            }
        }
        long passed = millis - now;
        now = millis;
        for (Network network : program.networks()) {
            perform(network.end(), passes(network.logic()), passed);
        }
    }

    private void set(String name, boolean one) {
        if (one) {
            ones.add(key(name));
        } else {
            ones.remove(key(name));
        }
    }

    /** Whether a network lets pass as things are now. */
    public boolean passes(Logic logic) {
        if (logic instanceof Logic.Contact contact) {
            return reads(contact.operand()) != contact.closed();
        }
        if (logic instanceof Logic.Elapsed elapsed) {
            return block(elapsed.timer()).elapsed >= elapsed.millis() == elapsed.atLeast();
        }
        return logic instanceof Logic.Series series
                ? series.parts().stream().allMatch(this::passes)
                : ((Logic.Parallel) logic).branches().stream().anyMatch(this::passes);
    }

    /** Whether a bit is 1. */
    public boolean reads(Logic.Operand operand) {
        return operand.output() ? block(operand.variable()).output : ones.contains(key(operand.variable()));
    }

    /** Whether a variable, or the output of a block, is 1. */
    public boolean isOne(String name) {
        return Optional.ofNullable(blocks.get(key(name)))
                .map(block -> block.output)
                .orElseGet(() -> ones.contains(key(name)));
    }

    /** The elapsed time of a timer in ms. */
    public long elapsed(String timer) {
        return block(timer).elapsed;
    }

    /** How many edges a counter has counted. */
    public int counted(String counter) {
        return block(counter).counted;
    }

    private Block block(String name) {
        return Optional.ofNullable(blocks.get(key(name)))
                .orElseThrow(() -> new IllegalArgumentException(name + ": the program has no such block"));
    }

    private void perform(NetworkEnd end, boolean passes, long passed) {
        if (end instanceof NetworkEnd.Coil coil) {
            switch (coil.kind()) {
                case NORMAL -> set(coil.variable(), passes);
                case NEGATED -> set(coil.variable(), !passes);
                case SET -> set(coil.variable(), passes || ones.contains(key(coil.variable())));
                case RESET -> set(coil.variable(), !passes && ones.contains(key(coil.variable())));
            }
        } else if (end instanceof NetworkEnd.Timer timer) {
            time(timer, passes, passed);
        } else if (end instanceof NetworkEnd.Counter counter) {
            count(counter, passes);
        } else {
            Block block = block(end.variable());
            boolean rising = type(end.variable()) == VariableType.R_TRIG;
            block.output = rising ? passes && !block.input : !passes && block.input;
            block.input = passes;
        }
    }

    private VariableType type(String name) {
        return program.variable(name).orElseThrow().type();
    }

    /** IEC 61131-3, standard timers; a timer counts from the scan in which its input changes. */
    private void time(NetworkEnd.Timer timer, boolean passes, long passed) {
        Block block = block(timer.variable());
        VariableType type = type(timer.variable());
        boolean begins = type == VariableType.TOF ? !passes && block.input : passes && !block.input;
        if (type == VariableType.TP) {
            begins = begins && !block.running;
        }
        long before = begins ? 0 : block.elapsed + (block.running ? passed : 0);
        block.running = switch (type) {
            case TON -> passes;
            case TOF -> !passes && (begins || block.running);
            case TP, BOOL, CTU, R_TRIG, F_TRIG -> begins || block.running;
        };
        block.elapsed = block.running ? Math.min(timer.millis(), before) : 0;
        boolean over = block.elapsed >= timer.millis();
        block.output = switch (type) {
            case TON -> passes && over;
            case TOF -> passes || block.running && !over;
            case TP, BOOL, CTU, R_TRIG, F_TRIG -> block.running && !over;
        };
        if (type == VariableType.TP && over && !passes) {
            block.running = false;
            block.elapsed = 0;
        }
        block.input = passes;
    }

    private void count(NetworkEnd.Counter counter, boolean passes) {
        Block block = block(counter.variable());
        if (passes(counter.reset())) {
            block.counted = 0;
        } else if (passes && !block.input) {
            block.counted = Math.min(Short.MAX_VALUE, block.counted + 1);
        }
        block.output = block.counted >= counter.preset();
        block.input = passes;
    }
}
