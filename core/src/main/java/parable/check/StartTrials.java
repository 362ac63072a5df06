package parable.check;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.circuit.Terminal;
import parable.network.Potential;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;
import parable.parts.Verb;
import parable.program.NetworkEnd;

/** Tries a starter by hand on the bench: every start in every arrangement of the selectors, and while it runs every stop. */
final class StartTrials {

    /** Long enough for a pre-start warning that begins when power comes. */
    private static final long READY = 60_000_000;

    private static final long MOMENT = 1_000;
    private static final long SHORTLY = 2_000_000;
    private static final long FINGER = 300_000;
    private static final long SETTLED = 30_000_000;

    /** Longer than this, in microseconds, no timer is waited for. */
    private static final long PATIENCE = 600_000_000;

    private static final long STOPPED = 8_000_000;

    /** From star to delta the voltage rises to 1.73 times. */
    private static final double RISEN = 1.3;

    private static final int MOST_ARRANGEMENTS = 12;

    private static final Set<Condition> DRIVEN =
            Set.of(Condition.FORWARD, Condition.REVERSE, Condition.SINGLE_PHASED, Condition.LOCKED);

    private final Assembly assembly;
    private final BooleanSupplier cancelled;

    /** How long all timers take that may run one after the other, in microseconds. */
    private final long timers;

    private Optional<String> shortedBy = Optional.empty();
    private Map<Terminal, Potential> voltages = new HashMap<>();
    private final Set<String> pulledIn = new LinkedHashSet<>();
    private Map<String, Double> begun = new HashMap<>();
    private Map<String, Double> changedAt = new HashMap<>();

    StartTrials(Assembly assembly, BooleanSupplier cancelled) {
        this.assembly = assembly;
        this.cancelled = cancelled;
        timers = Math.min(PATIENCE, inCopper(assembly) + inProgram(assembly));
    }

    private static long inCopper(Assembly assembly) {
        return assembly.parts().stream()
                .filter(part -> part.drive() instanceof Drive.ByTimer)
                .map(part -> ((Drive.ByTimer) part.drive()).program())
                .mapToLong(program -> Stream.concat(program.fed().stream(), program.released().stream())
                        .mapToLong(stage -> stage.after().nominal())
                        .sum())
                .sum();
    }

    private static long inProgram(Assembly assembly) {
        return assembly.sheet().program().stream()
                .flatMap(program -> program.networks().stream())
                .filter(network -> network.end() instanceof NetworkEnd.Timer)
                .mapToLong(network -> ((NetworkEnd.Timer) network.end()).millis() * 1000)
                .sum();
    }

    /** All tries, arrangement by arrangement, in the order of the devices. */
    List<StartTrial> all() {
        List<StartTrial> all = new ArrayList<>();
        for (Map<String, String> arrangement : arrangements()) {
            tryAll(arrangement, Preparation.NONE, all);
        }
        prepared(all);
        return all;
    }

    private void tryAll(Map<String, String> arrangement, Preparation preparation, List<StartTrial> all) {
        shortedBy = Optional.empty();
        voltages = new HashMap<>();
        Bench bench = ready(arrangement);
        prepare(bench, preparation);
        long ready = bench.now();
        Set<String> byItself = driven(bench.moment());
        boolean alone = preparation.acts().isEmpty();
        if (alone && (!byItself.isEmpty() || !hasStarts())) {
            all.add(tried(bench, arrangement, preparation, Optional.empty(), byItself, byItself));
        }
        if (!alone || byItself.isEmpty()) {
            for (Part part : assembly.parts()) {
                Operating.start(part)
                        .filter(press -> !preparation.holds(press.tag()))
                        .ifPresent(press -> {
                            shortedBy = Optional.empty();
                            backTo(bench, ready);
                            all.add(started(bench, arrangement, preparation, press));
                        });
            }
        }
    }

    /** What nothing starts by itself is tried with permissives put as they must be: switches actuated, something reset or started before. */
    private void prepared(List<StartTrial> all) {
        List<Preparation> preparations = Preparation.of(assembly);
        for (int i = 0; i < preparations.size() && isAnyNeverDriven(all); i++) {
            for (Map<String, String> arrangement : arrangements()) {
                List<StartTrial> further = new ArrayList<>();
                tryAll(arrangement, preparations.get(i), further);
                Set<String> known = everDriven(all);
                further.stream()
                        .filter(trial -> !known.containsAll(trial.held()))
                        .forEach(all::add);
            }
        }
    }

