package parable.reach;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import parable.bench.Fault;
import parable.parts.Contact;

/** What the controller of a circuit does: scans that take its memory on, outputs that follow, timers of its program that come to a mark. */
final class ControllerSteps {

    private final MovingParts parts;
    private final StateBits bits;
    private final ProgrammedParts programmed;
    private final int memory;

    /** The outputs that are where the program has them at once. */
    private final int[] atOnce;

    /** For each output the part that follows it, {@link MovingParts#NONE} if the program does not write it. */
    private final int[] outputs;

    /**
     * The steps of a controller.
     *
     * @param merges whether an output that is alone on its relay follows at once
     */
    ControllerSteps(MovingParts parts, StateBits bits, ProgrammedParts programmed, boolean merges, List<Fault> faults) {
        this.parts = parts;
        this.bits = bits;
        this.programmed = programmed;
        memory = parts.memory;
        atOnce = IntStream.range(0, programmed.outputs())
                .filter(output -> merges && programmed.followsAtOnce(output, faults))
                .toArray();
        outputs = IntStream.range(0, programmed.allOutputs())
                .map(output -> {
                    OptionalInt told = programmed.output(output);
                    return told.isPresent() ? told.getAsInt() + 1 + memory : MovingParts.NONE;
                })
                .toArray();
    }

    /** The controller with its program. */
    ProgrammedParts programmed() {
        return programmed;
    }

    /** The part that stands for what the program remembers. */
    int memory() {
        return memory;
    }

    /** Whether the memory moves, as it does not where the controller is stuck. */
    boolean isMoving() {
        return parts.rank[memory] >= 0;
    }

    /** The outputs that are where the program has them at once. */
    int[] atOnce() {
        return atOnce.clone();
    }

    /** What is remembered in a state. */
    int memory(long state) {
        return bits.valueOfMoving(state, memory);
    }

    private int timer(int number) {
        return memory + 1 + programmed.outputs() + number;
    }

    /** The number of a timer of the program. */
    int timerOf(int part) {
        return part - timer(0);
    }

    /** The state with another memory; all timers that have come to a mark have been noticed. */
    long scanned(long state, int becomes) {
        long after = bits.with(state, memory, becomes);
        for (int timer = 0; timer < programmed.timers(); timer++) {
            after = bits.with(after, timer(timer), 0);
        }
        for (int output : atOnce) {
            after = bits.with(after, memory + 1 + output, programmed.tells(becomes, output) ? 1 : 0);
        }
        return after;
    }

    /** Whether the controller scans in a state. */
    boolean scans(long state, Conduction conduction) {
        return conduction.scans() && bits.value(state, programmed.part()) == 1;
    }

    private int ripe(long state) {
        int ripe = 0;
        for (int timer = 0; timer < programmed.timers(); timer++) {
            ripe |= bits.valueOfMoving(state, timer(timer)) << timer;
        }
        return ripe;
    }

    /** The memory after the next scan, or after the controller was stopped; what it is if nothing would change. */
    int remembersNext(long state, Conduction conduction) {
        return scans(state, conduction) ? programmed.scanned(memory(state), conduction.reads(), ripe(state)) : 0;
    }

    /** Whether a scan would change anything, or stopping the controller has yet to. */
    boolean isToScan(long state, int becomes) {
        return becomes != memory(state) || ripe(state) != 0;
    }

    /** Whether a scan is due, an output is told to close, or a timer of the program runs. */
    boolean isTold(long state, int part, Conduction conduction) {
        if (part == memory) {
            return isToScan(state, remembersNext(state, conduction));
        }
        int output = part - memory - 1;
        return output < programmed.outputs()
                ? programmed.tells(memory(state), output)
                : bits.valueOfMoving(state, part) == 0 && programmed.runs(memory(state), output - programmed.outputs());
    }

    /** Whether the contact of an output is closed. */
    boolean isOn(long state, Contact contact) {
        int output = contact.closedIn() - 1;
        return output < outputs.length
                && outputs[output] != MovingParts.NONE
                && bits.value(state, outputs[output]) == 1;
    }
}
