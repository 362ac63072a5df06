package parable.proof;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.parts.Family;
import parable.parts.Part;

/** The claims that a circuit raises, and their verdicts. */
final class Claims {

    /** The conditions of a motor that is fed to turn. */
    static final Set<Condition> DRIVEN =
            Set.of(Condition.FORWARD, Condition.REVERSE, Condition.SINGLE_PHASED, Condition.LOCKED);

    private final Machine machine;
    private final Explorer explorer;
    private final Replay replay;
    private final Refinement refinement;
    private final Certainty certainty;
    private final List<Claim> claims = new ArrayList<>();

    Claims(Machine machine, Explorer explorer, Replay replay, Refinement refinement, Certainty certainty) {
        this.refinement = refinement;
        this.certainty = certainty;
        this.machine = machine;
        this.explorer = explorer;
        this.replay = replay;
    }

    List<Claim> all() {
        noShort();
        List<Part> parts = machine.parts();
        for (int p = 0; p < parts.size(); p++) {
            if (isStop(parts.get(p))) {
                stops(p);
            }
        }
        for (int p = 0; p < parts.size(); p++) {
            boolean starts = parts.get(p).family() == Family.PUSH_BUTTON
                    && parts.get(p).contacts().stream().anyMatch(contact -> !contact.isNormallyClosed());
            if (starts) {
                certain(p);
            }
        }
        return claims;
    }

    /** What a start leads to from rest must not hang on which of two contacts is the quicker. */
    private void certain(int part) {
        String tag = machine.parts().get(part).tag();
        Set<List<String>> held = new LinkedHashSet<>();
        Set<List<String>> after = new LinkedHashSet<>();
        long rest = machine.initial();
        for (long ready : explorer.ends(rest)) {
            long pressed = machine.with(ready, machine.toggle(ready, part));
            for (long holding : explorer.ends(pressed)) {
                held.add(machine.driven(machine.conduction(holding)));
                explorer.ends(machine.with(holding, machine.toggle(holding, part)))
                        .forEach(end -> after.add(machine.driven(machine.conduction(end))));
            }
        }
        boolean decided = after.size() == 1
                && explorer.isComplete()
                && explorer.firstShort().isEmpty()
                && !machine.mayNeverSettle();
        if (held.stream().allMatch(List::isEmpty)) {
            return;
        }
        String id = "certain:" + tag;
        String text = "What " + tag
                + " starts from rest, and what runs on when it is let go, does not depend on which contact is"
                + " the quicker.";
        if (decided) {
            claims.add(new Claim(id, text, Verdict.HOLDS_AT_ANY_SPEED, List.of(), List.of(), Optional.empty()));
            return;
        }
        List<String> story = after.size() > 1
                ? List.of(tag + " is pressed", tag + " is let go", "either " + ends(after))
                : List.of();
        claims.add(claim(id, text, certainty.decide(part), story));
    }

    private static String ends(Set<List<String>> ends) {
        return ends.stream()
                .map(motors -> motors.isEmpty() ? "everything stops" : String.join(" and ", motors) + " runs on")
                .collect(Collectors.joining(", or "));
    }

    private void noShort() {
        add(
                "no-short",
                "No two points of different potential are ever joined without a load.",
                explorer.firstShort(),
                (positions, conduction, settled) -> conduction.shorted(),
                Moment::shorted,
                false);
    }

    /** What every motor must stop for: an E-stop, an overload release, a button whose contacts all open. */
    private static boolean isStop(Part part) {
        return part.family() == Family.EMERGENCY_STOP
                || part.family() == Family.OVERLOAD_RELAY
                || part.family() == Family.PUSH_BUTTON
                        && part.contacts().stream().allMatch(contact -> contact.isNormallyClosed());
    }

    private void stops(int part) {
        String tag = machine.parts().get(part).tag();
        String done = machine.parts().get(part).family() == Family.OVERLOAD_RELAY ? "tripped" : "held";
        Optional<Integer> broken = first(index -> explorer.isSettled(index)
                && explorer.isDriven(index)
                && machine.value(explorer.states().key(index), part) == 1);
        add(
                "stops:" + tag,
                "While " + tag + " is " + done + " every motor comes to have no current, whatever else is held.",
                broken,
                (positions, conduction, settled) ->
                        settled && conduction.driven() != 0 && machine.value(positions, part) == 1,
                moment -> moment.actuated(tag) && isDriven(moment),
                true);
    }

    private boolean isDriven(Moment moment) {
        return machine.parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .anyMatch(part -> DRIVEN.contains(moment.condition(part.tag())));
    }

    private Optional<Integer> first(Predicate<Integer> kind) {
        for (int i = 0; i < explorer.states().size(); i++) {
            if (kind.test(i)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    private void add(
            String id,
            String text,
            Optional<Integer> broken,
            TimedSearch.Kind kind,
            Predicate<Moment> onBench,
            boolean inTheEnd) {
        if (broken.isEmpty()) {
            boolean decided = explorer.isComplete() && !(inTheEnd && machine.mayNeverSettle());
            Verdict verdict = decided ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED;
            claims.add(new Claim(id, text, verdict, List.of(), List.of(), Optional.empty()));
            return;
        }
        List<Machine.Move> way = explorer.wayTo(broken.get());
        Optional<Refutation> played =
                replay.find(way.stream().filter(Machine.Move::byHand).toList(), onBench, inTheEnd);
        if (played.isPresent()) {
            claims.add(failed(id, text, played.get()));
            return;
        }
        Refinement.Outcome outcome =
                refinement.decide(kind, TimedSearch.movers(machine, way, false), onBench, inTheEnd);
        claims.add(claim(id, text, outcome, way.stream().map(machine::words).toList()));
    }

    private static Claim failed(String id, String text, Refutation refutation) {
        return new Claim(id, text, Verdict.FAILS, List.of(), refutation.story(), Optional.of(refutation));
    }

    private static Claim claim(String id, String text, Refinement.Outcome outcome, List<String> anySpeed) {
        if (outcome instanceof Refinement.Outcome.Holds holds) {
            return new Claim(id, text, Verdict.HOLDS_WITHIN_TIMES, holds.times(), List.of(), Optional.empty());
        }
        if (outcome instanceof Refinement.Outcome.Fails fails) {
            return failed(id, text, fails.refutation());
        }
        List<String> story = ((Refinement.Outcome.Open) outcome).story();
        return new Claim(id, text, Verdict.UNFINISHED, List.of(), story.isEmpty() ? anySpeed : story, Optional.empty());
    }
}
