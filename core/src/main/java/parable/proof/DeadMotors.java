package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Conduction;
import parable.reach.Conductions;
import parable.reach.Explorer;
import parable.timing.Replay;

/** {@code dead:MOTOR}: once all has settled, no start is held and the motor is neither driven nor braked, none of its terminals carries voltage. */
final class DeadMotors implements ClaimSource {

    private final CircuitMachine machine;
    private final Operators operators;
    private final Explorer explorer;
    private final Deciding deciding;

    DeadMotors(CircuitMachine machine, Explorer explorer, Deciding deciding) {
        this.deciding = deciding;
        this.machine = machine;
        this.operators = new Operators(machine);
        this.explorer = explorer;
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
                + " is neither driven nor braked, none of its terminals carries voltage.";
        Optional<Integer> broken = explorer.settled().stream()
                .filter(index -> isLive(
                        explorer.states().key(index),
                        machine.conduction(explorer.states().key(index)),
                        number))
                .findFirst();
        return deciding.decide(new ClaimQuestion(
                id,
                text,
                broken,
                (positions, conduction, settled) -> settled && isLive(positions, conduction, number),
                moment -> isLiveAtRest(moment, motor),
                Replay.When.IN_THE_END));
    }

    private boolean isLive(long state, Conduction conduction, int number) {
        return operators.isQuiet(state)
                && (conduction.live() & ~conduction.driven() & ~conduction.braked() & 1L << number) != 0;
    }

    private boolean isLiveAtRest(Moment moment, String motor) {
        Part part = machine.parts().stream()
                .filter(one -> one.tag().equals(motor))
                .findFirst()
                .orElseThrow();
        boolean runs = moment.condition(motor) != Condition.STOPPED && moment.condition(motor) != Condition.COASTING
                || isBraked(moment, part);
        boolean held =
                machine.parts().stream().anyMatch(one -> Operators.couldStart(one) && moment.actuated(one.tag()));
        return !runs
                && !held
                && part.terminals().stream()
                        .flatMap(marking -> live(moment, new Terminal(motor, marking)))
                        .anyMatch(live -> live);
    }

    /** Whether direct current is sent through it, at standstill too. */
    private static boolean isBraked(Moment moment, Part motor) {
        return motor.loads().stream()
                .flatMap(load ->
                        moment
                                .voltage(new Terminal(motor.tag(), load.from()), new Terminal(motor.tag(), load.to()))
                                .stream())
                .anyMatch(voltage -> Math.abs(voltage.direct()) > Conductions.BRAKES);
    }

    private static Stream<Boolean> live(Moment moment, Terminal terminal) {
        return moment.solution().network().node(terminal).stream()
                .map(node -> moment.solution().potential(node).rms() > Conductions.EXTRA_LOW);
    }
}
