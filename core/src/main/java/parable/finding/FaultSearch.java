package parable.finding;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import parable.parts.Assembly;
import parable.ratings.RatingTables;
import parable.testsheet.Coverage;
import parable.testsheet.Observation;
import parable.testsheet.StepRehearsal;

/**
 * A search for what is wrong with a panel. Suspects are all single faults of its circuit, each run on the bench; what was seen makes those likelier that show it. The next look is the one that tells
 * most for its minutes. A search is not modified: what is seen gives another.
 */
public final class FaultSearch {

    /** So many readings are taken to be wrong unless somebody says otherwise. */
    public static final double USUAL_DOUBT = 0.02;

    /** More pairs of faults are not tried at a time. */
    public static final int MOST_PAIRS = 3000;

    private final Assembly assembly;
    private final SearchBasis basis;
    private final Beliefs beliefs;
    private final List<LookResult> seen;

    private FaultSearch(Assembly assembly, SearchBasis basis, Beliefs beliefs, List<LookResult> seen) {
        this.assembly = assembly;
        this.basis = basis;
        this.beliefs = beliefs;
        this.seen = List.copyOf(seen);
    }

    /**
     * What is known before anything is seen.
     *
     * @param newPanel whether nobody has run it yet, so that it may be wired wrong
     * @param before how often the record tells of a fault of a device, by its tag
     * @param doubt the share of readings that are taken to be wrong, above 0 and below 0.5
     */
    public record Knowledge(boolean newPanel, Map<String, Integer> before, double doubt) {

        /** A panel that has run, of which no record tells, and readings as they usually are. */
        public static final Knowledge NONE = new Knowledge(false, Map.of(), USUAL_DOUBT);

        /** Not modified: the map is copied. */
        public Knowledge {
            before = Map.copyOf(before);
            if (!(doubt > 0 && doubt < 0.5)) {
                throw new IllegalArgumentException("doubt: found " + doubt + ", expected above 0 and below 0.5");
            }
        }
    }

    /**
     * A search before anything was seen.
     *
     * @param tables with {@code look-times} and {@code fault-weights}
     */
    public static FaultSearch of(Assembly assembly, RatingTables tables, Knowledge knowledge) {
        List<Suspect> suspects =
                Coverage.possible(assembly).stream().map(Suspect::of).toList();
        SearchBasis basis = new SearchBasis(
                suspects,
                new PanelLooks(assembly, suspects),
                new LookTimes(assembly, tables),
                new FaultWeights(tables, knowledge.newPanel(), knowledge.before()),
                knowledge.doubt());
        return new FaultSearch(assembly, basis, Beliefs.before(basis), List.of());
    }

    /** This search after something more was seen. */
    public FaultSearch with(LookResult more) {
        return new FaultSearch(
                assembly,
                basis,
                beliefs.after(more, basis),
                Stream.concat(seen.stream(), Stream.of(more)).toList());
    }

    /**
     * This search with pairs of faults among the suspects too: those of which each thing that was seen fits the one or the other, the likeliest {@value #MOST_PAIRS} of them at most. To be asked for
     * once something was seen.
     */
    public FaultSearch withPairs() {
        List<Suspect> all = new ArrayList<>(basis.suspects());
        all.addAll(FaultPairs.of(basis, seen, MOST_PAIRS));
        SearchBasis wider = basis.of(all, assembly);
        return new FaultSearch(assembly, wider, after(seen, wider), seen);
    }

    private static Beliefs after(List<LookResult> seen, SearchBasis basis) {
        Beliefs beliefs = Beliefs.before(basis);
        for (LookResult one : seen) {
            beliefs = beliefs.after(one, basis);
        }
        return beliefs;
    }

    /**
     * The search for what else there is, after something was mended and the machine still does not do what it should; what it does is to be told next. What was seen before counts as it was seen, with
     * both faults in.
     *
     * @param done what was mended
     */
    public FaultSearch mended(Suspect done) {
        List<Suspect> others = Coverage.possible(assembly).stream()
                .filter(fault -> !done.faults().contains(fault))
                .map(Suspect::of)
                .toList();
        List<Suspect> both = others.stream().map(other -> other.and(done)).toList();
        Beliefs then = after(seen, basis.of(both, assembly));
        return new FaultSearch(assembly, basis.of(others, assembly), then.afresh(), List.of());
    }

    /** What was seen so far. */
    public List<LookResult> seen() {
        return seen;
    }

    /** All suspects, the likeliest first. */
    public List<Weighed> ranked() {
        return beliefs.order().stream()
                .map(suspect -> new Weighed(
                        basis.suspects().get(suspect), beliefs.share(suspect), beliefs.contradicted(suspect)))
                .toList();
    }

    /** The suspects that all that was seen fits, the likeliest first. */
    public List<Suspect> fitting() {
        return ranked().stream().filter(Weighed::fits).map(Weighed::suspect).toList();
    }

    /** The next best look; empty when no look that does no harm tells the suspects apart that are left. */
    public Optional<Proposal> next() {
        return new NextLook(basis, beliefs, seen).proposal();
    }

    /** Whether a sound panel shows all of it too, so that nothing that was seen is wrong. */
    public boolean fitsSound() {
        StepRehearsal sound = new StepRehearsal(assembly, List.of());
        return seen.stream().allMatch(one -> {
            Observation observation = one.look().observation();
            return observation.accepts(observation.at(sound.rest(one.look().situation())), one.found());
        });
    }

    /** Whether nothing that is suspected fits all that was seen: a reading is wrong, or more than that is. */
    public boolean cannotBe() {
        return ranked().stream().noneMatch(Weighed::fits);
    }

    /** What it is, once no look is left: the likeliest suspect, with those that nobody could tell apart from it. */
    public List<Suspect> verdict() {
        Weighed top = ranked().get(0);
        return ranked().stream()
                .filter(one -> one.contradicted() <= top.contradicted())
                .filter(one -> one.share() >= NextLook.IN_PLAY * top.share())
                .map(Weighed::suspect)
                .toList();
    }
}
