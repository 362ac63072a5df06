package parable.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import parable.circuit.RungItem;
import parable.parts.Load;
import parable.parts.Part;

/**
 * {@code contact-used-twice}, {@code coil-not-wired}, {@code relay-does-nothing} and {@code not-wired}: what the drawing says of a
 * device does not add up.
 */
final class PaperRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        usedTwice(study, findings);
        study.relays().forEach(relay -> relay(study, relay, findings));
        for (Part part : study.assembly().parts()) {
            boolean has = !part.terminals().isEmpty();
            boolean wired = part.terminals().stream().anyMatch(marking -> study.isWired(part, marking));
            if (has && !wired) {
                findings.add(new Finding(
                        "not-wired",
                        Severity.NOTE,
                        List.of(part.tag()),
                        part.tag() + " is listed and stands on no rung.",
                        "Draw it, or take it from the list: it would be ordered and mounted."));
            }
        }
        return findings;
    }

    private static void usedTwice(Study study, List<Finding> findings) {
        Set<RungItem.Passage> seen = new HashSet<>();
        study.assembly().sheet().rungs().flatMap(rung -> rung.items().stream()).forEach(item -> {
            if (item instanceof RungItem.Passage passage && !seen.add(passage)) {
                findings.add(
                        new Finding(
                                "contact-used-twice",
                                Severity.ERROR,
                                List.of(passage.tag()),
                                passage.tag() + " " + passage.from() + "-" + passage.to() + " is drawn in two places.",
                                "It is one piece of metal: what it joins in one place it joins in the other. Use another contact."));
            }
        });
    }

    private static void relay(Study study, Part relay, List<Finding> findings) {
        Load coil = Study.coil(relay);
        boolean coilWired = study.isWired(relay, coil.from()) && study.isWired(relay, coil.to());
        boolean contactWired = relay.contacts().stream()
                .anyMatch(contact -> study.isWired(relay, contact.from()) && study.isWired(relay, contact.to()));
        if (contactWired && !coilWired) {
            findings.add(new Finding(
                    "coil-not-wired",
                    Severity.ERROR,
                    List.of(relay.tag()),
                    relay.tag() + " has contacts on the drawing and no coil.",
                    "Nothing will ever move them."));
        } else if (coilWired && !contactWired) {
            findings.add(new Finding(
                    "relay-does-nothing",
                    Severity.WARNING,
                    List.of(relay.tag()),
                    relay.tag() + " has a coil on the drawing and no contact or pole in use.",
                    "It pulls in and changes nothing."));
        }
    }
}
