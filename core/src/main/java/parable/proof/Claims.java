package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.parts.Family;
import parable.parts.Part;

/** The claims that must never be broken: {@code no-short}, and {@code stops:TAG} for every stop, E-stop and trip. */
final class Claims implements ClaimSource {

    /** The conditions of a motor that is fed to turn. */
    static final Set<Condition> DRIVEN =
            Set.of(Condition.FORWARD, Condition.REVERSE, Condition.SINGLE_PHASED, Condition.LOCKED);

    private final Machine machine;
    private final Explorer explorer;
    private final Replay replay;
    private final Refinement refinement;
    private final List<Claim> claims = new ArrayList<>();

    Claims(Machine machine, Explorer explorer, Replay replay, Refinement refinement) {
        this.machine = machine;
        this.explorer = explorer;
        this.replay = replay;
        this.refinement = refinement;
    }

    @Override
    public List<Claim> claims() {
        add(
                "no-short",
                "No two points of different potential are ever joined without a load.",
                explorer.firstShort(),
                (positions, conduction, settled) -> conduction.shorted(),
                Moment::shorted,
                false);
        List<Part> parts = machine.parts();
        for (int p = 0; p < parts.size(); p++) {
            if (isStop(parts.get(p))) {
                stops(p);
            }
        }
        return claims;
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
            boolean decided = inTheEnd ? explorer.decidesByRest() : explorer.isComplete();
            claims.add(Claim.holding(id, text, decided ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED, List.of()));
            return;
        }
        List<Machine.Move> way = explorer.wayTo(broken.get());
        Optional<Refutation> played =
                replay.find(way.stream().filter(Machine.Move::byHand).toList(), onBench, inTheEnd);
        claims.add(played.map(refutation -> Claim.failing(id, text, refutation))
                .orElseGet(() -> Claim.of(
                        id,
                        text,
                        refinement.decide(kind, TimedSearch.movers(machine, way, false), onBench, inTheEnd),
                        way.stream().map(machine::words).toList())));
    }
}
