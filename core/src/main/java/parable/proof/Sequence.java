package parable.proof;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.stream.Stream;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.bench.Pace;
import parable.circuit.Terminal;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/**
 * How long what follows by itself takes: {@code finger:START}, where a motor runs on after a short press; {@code sequence:START}, where a motor is started with some contactors and goes on with others;
 * {@code warned:START}, where a horn sounds before it starts; {@code brake:STOP}, where it is braked after a stop.
 */
final class Sequence implements ClaimSource {

    /** So long a motor may be without current while contactors change over, in microseconds; beyond it loses too much speed. */
    static final long MOST_WITHOUT_CURRENT = 100_000;

    private static final long BEFORE = 10_000_000;
    private static final long FINGER = 200_000;
    private static final long RUN_UP = 12_000_000;
    private static final long AFTER = 4_000_000;

    private final Machine machine;
    private final Operators operators;
    private final Replay replay;
    private final Refinement refinement;
    private final BooleanSupplier cancelled;
    private final List<Claim> claims = new ArrayList<>();

    Sequence(Machine machine, Replay replay, Refinement refinement, BooleanSupplier cancelled) {
        this.machine = machine;
        this.operators = new Operators(machine);
        this.replay = replay;
        this.refinement = refinement;
        this.cancelled = cancelled;
    }

    @Override
    public List<Claim> claims() {
        if (machine.motors().size() != 1 || cancelled.getAsBoolean()) {
            return claims;
        }
        for (int part = 0; part < machine.parts().size(); part++) {
            operators.start(part).ifPresent(this::starts);
        }
        return claims;
    }

    private String motor() {
        return machine.motors().get(0);
    }

    private void starts(Hand press) {
        List<Hand> pressed = List.of(press, Operators.release(press));
        List<Long> times = List.of(BEFORE, BEFORE + FINGER);
        long end = BEFORE + longest() + AFTER;
        Bench nominal = replay.play(moves(pressed), times, Pace.NOMINAL, end);
        if (!isDriven(nominal.moment())) {
            return;
        }
        String tag = operators.tag(press);
        claims.add(claim(
                "finger:" + tag,
                tag + ", held for 200 ms and let go, leaves " + motor() + " running.",
                new Corners(replay, moves(pressed), times, end).of(bench -> running(bench, BEFORE)),
                within -> tag + ", held for 200 ms and let go, leaves " + motor() + " running; it is fed after "
                        + range(within, 0) + "."));
        Function<Bench, Corners.Measured> changes = bench -> changes(bench, BEFORE);
        if (!changes.apply(nominal).order().isEmpty()) {
            claims.add(sequence(tag, nominal, new Corners(replay, moves(pressed), times, end).of(changes)));
        }
        if (hasHorn()) {
            warned(press, times, end, nominal);
        }
        if (hasTimer()) {
            for (int part = 0; part < machine.parts().size(); part++) {
                operators.stop(part).ifPresent(stop -> brake(press, stop));
            }
        }
    }

    private List<Machine.Move> moves(List<Hand> hands) {
        List<Machine.Move> moves = new ArrayList<>();
        long state = machine.initial();
        for (Hand hand : hands) {
            moves.add(hand.move(machine, state));
            state = machine.with(state, hand.move(machine, state));
        }
        return moves;
    }

    /** How long all timers take one after the other, in microseconds. */
    private long longest() {
        return machine.parts().stream()
                .filter(part -> part.drive() instanceof Drive.ByTimer)
                .map(part -> ((Drive.ByTimer) part.drive()).program())
                .flatMap(program -> Stream.concat(program.fed().stream(), program.released().stream()))
                .mapToLong(stage -> stage.after().longest())
                .sum();
    }

    private boolean isDriven(Moment moment) {
        return Claims.DRIVEN.contains(moment.condition(motor()));
    }

    private Set<String> in(Moment moment) {
        Set<String> in = new LinkedHashSet<>();
        for (Part part : machine.parts()) {
            boolean contactor = part.drive() instanceof Drive.ByCoil
                    && part.contacts().stream().anyMatch(Contact::pole);
            if (contactor && moment.condition(part.tag()) == Condition.IN) {
                in.add(part.tag());
            }
        }
        return in;
    }

    /** With which contactors the motor is fed first, and with which at the end. */
    private record Change(Set<String> first, Set<String> last) {
        Set<String> staying() {
            Set<String> staying = new LinkedHashSet<>(first);
            staying.retainAll(last);
            return staying;
        }

        Set<String> leaving() {
            Set<String> leaving = new LinkedHashSet<>(first);
            leaving.removeAll(last);
            return leaving;
        }

        Set<String> coming() {
            Set<String> coming = new LinkedHashSet<>(last);
            coming.removeAll(first);
            return coming;
        }
    }

