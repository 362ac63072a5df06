package parable.reach;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import parable.parts.Part;

/** What states and moves of a circuit are, in words: what motors do, which lamps are on, what is taken away. */
final class MachineWords {

    private final MovingParts parts;
    private final StateBits bits;
    private final int[] motors;
    private final int[] signals;
    private final List<Outages.Outage> outages;

    MachineWords(MovingParts parts, StateBits bits, int[] motors, int[] signals, List<Outages.Outage> outages) {
        this.parts = parts;
        this.bits = bits;
        this.motors = motors;
        this.signals = signals;
        this.outages = outages;
    }

    private String tag(int part) {
        return parts.parts.get(part).tag();
    }

    /** The tags of the motors, in the order of their numbers. */
    List<String> motors() {
        return IntStream.of(motors).mapToObj(this::tag).toList();
    }

    /** The motors that are fed. */
    List<String> driven(Conduction conduction) {
        return IntStream.range(0, motors.length)
                .filter(m -> (conduction.driven() >> m & 1) == 1)
                .mapToObj(m -> tag(motors[m]))
                .toList();
    }

    /** The tags of lamps, horns, solenoids and buttons with lamps, in the order of their numbers. */
    List<String> signals() {
        return IntStream.of(signals).mapToObj(this::tag).toList();
    }

    /** What a signal is called, by its number: its tag, or the lamp of the button that it is in. */
    String signal(int number) {
        Part part = parts.parts.get(signals[number]);
        return Conductions.isSignal(part) ? part.tag() : Effects.lampIn(part.tag());
    }

    /** What the motors do, each in words; those that do nothing are left out. */
    List<String> doing(Conduction conduction) {
        List<String> doing = new ArrayList<>();
        for (int m = 0; m < motors.length; m++) {
            if ((conduction.driven() >> m & 1) == 1) {
                boolean uneven = (conduction.uneven() >> m & 1) == 1;
                boolean reverse = (conduction.reversed() >> m & 1) == 1;
                doing.add(tag(motors[m])
                        + (uneven ? " has not all its phases" : reverse ? " runs in reverse" : " runs forward"));
            } else if ((conduction.braked() >> m & 1) == 1) {
                doing.add(tag(motors[m]) + " is braked by direct current");
            }
        }
        return doing;
    }

    /** What a settled state shows. */
    Effects effects(long state, Conduction settled) {
        List<String> in = IntStream.of(parts.moving)
                .filter(part -> parts.isIn(part, bits.value(state, part))
                        && bits.value(state, part) != Component.Armature.HANGING)
                .mapToObj(this::tag)
                .toList();
        List<String> lit = IntStream.range(0, signals.length)
                .filter(signal -> (settled.lit() >> signal & 1) == 1)
                .mapToObj(this::signal)
                .toList();
        return new Effects(doing(settled), in, lit);
    }

    /** A move in words. */
    String of(CircuitMachine.Move move) {
        return move.part() == CircuitMachine.POWER
                ? outage(move.value())
                : MoveWords.of(move, parts.parts.get(move.part()), parts.components.get(move.part()));
    }

    private String outage(int outage) {
        return outage == CircuitMachine.ALL_THERE
                ? "what was taken away is given back"
                : outages.get(outage - 1).lost();
    }
}
