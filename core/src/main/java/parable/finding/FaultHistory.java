package parable.finding;

import java.util.LinkedHashMap;
import java.util.Map;
import parable.logbook.LogEntry;
import parable.logbook.Logbook;
import parable.parts.Assembly;
import parable.parts.Part;

/** What a record tells of earlier faults of a machine. */
public final class FaultHistory {

    private FaultHistory() {}

    /**
     * How often a device is named in entries about faults and changed parts of a machine, by its tag; devices that never are, are left out.
     *
     * @param machine the name of the sheet
     */
    public static Map<String, Integer> of(Logbook logbook, String machine, Assembly assembly) {
        Map<String, Integer> before = new LinkedHashMap<>();
        for (Part part : assembly.parts()) {
            int times = (int) logbook.naming(machine, part.tag()).stream()
                    .filter(entry -> entry.kind() == LogEntry.Kind.FAULT || entry.kind() == LogEntry.Kind.PART)
                    .count();
            if (times > 0) {
                before.put(part.tag(), times);
            }
        }
        return before;
    }
}
