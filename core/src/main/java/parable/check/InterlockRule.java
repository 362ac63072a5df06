package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import parable.network.OpposedContactors;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code interlock-missing}, {@code interlock-one-sided} and {@code mechanical-interlock-missing}: two contactors whose poles together
 * short the lines must keep each other out.
 */
final class InterlockRule implements Rule {

    /** Two contactors that short the lines together. */
    record Pair(Part one, Part other) {}

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        shorting(study).forEach(pair -> check(study, pair.one(), pair.other(), findings));
        OpposedContactors.of(study.assembly()).forEach(pair -> mechanical(study, pair, findings));
        return findings;
    }

    /** The pairs of contactors whose poles together short the lines. */
    static List<Pair> shorting(Study study) {
        List<Part> contactors = study.switchingContactors()
                .filter(contactor -> !isShort(study, contactor))
                .toList();
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < contactors.size(); i++) {
            for (int j = i + 1; j < contactors.size(); j++) {
                if (isShort(study, contactors.get(i), contactors.get(j))) {
                    pairs.add(new Pair(contactors.get(i), contactors.get(j)));
                }
            }
        }
        return pairs;
    }

    private static void check(Study study, Part one, Part other, List<Finding> findings) {
        boolean oneBarred = bars(study, other, one);
        boolean otherBarred = bars(study, one, other);
        String pair = one.tag() + " and " + other.tag();
        if (!oneBarred && !otherBarred) {
            findings.add(
                    new Finding(
                            "interlock-missing",
                            Severity.DANGER,
                            List.of(one.tag(), other.tag()),
                            "Nothing in the control circuit keeps " + pair
                                    + " from being in together, and together they short the" + " lines.",
                            "A closed contact of each goes in front of the other's coil, behind everything that starts or holds it."));
        } else if (!oneBarred || !otherBarred) {
            Part free = oneBarred ? other : one;
            Part bar = oneBarred ? one : other;
            findings.add(new Finding(
                    "interlock-one-sided",
                    Severity.DANGER,
                    List.of(free.tag(), bar.tag()),
                    "With " + bar.tag() + " in, " + free.tag()
                            + " can still get voltage, and together they short the lines.",
                    "The interlock has to work both ways: a closed contact of " + bar.tag() + " in front of "
                            + free.tag() + "'s coil."));
        }
    }

    /** Opponents are those of the power circuit; of star and delta the short circuit shows only with main in. */
    private static void mechanical(Study study, OpposedContactors.Pair pair, List<Finding> findings) {
        boolean mechanical = study.assembly().parts().stream()
                .anyMatch(part -> part.drive() instanceof Drive.Interlocking between
                        && List.of(between.one(), between.other()).containsAll(List.of(pair.one(), pair.other())));
        if (!mechanical) {
            findings.add(
                    new Finding(
                            "mechanical-interlock-missing",
                            Severity.WARNING,
                            List.of(pair.one(), pair.other()),
                            pair.one() + " and " + pair.other() + " have no mechanical interlock.",
                            "Contacts alone do not bar a hand on the armature, nor two coils that are fed in the same instant."));
        }
    }

    private static BitSet withPoles(Study study, Part... in) {
        return study.closed((part, contact) ->
                Study.isFeed(part, contact) || contact.pole() && List.of(in).contains(part));
    }

    private static boolean isShort(Study study, Part... in) {
        return !study.solution(withPoles(study, in)).shorts().isEmpty();
    }

    /** Whether a contactor that is in keeps another's coil from any feed, whatever else is closed. */
    static boolean bars(Study study, Part bar, Part barred) {
        BitSet closed = study.closed((part, contact) -> part.is(bar)
                ? contact.isThroughPath() || contact.closedAt(1) && !contact.pole()
                : isControl(part, contact) || Study.isFeed(part, contact));
        return !study.isFed(closed, barred, Study.coil(barred));
    }

    private static boolean isControl(Part part, Contact contact) {
        return !contact.pole() && part.family() != Family.DRUM_SWITCH;
    }
}
