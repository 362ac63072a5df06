package parable.proof;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.stream.Stream;
import parable.bench.Fault;
import parable.bench.Progress;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.ratings.JobTables;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;
import parable.timing.Refinement;
import parable.timing.Replay;

/**
 * All claims on a sheet.
 *
 * @param claims in the order in which the circuit raises them
 * @param limits what is left out of all of them, a sentence each
 * @param states how many states were explored
 * @param complete whether that was all of them
 */
public record Proof(List<Claim> claims, List<String> limits, int states, boolean complete) {

    private static final Claim TOO_LARGE =
            Claim.open("too-large", "Too much moves on this sheet for its states to be explored.", List.of());

    /** Said where it is only asked whether to go on, so that the answer does not depend on how far the search is by chance. */
    private static final int NOTHING_NEW = 0;

    /** The most states that are explored unless another bound is given. */
    public static final int MOST_STATES = Explorer.MOST_STATES;

    /** What a state takes in memory while it is explored and judged, in bytes. */
    public static final int BYTES_PER_STATE = 64;

    /** Not modified: the list is copied. */
    public Proof {
        claims = List.copyOf(claims);
        limits = List.copyOf(limits);
    }

    /** Which times the search keeps to. */
    public enum Timing {
        /** None: every change may take any time. What some order of events breaks stays open unless nominal times show it. */
        ANY,
        /** Where any speed breaks a claim, the stated ranges. */
        WITHIN_TIMES
    }

    /**
     * Explores every reachable state of an assembled sheet, at any speed first and within the stated times where that breaks a claim.
     *
     * @param speed which times are kept
     * @param progress told the states so far; once it ends the search, what is not decided is unfinished
     */
    public static Proof of(Assembly assembly, Timing speed, Progress progress) {
        return of(assembly, speed, MOST_STATES, progress);
    }

    /**
     * The same with a bound of one's own.
     *
     * @param mostStates the most states that are explored of each circuit on the sheet; what more would decide is unfinished
     */
    public static Proof of(Assembly assembly, Timing speed, int mostStates, Progress progress) {
        return apart(assembly, progress, part -> ofOne(part, List.of(), speed, mostStates, progress));
    }

    /**
     * The circuits of a sheet that have nothing to do with each other, each explored by itself. Once the time is over no further one is begun: what would hold of
     * all of them is unfinished then, and what is left out is said.
     */
    private static Proof apart(Assembly assembly, Progress progress, Function<Assembly, Proof> explored) {
        List<Sheet> parts = IndependentParts.of(assembly);
        if (parts.size() == 1) {
            return explored.apply(assembly);
        }
        int states = 0;
        int done = 0;
        boolean complete = true;
        Map<String, Claim> claims = new LinkedHashMap<>();
        Set<String> limits = new LinkedHashSet<>();
        while (done < parts.size() && (done == 0 || !progress.isCancelled(states))) {
            int before = states;
            Proof proof = explored.apply(fitted(parts.get(done++), assembly.tables()));
            states = before + proof.states;
            complete &= proof.complete;
            limits.addAll(proof.limits);
            proof.claims.forEach(claim -> claims.merge(claim.id(), claim, Claim::and));
        }
        List<Claim> all = List.copyOf(claims.values());
        if (done < parts.size()) {
            complete = false;
            limits.add("Of " + parts.size() + " circuits that have nothing to do with each other " + done
                    + " were explored before the time was over; nothing is said of the others.");
            all = all.stream().map(Claim::asFarAsExplored).toList();
        }
        return new Proof(Limits.acrossParts(all), List.copyOf(limits), states, complete);
    }

    private static Assembly fitted(Sheet part, JobTables tables) {
        try {
            return Assembly.of(part, tables);
        } catch (PartException impossible) {
            throw new IllegalStateException("a part of a sheet that is fitted out cannot be fitted out", impossible);
        }
    }

    /** Like {@link #of}, with everything explored together, whatever is independent. */
    static Proof together(Assembly assembly, Timing speed, Progress progress) {
        return ofOne(assembly, List.of(), speed, MOST_STATES, progress);
    }

    /** Like {@link #together}, with faults in from the beginning. */
    static Proof with(Assembly assembly, List<Fault> faults, Timing speed, Progress progress) {
        return ofOne(assembly, faults, speed, MOST_STATES, progress);
    }

