package parable.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.circuit.RungItem;
import parable.parts.Contact;
import parable.parts.Load;
import parable.parts.Part;

/**
 * {@code contact-used-twice}, {@code coil-not-wired}, {@code relay-does-nothing}, {@code not-lowest-free} and {@code not-wired}: what the drawing says of a
 * device does not add up.
 */
final class PaperRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        usedTwice(study, findings);
        study.relays().forEach(relay -> relay(study, relay, findings));
        study.relays().forEach(relay -> notLowestFree(study, relay).ifPresent(findings::add));
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

    /** The first contact of a relay that is in use although one of its kind before it is free; poles are not looked at. */
    private static Optional<Finding> notLowestFree(Study study, Part relay) {
        for (Contact used : relay.contacts()) {
            for (Contact free : relay.contacts()) {
                boolean before =
                        relay.contacts().indexOf(free) < relay.contacts().indexOf(used);
                boolean alike = !used.pole() && !free.pole() && used.isNormallyClosed() == free.isNormallyClosed();
                if (before && alike && isUsed(study, relay, used) && isUnused(study, relay, free)) {
                    return Optional.of(new Finding(
                            "not-lowest-free",
                            Severity.NOTE,
                            List.of(relay.tag()),
                            relay.tag() + " " + used.marking() + " is used while " + free.marking() + " is free.",
                            "Whoever wires it goes through the contacts in order, and may take the free one."));
                }
            }
        }
        return Optional.empty();
    }

    private static boolean isUsed(Study study, Part relay, Contact contact) {
        return study.isWired(relay, contact.from()) && study.isWired(relay, contact.to());
    }

    /** Whether neither terminal has a wire; a changeover whose other half is in use is not free. */
    private static boolean isUnused(Study study, Part relay, Contact contact) {
        return !study.isWired(relay, contact.from()) && !study.isWired(relay, contact.to());
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
