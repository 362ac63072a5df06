package parable.timing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import parable.bench.Moment;
import parable.bench.Pace;
import parable.parts.Drive;
import parable.parts.Part;
import parable.parts.TimeRange;
import parable.parts.Travel;
import parable.reach.CircuitMachine;
import parable.reach.Component;

/**
 * Decides within the stated times what any speed breaks. At first only the parts of the story that breaks it keep their times; as
 * long as there is a story in which others move by themselves, or wait longer than they may, these keep theirs too. So a claim that
 * holds names the few times it rests on, and one that fails has a story in which every time is kept.
 */
public final class Refinement {

    private static final long BREAKER_MAKES = 4_000;
    private static final long QUIET_BEFORE = 1_000_000;
    private static final int WORTH_FEWER = 150_000;

    private final CircuitMachine machine;
    private final Replay replay;
    private final BooleanSupplier cancelled;
    private final Set<Integer> kept = new TreeSet<>();
    private Optional<Set<Integer>> keepingTo = Optional.empty();

    /**
     * Nothing decided yet.
     *
     * @param machine the circuit with every place that a time is stated for
     * @param cancelled whether the search is to end
     */
    public Refinement(CircuitMachine machine, Replay replay, BooleanSupplier cancelled) {
        this.machine = machine;
        this.replay = replay;
        this.cancelled = cancelled;
    }

    /** From now on decides with the times of these parts only, once and for all, and without showing anything on the bench. */
    public Refinement keepingTo(Set<Integer> parts) {
        keepingTo = Optional.of(Set.copyOf(parts));
        return this;
    }

    /** The parts on whose times anything rests that was found to hold so far. */
    public Set<Integer> kept() {
        return kept;
    }

    /** What became of a claim. */
    public sealed interface Result {

        /** It holds, and rests on these times. */
        record Holds(List<String> times) implements Result {}

        /** The bench has shown that it fails. */
        record Fails(Refutation refutation) implements Result {}

        /** It is not decided; the story is what was found last. */
        record Open(List<String> story) implements Result {}
    }

    /**
     * Decides a claim.
     *
     * @param kind what breaks it
     * @param first the parts that move by themselves in the story that breaks it at any speed
     * @param onBench the same, looked at on the bench
     * @param when which instants of the story count
     */
    public Result decide(TimedSearch.Watch kind, Set<Integer> first, Predicate<Moment> onBench, Replay.When when) {
        if (keepingTo.filter(Set::isEmpty).isPresent()) {
            return new Result.Open(List.of());
        }
        if (keepingTo.isPresent()) {
            TimedSearch search = TimedSearch.quick(machine, keepingTo.get(), cancelled);
            boolean holds = search.find(List.of(search.rest()), kind).isEmpty() && search.isComplete();
            return holds ? holds(keepingTo.get()) : new Result.Open(List.of());
        }
        Set<Integer> keeping = new TreeSet<>(first);
        while (!cancelled.getAsBoolean()) {
            TimedSearch quick = TimedSearch.quick(machine, keeping, cancelled);
            if (quick.find(List.of(quick.rest()), kind).isEmpty()) {
                return quick.isComplete() ? holds(fewest(keeping, kind, quick.size())) : new Result.Open(List.of());
            }
            TimedSearch search = new TimedSearch(machine, keeping, true, cancelled);
            Instant rest = search.rest();
            Optional<Integer> found = search.find(List.of(rest), kind);
            if (found.isEmpty()) {
                return new Result.Open(List.of());
            }
            List<TimedSearch.TimedStep> way = search.wayTo(found.get());
            List<CircuitMachine.Move> moves =
                    way.stream().map(TimedSearch.TimedStep::move).toList();
            if (keeping.addAll(TimedSearch.movers(machine, moves, false))) {
                continue;
            }
            Result shown = shown(rest.events(), way, onBench, when);
            boolean fails = shown instanceof Result.Fails;
            if (!fails && keeping.addAll(search.waiting(found.get()))) {
                continue;
            }
            if (fails || !keeping.addAll(TimedSearch.movers(machine, moves, true))) {
                return shown;
            }
        }
        return new Result.Open(List.of());
    }

