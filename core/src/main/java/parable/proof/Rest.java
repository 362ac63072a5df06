package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import parable.bench.Moment;
import parable.circuit.Duty;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code comes-to-rest}: nothing chatters; {@code no-restart}: nothing starts because power returned, a trip was reset, or a stop was let
 * go, as long as no start is held. A sheet that declares that it restarts raises the second not.
 */
final class Rest implements ClaimSource {

    private final Machine machine;
    private final Operators operators;
    private final Explorer explorer;
    private final Replay replay;
    private final Duty duty;
    private final long drawn;

    Rest(Machine machine, Explorer explorer, Replay replay, Duty duty) {
        this.machine = machine;
        this.operators = new Operators(machine);
        this.explorer = explorer;
        this.replay = replay;
        this.duty = duty;
        drawn = machine.initial();
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        if (!machine.mayNeverSettle()) {
            claims.add(comesToRest());
        }
        if (duty != Duty.AUTOMATIC_RESTART) {
            claims.add(noRestart());
        }
        return claims;
    }

    private Claim comesToRest() {
        String id = "comes-to-rest";
        String text = "Nothing chatters: whatever is done, the circuit comes to rest by itself.";
        Optional<Integer> broken = explorer.firstRestless();
        if (broken.isEmpty()) {
            return Claim.holding(
                    id, text, explorer.isComplete() ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED, List.of());
        }
        List<Machine.Move> way = explorer.wayTo(broken.get());
        return replay.restless(way.stream().filter(Machine.Move::byHand).toList())
                .map(refutation -> Claim.failing(id, text, refutation))
                .orElseGet(() -> Claim.open(id, text, words(way)));
    }

    private Claim noRestart() {
        String id = "no-restart";
        String text =
                "As long as no start is held, nothing starts because power returns, a trip is reset or a stop is let go.";
        Leading drives = explorer.leadingTo(index -> explorer.isSettled(index) && explorer.isDriven(index));
        for (int i = 0; i < explorer.states().size(); i++) {
            long state = explorer.states().key(i);
            if (explorer.isSettled(i) && !explorer.isDriven(i) && operators.isQuiet(state)) {
                for (Machine.Move move : releases(state)) {
                    int next = explorer.states().indexOf(machine.with(state, move));
                    if (next >= 0 && drives.from(next)) {
                        return restarts(id, text, i, move);
                    }
                }
            }
        }
        return Claim.holding(
                id, text, explorer.decidesByRest() ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED, List.of());
    }

    private Claim restarts(String id, String text, int index, Machine.Move move) {
        List<Machine.Move> way = explorer.wayTo(index);
        way.add(move);
        Predicate<Moment> driven = moment -> machine.parts().stream()
                .anyMatch(
                        part -> part.family() == Family.MOTOR && Claims.DRIVEN.contains(moment.condition(part.tag())));
        return replay.find(way.stream().filter(Machine.Move::byHand).toList(), driven, true)
                .map(refutation -> Claim.failing(id, text, refutation))
                .orElseGet(() -> Claim.open(id, text, words(way)));
    }

    private List<String> words(List<Machine.Move> way) {
        return way.stream().map(machine::words).toList();
    }

    private List<Machine.Move> releases(long state) {
        List<Machine.Move> releases = new ArrayList<>();
        for (Machine.Move move : machine.handMoves(state)) {
            if (move.part() == Machine.POWER) {
                if (!machine.hasPower(state)) {
                    releases.add(move);
                }
            } else if (isStopOrTrip(machine.parts().get(move.part()))
                    && machine.value(state, move.part()) != machine.value(drawn, move.part())) {
                releases.add(move);
            }
        }
        return releases;
    }

    private static boolean isStopOrTrip(Part part) {
        return switch (part.family()) {
            case EMERGENCY_STOP, OVERLOAD_RELAY, BREAKER, PUSH_BUTTON, CONTROLLER -> true;
            default -> false;
        };
    }
}
