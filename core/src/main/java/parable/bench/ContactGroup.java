package parable.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Part;

/**
 * Contacts of one device that are closed in the same positions and so move together.
 *
 * @param part the device's position among the parts
 * @param closedIn bit n is set if they are closed in position n
 * @param output true for an output of a controller: then closedIn is the number of the bit that closes it
 * @param contacts their positions among the device's contacts; empty for the mere arrival of a device without any
 */
record ContactGroup(int part, int closedIn, boolean output, List<Integer> contacts) {

    private record Way(int closedIn, boolean output) {}

    /** Every device that moves has a group of this kind. */
    private static final int ARRIVAL = 2;

    /** The groups of a part; those that never move are left out. */
    static List<ContactGroup> of(int index, Part part) {
        Map<Way, List<Integer>> byPositions = new LinkedHashMap<>();
        for (int c = 0; c < part.contacts().size(); c++) {
            Contact contact = part.contacts().get(c);
            if (!contact.isThroughPath()) {
                byPositions
                        .computeIfAbsent(new Way(contact.closedIn(), contact.output()), any -> new ArrayList<>())
                        .add(c);
            }
        }
        boolean controller = part.drive() instanceof Drive.ByProgram;
        byPositions.computeIfAbsent(new Way(controller ? 0 : ARRIVAL, controller), any -> new ArrayList<>());
        return byPositions.entrySet().stream()
                .map(entry -> new ContactGroup(
                        index, entry.getKey().closedIn(), entry.getKey().output(), List.copyOf(entry.getValue())))
                .toList();
    }

    boolean closedAt(int position) {
        return output ? (position >> closedIn & 1) == 1 : (closedIn >> position & 1) == 1;
    }

    /** Whether it tells that the device has arrived in position 1, or that a controller's switch stands on run. */
    boolean isArrival() {
        return output ? closedIn == 0 : closedIn == ARRIVAL;
    }

    private String timedAs(Part part) {
        return output && !contacts.isEmpty() ? Pace.outputOf(part.tag(), closedIn - 1) : part.tag();
    }

    /** How long after the command to go to this position, given now, the group follows. */
    long delay(Part part, int position, Pace pace, long now) {
        boolean away = output ? closedAt(position) : position != 0;
        return closedAt(position)
                ? pace.time(timedAs(part), Pace.Change.MAKE, now, part.travel().toMake(away))
                : pace.time(timedAs(part), Pace.Change.BREAK, now, part.travel().toBreak(away));
    }
}