    /** All parts that have times to keep. */
    public Set<Integer> everything() {
        Set<Integer> all = new TreeSet<>();
        for (int part : machine.moving()) {
            if (TimedSearch.hasTimes(machine, part)) {
                all.add(part);
            }
        }
        return all;
    }

    /** It holds with the times of these parts. */
    public Result holds(Set<Integer> parts) {
        kept.addAll(parts);
        return new Result.Holds(words(parts));
    }

    /** Leaves out every part without whose times the claim still holds. */
    private Set<Integer> fewest(Set<Integer> keeping, TimedSearch.Watch kind, int nodes) {
        Set<Integer> fewest = new TreeSet<>(keeping);
        for (int part : keeping) {
            Set<Integer> fewer = new TreeSet<>(fewest);
            fewer.remove(part);
            TimedSearch search = TimedSearch.quick(machine, fewer, cancelled);
            boolean holds = nodes < WORTH_FEWER
                    && search.find(List.of(search.rest()), kind).isEmpty()
                    && search.isComplete();
            fewest = holds ? fewer : fewest;
        }
        return fewest;
    }

    private Result shown(
            List<Instant.Event> beginning,
            List<TimedSearch.TimedStep> way,
            Predicate<Moment> onBench,
            Replay.When when) {
        return play(beginning, way, onBench, when)
                .<Result>map(Result.Fails::new)
                .orElseGet(() -> new Result.Open(
                        way.stream().map(step -> machine.words(step.move())).toList()));
    }

    /** Plays a way on the bench with times that keep to all ranges: the earliest, the latest, and between them. */
    public Optional<Refutation> play(
            List<Instant.Event> beginning,
            List<TimedSearch.TimedStep> way,
            Predicate<Moment> onBench,
            Replay.When when) {
        Schedule schedule = Schedule.of(beginning, way);
        Optional<long[]> earliest = schedule.earliest();
        Optional<long[]> latest = schedule.latest();
        if (earliest.isEmpty() || latest.isEmpty()) {
            return Optional.empty();
        }
        for (int part : new int[] {2, 1, 3, 0, 4}) {
            long[] times = between(earliest.get(), latest.get(), part);
            Optional<Refutation> played = play(schedule, beginning, way, times, onBench, when);
            if (played.isPresent()) {
                return played;
            }
        }
        return Optional.empty();
    }

    /** Plays what hands do at nominal times, each after all has settled, and looks at the end. */
    public Optional<Refutation> nominal(List<CircuitMachine.Move> hands, Predicate<Moment> onBench) {
        return replay.find(hands, onBench, Replay.When.IN_THE_END);
    }

    /** All bounds are on differences, so that what lies between two solutions is a solution. */
    private static long[] between(long[] early, long[] late, int quarters) {
        long[] times = new long[early.length];
        for (int i = 0; i < times.length; i++) {
            times[i] = early[i] + (late[i] - early[i]) / 4 * quarters;
        }
        return times;
    }

    private Optional<Refutation> play(
            Schedule schedule,
            List<Instant.Event> beginning,
            List<TimedSearch.TimedStep> way,
            long[] times,
            Predicate<Moment> onBench,
            Replay.When when) {
        long shift = beginning.isEmpty() ? QUIET_BEFORE : BREAKER_MAKES;
        List<Pace.Named> named = new ArrayList<>();
        for (Schedule.Taken taken : schedule.taken()) {
            change(taken.kind()).ifPresent(change -> {
                long took = times[taken.read()] - times[taken.begun()];
                long takes = taken.ranOut() ? took : taken.range().longest();
                long filter = machine.component(taken.part()) instanceof Component.Output
                        ? machine.programmed().orElseThrow().drive().filter().nominal()
                        : 0;
                named.add(new Pace.Named(
                        machine.parts().get(taken.part()).tag(),
                        change,
                        shift + filter + times[taken.begun()],
                        takes - filter));
            });
        }
        List<CircuitMachine.Move> hands = new ArrayList<>();
        List<Long> at = new ArrayList<>();
        for (int i = 0; i < way.size(); i++) {
            quick(way.get(i).move(), shift + times[i + 1], named);
            if (way.get(i).move().byHand()) {
                hands.add(way.get(i).move());
                at.add(shift + times[i + 1]);
            }
        }
        return replay.playAt(hands, at, Pace.of(named), onBench, when);
    }

