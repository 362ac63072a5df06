package parable.proof;

import java.util.List;
import java.util.Optional;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.parts.Family;
import parable.reach.CircuitMachine;
import parable.reach.Hand;
import parable.timing.Corners;

/** {@code warned:START}: for how long a horn sounds before a motor starts, after a start was pressed, or with it held after the power has returned. */
final class WarningTime implements ClaimSource {

    private final DurationClaims trials;

    WarningTime(DurationClaims trials) {
        this.trials = trials;
    }

    @Override
    public List<Claim> claims() {
        boolean horn = trials.parts().stream().anyMatch(part -> part.family() == Family.HORN);
        return horn
                ? trials.starts().stream()
                        .flatMap(press -> warned(press).stream())
                        .toList()
                : List.of();
    }

    private Optional<Claim> warned(Hand press) {
        String tag = trials.tag(press);
        DurationClaims.Script pressed = trials.pressed(press);
        if (sounded(trials.nominal(pressed), DurationClaims.BEFORE)) {
            return Optional.of(claim(tag, tag + " pressed: ", pressed, DurationClaims.BEFORE));
        }
        CircuitMachine.Move lost = new CircuitMachine.Move(CircuitMachine.POWER, 1, true);
        CircuitMachine.Move back = new CircuitMachine.Move(CircuitMachine.POWER, CircuitMachine.ALL_THERE, true);
        long returns = DurationClaims.BEFORE + 2 * DurationClaims.FINGER;
        DurationClaims.Script held = trials.moved(
                List.of(lost, trials.moves(List.of(press)).get(0), back),
                List.of(DurationClaims.BEFORE, DurationClaims.BEFORE + DurationClaims.FINGER, returns));
        return sounded(trials.nominal(held), returns)
                ? Optional.of(claim(tag, "Power returned and " + tag + " held: ", held, returns))
                : Optional.empty();
    }

    private boolean sounded(Bench bench, long from) {
        return trials.isDriven(bench.moment())
                && warning(bench, from).durations().get(0) > 0;
    }

    private Claim claim(String tag, String subject, DurationClaims.Script script, long from) {
        return trials.claim(
                "warned:" + tag,
                subject + "the horn sounds before " + trials.motor() + " starts.",
                trials.measured(script, bench -> warning(bench, from)),
                within -> subject + "the horn sounds for " + DurationClaims.range(within, 0) + " before "
                        + trials.motor() + " starts.");
    }

    private static boolean sounds(Moment moment) {
        return moment.assembly().parts().stream()
                .anyMatch(part -> part.family() == Family.HORN && moment.condition(part.tag()) == Condition.SOUNDING);
    }

    /** How long the horn sounds before the motor is fed; a flaw if it has not sounded by then. */
    private Corners.Measured warning(Bench bench, long from) {
        long sounded = 0;
        long since = -1;
        Optional<Long> flaw = Optional.empty();
        boolean fed = false;
        for (long instant : DurationClaims.instants(bench, from)) {
            Moment moment = bench.momentAt(instant);
            sounded += since >= 0 && !fed ? instant - since : 0;
            fed |= trials.isDriven(moment);
            since = sounds(moment) ? instant : -1;
            flaw = flaw.isEmpty() && fed && sounded == 0 ? Optional.of(instant) : flaw;
        }
        return new Corners.Measured(fed ? "fed" : "not fed", List.of(sounded), flaw);
    }
}
