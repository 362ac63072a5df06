package parable.wiring;

import java.util.List;

/**
 * A line of the parts list: parts that are all alike.
 *
 * @param part what it is, such as {@code contactor} or {@code contact block, opens}
 * @param settings how it is rated and set, as the sheet says it; empty if it says nothing
 * @param tags the devices that it is or goes on, once for each piece, in the order of the sheet
 */
public record PartsLine(String part, String settings, List<String> tags) {

    /** Not modified: the list is copied. */
    public PartsLine {
        tags = List.copyOf(tags);
    }
}
