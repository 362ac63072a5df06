package parable.testsheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.bench.Action;
import parable.bench.ActionRefusedException;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.bench.Meter;
import parable.bench.Moment;
import parable.bench.Pace;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;
import parable.program.NetworkEnd;
import parable.program.ProgramNetwork;

/** Does on the bench what a test sheet asks for, on a sound panel or on one with faults. Situations that were explored are remembered. */
public final class StepRehearsal {

    private static final long SECOND = 1_000_000;

    /** Nothing on a panel takes longer to come to rest, in microseconds; what blinks never does. */
    private static final long PATIENCE = 90 * SECOND;

    /** What a motor may need beyond the last contact to get up to speed or to run down, in microseconds. */
    private static final long MOTION = 6 * SECOND;

    /** Who comes to look after a trip finds the motor at rest, in microseconds. */
    private static final long COASTING = 60 * SECOND;

    private final Assembly assembly;
    private final List<Fault> faults;
    private final boolean scans;
    private final long quiet;
    private final Map<Situation, Rest> reached = new HashMap<>();

    /** A panel with faults in it from the beginning; none for a sound one. */
    public StepRehearsal(Assembly assembly, List<Fault> faults) {
        this.assembly = assembly;
        this.faults = List.copyOf(faults);
        scans = assembly.parts().stream().anyMatch(part -> part.family() == Family.CONTROLLER);
        quiet = Math.max(longestInProgram(), longestOfTimers()) + 2 * SECOND;
    }

    private long longestOfTimers() {
        return assembly.parts().stream()
                .map(Part::drive)
                .filter(Drive.ByTimer.class::isInstance)
                .map(drive -> ((Drive.ByTimer) drive).program())
                .flatMap(program -> Stream.concat(program.fed().stream(), program.released().stream()))
                .mapToLong(stage -> stage.after().nominal())
                .max()
                .orElse(0);
    }

    /** A controller never rests; it has come to rest when nothing has changed for longer than any of its timers takes. */
    private long longestInProgram() {
        return assembly.sheet().program().stream()
                .flatMap(program -> program.networks().stream())
                .map(ProgramNetwork::end)
                .filter(NetworkEnd.Timer.class::isInstance)
                .mapToLong(end -> ((NetworkEnd.Timer) end).millis() * 1000)
                .max()
                .orElse(0);
    }

    /** What has come to rest. Nothing is done to it any more, so that what is measured is worked out once. */
    public static final class Rest {

        private final Bench bench;
        private final long since;
        private final List<Fault> faults;
        private Optional<Meter> meter = Optional.empty();

        private Rest(Bench bench, long since, List<Fault> faults) {
            this.bench = bench;
            this.since = since;
            this.faults = faults;
        }

        Bench bench() {
            return bench;
        }

        /** When the last deed was done, in microseconds. */
        long since() {
            return since;
        }

        List<Fault> faults() {
            return faults;
        }

        /** The instant at which it rests. */
        public Moment moment() {
            return bench.moment();
        }

        /** A meter at that instant. */
        synchronized Meter meter() {
            if (meter.isEmpty()) {
                meter = Optional.of(moment().meter());
            }
            return meter.get();
        }

        /** Whether anything was short-circuited on the way, so that a fuse or breaker opens. */
        public boolean wasShorted() {
            return bench.instants().stream()
                    .anyMatch(time -> bench.momentAt(time).shorted());
        }

        Part part(String tag) {
            return bench.assembly().part(tag).orElseThrow();
        }

        boolean has(Fault.Kind kind, String tag) {
            return faults.stream()
                    .anyMatch(fault -> fault.kind() == kind && fault.tag().equals(tag));
        }

        /** For how long a device was in a condition since the last deed, in s. */
        double secondsIn(String tag, Condition condition) {
            List<Long> times =
                    bench.instants().stream().filter(time -> time >= since).toList();
            long sum = 0;
            for (int i = 0; i + 1 < times.size(); i++) {
                if (bench.momentAt(times.get(i)).condition(tag) == condition) {
                    sum += times.get(i + 1) - times.get(i);
                }
            }
            return (double) sum / SECOND;
        }

        /** The conditions that a device went through since the last deed, in order. */
        Set<Condition> conditions(String tag) {
            return bench.instants().stream()
                    .filter(time -> time >= since)
                    .map(time -> bench.momentAt(time).condition(tag))
                    .collect(Collectors.toCollection(LinkedHashSet::new));
        }