    private static Proof ofOne(Assembly assembly, List<Fault> faults, Timing speed, int mostStates, Progress progress) {
        CircuitMachine machine = CircuitMachine.untimed(assembly, faults);
        CircuitMachine timed = new CircuitMachine(assembly, faults);
        if (!machine.isSmallEnough()) {
            return new Proof(List.of(TOO_LARGE), List.of(), 0, false);
        }
        Explorer explorer = new Explorer(machine, progress, mostStates);
        BooleanSupplier notInTime = speed == Timing.ANY
                ? () -> true
                : () -> progress.isCancelled(explorer.states().size());
        CompletableFuture<List<Claim>> onTimes = speed == Timing.ANY
                ? CompletableFuture.completedFuture(List.of())
                : CompletableFuture.supplyAsync(
                        () -> onTimes(assembly, faults, () -> progress.isCancelled(NOTHING_NEW)));
        explorer.explore();
        Replay replay = new Replay(assembly, faults);
        Refinement refinement = new Refinement(timed, replay, notInTime);
        Certainty certainty = new Certainty(timed, refinement, notInTime);
        Deciding deciding = new Deciding(machine, explorer, replay, refinement);
        List<Opponents.Pair> opponents = Opponents.pairs(assembly, machine);
        Limits limits = new Limits(machine, explorer, opponents);
        List<Claim> claims = Stream.of(
                        raised(
                                Claim.Sort.REQUIREMENT,
                                new Requirements(assembly, explorer, timed, replay, refinement, notInTime)),
                        raised(Claim.Sort.OWN, new OwnClaims(assembly, machine, explorer, deciding)),
                        raised(
                                Claim.Sort.DESCRIPTION,
                                new Behaviour(machine, explorer, certainty),
                                new ContactorPairs(machine, explorer, opponents),
                                new Signals(machine, explorer),
                                onTimes::join,
                                new TimerWaits(machine, explorer)))
                .flatMap(Function.identity())
                .map(limits::on)
                .toList();
        boolean goesOn = !explorer.isComplete() && !progress.isCancelled(NOTHING_NEW);
        return new Proof(
                goesOn ? furtherOn(claims, new PlainPositions(assembly, faults, replay, refinement, progress)) : claims,
                limits.sentences(),
                explorer.states().size(),
                explorer.isComplete());
    }

    private static Stream<Claim> raised(Claim.Sort sort, ClaimSource... sources) {
        return Stream.of(sources).flatMap(source -> source.claims().stream()).map(claim -> claim.as(sort));
    }

    /** The claims with what plain positions refute of those that are not finished. */
    private static List<Claim> furtherOn(List<Claim> claims, PlainPositions plain) {
        return claims.stream()
                .map(claim -> claim.verdict() == Verdict.UNFINISHED
                        ? plain.refuted(claim.id()).orElse(claim)
                        : claim)
                .toList();
    }

    /**
     * Goes through the plain positions of a sheet: contactors and buttons at rest or over, whatever is on its way left out. That is quick, and
     * what it refutes is refuted; the other claims are unfinished, for races are not seen.
     *
     * @param progress told the states so far
     */
    public static Proof plain(Assembly assembly, Progress progress) {
        return apart(assembly, progress, part -> plainOfOne(part, progress));
    }

    private static Proof plainOfOne(Assembly assembly, Progress progress) {
        if (!CircuitMachine.plain(assembly, List.of()).isSmallEnough()) {
            return new Proof(List.of(TOO_LARGE), List.of(), 0, false);
        }
        Replay replay = new Replay(assembly, List.of());
        Refinement refinement = new Refinement(
                new CircuitMachine(assembly, List.of()), replay, () -> progress.isCancelled(NOTHING_NEW));
        return new PlainPositions(assembly, List.of(), replay, refinement, progress).proof();
    }

    /**
     * How many plain positions of a sheet can be reached, everything on it explored together, whatever is independent.
     *
     * @param progress told those so far; once it ends the search, or {@link #MOST_STATES} are known, that many
     */
    public static int plainPositions(Assembly assembly, Progress progress) {
        Explorer explorer = new Explorer(CircuitMachine.plain(assembly, List.of()), progress);
        explorer.explore();
        return explorer.states().size();
    }

    /** The claims on how long things take; they are measured on the bench, which the other core can do meanwhile. */
    private static List<Claim> onTimes(Assembly assembly, List<Fault> faults, BooleanSupplier cancelled) {
        Replay replay = new Replay(assembly, faults);
        Refinement refinement = new Refinement(new CircuitMachine(assembly, faults), replay, cancelled);
        DurationClaims trials =
                new DurationClaims(CircuitMachine.untimed(assembly, faults), replay, refinement, cancelled);
        return Stream.<ClaimSource>of(new Sequence(trials), new WarningTime(trials), new BrakeTime(trials))
                .flatMap(source -> source.claims().stream())
                .toList();
    }

    /** The claim of this id, empty if the circuit does not raise it. */
    public Optional<Claim> claim(String id) {
        return claims.stream().filter(claim -> claim.id().equals(id)).findFirst();
    }
}