    private Optional<Change> change(Bench bench, long from) {
        List<Long> instants = instants(bench, from);
        return instants.stream()
                .map(bench::momentAt)
                .filter(this::isDriven)
                .findFirst()
                .map(first -> new Change(in(first), in(bench.moment())))
                .filter(change -> !change.first().equals(change.last()));
    }

    private static List<Long> instants(Bench bench, long from) {
        return bench.instants().stream().filter(instant -> instant >= from).toList();
    }

    /** How long until the motor is fed with its last contactors, and how long it is without current before that; no order if it does not change over. */
    private Corners.Measured changes(Bench bench, long from) {
        Optional<Change> found = change(bench, from);
        if (found.isEmpty()) {
            return new Corners.Measured("", List.of(), Optional.empty());
        }
        Change change = found.get();
        long begun = -1;
        long arrived = -1;
        long without = 0;
        long since = -1;
        Optional<Long> flaw = Optional.empty();
        List<Long> instants = instants(bench, from);
        for (long instant : instants) {
            Moment moment = bench.momentAt(instant);
            boolean driven = isDriven(moment);
            Set<String> in = in(moment);
            begun = begun < 0 && driven ? instant : begun;
            if (begun >= 0 && arrived < 0) {
                without += since >= 0 ? instant - since : 0;
                since = driven ? -1 : instant;
                arrived = driven && in.containsAll(change.last()) ? instant : -1;
            }
            boolean drops = begun >= 0 && !in.containsAll(change.staying());
            if (flaw.isEmpty() && (drops || without > MOST_WITHOUT_CURRENT)) {
                flaw = Optional.of(instant);
            }
        }
        String order = change.first() + " " + change.last();
        return new Corners.Measured(order, List.of(arrived - begun, without), flaw);
    }

    private Claim sequence(String tag, Bench nominal, Corners.Result result) {
        Change change = change(nominal, BEFORE).orElseThrow();
        String id = "sequence:" + tag;
        String subject = tag + " starts " + motor() + " with " + list(change.first()) + "; ";
        String follows = list(change.coming().isEmpty() ? change.last() : change.coming())
                + (change.leaving().isEmpty() ? " comes in" : " comes in the place of " + list(change.leaving()));
        String stays = change.staying().isEmpty() ? "" : ", and " + list(change.staying()) + " stays in all the while";
        return claim(
                id,
                subject + follows + stays + ", with " + motor() + " without current for 100 ms at the most.",
                result,
                within -> subject + follows + " after " + range(within, 0) + stays
                        + (within.most().get(1) == 0
                                ? ""
                                : "; " + motor() + " is without current for " + range(within, 1))
                        + ".");
    }

    private Claim claim(
            String id, String text, Corners.Result result, Function<Corners.Result.Within, String> measured) {
        if (result instanceof Corners.Result.Within within) {
            Set<Integer> parts = new TreeSet<>();
            within.tags().forEach(tag -> parts.add(machine.index(tag)));
            return Claim.of(id, measured.apply(within), refinement.holds(parts), List.of());
        }
        return result instanceof Corners.Result.Flawed flawed
                ? Claim.failing(id, text, flawed.refutation())
                : Claim.open(id, text, List.of());
    }

    /** How long until the motor is fed first; a flaw if it is not fed in the end. */
    private Corners.Measured running(Bench bench, long from) {
        long fed = instants(bench, from).stream()
                .filter(instant -> isDriven(bench.momentAt(instant)))
                .findFirst()
                .orElse(bench.now());
        Optional<Long> flaw = isDriven(bench.moment()) ? Optional.empty() : Optional.of(bench.now());
        return new Corners.Measured("", List.of(fed - from), flaw);
    }

    private boolean hasHorn() {
        return machine.parts().stream().anyMatch(part -> part.family() == Family.HORN);
    }

    private static boolean sounds(Moment moment) {
        return moment.assembly().parts().stream()
                .anyMatch(part -> part.family() == Family.HORN && moment.condition(part.tag()) == Condition.SOUNDING);
    }

    /** The horn sounds after the start was pressed, or, with the start held, after the power has returned. */
    private void warned(Hand press, List<Long> times, long end, Bench nominal) {
        String tag = operators.tag(press);
        Function<Bench, Corners.Measured> pressed = bench -> warning(bench, BEFORE);
        if (pressed.apply(nominal).durations().get(0) > 0) {
            List<Hand> hands = List.of(press, Operators.release(press));
            claims.add(warned(
                    "warned:" + tag, tag + " pressed: ", new Corners(replay, moves(hands), times, end).of(pressed)));
            return;
        }
        Machine.Move power = new Machine.Move(Machine.POWER, 0, true);
        List<Machine.Move> moves = List.of(power, moves(List.of(press)).get(0), power);
        List<Long> at = List.of(BEFORE, BEFORE + FINGER, BEFORE + 2 * FINGER);
        Function<Bench, Corners.Measured> returned = bench -> warning(bench, BEFORE + 2 * FINGER);
        Bench again = replay.play(moves, at, Pace.NOMINAL, end);
        if (isDriven(again.moment()) && returned.apply(again).durations().get(0) > 0) {
            claims.add(warned(
                    "warned:" + tag,
                    "Power returned and " + tag + " held: ",
                    new Corners(replay, moves, at, end).of(returned)));
        }
    }

