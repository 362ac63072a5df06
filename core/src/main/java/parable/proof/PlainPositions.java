package parable.proof;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.bench.Fault;
import parable.bench.Progress;
import parable.parts.Assembly;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;
import parable.timing.Refinement;
import parable.timing.Replay;

/**
 * What can be refuted by plain positions alone: contactors, relays and buttons at rest or over, all contacts of one at once. There are far
 * fewer of those than of states with everything that is under way, so they reach further on a large sheet. Whatever happens like this can
 * happen; but races are not seen, so nothing is proved by finding nothing.
 */
final class PlainPositions {

    private final Explorer explorer;
    private final Limits limits;
    private final Map<String, Claim> claims = new LinkedHashMap<>();

    /**
     * Goes through them.
     *
     * @param faults what is wrong with the sheet, from the beginning
     * @param replay shows on the bench what is refuted
     * @param refinement finds the times at which the bench shows it, where nominal times do not
     */
    PlainPositions(Assembly assembly, List<Fault> faults, Replay replay, Refinement refinement, Progress progress) {
        CircuitMachine machine = CircuitMachine.plain(assembly, faults);
        explorer = new Explorer(machine, progress);
        explorer.explore();
        new Requirements(
                        assembly,
                        explorer,
                        new CircuitMachine(assembly, faults),
                        replay,
                        refinement,
                        () -> progress.isCancelled(explorer.states().size()))
                .claims()
                .forEach(claim -> claims.put(claim.id(), claim));
        limits = new Limits(machine, explorer, Opponents.pairs(assembly, machine));
    }

    /** How a claim fails, empty if they do not refute it. */
    Optional<Claim> refuted(String id) {
        return Optional.ofNullable(claims.get(id)).filter(claim -> claim.verdict() == Verdict.FAILS);
    }

    /** The proof that is left when there is nothing else: what is not refuted is not finished. */
    Proof proof() {
        List<Claim> known = claims.values().stream()
                .map(claim ->
                        claim.verdict() == Verdict.FAILS ? claim : Claim.open(claim.id(), claim.text(), claim.story()))
                .toList();
        return new Proof(known, limits.sentences(), explorer.states().size(), explorer.isComplete());
    }
}