    private static Set<String> everDriven(List<StartTrial> all) {
        Set<String> driven = new LinkedHashSet<>();
        all.forEach(trial -> {
            driven.addAll(trial.held());
            driven.addAll(trial.after());
        });
        return driven;
    }

    private boolean isAnyNeverDriven(List<StartTrial> all) {
        Set<String> driven = everDriven(all);
        return all.stream().allMatch(trial -> trial.shortedBy().isEmpty())
                && assembly.parts().stream()
                        .anyMatch(part -> part.family() == Family.MOTOR && !driven.contains(part.tag()));
    }

    private void prepare(Bench bench, Preparation preparation) {
        for (Action action : preparation.acts()) {
            act(bench, action);
            run(bench, bench.now() + FINGER, "before a start was tried");
        }
        if (!preparation.acts().isEmpty()) {
            run(bench, bench.now() + STOPPED, "before a start was tried");
        }
    }

    /**
     * Holds a stop and tries every start all the same.
     *
     * @param motors those that must not be driven
     * @return the start that drives one of them, empty if none does
     */
    Optional<String> passing(Part held, Set<String> motors) {
        for (Map<String, String> arrangement : arrangements()) {
            Bench bench = ready(arrangement);
            Preparation.of(assembly).stream()
                    .filter(preparation -> preparation.isOnlySwitches())
                    .findFirst()
                    .ifPresent(switches -> prepare(bench, switches));
            Operating.stop(held).ifPresent(stop -> act(bench, stop));
            run(bench, bench.now() + STOPPED, held.tag() + " was held");
            long ready = bench.now();
            for (Part part : assembly.parts()) {
                Optional<Action> press = Operating.start(part);
                backTo(bench, ready);
                if (press.isPresent() && press.get().verb() != Verb.TURN) {
                    act(bench, press.get());
                    run(bench, bench.now() + SHORTLY, part.tag() + " was pressed");
                }
                if (!Collections.disjoint(driven(bench.moment()), motors)) {
                    return Optional.of(part.tag());
                }
            }
        }
        return Optional.empty();
    }

    private boolean hasStarts() {
        return assembly.parts().stream().anyMatch(part -> Operating.start(part).isPresent());
    }

    private List<Map<String, String>> arrangements() {
        List<Map<String, String>> arrangements = new ArrayList<>(List.of(Map.of()));
        for (Part part : assembly.parts()) {
            if (part.drive() instanceof Drive.ByTurning turning) {
                List<Map<String, String>> further = new ArrayList<>();
                for (Map<String, String> arrangement : arrangements) {
                    List<String> stay = turning.positions().stream()
                            .filter(position -> !turning.springs().containsKey(position))
                            .toList();
                    for (String position : stay) {
                        Map<String, String> one = new LinkedHashMap<>(arrangement);
                        one.put(part.tag(), position);
                        further.add(one);
                    }
                }
                arrangements = further;
            }
        }
        return arrangements.subList(0, Math.min(MOST_ARRANGEMENTS, arrangements.size()));
    }

    /** Everything switched on and the selectors turned, after the longest warning. */
    private Bench ready(Map<String, String> arrangement) {
        Bench bench = Bench.untold(assembly);
        for (Part part : assembly.parts()) {
            if (part.drive().verbs().containsKey(Verb.CLOSE) && part.initial() == 0) {
                act(bench, new Action(Verb.CLOSE, part.tag()));
            }
        }
        bench.runUntil(FINGER);
        arrangement.forEach((tag, position) -> turn(bench, tag, position));
        run(bench, READY + timers, "the breaker was closed");
        return bench;
    }

    /** Turns a knob step by step, as a hand must. */
    private void turn(Bench bench, String tag, String wanted) {
        Drive.ByTurning turning =
                (Drive.ByTurning) assembly.part(tag).orElseThrow().drive();
        List<String> arranged = turning.arranged();
        int now = arranged.indexOf(bench.moment().position(tag).orElseThrow());
        int target = arranged.indexOf(wanted);
        while (now != target) {
            now += now < target ? 1 : -1;
            act(bench, new Action(Verb.TURN, tag, arranged.get(now)));
        }
    }

