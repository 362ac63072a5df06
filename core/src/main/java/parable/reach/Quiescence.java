package parable.reach;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import parable.parts.TimerProgram;

/** Where a machine comes to rest but for timers that run, and which timers those are. */
public final class Quiescence {

    /** What takes less than this, in microseconds, is waited for as for a contact. */
    static final long SLOW = 100_000;

    private final CircuitMachine machine;
    private final Map<Long, Rests> known = new HashMap<>();

    /** Of a machine; what is found is remembered. */
    public Quiescence(CircuitMachine machine) {
        this.machine = machine;
    }

    /**
     * The states in which nothing but timers runs that may be come to by itself.
     *
     * @param shorted whether a short circuit may be met on the way
     * @param restless whether it may go on for ever without coming to rest
     */
    public record Rests(Set<Long> states, boolean shorted, boolean restless) {}

    /** Whether all armatures have followed their coils in a state, and whatever else is quick has happened: only timers may run. */
    public boolean isStill(long state, Conduction conduction) {
        return machine.allOwn(
                state,
                conduction,
                (part, value) -> isSlow(state, part, value) || machine.mayStay(state, part, conduction));
    }

    /** Where it comes to rest from a state by itself. */
    public Rests from(long state) {
        return known.computeIfAbsent(state, this::find);
    }

    private Rests find(long from) {
        Set<Long> rests = new LinkedHashSet<>();
        Set<Long> ends = new HashSet<>();
        Map<Long, List<Long>> before = new HashMap<>();
        Set<Long> seen = new LinkedHashSet<>(Set.of(from));
        Deque<Long> waiting = new ArrayDeque<>(seen);
        while (!waiting.isEmpty()) {
            long state = waiting.poll();
            Conduction conduction = machine.conduction(state);
            if (conduction.shorted()) {
                ends.add(state);
                continue;
            }
            List<CircuitMachine.Move> quick = machine.ownMoves(state, conduction).stream()
                    .filter(move -> !isSlow(state, move.part(), move.value()))
                    .toList();
            if (quick.isEmpty()) {
                rests.add(state);
                ends.add(state);
            }
            for (CircuitMachine.Move move : quick) {
                long next = machine.with(state, move);
                before.computeIfAbsent(next, any -> new ArrayList<>(2)).add(state);
                if (seen.add(next)) {
                    waiting.add(next);
                }
            }
        }
        return new Rests(
                rests, ends.size() > rests.size(), leadingTo(ends, before).size() < seen.size());
    }

    private static Set<Long> leadingTo(Set<Long> ends, Map<Long, List<Long>> before) {
        Set<Long> leading = new HashSet<>(ends);
        Deque<Long> waiting = new ArrayDeque<>(ends);
        while (!waiting.isEmpty()) {
            for (long earlier : before.getOrDefault(waiting.poll(), List.of())) {
                if (leading.add(earlier)) {
                    waiting.add(earlier);
                }
            }
        }
        return leading;
    }

    /** Whether what a part does next, by itself, takes so long that it need not be waited for. */
    private boolean isSlow(long state, int part, int becomes) {
        Component component = machine.component(part);
        if (component instanceof Component.ProgramTimer) {
            return machine.programmed()
                    .filter(controller ->
                            controller.toNextMark(machine.memory(state), machine.programTimer(part)) >= SLOW)
                    .isPresent();
        }
        if (!(component instanceof Component.Clockwork clock)) {
            return false;
        }
        int value = machine.value(state, part);
        boolean notices = Component.Clockwork.phase(value) == Component.Clockwork.RELEASED && becomes == clock.idle();
        if (notices) {
            return slow(clock.program().released().get(0));
        }
        return clock.nextStage(value).filter(stage -> stage == becomes).isPresent()
                && slow(clock.stageAfter(value).orElseThrow());
    }

    private static boolean slow(TimerProgram.Stage stage) {
        return stage.after().nominal() >= SLOW;
    }

    /** The timers that run at a rest, each with what it does when it runs out, by the tag of the device, or what a program's timer is named after. */
    public Map<String, List<CircuitMachine.Move>> timers(long state) {
        Map<String, List<CircuitMachine.Move>> timers = new HashMap<>();
        for (CircuitMachine.Move move : machine.ownMoves(state, machine.conduction(state))) {
            String tag = machine.parts().get(move.part()).tag().split("_", 2)[0];
            timers.computeIfAbsent(tag, any -> new ArrayList<>()).add(move);
        }
        return timers;
    }
}
