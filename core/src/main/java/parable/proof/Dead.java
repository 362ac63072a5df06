package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.parts.Part;

/** {@code dead:MOTOR}: once all has settled, no start is held and the motor does not run, none of its terminals carries voltage. */
final class Dead implements ClaimSource {

    private final Machine machine;
    private final Operators operators;
    private final Explorer explorer;
    private final Replay replay;
    private final Refinement refinement;

    Dead(Machine machine, Explorer explorer, Replay replay, Refinement refinement) {
        this.refinement = refinement;
        this.machine = machine;
        this.operators = new Operators(machine);
        this.explorer = explorer;
        this.replay = replay;
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        List<String> motors = machine.motors();
        for (int m = 0; m < motors.size(); m++) {
            claims.add(claim(m, motors.get(m)));
        }
        return claims;
    }

    private Claim claim(int number, String motor) {
        String id = "dead:" + motor;
        String text = "Once all has settled, no start is held and " + motor
                + " does not run, none of its terminals carries voltage.";
        Optional<Integer> broken = explorer.settled().stream()
                .filter(index -> isLive(
                        explorer.states().key(index),
                        machine.conduction(explorer.states().key(index)),
                        number))
                .findFirst();
        if (broken.isEmpty()) {
            return Claim.holding(
                    id, text, explorer.decidesByRest() ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED, List.of());
        }
        List<Machine.Move> way = explorer.wayTo(broken.get());
        return replay.find(
                        way.stream().filter(Machine.Move::byHand).toList(), moment -> isLiveAtRest(moment, motor), true)
                .map(refutation -> Claim.failing(id, text, refutation))
                .orElseGet(() -> Claim.of(
                        id,
                        text,
                        refinement.decide(
                                (positions, conduction, settled) -> settled && isLive(positions, conduction, number),
                                TimedSearch.movers(machine, way, false),
                                moment -> isLiveAtRest(moment, motor),
                                true),
                        way.stream().map(machine::words).toList()));
    }

    private boolean isLive(long state, Conduction conduction, int number) {
        return operators.isQuiet(state) && (conduction.live() & ~conduction.driven() & 1L << number) != 0;
    }

    private boolean isLiveAtRest(Moment moment, String motor) {
        Part part = machine.parts().stream()
                .filter(one -> one.tag().equals(motor))
                .findFirst()
                .orElseThrow();
        boolean runs = moment.condition(motor) != Condition.STOPPED && moment.condition(motor) != Condition.COASTING;
        boolean held =
                machine.parts().stream().anyMatch(one -> Operators.couldStart(one) && moment.actuated(one.tag()));
        return !runs
                && !held
                && part.terminals().stream()
                        .flatMap(marking -> live(moment, new Terminal(motor, marking)))
                        .anyMatch(live -> live);
    }

    private static Stream<Boolean> live(Moment moment, Terminal terminal) {
        return moment.solution().network().node(terminal).stream()
                .map(node -> moment.solution().potential(node).rms() > Conductions.EXTRA_LOW);
    }
}
