package parable.timing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.bench.Pace;
import parable.parts.Assembly;
import parable.parts.ControllerField;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;
import parable.reach.CircuitMachine;
import parable.reach.Outages;
import parable.reach.ProgrammedParts;
import parable.scenario.Scenario;
import parable.scenario.Step;

/** Plays what hands do in a story on the bench, at nominal times: one after the other, and all that follow each other at once. */
public final class Replay {

    /** Which instants of a play count. */
    public enum When {
        /** All of them. */
        AT_ANY_INSTANT,
        /** Those after the last hand. */
        AFTER_THE_LAST_HAND,
        /** Only the end, when all has settled. */
        IN_THE_END
    }

    private static final long APART = 8_000_000;
    private static final long LONGEST = 60_000_000;

    /** More changes than this in four seconds, with nobody near, are chatter. */
    private static final int CHATTER = 40;

    private static final int MOST_LINES = 200;

    private final Assembly assembly;
    private final List<Fault> faults;

    /** By when all has settled after switching on, in microseconds: time enough for all timers one after the other. */
    private final long ready;

    private final List<Outages.Outage> outages;

    /** Whether a timer goes on and on, so that there is no end. */
    private final boolean goesOn;

    private final List<Step> script = new ArrayList<>();
    private Optional<Bench> settled = Optional.empty();
    private List<Step> beginning = List.of();

    /**
     * Plays on a sheet.
     *
     * @param faults what is wrong with it, from the beginning
     */
    public Replay(Assembly assembly, List<Fault> faults) {
        this.faults = faults;
        this.assembly = assembly;
        outages = CircuitMachine.outages(assembly, faults);
        goesOn = assembly.parts().stream()
                .anyMatch(part -> part.drive() instanceof Drive.ByTimer timer
                        && timer.program().repeats());
        long timers = assembly.parts().stream().mapToLong(Replay::longest).sum()
                + ProgrammedParts.of(assembly).map(ProgrammedParts::longest).orElse(0L);
        ready = Math.min(APART + timers, LONGEST);
    }

    /** What is wired to the controller of the sheet, empty if it has none. */
    public Optional<ControllerField> field() {
        return ControllerField.of(assembly);
    }

    /** How long a timer takes to go through all that it does, in microseconds; 0 for other parts. */
    private static long longest(Part part) {
        return part.drive() instanceof Drive.ByTimer timer
                ? timer.program().fed().stream()
                        .mapToLong(stage -> stage.after().longest())
                        .sum()
                : 0;
    }

    /** What hands do one after the other, up to a while after the last. */
    public Refutation shown(List<CircuitMachine.Move> hands) {
        Bench bench = played(hands, APART);
        bench.runUntil(bench.now() + APART);
        return refutation(bench, bench.now(), Pace.NOMINAL);
    }

    /** What was shown with other faults, done once more with these; both have to leave the same circuit behind. */
    public Refutation likewise(Refutation shown) {
        Bench bench = Bench.of(assembly, shown.pace());
        script.clear();
        faults.forEach(fault -> put(bench, fault));
        for (Step step : shown.script().steps()) {
            if (step instanceof Step.Do hand) {
                bench.runUntil(hand.time());
                act(bench, hand.action());
            }
        }
        bench.runUntil(shown.instant());
        return refutation(bench, shown.instant(), shown.pace());
    }

    /**
     * Looks for an instant on the bench.
     *
     * @param hands what hands do, in order
     * @param when which instants count
     * @return the story up to the first instant of the kind, empty if neither way of playing comes to one
     */
    public Optional<Refutation> find(List<CircuitMachine.Move> hands, Predicate<Moment> kind, When when) {
        return play(hands, APART, kind, when).or(() -> play(hands, 0, kind, when));
    }

    /** What hands do one after the other, then something more, up to the first instant of a kind; empty if there is none. */
    public Optional<Refutation> pushed(List<CircuitMachine.Move> hands, Action more, Predicate<Moment> kind) {
        Bench bench = played(hands, APART);
        bench.runUntil(bench.now() + APART);
        long last = bench.now();
        act(bench, more);
        bench.runUntil(last + APART);
        return bench.instants().stream()
                .filter(instant -> instant > last)
                .filter(instant -> kind.test(bench.momentAt(instant)))
                .findFirst()
                .map(instant -> refutation(bench, instant, Pace.NOMINAL));
    }

