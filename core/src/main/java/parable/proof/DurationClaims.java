package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.bench.Bench;
import parable.bench.Moment;
import parable.bench.Pace;
import parable.parts.ControllerField;
import parable.parts.Drive;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Hand;
import parable.reach.ProgrammedParts;
import parable.timing.Corners;
import parable.timing.Refinement;
import parable.timing.Replay;

/** What claims on how long things take have in common: scripts tried on the bench, and the verdict on what was measured. For sheets with one motor. */
final class DurationClaims {

    /** When the first hand does something, in microseconds: by then all has settled. */
    static final long BEFORE = 10_000_000;

    /** How long a finger holds, in microseconds. */
    static final long FINGER = 200_000;

    private static final long AFTER = 4_000_000;

    private final CircuitMachine machine;
    private final Set<String> telling;
    private final Operators operators;
    private final Replay replay;
    private final Refinement refinement;
    private final BooleanSupplier cancelled;
    private Optional<List<Hand>> starts = Optional.empty();

    DurationClaims(CircuitMachine machine, Replay replay, Refinement refinement, BooleanSupplier cancelled) {
        this.machine = machine;
        telling = replay.field().map(DurationClaims::telling).orElse(Set.of());
        this.operators = new Operators(machine);
        this.replay = replay;
        this.refinement = refinement;
        this.cancelled = cancelled;
    }

    /** The outputs of a controller that move nothing, as they are asked for their times. */
    private static Set<String> telling(ControllerField field) {
        return IntStream.range(0, field.controller().contacts().size())
                .filter(field::onlyTells)
                .mapToObj(output -> Pace.outputOf(field.controller().tag(), output))
                .collect(Collectors.toSet());
    }

    /**
     * What hands do.
     *
     * @param times when, in microseconds
     * @param end when the run ends, in microseconds
     */
    record Script(List<CircuitMachine.Move> moves, List<Long> times, long end) {}

    /** The starts from rest after which the motor runs on at nominal times; none on a sheet with several motors or none. */
    List<Hand> starts() {
        if (starts.isEmpty()) {
            starts = Optional.of(hands(operators::start).filter(this::runsOn).toList());
        }
        return starts.get();
    }

    private boolean runsOn(Hand press) {
        return machine.motors().size() == 1
                && !cancelled.getAsBoolean()
                && isDriven(nominal(pressed(press)).moment());
    }

    /** The stops. */
    List<Hand> stops() {
        return hands(operators::stop).toList();
    }

    private Stream<Hand> hands(Function<Integer, Optional<Hand>> kind) {
        return IntStream.range(0, machine.parts().size()).boxed().flatMap(part -> kind.apply(part).stream());
    }

    String tag(Hand hand) {
        return operators.tag(hand);
    }

    String motor() {
        return machine.motors().get(0);
    }

    List<Part> parts() {
        return machine.parts();
    }

    /** A start pressed as long as a finger does. */
    Script pressed(Hand press) {
        return script(List.of(press, Operators.release(press)), List.of(BEFORE, BEFORE + FINGER));
    }

    /** These hands at these times, and on until all timers may have run. */
    Script script(List<Hand> hands, List<Long> times) {
        return moved(moves(hands), times);
    }

    /** These moves at these times, and on until all timers may have run. */
    Script moved(List<CircuitMachine.Move> moves, List<Long> times) {
        return new Script(moves, times, times.get(times.size() - 1) + longest() + AFTER);
    }

    List<CircuitMachine.Move> moves(List<Hand> hands) {
        List<CircuitMachine.Move> moves = new ArrayList<>();
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
                        .sum()
                + machine.programmed().map(ProgrammedParts::longest).orElse(0L);
    }

    /** A script played at nominal times. */
    Bench nominal(Script script) {
        return replay.playFromRest(script.moves(), script.times(), Pace.NOMINAL, script.end());
    }

    /** A script measured at the ends of all times. */
    Corners.Result measured(Script script, Function<Bench, Corners.Measured> measure) {
        return new Corners(replay, telling, script.moves(), script.times(), script.end()).of(measure);
    }

    boolean isDriven(Moment moment) {
        return Stops.DRIVEN.contains(moment.condition(motor()));
    }

    /** The instants at which anything changed, from a time on. */
    static List<Long> instants(Bench bench, long from) {
        return bench.instants().stream().filter(instant -> instant >= from).toList();
    }

    /**
     * The claim with its verdict.
     *
     * @param text the claim as long as nothing was measured
     * @param measured the claim with what was measured
     */
    Claim claim(String id, String text, Corners.Result result, Function<Corners.Result.Within, String> measured) {
        if (result instanceof Corners.Result.Within within) {
            Set<Integer> parts = new TreeSet<>();
            within.tags().forEach(tag -> parts.add(machine.index(tag.split("\\.Q")[0])));
            return Claim.of(id, measured.apply(within), refinement.holds(parts), List.of());
        }
        return result instanceof Corners.Result.Flawed flawed
                ? Claim.failing(id, text, flawed.refutation())
                : Claim.open(id, text, List.of());
    }

    /** One of the durations in words: {@code 21 to 48 ms}. */
    static String range(Corners.Result.Within within, int duration) {
        long least = within.least().get(duration);
        long most = within.most().get(duration);
        return most < 1_000_000
                ? String.format(Locale.ROOT, "%d to %d ms", least / 1000, (most + 999) / 1000)
                : String.format(Locale.ROOT, "%.2f to %.2f s", least / 1e6, most / 1e6);
    }
}
