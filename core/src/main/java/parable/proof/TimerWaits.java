package parable.proof;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import parable.parts.Drive;
import parable.parts.Part;
import parable.parts.TimeRange;
import parable.parts.TimerProgram;
import parable.reach.CircuitMachine;
import parable.reach.Component;
import parable.reach.Conduction;
import parable.reach.Explorer;

/**
 * {@code awaits:TIMER}: from rest no motor is fed before that timer has run its time, whatever is done. A timer that a motor does not
 * wait for raises no claim.
 */
final class TimerWaits implements ClaimSource {

    private final CircuitMachine machine;
    private final Explorer explorer;

    TimerWaits(CircuitMachine machine, Explorer explorer) {
        this.machine = machine;
        this.explorer = explorer;
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        for (int part : machine.moving()) {
            boolean runs = machine.component(part) instanceof Component.Clockwork clock
                    && time(clock.program()).longest() > 0;
            if (runs && explorer.isComplete() && !machine.mayNeverSettle() && isAwaited(part)) {
                claims.add(Claim.holding(
                        "awaits:" + machine.parts().get(part).tag(),
                        "From rest no motor is fed before "
                                + words(machine.parts().get(part)) + ", whatever is done.",
                        Verdict.HOLDS_AT_ANY_SPEED,
                        List.of()));
            }
        }
        return claims;
    }

    private static String words(Part timer) {
        TimeRange time = time(((Drive.ByTimer) timer.drive()).program());
        return String.format(
                Locale.ROOT,
                "%s has run its time of %.2f to %.2f s",
                timer.tag(),
                time.shortest() / 1e6,
                time.longest() / 1e6);
    }

    /** The longest of its times, which is the one that is set. */
    private static TimeRange time(TimerProgram program) {
        return program.fed().stream()
                .map(TimerProgram.Stage::after)
                .max(Comparator.comparingLong(TimeRange::longest))
                .orElse(TimeRange.AT_ONCE);
    }

    /** Whether no driven state can be reached from a rest with an idle timer unless the timer has run its time. */
    private boolean isAwaited(int timer) {
        BitSet seen = new BitSet();
        Deque<Integer> waiting = new ArrayDeque<>();
        for (int index : explorer.settled()) {
            if (!explorer.isDriven(index) && isIdle(explorer.states().key(index), timer)) {
                seen.set(index);
                waiting.add(index);
            }
        }
        boolean everDriven = false;
        for (int index = 0; index < explorer.states().size() && !everDriven; index++) {
            everDriven = explorer.isDriven(index);
        }
        while (!waiting.isEmpty() && everDriven) {
            int index = waiting.poll();
            if (explorer.isDriven(index)) {
                return false;
            }
            long state = explorer.states().key(index);
            Conduction conduction = machine.conduction(state);
            machine.eachByHand(state, next -> add(next, state, timer, seen, waiting));
            if (!conduction.shorted()) {
                machine.eachOwn(state, conduction, next -> add(next, state, timer, seen, waiting));
            }
        }
        return everDriven && !seen.isEmpty();
    }

    private void add(long next, long state, int timer, BitSet seen, Deque<Integer> waiting) {
        Component.Clockwork clock = (Component.Clockwork) machine.component(timer);
        int value = machine.value(state, timer);
        boolean goesOn = clock.nextStage(value)
                        .filter(stage -> stage == machine.value(next, timer))
                        .isPresent()
                && clock.stageAfter(value).orElseThrow().after().equals(time(clock.program()));
        int index = explorer.states().indexOf(next);
        if (!goesOn && index >= 0 && !seen.get(index)) {
            seen.set(index);
            waiting.add(index);
        }
    }

    private boolean isIdle(long state, int timer) {
        return Component.Clockwork.phase(machine.value(state, timer)) == Component.Clockwork.IDLE;
    }
}