    /**
     * Looks for an instant after the last hand on the bench; at that hand itself it must not be so.
     *
     * @param hands what hands do, in order
     * @return the story up to the first instant of the kind, empty if neither way of playing comes to one
     */
    public Optional<Refutation> afterwards(List<CircuitMachine.Move> hands, Predicate<Moment> kind) {
        return Stream.of(APART, 0L)
                .flatMap(apart -> playAfterwards(hands, apart, kind).stream())
                .findFirst();
    }

    private Optional<Refutation> playAfterwards(List<CircuitMachine.Move> hands, long apart, Predicate<Moment> kind) {
        Bench bench = played(hands.subList(0, hands.size() - 1), apart);
        bench.runUntil(bench.now() + apart);
        if (kind.test(bench.moment())) {
            return Optional.empty();
        }
        long last = bench.now();
        action(hands.get(hands.size() - 1), bench.moment()).forEach(action -> act(bench, action));
        bench.runUntil(last + LONGEST);
        return bench.instants().stream()
                .filter(instant -> instant > last)
                .filter(instant -> kind.test(bench.momentAt(instant)))
                .findFirst()
                .map(instant -> refutation(bench, instant, Pace.NOMINAL));
    }

    private Optional<Refutation> play(List<CircuitMachine.Move> hands, long apart, Predicate<Moment> kind, When when) {
        return look(played(hands, apart), kind, when, Pace.NOMINAL);
    }

    private Bench played(List<CircuitMachine.Move> hands, long apart) {
        Bench bench = begin(Pace.NOMINAL);
        bench.runUntil(ready);
        for (CircuitMachine.Move move : hands) {
            bench.runUntil(bench.now() + apart);
            action(move, bench.moment()).forEach(action -> act(bench, action));
        }
        return bench;
    }

    /**
     * Plays what hands do at named times, everything else at its own.
     *
     * @param times when each move is made, in microseconds
     * @return the story up to the first instant of the kind, or up to the end, empty if there is none
     */
    Optional<Refutation> playAt(
            List<CircuitMachine.Move> hands, List<Long> times, Pace pace, Predicate<Moment> kind, When when) {
        Bench bench = play(hands, times, pace, 0);
        return look(bench, kind, when, pace);
    }

    /** Plays what hands do at given times and goes on until a time, all in microseconds. */
    public Bench play(List<CircuitMachine.Move> hands, List<Long> times, Pace pace, long until) {
        return goOn(begin(pace), hands, times, until);
    }

    /**
     * Plays what hands do at given times, the first of them when all has settled, and goes on until a time, all in microseconds. What was
     * before the first hand is played once for all that are played like this.
     *
     * @param pace from the first hand on; until then changes take their nominal times
     */
    public Bench playFromRest(List<CircuitMachine.Move> hands, List<Long> times, Pace pace, long until) {
        long first = times.get(0);
        if (settled.filter(bench -> bench.now() == first).isEmpty()) {
            Bench bench = begin(Pace.NOMINAL);
            bench.runUntil(first);
            settled = Optional.of(bench);
            beginning = List.copyOf(script);
        }
        script.clear();
        script.addAll(beginning);
        return goOn(settled.orElseThrow().paced(pace), hands, times, until);
    }

    private Bench goOn(Bench bench, List<CircuitMachine.Move> hands, List<Long> times, long until) {
        for (int i = 0; i < hands.size(); i++) {
            bench.runUntil(Math.max(bench.now(), times.get(i)));
            action(hands.get(i), bench.moment()).forEach(action -> act(bench, action));
        }
        bench.runUntil(Math.max(bench.now(), until));
        return bench;
    }

    /** What was played last, shown at an instant. */
    public Refutation shown(Bench bench, long instant, Pace pace) {
        return refutation(bench, instant, pace);
    }

    /** Plays what hands do, and looks whether things still move long after; the instant is the last at which anything changed. */
    public Optional<Refutation> restless(List<CircuitMachine.Move> hands) {
        return Stream.of(APART, 0L)
                .flatMap(apart -> restless(hands, apart).stream())
                .findFirst();
    }

    private Optional<Refutation> restless(List<CircuitMachine.Move> hands, long apart) {
        Bench bench = played(hands, apart);
        long last = bench.now();
        bench.runUntil(last + APART);
        long late = bench.instants().stream()
                .filter(instant -> instant > last + APART / 2)
                .count();
        List<Long> instants = bench.instants();
        return late > CHATTER
                ? Optional.of(refutation(bench, instants.get(instants.size() - 1), Pace.NOMINAL))
                : Optional.empty();
    }

