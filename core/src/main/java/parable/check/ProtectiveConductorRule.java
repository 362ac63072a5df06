package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import parable.network.Solution;
import parable.parts.Family;
import parable.parts.Part;

/**
 * {@code protective-conductor}: a motor or another metal part that can be touched and has no protective conductor, or one that goes through a contact, a
 * breaker or a fuse (IEC 60204-1, 8.2; NFPA 79, 8.2). {@code frame-on-neutral}: one that is on the neutral instead.
 */
final class ProtectiveConductorRule implements Rule {

    static final String MISSING = "protective-conductor";

    private static final String MARKING = "PE";

    @Override
    public List<Finding> findings(Study study) {
        OptionalInt earth = study.parts(Family.SUPPLY)
                .filter(supply -> supply.bare().contains(MARKING))
                .mapToInt(supply -> study.node(supply, MARKING))
                .findFirst();
        if (earth.isEmpty()) {
            return List.of();
        }
        Solution wires = study.joints(new BitSet());
        Solution closed = study.joints(study.closed((part, contact) -> true));
        List<Finding> findings = new ArrayList<>();
        study.parts(Family.MOTOR, Family.METALWORK)
                .filter(metal -> metal.bare().contains(MARKING))
                .forEach(metal -> {
                    int node = study.node(metal, MARKING);
                    if (isOnNeutral(study, node)) {
                        findings.add(onNeutral(metal));
                    } else if (!wires.joined(node, earth.getAsInt())) {
                        findings.add(closed.joined(node, earth.getAsInt()) ? switched(metal) : missing(metal));
                    }
                });
        return findings;
    }

    /** Whether a node is the neutral, or whatever else a source is bonded to earth by. */
    private static boolean isOnNeutral(Study study, int node) {
        return study.assembly().parts().stream()
                .anyMatch(part -> IntStream.range(0, part.sources().size())
                        .mapToObj(part.sources()::get)
                        .anyMatch(source -> source.grounded() && study.node(part, source.reference()) == node));
    }

    private static Finding missing(Part metal) {
        return new Finding(
                MISSING,
                Severity.DANGER,
                List.of(metal.tag()),
                metal.tag() + " has no protective conductor.",
                "If a line touches its metal, the metal is live, no fuse blows, and whoever touches it gets the current."
                        + " A green-yellow conductor leads from its PE terminal to that of the supply.");
    }

    private static Finding switched(Part metal) {
        return new Finding(
                MISSING,
                Severity.DANGER,
                List.of(metal.tag()),
                "The protective conductor of " + metal.tag() + " goes through a contact or a fuse.",
                "Once that opens, its metal is not protected any more, and nobody sees it. A protective conductor is never"
                        + " interrupted.");
    }

    private static Finding onNeutral(Part metal) {
        return new Finding(
                "frame-on-neutral",
                Severity.DANGER,
                List.of(metal.tag()),
                "The metal of " + metal.tag() + " is on the neutral.",
                "A neutral carries current, and once it is broken the metal is live through every load that hangs on it. A"
                        + " protective conductor of its own leads to the supply's PE.");
    }
}