    /** How long the horn sounds before the motor is fed; a flaw if they overlap. */
    private Corners.Measured warning(Bench bench, long from) {
        long sounded = 0;
        long since = -1;
        Optional<Long> flaw = Optional.empty();
        boolean fed = false;
        for (long instant : instants(bench, from)) {
            Moment moment = bench.momentAt(instant);
            fed |= isDriven(moment);
            sounded += since >= 0 && !fed ? instant - since : 0;
            boolean sounds = sounds(moment);
            since = sounds ? instant : -1;
            flaw = flaw.isEmpty() && fed && sounds && sounded == 0 ? Optional.of(instant) : flaw;
        }
        return new Corners.Measured(fed ? "fed" : "not fed", List.of(sounded), flaw);
    }

    private Claim warned(String id, String subject, Corners.Result result) {
        return claim(
                id,
                subject + "the horn sounds before " + motor() + " starts.",
                result,
                within -> subject + "the horn sounds for " + range(within, 0) + " before " + motor() + " starts.");
    }

    private boolean hasTimer() {
        return machine.parts().stream().anyMatch(part -> part.drive() instanceof Drive.ByTimer);
    }

    private void brake(Hand press, Hand stop) {
        List<Hand> hands = List.of(press, Operators.release(press), stop, Operators.release(stop));
        List<Long> times = List.of(BEFORE, BEFORE + FINGER, BEFORE + RUN_UP, BEFORE + RUN_UP + FINGER);
        long end = BEFORE + RUN_UP + longest() + AFTER;
        Bench nominal = replay.play(moves(hands), times, Pace.NOMINAL, end);
        Function<Bench, Corners.Measured> measure = bench -> braking(bench, BEFORE + RUN_UP);
        if (measure.apply(nominal).durations().get(0) == 0) {
            return;
        }
        String subject = operators.tag(stop) + " pressed while " + motor() + " runs: ";
        claims.add(claim(
                "brake:" + operators.tag(stop) + ":" + operators.tag(press),
                subject + motor() + " is braked and stands still once the brake lets go.",
                new Corners(replay, moves(hands), times, end).of(measure),
                within -> subject + motor() + " is braked for " + range(within, 0)
                        + " and stands still once the brake lets go."));
    }

    /** How long a motor has direct current after a stop; a flaw if it still turns when that ends, or if it never ends. */
    private Corners.Measured braking(Bench bench, long from) {
        long braked = 0;
        long since = -1;
        Optional<Long> flaw = Optional.empty();
        for (long instant : instants(bench, from)) {
            Moment moment = bench.momentAt(instant);
            boolean brakes = !isDriven(moment) && isBraked(moment);
            braked += since >= 0 ? instant - since : 0;
            boolean over = since >= 0 && !brakes;
            if (flaw.isEmpty() && over && moment.condition(motor()) != Condition.STOPPED) {
                flaw = Optional.of(instant);
            }
            since = brakes ? instant : -1;
        }
        return new Corners.Measured(since < 0 ? "lets go" : "holds", List.of(braked), flaw);
    }

    /** Whether the motor is braked while it turns, or its windings still carry current although it stands. */
    private boolean isBraked(Moment moment) {
        return moment.condition(motor()) == Condition.BRAKED || standsUnderBrake(moment);
    }

    private boolean standsUnderBrake(Moment moment) {
        Part motor = machine.parts().get(machine.index(motor()));
        return moment.condition(motor()) == Condition.STOPPED
                && motor.loads().stream().anyMatch(load -> moment.voltage(
                                new Terminal(motor(), load.from()), new Terminal(motor(), load.to()))
                        .filter(voltage -> Math.abs(voltage.rms()) > 1)
                        .isPresent());
    }

    private static String list(Set<String> tags) {
        return String.join(" and ", tags);
    }

    private static String range(Corners.Result.Within within, int duration) {
        return words(within.least().get(duration), within.most().get(duration));
    }

    private static String words(long least, long most) {
        if (most < 1_000_000) {
            return String.format(Locale.ROOT, "%d to %d ms", least / 1000, (most + 999) / 1000);
        }
        return String.format(Locale.ROOT, "%.2f to %.2f s", least / 1e6, most / 1e6);
    }
}
