package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.parts.Drive;
import parable.parts.Part;
import parable.reach.Hand;
import parable.timing.Corners;

/**
 * {@code brake:STOP:START}: for how long a motor is braked after a stop, and that it stands still once the brake lets go. Not where a switch on the motor feels that it hardly turns any
 * more: that one decides, and the last of the way it coasts.
 */
final class BrakeTime implements ClaimSource {

    private static final long RUN_UP = 12_000_000;

    private final DurationClaims trials;

    BrakeTime(DurationClaims trials) {
        this.trials = trials;
    }

    @Override
    public List<Claim> claims() {
        List<Claim> claims = new ArrayList<>();
        boolean timed = trials.parts().stream().anyMatch(part -> part.drive() instanceof Drive.ByTimer)
                && trials.parts().stream().noneMatch(part -> part.drive() instanceof Drive.BySpeed);
        for (Hand press : timed ? trials.starts() : List.<Hand>of()) {
            trials.stops().forEach(stop -> brake(press, stop).ifPresent(claims::add));
        }
        return claims;
    }

    private Optional<Claim> brake(Hand press, Hand stop) {
        long stopped = DurationClaims.BEFORE + RUN_UP;
        DurationClaims.Script script = trials.script(
                List.of(press, Operators.release(press), stop, Operators.release(stop)),
                List.of(
                        DurationClaims.BEFORE,
                        DurationClaims.BEFORE + DurationClaims.FINGER,
                        stopped,
                        stopped + DurationClaims.FINGER));
        if (braking(trials.nominal(script), stopped).durations().get(0) == 0) {
            return Optional.empty();
        }
        String subject =
                trials.tag(stop) + " pressed while " + trials.motor() + " runs: " + trials.motor() + " is braked ";
        String end = "and stands still once the brake lets go.";
        return Optional.of(trials.claim(
                "brake:" + trials.tag(stop) + ":" + trials.tag(press),
                subject + end,
                trials.measured(script, bench -> braking(bench, stopped)),
                within -> subject + "for " + DurationClaims.range(within, 0) + " " + end));
    }

    /** How long a motor has direct current after a stop; a flaw if it still turns when that ends, or if it never ends. */
    private Corners.Measured braking(Bench bench, long from) {
        long braked = 0;
        long since = -1;
        Optional<Long> flaw = Optional.empty();
        for (long instant : DurationClaims.instants(bench, from)) {
            Moment moment = bench.momentAt(instant);
            boolean brakes = !trials.isDriven(moment) && isBraked(moment);
            braked += since >= 0 ? instant - since : 0;
            boolean over = since >= 0 && !brakes;
            if (flaw.isEmpty() && over && moment.condition(trials.motor()) != Condition.STOPPED) {
                flaw = Optional.of(instant);
            }
            since = brakes ? instant : -1;
        }
        flaw = since < 0 ? flaw : Optional.of(bench.now());
        return new Corners.Measured(since < 0 ? "lets go" : "holds", List.of(braked), flaw);
    }

    /** Whether the motor is braked while it turns, or its windings still carry current although it stands. */
    private boolean isBraked(Moment moment) {
        return moment.condition(trials.motor()) == Condition.BRAKED || standsUnderBrake(moment);
    }

    private boolean standsUnderBrake(Moment moment) {
        Part motor = trials.parts().stream()
                .filter(part -> part.tag().equals(trials.motor()))
                .findFirst()
                .orElseThrow();
        return moment.condition(trials.motor()) == Condition.STOPPED
                && motor.loads().stream().anyMatch(load -> moment.voltage(
                                new Terminal(trials.motor(), load.from()), new Terminal(trials.motor(), load.to()))
                        .filter(voltage -> Math.abs(voltage.rms()) > 1)
                        .isPresent());
    }
}