    private StartTrial started(Bench bench, Map<String, String> arrangement, Preparation preparation, Action press) {
        String told = press.tag() + " was " + press.verb().done();
        begun = new HashMap<>();
        changedAt = new HashMap<>();
        if (press.verb() == Verb.TURN) {
            turn(bench, press.tag(), press.position());
        } else {
            act(bench, press);
        }
        run(bench, bench.now() + FINGER, told);
        Set<String> held = driven(bench.moment());
        if (press.verb() != Verb.ACTUATE) {
            act(bench, new Action(Verb.RELEASE, press.tag()));
        }
        preparation.held().forEach(tag -> act(bench, new Action(Verb.RELEASE, tag)));
        run(bench, bench.now() + SHORTLY, told);
        Set<String> shortly = driven(bench.moment());
        run(bench, bench.now() + SETTLED + timers - SHORTLY, told);
        return tried(bench, arrangement, preparation, Optional.of(press.tag()), held, shortly);
    }

    private StartTrial tried(
            Bench bench,
            Map<String, String> arrangement,
            Preparation preparation,
            Optional<String> start,
            Set<String> held,
            Set<String> shortly) {
        Set<String> after = driven(bench.moment());
        Set<String> tripped = in(bench.moment(), Set.of(Condition.TRIPPED));
        Map<String, Double> first = Map.copyOf(begun);
        Map<String, Double> changed = Map.copyOf(changedAt);
        Map<String, Double> last = windings(bench.moment());
        long running = bench.now();
        List<StartTrial.Stop> stops = new ArrayList<>();
        Set<String> returned = Set.of();
        Mishaps mishaps = Mishaps.NONE;
        if (!after.isEmpty()) {
            for (Part part : assembly.parts()) {
                Operating.stop(part).ifPresent(stop -> {
                    backTo(bench, running);
                    stops.add(stopped(bench, stop));
                });
            }
            backTo(bench, running);
            returned = powerReturned(bench);
            mishaps = new Mishaps(
                    plugged(bench, running, start), runAway(bench, running, after), brakedOn(bench, running));
        }
        return new StartTrial(
                arrangement,
                preparation.held(),
                start,
                held,
                shortly,
                after,
                stops,
                returned,
                tripped,
                shortedBy,
                Map.copyOf(voltages),
                Set.copyOf(pulledIn),
                first,
                last,
                changed,
                mishaps);
    }

    /** The motors that something else than what started them turns round while they run. */
    private Set<String> plugged(Bench bench, long running, Optional<String> start) {
        Set<String> plugged = new LinkedHashSet<>();
        for (Part part : assembly.parts()) {
            if (start.filter(part.tag()::equals).isEmpty()) {
                for (Action other : Operating.others(part)) {
                    backTo(bench, running);
                    if (other.verb() == Verb.TURN) {
                        turn(bench, part.tag(), other.position());
                    } else {
                        act(bench, other);
                    }
                    bench.runUntil(bench.now() + FINGER);
                    plugged.addAll(Mishaps.against(assembly, bench));
                }
            }
        }
        return plugged;
    }

    /** The motors that are still braked a minute after a stop and all timers, while every speed switch sticks; asked only where there is a rectifier. */
    private Set<String> brakedOn(Bench bench, long running) {
        boolean brakes = assembly.parts().stream()
                .flatMap(part -> part.sources().stream())
                .flatMap(source -> source.following().stream())
                .anyMatch(following -> following.law() == Source.Law.RECTIFIED);
        Set<String> brakedOn = new LinkedHashSet<>();
        for (Part part : brakes ? assembly.parts() : List.<Part>of()) {
            Operating.stop(part).ifPresent(stop -> {
                backTo(bench, running);
                Mishaps.stuckSpeedSwitches(assembly).forEach(stuck -> Mishaps.put(bench, stuck));
                act(bench, stop);
                bench.runUntil(bench.now() + FINGER);
                act(bench, new Action(Verb.RELEASE, part.tag()));
                bench.runUntil(bench.now() + READY + timers);
                brakedOn.addAll(Mishaps.carryingDirectCurrent(assembly, bench.moment()));
            });
        }
        return brakedOn;
    }

