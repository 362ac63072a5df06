package parable.circuit;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
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
     * Numbers that tell the rung: the second new wire of rung 3 is 302. A wire belongs to the first rung of the ladder it is on; the
     * wires of the power circuit that are called by a number are counted from 1 on as long as they are free.
     *
     * @return for each wire that is called by a number its old and its new one, those included that stay the same
     */
    public static Map<String, String> byRung(Sheet sheet) {
        Set<String> taken = new HashSet<>();
        sheet.rails().forEach(rail -> taken.add(rail.number()));
        Map<String, String> renumbered = new LinkedHashMap<>();
        for (int rung = 0; rung < sheet.control().size(); rung++) {
            number(sheet.control().get(rung), 100 * (rung + 1) + 1, taken, renumbered);
        }
        sheet.power().forEach(rung -> number(rung, 1, taken, renumbered));
        return renumbered;
    }

    private static void number(Rung rung, int from, Set<String> taken, Map<String, String> renumbered) {
        int next = from;
        for (String number : plain(rung)) {
            if (!renumbered.containsKey(number)) {
                while (!taken.add(Integer.toString(next))) {
                    next++;
                }
                renumbered.put(number, Integer.toString(next));
            }
        }
    }

    private static List<String> plain(Rung rung) {
        return rung.points()
                .filter(point -> !point.rail() && point.name().matches(PLAIN))
                .map(RungItem.NamedPoint::name)
                .toList();
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
                            .map(rung -> rung.changed(item -> changed(item, numbers)))
                            .toList());
        }
        return changed;
    }

    private static RungItem changed(RungItem item, Map<String, String> numbers) {
        return item instanceof RungItem.NamedPoint point && !point.rail() && numbers.containsKey(point.name())
                ? new RungItem.NamedPoint(numbers.get(point.name()), false)
                : item;
    }
}
