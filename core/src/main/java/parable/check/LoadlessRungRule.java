package parable.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.parts.Contact;
import parable.parts.Part;

/**
 * {@code rung-without-load}: a rung of the control circuit that joins two poles of a supply through its contacts alone, with nothing else closed but what is
 * switched on once and left. It finds also what no try of the starter closes, as the contact of an alarm.
 */
final class LoadlessRungRule implements Rule {

    /** A contact of a device. */
    private record ContactOf(Part part, Contact contact) {}

    @Override
    public List<Finding> findings(Study study) {
        List<Finding> findings = new ArrayList<>();
        List<Rung> control = study.assembly().sheet().control();
        for (int rung = 0; rung < control.size(); rung++) {
            if (isShort(study, control.get(rung))) {
                findings.add(finding(rung + 1, control.get(rung).items()));
            }
        }
        return findings;
    }

    private static boolean isShort(Study study, Rung rung) {
        Set<ContactOf> own = new HashSet<>();
        for (RungItem item : rung.items()) {
            if (item instanceof RungItem.Passage passage) {
                Part part = study.assembly().part(passage.tag()).orElseThrow();
                Optional<Integer> contact = part.contactBetween(passage.from(), passage.to());
                if (contact.isEmpty()) {
                    return false;
                }
                own.add(new ContactOf(part, part.contacts().get(contact.get())));
            }
        }
        return !own.isEmpty()
                && !study.solution(study.closed((part, contact) ->
                                Study.isFeed(part, contact) || own.contains(new ContactOf(part, contact))))
                        .shorts()
                        .isEmpty();
    }

    private static Finding finding(int number, List<RungItem> items) {
        String contacts = items.stream()
                .filter(RungItem.Passage.class::isInstance)
                .map(RungItem::text)
                .collect(Collectors.joining(" and "));
        List<String> tags = items.stream()
                .filter(RungItem.Passage.class::isInstance)
                .map(item -> ((RungItem.Passage) item).tag())
                .distinct()
                .toList();
        return new Finding(
                "rung-without-load",
                Severity.DANGER,
                tags,
                "Rung " + number + " joins " + items.get(0).text() + " to "
                        + items.get(items.size() - 1).text() + " through " + contacts
                        + ", without a coil, a lamp or any other load.",
                "Once that is closed it is a short circuit: the fuse blows, or the contact welds. Put the load back in, or take the rung out.");
    }
}
