package parable.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.parts.Contact;
import parable.parts.Part;

/**
 * Contacts of one device that are closed in the same positions and so move together.
 *
 * @param part the device's position among the parts
 * @param closedIn bit n is set if they are closed in position n
 * @param contacts their positions among the device's contacts; empty for the mere arrival of a device without any
 */
record ContactGroup(int part, int closedIn, List<Integer> contacts) {

    /** The group that tells whether a device has arrived in position 1; every device that moves has it. */
    static final int ARRIVAL = 2;

    /** The groups of a part; those that never move are left out. */
    static List<ContactGroup> of(int index, Part part) {
        Map<Integer, List<Integer>> byPositions = new LinkedHashMap<>();
        for (int c = 0; c < part.contacts().size(); c++) {
            Contact contact = part.contacts().get(c);
            if (!contact.isThroughPath()) {
                byPositions
                        .computeIfAbsent(contact.closedIn(), any -> new ArrayList<>())
                        .add(c);
            }
        }
        byPositions.computeIfAbsent(ARRIVAL, any -> new ArrayList<>());
        return byPositions.entrySet().stream()
                .map(entry -> new ContactGroup(index, entry.getKey(), List.copyOf(entry.getValue())))
                .toList();
    }

    boolean closedAt(int position) {
        return (closedIn >> position & 1) == 1;
    }

    /** How long after the command to go to this position, given now, the group follows. */
    long delay(Part part, int position, Pace pace, long now) {
        boolean away = position != 0;
        return closedAt(position)
                ? pace.time(part.tag(), Pace.Change.MAKE, now, part.travel().toMake(away))
                : pace.time(part.tag(), Pace.Change.BREAK, now, part.travel().toBreak(away));
    }
}
