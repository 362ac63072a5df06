package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import parable.network.Solution;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Protection;

/**
 * {@code fuse-in-neutral}: a fuse in a conductor that is bonded to earth (IEC 60204-1, 7.2.3; NFPA 70, 240.22). {@code control-fuse-too-large}: the fuse of a
 * control circuit that is too large for its wires of 1 mm2 or 16 AWG (IEC 60204-1, table 6; NFPA 79, 7.2.4).
 */
final class FuseRule implements Rule {

    /** In A. */
    private static final double MOST_FOR_CONTROL = 16;

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        Solution wires = study.joints(new BitSet());
        study.parts(Family.FUSE)
                .filter(fuse -> study.isWired(fuse, "1") && study.isWired(fuse, "2"))
                .forEach(fuse -> {
                    if (isOnGroundedConductor(study, wires, fuse)) {
                        findings.add(inNeutral(fuse));
                    }
                    double rated = fuse.protection().map(Protection::amperes).orElse(0.0);
                    if (rated > MOST_FOR_CONTROL && feedsCoil(study, fuse)) {
                        findings.add(tooLarge(fuse, rated));
                    }
                });
        return findings;
    }

    private static boolean isOnGroundedConductor(Study study, Solution wires, Part fuse) {
        return study.assembly().parts().stream().anyMatch(part -> part.sources().stream()
                .filter(source -> source.grounded())
                .mapToInt(source -> study.node(part, source.reference()))
                .anyMatch(node ->
                        wires.joined(study.node(fuse, "1"), node) || wires.joined(study.node(fuse, "2"), node)));
    }

    /** Whether a coil, lamp or horn hangs behind it, past no other fuse or breaker. */
    private static boolean feedsCoil(Study study, Part fuse) {
        Solution behind = study.joints(
                study.closed((part, contact) -> part.family() != Family.FUSE && part.family() != Family.BREAKER));
        return study.assembly().parts().stream().anyMatch(part -> part.loads().stream()
                .filter(load ->
                        load.role() == LoadRole.COIL || load.role() == LoadRole.LAMP || load.role() == LoadRole.HORN)
                .anyMatch(load -> behind.joined(study.node(fuse, "2"), study.node(part, load.from()))));
    }

    private static Finding inNeutral(Part fuse) {
        return new Finding(
                "fuse-in-neutral",
                Severity.DANGER,
                List.of(fuse.tag()),
                fuse.tag() + " is a fuse in the grounded conductor.",
                "When it blows everything stands still and yet is live. Fuses belong into the lines; a neutral is only"
                        + " switched together with them.");
    }

    private static Finding tooLarge(Part fuse, double rated) {
        return new Finding(
                "control-fuse-too-large",
                Severity.WARNING,
                List.of(fuse.tag()),
                String.format(Locale.ROOT, "%s of %.0f A is too large for a control circuit.", fuse.tag(), rated),
                "Control wires of 1 mm² or 16 AWG and the contacts of buttons burn before it blows. A few amperes are"
                        + " enough; 10 A is the most that is usual.");
    }
}