    /** What follows at once in the search, the contacts behind a hand or a timer, follows as soon as it may. */
    private void quick(CircuitMachine.Move move, long time, List<Pace.Named> named) {
        if (move.part() < 0 || machine.component(move.part()) instanceof Component.Armature) {
            return;
        }
        Part part = machine.parts().get(move.part());
        boolean blocks = machine.component(move.part()) instanceof Component.Button;
        for (boolean away : new boolean[] {true, false}) {
            named.add(new Pace.Named(
                    part.tag(),
                    Pace.Change.BREAK,
                    time,
                    part.travel().toBreak(away).shortest()));
            if (!blocks) {
                named.add(new Pace.Named(
                        part.tag(),
                        Pace.Change.MAKE,
                        time,
                        part.travel().toMake(away).shortest()));
            }
        }
    }

    private static Optional<Pace.Change> change(Instant.Kind kind) {
        return switch (kind) {
            case BREAK -> Optional.of(Pace.Change.BREAK);
            case MAKE -> Optional.of(Pace.Change.MAKE);
            case STAGE -> Optional.of(Pace.Change.STAGE);
            case NOTICE -> Optional.of(Pace.Change.NOTICE);
            case SCAN -> Optional.of(Pace.Change.SCAN);
            case HOLD, TAKEN_BACK -> Optional.empty();
        };
    }

    /** The stated times of some parts, each as a sentence. */
    List<String> words(Set<Integer> parts) {
        return parts.stream().map(this::words).toList();
    }

    private String words(int index) {
        Part part = machine.parts().get(index);
        if (machine.component(index) instanceof Component.Memory || part.drive() instanceof Drive.ByProgram) {
            Drive.ByProgram drive = machine.programmed().orElseThrow().drive();
            return String.format(
                    Locale.ROOT,
                    "%s reads its inputs through filters of %d ms and scans every %d ms",
                    part.tag(),
                    drive.filter().longest() / 1000,
                    drive.scan() / 1000);
        }
        if (machine.component(index) instanceof Component.Output) {
            return part.tag() + " closes within "
                    + millis(part.travel().toMake(true)) + " and opens within "
                    + millis(part.travel().toBreak(false));
        }
        return machine.component(index) instanceof Component.ProgramTimer
                ? "the program's timer " + part.tag() + " runs its time"
                : words(part);
    }

    private static String words(Part part) {
        Travel travel = part.travel();
        if (part.drive() instanceof Drive.ByTimer timer) {
            TimeRange first = timer.program().fed().stream()
                    .map(stage -> stage.after())
                    .filter(range -> range.longest() > 0)
                    .findFirst()
                    .orElse(TimeRange.AT_ONCE);
            if (first.longest() == 0) {
                return part.tag() + " goes on for "
                        + millis(timer.program().released().get(0).after()) + " once its coil is dead";
            }
            return part.tag() + " takes " + millis(first) + ", and notices a dead coil after "
                    + millis(timer.program().released().get(0).after());
        }
        if (part.drive() instanceof Drive.ByCoil) {
            return part.tag() + " opens its closed contacts within " + millis(travel.toBreak(true))
                    + " and is in within "
                    + millis(travel.toMake(true)) + "; it lets go within " + millis(travel.toBreak(false))
                    + " and is out within " + millis(travel.toMake(false));
        }
        return "a finger holds " + part.tag() + " for 30 ms at least";
    }

    private static String millis(TimeRange range) {
        return String.format(Locale.ROOT, "%d to %d ms", range.shortest() / 1000, range.longest() / 1000);
    }
}
