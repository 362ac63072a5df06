package parable.circuit;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** Changes of wire numbers. Rails keep theirs, and so do the names of the power circuit such as 1L1. */
public final class WireNumbers {

    private static final String PLAIN = "\\d+";

    private WireNumbers() {}

    /**
     * Numbers in the order of the ladder, left to right and top to bottom, then of the power circuit, from the lowest on that
     * no rail has.
     *
     * @return for each wire that is called by a number its old and its new one, those included that stay the same
     */
    public static Map<String, String> inOrder(Sheet sheet) {
        Set<String> taken = new HashSet<>();
        sheet.rails().forEach(rail -> taken.add(rail.number()));
        Set<String> old = new LinkedHashSet<>();
        Stream.concat(sheet.control().stream(), sheet.power().stream())
                .flatMap(Rung::points)
                .filter(point -> !point.rail() && point.name().matches(PLAIN))
                .forEach(point -> old.add(point.name()));
        Map<String, String> renumbered = new LinkedHashMap<>();
        int next = 1;
        for (String number : old) {
            while (taken.contains(Integer.toString(next))) {
                next++;
            }
            renumbered.put(number, Integer.toString(next));
            next++;
        }
        return renumbered;
    }

    /**
     * The sheet with other wire numbers, all changed at once.
     *
     * @param numbers for each wire to be called otherwise its old and its new number
     * @throws EditException if a new number belongs to a wire that keeps its own, or a wire does not exist
     */
    public static Sheet changed(Sheet sheet, Map<String, String> numbers) throws EditException {
        Set<String> present = new HashSet<>();
        sheet.rungs().flatMap(Rung::points).filter(point -> !point.rail()).forEach(point -> present.add(point.name()));
        Set<String> kept = new HashSet<>(present);
        sheet.rails().forEach(rail -> kept.add(rail.number()));
        for (String old : numbers.keySet()) {
            if (!present.contains(old)) {
                throw new EditException(sheet.name(), "no wire " + old, "a wire of the sheet that is no rail");
            }
            kept.remove(old);
        }
        for (Map.Entry<String, String> entry : numbers.entrySet()) {
            if (!entry.getValue().matches("[A-Za-z0-9.]+") || !kept.add(entry.getValue())) {
                throw new EditException(
                        "wire " + entry.getKey(),
                        "'" + entry.getValue() + "'",
                        "a number of letters and digits that no other wire has");
            }
        }
        Sheet changed = sheet;
        for (Circuit circuit : Circuit.values()) {
            changed = changed.withRungs(
                    circuit,
                    sheet.rungs(circuit).stream()
                            .map(rung -> new Rung(
                                    rung.items().stream()
                                            .map(item -> changed(item, numbers))
                                            .toList(),
                                    rung.remark()))
                            .toList());
        }
        return changed;
    }

    private static RungItem changed(RungItem item, Map<String, String> numbers) {
        return item instanceof RungItem.Point point && !point.rail() && numbers.containsKey(point.name())
                ? new RungItem.Point(numbers.get(point.name()), false)
                : item;
    }
}
