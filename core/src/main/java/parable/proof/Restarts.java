package parable.proof;

import java.util.List;
import java.util.Optional;
import parable.bench.Moment;
import parable.circuit.Duty;
import parable.parts.Family;
import parable.reach.CircuitMachine;
import parable.reach.Conduction;
import parable.reach.Explorer;
import parable.reach.StateSet;
import parable.timing.Refinement;
import parable.timing.Refutation;
import parable.timing.Replay;
import parable.timing.TimedSearch;

/**
 * {@code no-restart}: no motor gets current because a supply or a breaker comes back, a trip is reset or a stop is let go, not even in passing,
 * while no start is held. Nor because one of these is taken away, where no motor ran. Asked from every state in which all armatures have
 * followed their coils and a timer may still run; a motor that comes to run anyway, as after a start that warns first, does not count. A sheet
 * that declares that it restarts by itself raises it for the E-stops alone: letting one go must not start anything (IEC 60204-1, 9.2.3.4.2).
 */
final class Restarts implements ClaimSource {

    static final String ID = "no-restart";

    private static final String TEXT =
            "As long as no start is held, no motor gets current, not even in passing, because a supply or breaker comes back, a trip is reset or a"
                    + " stop is let go.";

    private final CircuitMachine machine;
    private final Explorer explorer;
    private final CircuitMachine timed;
    private final Replay replay;
    private final Refinement refinement;
    private final Duty duty;

    private static final String TEXT_OF_EMERGENCY_STOP =
            "As long as no start is held, no motor gets current, not even in passing, because an E-stop is let go.";

    /**
     * The claim on a machine.
     *
     * @param timed the same with every place that a time is stated for
     */
    Restarts(
            CircuitMachine machine,
            Explorer explorer,
            CircuitMachine timed,
            Replay replay,
            Refinement refinement,
            Duty duty) {
        this.machine = machine;
        this.explorer = explorer;
        this.timed = timed;
        this.replay = replay;
        this.refinement = refinement;
        this.duty = duty;
    }

    @Override
    public List<Claim> claims() {
        if (machine.motors().isEmpty() || automatic() && !hasEmergencyStop()) {
            return List.of();
        }
        Happenings happenings = new Happenings(machine, automatic());
        for (int motor = 0; motor < machine.motors().size(); motor++) {
            Optional<Claim> broken = broken(motor, happenings);
            if (broken.isPresent()) {
                return List.of(broken.get());
            }
        }
        Verdict verdict = explorer.isComplete() ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED;
        return List.of(Claim.holding(ID, text(), verdict, List.of()));
    }

    private boolean automatic() {
        return duty == Duty.AUTOMATIC_RESTART;
    }

    private boolean hasEmergencyStop() {
        return machine.parts().stream().anyMatch(part -> part.family() == Family.EMERGENCY_STOP);
    }

    private String text() {
        return automatic() ? TEXT_OF_EMERGENCY_STOP : TEXT;
    }

    /** What becomes of the claim for one motor, empty if it holds at any speed. */
    private Optional<Claim> broken(int motor, Happenings happenings) {
        StateSet leading =
                explorer.leadingTo(index -> (explorer.conduction(index).driven() >> motor & 1) == 1);
        for (int index = 0; index < explorer.visited(); index++) {
            if (leading.has(index)) {
                continue;
            }
            long state = explorer.states().key(index);
            boolean atRest = explorer.isSettled(index) && !explorer.isDriven(index);
            if (happenings.isQuiet(state)) {
                Optional<CircuitMachine.Move> move =
                        happenings.firstTo(next -> leading.has(explorer.states().indexOf(next)), state, atRest);
                if (move.isPresent() && happenings.isStill(state, explorer.conduction(index))) {
                    return Optional.of(decided(motor, index, move.get()));
                }
            }
        }
        return Optional.empty();
    }

    private Claim decided(int motor, int index, CircuitMachine.Move move) {
        List<CircuitMachine.Move> way = explorer.wayTo(index);
        way.add(move);
        List<CircuitMachine.Move> hands =
                way.stream().filter(CircuitMachine.Move::byHand).toList();
        String tag = machine.motors().get(motor);
        Optional<Refutation> played = replay.afterwards(hands, moment -> isDriven(moment, tag));
        if (played.isPresent()) {
            return Claim.failing(ID, text(), played.get());
        }
        Refinement.Result outcome = refinement.decide(
                new Watched(new Happenings(timed, automatic()), motor),
                TimedSearch.movers(machine, way, false),
                moment -> isDriven(moment, tag),
                Replay.When.AFTER_THE_LAST_HAND);
        return Claim.of(ID, text(), outcome, way.stream().map(machine::words).toList());
    }

    private static boolean isDriven(Moment moment, String motor) {
        return Stops.DRIVEN.contains(moment.condition(motor));
    }

    /** The same, looked at step by step: remembers 1 once one of the happenings was, until a hand does something else. */
    private final class Watched implements TimedSearch.Watch {
        private final Happenings happenings;
        private final int motor;

        private Watched(Happenings happenings, int motor) {
            this.happenings = happenings;
            this.motor = motor;
        }

        @Override
        public int after(long before, CircuitMachine.Move hand) {
            Conduction conduction = timed.conduction(before);
            boolean atRest = conduction.driven() == 0
                    && timed.ownMoves(before, conduction).isEmpty();
            boolean happens = happenings.isQuiet(before)
                    && happenings.counts(before, hand, atRest)
                    && !happenings.leads(before, motor)
                    && happenings.isStill(before, conduction);
            return happens ? 1 : 0;
        }

        @Override
        public boolean isBroken(long memory, long positions, Conduction conduction, boolean settled) {
            return memory == 1 && (conduction.driven() >> motor & 1) == 1;
        }
    }
}
