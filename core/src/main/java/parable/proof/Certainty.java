package parable.proof;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import parable.bench.Moment;
import parable.parts.Family;

/** What one start leads to from rest within the stated times: pressed until all has settled, and let go. */
final class Certainty {

    private final Machine machine;
    private final Refinement refinement;
    private final BooleanSupplier cancelled;

    /** What has happened so far, and where a search has come to with it. */
    private record Course(List<Instant.Event> beginning, List<TimedSearch.Step> steps, TimedSearch search, int node) {}

    Certainty(Machine machine, Refinement refinement, BooleanSupplier cancelled) {
        this.machine = machine;
        this.refinement = refinement;
        this.cancelled = cancelled;
    }

    /** Decides whether the same motors run in the end, whichever contact is the quicker. */
    Refinement.Outcome decide(int start) {
        Set<Integer> all = new TreeSet<>();
        for (int part : machine.moving()) {
            if (TimedSearch.hasTimes(machine, part)) {
                all.add(part);
            }
        }
        Optional<Map<List<String>, Course>> ends = ends(start, all);
        if (ends.isEmpty()) {
            return new Refinement.Outcome.Open(List.of());
        }
        if (ends.get().size() == 1) {
            return new Refinement.Outcome.Holds(refinement.words(fewest(start, all)));
        }
        List<Refutation> shown = new ArrayList<>();
        ends.get().forEach((motors, course) -> refinement
                .play(
                        course.beginning(),
                        course.steps(),
                        moment -> running(moment).equals(motors),
                        true)
                .ifPresent(played -> shown.add(isNominal(start, motors) ? shown.size() : 0, played)));
        return shown.size() > 1
                ? new Refinement.Outcome.Fails(shown.get(0))
                : new Refinement.Outcome.Open(ends.get().keySet().stream()
                        .map(motors ->
                                motors.isEmpty() ? "everything may stop" : String.join(" and ", motors) + " may run on")
                        .toList());
    }

    /** Whether these motors run in the end when all times are nominal: then it is the other way that is worth showing. */
    private boolean isNominal(int start, List<String> motors) {
        Machine.Move press = machine.toggle(machine.initial(), start);
        Machine.Move release = new Machine.Move(start, press.value() == 1 ? 0 : press.value() ^ 1, true);
        return refinement
                .nominal(List.of(press, release), moment -> running(moment).equals(motors))
                .isPresent();
    }

    private Set<Integer> fewest(int start, Set<Integer> all) {
        Set<Integer> fewest = new TreeSet<>(all);
        for (int part : all) {
            Set<Integer> fewer = new TreeSet<>(fewest);
            fewer.remove(part);
            boolean holds = ends(start, fewer).filter(ends -> ends.size() == 1).isPresent();
            fewest = holds ? fewer : fewest;
        }
        return fewest;
    }

    /** The motors that may run in the end, each with one way to it; empty if it was cancelled, came to its limit, or met a short circuit. */
    private Optional<Map<List<String>, Course>> ends(int start, Set<Integer> keeping) {
        TimedSearch search = new TimedSearch(machine, keeping, false, cancelled);
        Instant rest = search.rest();
        List<Course> ready = new ArrayList<>();
        for (int end : search.ends(List.of(rest))) {
            ready.add(new Course(rest.events(), search.wayTo(end), search, end));
        }
        if (!search.isComplete() || search.metShort()) {
            return Optional.empty();
        }
        return toggled(ready, start, keeping)
                .flatMap(held -> toggled(held, start, keeping))
                .filter(after -> !after.isEmpty())
                .map(this::byMotors);
    }

    private Map<List<String>, Course> byMotors(List<Course> after) {
        Map<List<String>, Course> ends = new LinkedHashMap<>();
        for (Course course : after) {
            long positions = course.search().positions(course.node());
            ends.putIfAbsent(machine.driven(machine.conduction(positions)), course);
        }
        return ends;
    }

    /** Presses the button or lets it go, and goes on until all has settled. */
    private Optional<List<Course>> toggled(List<Course> courses, int start, Set<Integer> keeping) {
        TimedSearch search = new TimedSearch(machine, keeping, false, cancelled);
        List<Instant> beginnings = new ArrayList<>();
        List<Machine.Move> hands = new ArrayList<>();
        for (Course course : courses) {
            Instant now = course.search().from(course.node());
            Machine.Move hand = machine.toggle(now.positions(), start);
            search.act(now, hand);
            beginnings.add(now);
            hands.add(hand);
        }
        List<Course> settled = new ArrayList<>();
        for (int end : search.ends(beginnings)) {
            int from = search.beginningOf(end);
            Course before = courses.get(from);
            List<TimedSearch.Step> steps = new ArrayList<>(before.steps());
            steps.add(new TimedSearch.Step(hands.get(from), beginnings.get(from).events()));
            steps.addAll(search.wayTo(end));
            settled.add(new Course(before.beginning(), steps, search, end));
        }
        return search.isComplete() && !search.metShort() ? Optional.of(settled) : Optional.empty();
    }

    private List<String> running(Moment moment) {
        return machine.parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .filter(part -> Claims.DRIVEN.contains(moment.condition(part.tag())))
                .map(part -> part.tag())
                .toList();
    }
}
