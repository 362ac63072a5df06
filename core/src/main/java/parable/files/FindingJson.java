package parable.files;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import parable.finding.FaultSearch;
import parable.finding.Mend;
import parable.finding.Proposal;
import parable.finding.Suspect;
import parable.finding.Weighed;

/** A search for a fault as JSON, as {@code docs/finding.schema.json} has it. */
public final class FindingJson {

    /** Said once with every search. */
    public static final String ADVICE =
            "This is advice. Only who is qualified works at an open panel; lock out, prove dead, and keep to the local rules.";

    private static final double THOUSAND = 1000;

    private FindingJson() {}

    /**
     * That of a search.
     *
     * @param most so many suspects are told
     * @param mends of what it is, once no look is left; empty before
     */
    public static String of(String sheet, FaultSearch search, int most, List<Mend> mends) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("sheet", sheet);
        root.put("advice", ADVICE);
        ArrayNode seen = root.putArray("seen");
        search.seen().forEach(one -> seen.add(one.text()));
        root.put("fitting", search.fitting().size());
        root.put("cannotBe", search.cannotBe());
        root.put("sound", search.fitsSound());
        ArrayNode suspects = root.putArray("suspects");
        search.ranked().stream().limit(most).forEach(one -> add(one, suspects.addObject()));
        search.next().ifPresent(proposal -> add(proposal, root.putObject("next")));
        ArrayNode verdict = root.putArray("verdict");
        mends.forEach(mend -> add(mend, verdict.addObject()));
        return root.toPrettyString();
    }

    private static void add(Weighed one, ObjectNode to) {
        addFaults(one.suspect(), to);
        to.put("share", rounded(one.share()));
        to.put("contradicted", one.contradicted());
    }

    private static void addFaults(Suspect suspect, ObjectNode to) {
        to.put("what", suspect.words());
        ArrayNode faults = to.putArray("faults");
        suspect.faults().forEach(fault -> {
            ObjectNode one = faults.addObject();
            one.put("kind", fault.kind().word());
            one.put("tag", fault.tag());
            one.put("place", fault.place());
        });
    }

    private static void add(Proposal proposal, ObjectNode to) {
        to.put("look", proposal.look().blank());
        to.put("words", proposal.look().words());
        to.put("dead", proposal.look().isDead());
        to.put("minutes", rounded(proposal.minutes()));
        to.put("bits", rounded(proposal.bits()));
        to.put("why", proposal.why());
        ArrayNode shows = to.putArray("shows");
        for (Proposal.Show show : proposal.shows()) {
            ObjectNode one = shows.addObject();
            one.put("found", show.found());
            one.put("share", rounded(show.share()));
            ArrayNode suspects = one.putArray("suspects");
            show.suspects().forEach(suspect -> suspects.add(suspect.words()));
        }
    }

    private static void add(Mend mend, ObjectNode to) {
        addFaults(mend.suspect(), to);
        mend.deeds().forEach(to.putArray("mend")::add);
        mend.proof().forEach(step -> to.withArray("proof")
                .add(step.words() + " Expected: " + step.expected().text()));
    }

    private static double rounded(double number) {
        return Math.round(THOUSAND * number) / THOUSAND;
    }
}
