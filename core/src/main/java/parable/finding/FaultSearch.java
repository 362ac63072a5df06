package parable.finding;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import parable.parts.Assembly;
import parable.ratings.RatingTables;
import parable.testsheet.Coverage;
import parable.testsheet.Observation;
import parable.testsheet.Phase;
import parable.testsheet.Situation;
import parable.testsheet.StepRehearsal;

/**
 * A search for what is wrong with a panel. Suspects are all single faults of its circuit, each run on the bench; what was seen makes those likelier that show it. The next look is the one that tells
 * most for its minutes. A search is not modified: what is seen gives another.
 */
public final class FaultSearch {

    /** So many readings are taken to be wrong unless somebody says otherwise. */
    public static final double USUAL_DOUBT = 0.02;

    /** More pairs of faults are not tried at a time. */
    public static final int MOST_PAIRS = 1000;

    private static final int PREPARED_TOGETHER = 8;

    private final Assembly assembly;
    private final SearchBasis basis;
    private final Beliefs beliefs;
    private final List<LookResult> seen;
    private final List<PanelLook> skipped;

    private FaultSearch(
            Assembly assembly, SearchBasis basis, Beliefs beliefs, List<LookResult> seen, List<PanelLook> skipped) {
        this.assembly = assembly;
        this.basis = basis;
        this.beliefs = beliefs;
        this.seen = List.copyOf(seen);
        this.skipped = List.copyOf(skipped);
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
        return new FaultSearch(assembly, basis, Beliefs.before(basis), List.of(), List.of());
    }

    /**
     * Runs suspects on the bench ahead of being asked, which takes seconds on a large sheet and is done once: what is asked for then is answered at once. To be called beside the window, while a
     * symptom is told; nothing else changes by it.
     *
     * @param first what is most likely to be asked for
     * @param goesOn asked every few suspects; once it says no, what is left is left
     */
    public void prepare(List<Situation> first, BooleanSupplier goesOn) {
        for (Collection<Situation> some : List.of(first, basis.looks().situations(List.of()))) {
            List<Integer> order = beliefs.order();
            for (int from = 0; from < order.size() && goesOn.getAsBoolean(); from += PREPARED_TOGETHER) {
                basis.looks().run(order.subList(from, Math.min(order.size(), from + PREPARED_TOGETHER)), some);
            }
        }
    }

    /** This search after something more was seen. */
    public FaultSearch with(LookResult more) {
        return new FaultSearch(
                assembly,
                basis,
                beliefs.after(more, basis),
                Stream.concat(seen.stream(), Stream.of(more)).toList(),
                skipped);
    }

    /** This search without a look that cannot be made there, or that somebody does not want to make. */
    public FaultSearch without(PanelLook look) {
        return new FaultSearch(
                assembly,
                basis,
                beliefs,
                seen,
                Stream.concat(skipped.stream(), Stream.of(look)).toList());
    }

    /** What may have been done at the panel, the machine being on, to be told with what happened. */
    public List<Situation> situations() {
        return basis.looks().situations(List.of()).stream()
                .filter(situation -> situation.phase() == Phase.MOTOR)
                .toList();
    }

    /** What may have been done besides, and be told: the machine was left running in one of the ways in which it runs by itself, and after some minutes something happened. */
    public List<Situation> leftRunning() {
        return basis.looks().leftRunning();
    }

    /**
     * This search with pairs of faults among the suspects too: the {@value #MOST_PAIRS} of them that leave the fewest of the readings to neither of the two. To be asked for once something was seen.
     */
    public FaultSearch withPairs() {
        List<Suspect> all = new ArrayList<>(basis.suspects().stream()
                .filter(suspect -> suspect.faults().size() == 1)
                .toList());
        all.addAll(FaultPairs.of(basis, seen, MOST_PAIRS));
        SearchBasis wider = (cannotBe() ? basis.ofNoSingleFault() : basis).of(all, assembly);
        return new FaultSearch(assembly, wider, after(seen, wider), seen, skipped);
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
        return new FaultSearch(assembly, basis.of(others, assembly), then.afresh(), List.of(), List.of());
    }

    /** How long a look takes after another situation, in minutes. */
    public double minutes(PanelLook look, Situation before) {
        return basis.times().minutes(look, before);
    }

    /** How long something takes that is done with the hands, in minutes, by its row in {@code look-times}: {@code exchange}. */
    public double minutes(String deed) {
        return basis.times().minutes(deed);
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
        return new NextLook(basis, beliefs, seen, skipped).proposal();
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
