package parable.check;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;

/** {@code jog-release-race}: a button whose open block starts a contactor and whose closed block cuts the same contactor's seal-in. */
final class JogRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        for (Part button :
                study.parts(Family.PUSH_BUTTON).filter(JogRule::hasTwoBlocks).toList()) {
            for (Part relay : study.relays().toList()) {
                if (races(study, button, relay)) {
                    findings.add(new Finding(
                            "jog-release-race",
                            Severity.DANGER,
                            List.of(button.tag(), relay.tag()),
                            "Let go of " + button.tag() + " fast and its closed block is back before " + relay.tag()
                                    + " has opened its seal-in: the motor runs on.",
                            "Jog with a selector that opens the seal-in, or with a relay of its own."));
                }
            }
        }
        return findings;
    }

    private static boolean hasTwoBlocks(Part button) {
        return button.contacts().stream().anyMatch(Contact::isNormallyClosed)
                && button.contacts().stream().anyMatch(contact -> !contact.isNormallyClosed());
    }

    private static boolean races(Study study, Part button, Part relay) {
        Load coil = Study.coil(relay);
        return study.isFed(closed(study, button, 1, relay, 0), relay, coil)
                && study.isFed(closed(study, button, 0, relay, 1), relay, coil)
                && !study.isFed(closedWith(study, button, relay), relay, coil);
    }

    /** Everything at rest and switched on, but for the button and the relay. */
    private static BitSet closed(Study study, Part button, int pressed, Part relay, int in) {
        return study.closed((part, contact) -> Study.isFeed(part, contact)
                || !contact.pole()
                        && contact.closedAt(part.is(button) ? pressed : part.is(relay) ? in : part.initial()));
    }

    /** The relay in, the button on its way: both its blocks open. */
    private static BitSet closedWith(Study study, Part button, Part relay) {
        return study.closed((part, contact) -> Study.isFeed(part, contact)
                || !contact.pole() && !part.is(button) && contact.closedAt(part.is(relay) ? 1 : part.initial()));
    }
}