        /** How long after the last deed a device first got into a condition, in s; empty if it never did. */
        OptionalDouble secondsUntil(String tag, Condition condition) {
            return bench.instants().stream()
                    .filter(time -> time >= since)
                    .filter(time -> bench.momentAt(time).condition(tag) == condition)
                    .mapToDouble(time -> (double) (time - since) / SECOND)
                    .findFirst();
        }
    }

    /** What a situation ends in. */
    public Rest rest(Situation situation) {
        Rest known = reached.get(situation);
        if (known == null) {
            known = reach(situation);
            reached.put(situation, known);
        }
        return known;
    }

    private Rest reach(Situation situation) {
        try {
            if (situation.leftRunning()) {
                return later(rest(situation.before()).bench(), situation.phase());
            }
            if (situation.hands().isEmpty()) {
                Bench bench = Bench.untold(assembly);
                for (Fault fault : prepared(situation.phase())) {
                    bench.set(fault, true);
                }
                settle(bench, situation.phase());
                return new Rest(bench, 0, faults);
            }
            Bench before = rest(situation.before()).bench();
            Bench bench = before.paced(Pace.NOMINAL);
            long since = bench.now();
            bench.act(situation.hands().get(situation.hands().size() - 1));
            settle(bench, situation.phase());
            return new Rest(bench, since, faults);
        } catch (ActionRefusedException impossible) {
            throw new IllegalStateException("a test asks for what cannot be done", impossible);
        }
    }

    /** What becomes of it when nobody touches it any more: the first trip, and what follows from that. A loose terminal warms nothing for long. */
    private Rest later(Bench before, Phase phase) throws ActionRefusedException {
        Bench bench = before.paced(Pace.NOMINAL);
        long since = bench.now();
        long end = since + Situation.LEFT_FOR_MINUTES * 60 * SECOND;
        List<Condition> protection = protection(bench);
        boolean loose = faults.stream().anyMatch(fault -> fault.kind() == Fault.Kind.LOOSE);
        if (!loose && bench.protectionActs().orElse(end) < end) {
            while (bench.now() < end && protection(bench).equals(protection)) {
                bench.runUntil(Math.min(end, bench.restsUntil().orElse(end)));
            }
            settle(bench, phase);
            bench.runUntil(bench.now() + COASTING);
        }
        return new Rest(bench, since, faults);
    }

    private List<Condition> protection(Bench bench) {
        Moment moment = bench.moment();
        return assembly.parts().stream()
                .filter(part -> part.heater().isPresent() || part.protection().isPresent())
                .map(part -> moment.condition(part.tag()))
                .toList();
    }

    /** The faults, and the motors' leads off where the control circuit is tried alone. */
    private List<Fault> prepared(Phase phase) {
        List<Fault> there = new ArrayList<>(faults);
        for (Part part : assembly.parts()) {
            if (phase == Phase.CONTROL && part.family() == Family.MOTOR) {
                part.terminals().stream()
                        .filter(marking -> !marking.equals("PE"))
                        .map(marking -> new Fault(Fault.Kind.OFF, part.tag(), marking))
                        .filter(fault -> !there.contains(fault))
                        .forEach(there::add);
            }
        }
        return there;
    }

    private List<Condition> conditions(Bench bench) {
        Moment moment = bench.moment();
        return assembly.parts().stream()
                .map(part -> moment.condition(part.tag()))
                .toList();
    }

    private void settle(Bench bench, Phase phase) throws ActionRefusedException {
        if (phase == Phase.DEAD) {
            for (Part part : assembly.parts()) {
                if (part.family() == Family.SUPPLY) {
                    bench.act(new Action(Verb.LOSE, part.tag()));
                }
            }
        }
        long until = bench.now() + PATIENCE;
        long changed = bench.now();
        List<Condition> before = conditions(bench);
        while (bench.nextEvent().isPresent() && bench.now() < until && bench.now() - changed <= quiet) {
            bench.runUntil(Math.max(bench.nextEvent().getAsLong(), scans ? bench.now() + SECOND / 2 : 0));
            List<Condition> now = scans ? conditions(bench) : List.of();
            if (!scans || !now.equals(before)) {
                changed = bench.now();
            }
            before = now;
        }
        if (phase != Phase.DEAD) {
            bench.runUntil(bench.now() + MOTION);
        }
    }
}
