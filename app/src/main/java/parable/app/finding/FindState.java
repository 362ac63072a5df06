package parable.app.finding;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import parable.bench.Moment;
import parable.finding.FaultSearch;
import parable.finding.Mend;
import parable.finding.PanelLook;
import parable.finding.Proposal;
import parable.finding.SymptomForm;
import parable.finding.Weighed;
import parable.testsheet.Situation;

/**
 * How far a search is, all of it worked out.
 *
 * @param search what is known
 * @param situations what may have been done before something was seen
 * @param leftRunning those of them after which it may have been left running, for what happens after minutes
 * @param ranked the suspects, the likeliest first
 * @param next the next look; empty before anything was told, and once none is left
 * @param mends what it is and how each is mended; empty until no look is left
 * @param cannotBe whether no suspect fits all that was seen
 * @param sound whether a sound machine shows the same
 */
public record FindState(
        FaultSearch search,
        List<Situation> situations,
        List<Situation> leftRunning,
        List<Weighed> ranked,
        Optional<Proposal> next,
        List<Mend> mends,
        boolean cannotBe,
        boolean sound) {

    /** Not modified: the lists are copied. */
    public FindState {
        Objects.requireNonNull(search, "search");
        Objects.requireNonNull(next, "next");
        situations = List.copyOf(situations);
        leftRunning = List.copyOf(leftRunning);
        ranked = List.copyOf(ranked);
        mends = List.copyOf(mends);
    }

    /** Whether anything was told yet. */
    public boolean begun() {
        return !search.seen().isEmpty();
    }

    /** What may have been done before something is told, each followed by the same left running for some minutes. */
    public List<Situation> tellable() {
        return situations.stream()
                .flatMap(situation -> Stream.concat(
                        Stream.of(situation),
                        Stream.of(situation.leftToItself()).filter(leftRunning::contains)))
                .toList();
    }

    /** How many suspects fit all that was seen. */
    public long fitting() {
        return ranked.stream().filter(Weighed::fits).count();
    }

    /**
     * What somebody is about to tell or to look at.
     *
     * @param look where the probes go, empty while a symptom is told
     * @param form what may be seen there
     * @param moment a sound panel in the situation
     */
    public record Standpoint(Optional<PanelLook> look, SymptomForm form, Moment moment) {}
}
