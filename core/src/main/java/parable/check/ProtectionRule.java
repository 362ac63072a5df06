package parable.check;

import java.util.ArrayList;
import java.util.List;
import parable.network.Solution;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/** {@code control-unprotected}: a coil, lamp or horn that a supply from outside reaches past every breaker and fuse. */
final class ProtectionRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        Solution joints = study.joints(
                study.closed((part, contact) -> part.family() != Family.BREAKER && part.family() != Family.FUSE));
        List<Finding> findings = new ArrayList<>();
        for (Part part : study.assembly().parts()) {
            for (Load load : part.loads()) {
                boolean control =
                        load.role() == LoadRole.COIL || load.role() == LoadRole.LAMP || load.role() == LoadRole.HORN;
                if (control && study.isJoinedWithLine(joints, study.node(part, load.from()))
                        || control && study.isJoinedWithLine(joints, study.node(part, load.to()))) {
                    findings.add(new Finding(
                            "control-unprotected",
                            Severity.WARNING,
                            List.of(part.tag()),
                            "No breaker or fuse stands between the supply and " + part.tag() + ".",
                            "A short in the control wiring would burn until the mains protection opens. A control fuse of a few"
                                    + " amperes belongs at the beginning of the rail."));
                }
            }
        }
        return findings.stream().limit(1).toList();
    }
}
