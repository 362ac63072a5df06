package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.network.Solution;
import parable.parts.Contact;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * {@code timer-function}: a timer whose function does not fit its place. Three places are known by how they are drawn: its closed contact feeds
 * one contactor and its open one the next; a horn sounds until a contact of it has let something start; one of its contacts lets a brake act.
 */
final class TimerRule implements Rule {

    private static final String ON_DELAY = "on-delay";
    private static final String OFF_DELAY = "off-delay";
    private static final String INTERVAL = "interval";
    private static final String STAR_DELTA = "star-delta";

    /** A direct voltage of this much in V on a winding brakes. */
    private static final double BRAKES = 2;

    /** A contact of a timer on the rung of a coil. */
    private record Feed(Part timer, Contact contact, Part fed) {}

    @Override
    public List<Finding> findings(Study study) {
        List<Feed> feeds = study.assembly().sheet().control().stream()
                .flatMap(rung -> feeds(study, rung))
                .toList();
        List<Finding> findings = new ArrayList<>();
        for (Feed feed : feeds) {
            boolean opens = feed.contact.isNormallyClosed();
            if (isBrake(study, feed.fed)) {
                judge(
                                feed,
                                feed.fed.tag() + " brakes " + (opens ? "until it opens" : "while it is closed"),
                                opens ? List.of(ON_DELAY) : List.of(OFF_DELAY, INTERVAL))
                        .ifPresent(findings::add);
            } else if (!opens && soundsUntilIn(study, feed.fed)) {
                judge(feed, "the horn sounds until it lets " + feed.fed.tag() + " in", List.of(ON_DELAY))
                        .ifPresent(findings::add);
            } else if (!opens) {
                feeds.stream()
                        .filter(first -> isBefore(study, first, feed))
                        .findFirst()
                        .flatMap(first -> judge(
                                feed,
                                feed.fed.tag() + " is to follow " + first.fed.tag() + " after its time",
                                List.of(ON_DELAY, STAR_DELTA)))
                        .ifPresent(findings::add);
            }
        }
        return findings;
    }

    private static Optional<Finding> judge(Feed feed, String place, List<String> expected) {
        String function = feed.timer.device().setting("function").orElse(ON_DELAY);
        return expected.contains(function)
                ? Optional.empty()
                : Optional.of(new Finding(
                        "timer-function",
                        Severity.ERROR,
                        List.of(feed.timer.tag(), feed.fed.tag()),
                        feed.timer.tag() + " is set to " + function + ", and " + place + "; expected "
                                + String.join(" or ", expected) + ".",
                        "On-delay changes over when the time is over, interval and off-delay at once; off-delay goes back a"
                                + " while after its coil has lost its voltage."));
    }

    private static Stream<Feed> feeds(Study study, Rung rung) {
        return passages(rung).filter(passage -> isCoil(study, passage)).flatMap(coil -> passages(rung)
                .flatMap(passage -> feed(study, passage, part(study, coil)).stream()));
    }

    private static Optional<Feed> feed(Study study, RungItem.Passage passage, Part fed) {
        Part timer = part(study, passage);
        return timer.family() == Family.TIMER && !timer.equals(fed)
                ? timer.contactBetween(passage.from(), passage.to())
                        .map(contact -> new Feed(timer, timer.contacts().get(contact), fed))
                : Optional.empty();
    }

    private static Stream<RungItem.Passage> passages(Rung rung) {
        return rung.items().stream().filter(RungItem.Passage.class::isInstance).map(RungItem.Passage.class::cast);
    }

    private static Part part(Study study, RungItem.Passage passage) {
        return study.assembly().part(passage.tag()).orElseThrow();
    }

    private static boolean isCoil(Study study, RungItem.Passage passage) {
        Part part = part(study, passage);
        return part.loadBetween(passage.from(), passage.to())
                .filter(load -> part.loads().get(load).role() == LoadRole.COIL)
                .isPresent();
    }

    /** Whether the same timer feeds another contactor by its closed contact, of two that switch a motor. */
    private static boolean isBefore(Study study, Feed first, Feed next) {
        return first.timer.equals(next.timer)
                && first.contact.isNormallyClosed()
                && !first.fed.equals(next.fed)
                && study.switchingContactors().anyMatch(first.fed::equals)
                && study.switchingContactors().anyMatch(next.fed::equals);
    }

    /** Whether a horn hangs behind a closed contact of this relay. */
    private static boolean soundsUntilIn(Study study, Part relay) {
        return study.assembly().sheet().control().stream()
                .filter(rung ->
                        passages(rung).anyMatch(passage -> part(study, passage).family() == Family.HORN))
                .flatMap(TimerRule::passages)
                .anyMatch(passage -> part(study, passage).equals(relay)
                        && relay.contactBetween(passage.from(), passage.to())
                                .filter(contact -> relay.contacts().get(contact).isNormallyClosed())
                                .isPresent());
    }

    /** Whether a motor for alternating current gets direct current with this contactor alone in. */
    private static boolean isBrake(Study study, Part contactor) {
        BitSet alone = study.closed((part, contact) ->
                Study.isFeed(part, contact) || contact.pole() && contact.closedAt(part.is(contactor) ? 1 : 0));
        Solution solution = study.solution(alone);
        List<Part> parts = study.assembly().parts();
        for (int p = 0; p < parts.size(); p++) {
            List<Load> loads = parts.get(p).loads();
            for (int l = 0; l < loads.size(); l++) {
                boolean braked = parts.get(p).family() == Family.MOTOR
                        && Math.abs(solution.loadVoltage(study.network().load(p, l))
                                        .direct())
                                > BRAKES;
                if (braked && loads.stream().noneMatch(load -> load.rated().kind() == CurrentKind.DC)) {
                    return true;
                }
            }
        }
        return false;
    }
}
