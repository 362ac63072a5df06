package parable.proof;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.parts.Family;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Effects;
import parable.reach.Hand;
import parable.timing.Instant;
import parable.timing.Refinement;
import parable.timing.Refutation;
import parable.timing.Replay;
import parable.timing.TimedSearch;

/** What a script of hands leads to from rest within the stated times, each hand waiting until all has settled. */
final class Certainty {

    private final CircuitMachine machine;
    private final Refinement refinement;
    private final BooleanSupplier cancelled;

    /** What has happened so far, and where a search has come to with it. */
    private record Run(
            List<Instant.Event> beginning, List<TimedSearch.TimedStep> steps, TimedSearch search, int node) {}

    Certainty(CircuitMachine machine, Refinement refinement, BooleanSupplier cancelled) {
        this.machine = machine;
        this.refinement = refinement;
        this.cancelled = cancelled;
    }

    /**
     * What became of it.
     *
     * @param end what the script ends with, empty unless that is one and the same
     */
    record Decision(Refinement.Result outcome, Optional<Effects> end) {}

    /** Decides whether a script ends with one and the same, whichever contact is the quicker; each hand waits until all has settled. */
    Decision decide(List<Hand> script) {
        Set<Integer> all = refinement.everything();
        Optional<Map<Effects, Run>> ends = cancelled.getAsBoolean() ? Optional.empty() : ends(script, all);
        if (ends.isEmpty()) {
            return new Decision(new Refinement.Result.Open(List.of()), Optional.empty());
        }
        if (ends.get().size() == 1) {
            return new Decision(
                    refinement.holds(fewest(script, all)),
                    ends.get().keySet().stream().findFirst());
        }
        List<Refutation> shown = new ArrayList<>();
        ends.get().forEach((end, run) -> refinement
                .play(run.beginning(), run.steps(), moment -> shows(moment, end), Replay.When.IN_THE_END)
                .ifPresent(played -> shown.add(isNominal(script, end) ? shown.size() : 0, played)));
        Refinement.Result outcome = shown.size() > 1
                ? new Refinement.Result.Fails(shown.get(0))
                : new Refinement.Result.Open(ends.get().keySet().stream()
                        .map(end -> "it may be that " + end.words())
                        .toList());
        return new Decision(outcome, Optional.empty());
    }

    /** Whether a script ends so when all times are nominal: then it is the other way that is worth showing. */
    private boolean isNominal(List<Hand> script, Effects end) {
        List<CircuitMachine.Move> hands = new ArrayList<>();
        long state = machine.initial();
        for (Hand hand : script) {
            hands.add(hand.move(machine, state));
            state = machine.with(state, hand.move(machine, state));
        }
        return refinement.nominal(hands, moment -> shows(moment, end)).isPresent();
    }

    /** Whether the same motors run on the bench, the same way round. */
    private boolean shows(Moment moment, Effects end) {
        List<String> running = new ArrayList<>();
        for (Part part : machine.parts()) {
            boolean motor = part.family() == Family.MOTOR && Stops.DRIVEN.contains(moment.condition(part.tag()));
            if (motor) {
                boolean reverse = moment.condition(part.tag()) == Condition.REVERSE;
                running.add(part.tag() + (reverse ? " runs in reverse" : " runs forward"));
            }
        }
        return running.equals(end.motors());
    }

    private Set<Integer> fewest(List<Hand> script, Set<Integer> all) {
        Set<Integer> fewest = new TreeSet<>(all);
        for (int part : all) {
            Set<Integer> fewer = new TreeSet<>(fewest);
            fewer.remove(part);
            boolean holds = ends(script, fewer).filter(ends -> ends.size() == 1).isPresent();
            fewest = holds ? fewer : fewest;
        }
        return fewest;
    }

    /** The ends a script may have, each with one way to it; empty if it was cancelled, came to its limit, or met a short circuit. */
    private Optional<Map<Effects, Run>> ends(List<Hand> script, Set<Integer> keeping) {
        TimedSearch search = new TimedSearch(machine, keeping, false, cancelled);
        Instant rest = search.rest();
        List<Run> runs = new ArrayList<>();
        for (int end : search.ends(List.of(rest))) {
            runs.add(new Run(rest.events(), search.wayTo(end), search, end));
        }
        if (!search.isComplete() || search.metShort()) {
            return Optional.empty();
        }
        for (Hand hand : script) {
            Optional<List<Run>> next = acted(runs, hand, keeping);
            if (next.isEmpty()) {
                return Optional.empty();
            }
            runs = next.get();
        }
        Map<Effects, Run> ends = new LinkedHashMap<>();
        for (Run run : runs) {
            ends.putIfAbsent(machine.outcome(run.search().positions(run.node())), run);
        }
        return ends.isEmpty() ? Optional.empty() : Optional.of(ends);
    }

    /** Does something by hand, and goes on until all has settled. */
    private Optional<List<Run>> acted(List<Run> runs, Hand hand, Set<Integer> keeping) {
        TimedSearch search = new TimedSearch(machine, keeping, false, cancelled);
        List<Instant> beginnings = new ArrayList<>();
        List<CircuitMachine.Move> hands = new ArrayList<>();
        for (Run run : runs) {
            Instant now = run.search().from(run.node());
            CircuitMachine.Move move = hand.move(machine, now.positions());
            search.act(now, move);
            beginnings.add(now);
            hands.add(move);
        }
        List<Run> settled = new ArrayList<>();
        for (int end : search.ends(beginnings)) {
            int from = search.beginningOf(end);
            Run before = runs.get(from);
            List<TimedSearch.TimedStep> steps = new ArrayList<>(before.steps());
            steps.add(new TimedSearch.TimedStep(
                    hands.get(from), beginnings.get(from).events()));
            steps.addAll(search.wayTo(end));
            settled.add(new Run(before.beginning(), steps, search, end));
        }
        return search.isComplete() && !search.metShort() ? Optional.of(settled) : Optional.empty();
    }
}