    private Set<String> runAway(Bench bench, long running, Set<String> motors) {
        Set<String> runAway = new LinkedHashSet<>();
        Mishaps.fields(assembly, motors).forEach((motor, field) -> {
            backTo(bench, running);
            Mishaps.put(bench, field);
            bench.runUntil(bench.now() + SHORTLY);
            if (driven(bench.moment()).contains(motor)) {
                runAway.add(motor);
            }
        });
        return runAway;
    }

    private StartTrial.Stop stopped(Bench bench, Action stop) {
        String told = stop.tag() + " was " + stop.verb().done();
        act(bench, stop);
        run(bench, bench.now() + STOPPED, told);
        Set<String> still = driven(bench.moment());
        act(bench, new Action(stop.verb() == Verb.TRIP ? Verb.RESET : Verb.RELEASE, stop.tag()));
        run(bench, bench.now() + STOPPED, told);
        Set<String> again = driven(bench.moment());
        again.removeAll(still);
        return new StartTrial.Stop(stop.tag(), still, again);
    }

    private Set<String> powerReturned(Bench bench) {
        act(bench, Verb.LOSE);
        run(bench, bench.now() + STOPPED, "the supply failed");
        act(bench, Verb.RESTORE);
        run(bench, bench.now() + SETTLED + timers, "the supply returned");
        return driven(bench.moment());
    }

    private void act(Bench bench, Verb verb) {
        for (Part part : assembly.parts()) {
            if (part.drive().verbs().containsKey(verb)) {
                act(bench, new Action(verb, part.tag()));
            }
        }
    }

    /** Goes back to a time and on by a moment, so that what is done next does not belong to that time itself. */
    private static void backTo(Bench bench, long time) {
        bench.rewindTo(time);
        bench.runUntil(time + MOMENT);
    }

    /** What a device cannot do at that moment, as resetting a breaker that has not tripped, is left out. */
    private static void act(Bench bench, Action action) {
        try {
            bench.act(action);
        } catch (ActionRefusedException impossible) {
            // The try goes on without it.
        }
    }

    private void run(Bench bench, long until, String told) {
        if (cancelled.getAsBoolean()) {
            throw new CancellationException("the try is not wanted any more");
        }
        long from = bench.now();
        bench.runUntil(until);
        List<Long> instants = bench.instants();
        int found = Collections.binarySearch(instants, from);
        for (long instant : instants.subList(found < 0 ? -found - 1 : found, instants.size())) {
            look(bench, bench.momentAt(instant), told);
        }
        look(bench, bench.moment(), told);
    }

    private void look(Bench bench, Moment moment, String told) {
        if (shortedBy.isEmpty() && moment.shorted()) {
            shortedBy = Optional.of(told + TrialReadings.meeting(moment.solution()));
        }
        pulledIn.addAll(in(moment, Set.of(Condition.IN)));
        for (Part part : assembly.parts()) {
            TrialReadings.winding(moment, part).ifPresent(volts -> {
                begun.putIfAbsent(part.tag(), volts);
                if (volts > RISEN * begun.get(part.tag())) {
                    changedAt.computeIfAbsent(part.tag(), motor -> TrialReadings.speed(bench, motor, moment.time()));
                }
            });
        }
        for (Part part : assembly.parts()) {
            for (Load load : part.loads()) {
                Terminal terminal = new Terminal(part.tag(), load.from());
                moment.voltage(terminal, new Terminal(part.tag(), load.to()))
                        .filter(voltage -> !moment.shorted())
                        .ifPresent(voltage -> voltages.merge(
                                terminal, voltage, (one, other) -> one.rms() >= other.rms() ? one : other));
            }
        }
    }

    private Map<String, Double> windings(Moment moment) {
        Map<String, Double> windings = new HashMap<>();
        assembly.parts().forEach(part -> TrialReadings.winding(moment, part)
                .ifPresent(volts -> windings.put(part.tag(), volts)));
        return windings;
    }

    private Set<String> driven(Moment moment) {
        return in(moment, DRIVEN);
    }

    /** The devices that are in one of these conditions. */
    private Set<String> in(Moment moment, Set<Condition> conditions) {
        Set<String> found = new LinkedHashSet<>();
        for (Part part : assembly.parts()) {
            if (conditions.contains(moment.condition(part.tag()))) {
                found.add(part.tag());
            }
        }
        return found;
    }
}
