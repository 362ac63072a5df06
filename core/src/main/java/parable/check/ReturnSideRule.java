package parable.check;

import java.util.ArrayList;
import java.util.List;
import parable.network.Branch;
import parable.network.Solution;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;

/** {@code contact-behind-coil}: a contact on the return side, which one earth fault can bridge. */
final class ReturnSideRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        Solution joints = study.joints(study.closed(Study::isFeed));
        List<Finding> findings = new ArrayList<>();
        for (Part relay : study.relays().toList()) {
            Load coil = Study.coil(relay);
            boolean wired = study.isWired(relay, coil.from()) && study.isWired(relay, coil.to());
            int from = study.node(relay, coil.from());
            int to = study.node(relay, coil.to());
            boolean direct = study.reachesSource(joints, from) || study.reachesSource(joints, to);
            if (wired && !direct) {
                contactsAt(study, to).forEach(part -> findings.add(finding(relay, part)));
            }
        }
        return findings;
    }

    private static List<Part> contactsAt(Study study, int node) {
        return study.network().branches().stream()
                .filter(branch -> branch.sort() == Branch.Sort.CONTACT)
                .filter(branch -> branch.from() == node || branch.to() == node)
                .map(branch -> study.assembly().parts().get(branch.part()))
                .distinct()
                .toList();
    }

    private static Finding finding(Part relay, Part contact) {
        boolean school = contact.family() == Family.OVERLOAD_RELAY;
        return new Finding(
                "contact-behind-coil",
                school ? Severity.NOTE : Severity.ERROR,
                List.of(contact.tag(), relay.tag()),
                "A contact of " + contact.tag() + " stands between the coil of " + relay.tag() + " and the return.",
                school
                        ? "Long-standing practice in grounded 120 V circuits; first in the line it keeps every contact on the"
                                + " switched side, where one earth fault cannot bridge it."
                        : "One earth fault between coil and contact bridges it, and it no longer stops anything.");
    }
}