    /** Whether the supplies from outside are there; all of them come and go together. */
    public static boolean hasPower(Moment moment) {
        return moment.assembly().parts().stream()
                .filter(part -> part.drive().verbs().containsKey(Verb.LOSE))
                .allMatch(part -> isThere(moment, part));
    }

    private static boolean isThere(Moment moment, Part part) {
        return moment.actuated(part.tag()) || moment.condition(part.tag()).isActive();
    }

    private Bench begin(Pace pace) {
        Bench bench = Bench.of(assembly, pace);
        script.clear();
        faults.forEach(fault -> put(bench, fault));
        for (Part part : assembly.parts()) {
            if (part.drive().verbs().containsKey(Verb.CLOSE) && part.initial() == 0) {
                act(bench, new Action(Verb.CLOSE, part.tag()));
            }
        }
        return bench;
    }

    private Optional<Refutation> look(Bench bench, Predicate<Moment> kind, When when, Pace pace) {
        long last = bench.now();
        bench.runUntil(last + (when == When.AT_ANY_INSTANT ? APART : LONGEST));
        if (when == When.IN_THE_END && kind.test(bench.moment())) {
            return Optional.of(refutation(bench, bench.now(), pace));
        }
        return bench.instants().stream()
                .filter(instant -> instant > countsAfter(when, last))
                .filter(instant -> kind.test(bench.momentAt(instant)))
                .findFirst()
                .map(instant -> refutation(bench, instant, pace));
    }

    /** Instants later than this count: in the end, only where a flasher goes on and on, those half a minute after the last hand. */
    private long countsAfter(When when, long last) {
        return switch (when) {
            case AT_ANY_INSTANT -> -1;
            case AFTER_THE_LAST_HAND -> last;
            case IN_THE_END -> goesOn ? last + LONGEST / 2 : Long.MAX_VALUE;
        };
    }

    private Refutation refutation(Bench bench, long instant, Pace pace) {
        return new Refutation(new Scenario(List.copyOf(script)), instant, story(bench, instant), pace);
    }

    private static List<String> story(Bench bench, long until) {
        return bench.story().stream()
                .filter(line -> line.time() <= until)
                .limit(MOST_LINES)
                .map(line -> String.format(Locale.ROOT, "%.1f ms: %s", line.time() / 1000.0, line.text()))
                .toList();
    }

    private List<Action> action(CircuitMachine.Move move, Moment moment) {
        if (move.part() == CircuitMachine.POWER) {
            return move.value() == CircuitMachine.ALL_THERE
                    ? givenBack(moment)
                    : outages.get(move.value() - 1).taken();
        }
        Part part = assembly.parts().get(move.part());
        if (part.drive() instanceof Drive.ByTurning turning) {
            return List.of(new Action(Verb.TURN, part.tag(), turning.positions().get(move.value())));
        }
        boolean trips = part.drive().verbs().containsKey(Verb.TRIP);
        return part.drive().verbs().entrySet().stream()
                .filter(verb -> !trips || verb.getKey() != Verb.PRESS && verb.getKey() != Verb.RELEASE)
                .sorted(Map.Entry.comparingByKey())
                .filter(verb ->
                        verb.getValue() == (part.family() == Family.PUSH_BUTTON ? move.value() & 1 : move.value()))
                .map(verb -> new Action(verb.getKey(), part.tag()))
                .limit(1)
                .toList();
    }

    /** What is away comes back. */
    private List<Action> givenBack(Moment moment) {
        return outages.stream()
                .flatMap(outage -> outage.given().stream())
                .distinct()
                .filter(action -> !isThere(moment, assembly.part(action.tag()).orElseThrow()))
                .toList();
    }

    private void put(Bench bench, Fault fault) {
        try {
            bench.set(fault, true);
            script.add(new Step.SetFault(script.size() + 1, bench.now(), fault, true));
        } catch (ActionRefusedException impossible) {
            throw new IllegalArgumentException("a fault that the sheet cannot have", impossible);
        }
    }

    private void act(Bench bench, Action action) {
        try {
            bench.act(action);
            script.add(new Step.Do(script.size() + 1, bench.now(), action));
        } catch (ActionRefusedException impossible) {
            // The bench refuses what cannot be done by hand there; the story goes on without it.
        }
    }
}
