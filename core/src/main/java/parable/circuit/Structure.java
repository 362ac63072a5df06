package parable.circuit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Edits of the circuit's structure: in series, in parallel, taken away, exchanged. Wires are never drawn; they follow.
 * Wire numbers that are there stay; a new point gets the lowest free number.
 */
public final class Structure {

    private Structure() {}

    /**
     * Puts a device in series with another, on that side of it, before any branch that joins there.
     *
     * @param after whether it goes on the return side of what is at the place
     * @throws EditException if there is nothing to be passed through at the place
     */
    public static Sheet inSeries(Sheet sheet, Place at, boolean after, RungItem.Passage passage) throws EditException {
        passageAt(sheet, at);
        List<RungItem> items = new ArrayList<>(rung(sheet, at).items());
        RungItem.NamedPoint between = new RungItem.NamedPoint(freeNumber(sheet), false);
        items.addAll(after ? at.item() + 1 : at.item(), after ? List.of(between, passage) : List.of(passage, between));
        return replaced(sheet, at, items);
    }

    /**
     * Puts a device in parallel to a stretch of a rung, on a rung of its own below it.
     *
     * @param last the position of the last item of the stretch on the rung, not before {@code from}
     * @throws EditException if the stretch does not begin and end with something to be passed through
     */
    public static Sheet around(Sheet sheet, Place from, int last, RungItem.Passage passage) throws EditException {
        Place to = new Place(from.circuit(), from.rung(), last);
        passageAt(sheet, from);
        passageAt(sheet, to);
        Sheet ended = named(sheet, to, true);
        Sheet begun = named(ended, from, false);
        List<RungItem> items = rung(begun, from).items();
        int shift = items.size() - rung(ended, from).items().size();
        RungItem begin = items.get(from.item() + shift - 1);
        RungItem end = items.get(last + shift + 1);
        Rung branch = new Rung(List.of(begin, passage, end), "");
        List<Rung> rungs = new ArrayList<>(begun.rungs(from.circuit()));
        rungs.add(from.rung() + 1, branch);
        return begun.withRungs(from.circuit(), rungs);
    }

    /**
     * The sheet with a point right behind what is at a place, so that a branch can begin there; unchanged if there is one.
     *
     * @throws EditException if there is nothing to be passed through at the place
     */
    public static Sheet pointAfter(Sheet sheet, Place at) throws EditException {
        passageAt(sheet, at);
        return named(sheet, at, true);
    }

    /** The sheet with a named point on one side of a place; unchanged if a point or landing is there. */
    private static Sheet named(Sheet sheet, Place at, boolean after) {
        List<RungItem> items = new ArrayList<>(rung(sheet, at).items());
        int beside = after ? at.item() + 1 : at.item() - 1;
        if (items.get(beside) instanceof RungItem.Passage) {
            items.add(after ? at.item() + 1 : at.item(), new RungItem.NamedPoint(freeNumber(sheet), false));
            return replaced(sheet, at, items);
        }
        return sheet;
    }

    /**
     * Takes away what is at a place and closes the gap: its two ends become one node. The only device of a rung takes
     * the rung with it, so that no bridge is left.
     *
     * @throws EditException if there is nothing to be passed through at the place
     */
    public static Sheet taken(Sheet sheet, Place at) throws EditException {
        passageAt(sheet, at);
        Rung rung = rung(sheet, at);
        long passages =
                rung.items().stream().filter(RungItem.Passage.class::isInstance).count();
        if (passages == 1) {
            List<Rung> rungs = new ArrayList<>(sheet.rungs(at.circuit()));
            rungs.remove(at.rung());
            return sheet.withRungs(at.circuit(), rungs);
        }
        List<RungItem> items = new ArrayList<>(rung.items());
        RungItem before = items.get(at.item() - 1);
        RungItem after = items.get(at.item() + 1);
        items.remove(at.item());
        if (!(before instanceof RungItem.NamedPoint one) || !(after instanceof RungItem.NamedPoint other)) {
            return replaced(sheet, at, items);
        }
        RungItem.NamedPoint kept = isKept(sheet, other, one) ? other : one;
        RungItem.NamedPoint gone = kept.equals(other) ? one : other;
        items.remove(kept.equals(one) ? at.item() : at.item() - 1);
        return joined(replaced(sheet, at, items), gone, kept);
    }

    /**
     * Takes away everything that stands on a stretch of a rung and closes the gap; if nothing else stands on the rung, it goes too.
     *
     * @param last the position of the last item of the stretch on the rung, not before {@code from}
     * @throws EditException if the stretch does not begin and end with something to be passed through
     */
    public static Sheet taken(Sheet sheet, Place from, int last) throws EditException {
        passageAt(sheet, from);
        passageAt(sheet, new Place(from.circuit(), from.rung(), last));
        List<RungItem> items = rung(sheet, from).items();
        boolean leavesSome = IntStream.range(0, items.size())
                .anyMatch(i -> (i < from.item() || i > last) && items.get(i) instanceof RungItem.Passage);
        if (!leavesSome) {
            List<Rung> rungs = new ArrayList<>(sheet.rungs(from.circuit()));
            rungs.remove(from.rung());
            return sheet.withRungs(from.circuit(), rungs);
        }
        Sheet changed = sheet;
        for (int item = last; item >= from.item(); item--) {
            if (items.get(item) instanceof RungItem.Passage) {
                changed = taken(changed, new Place(from.circuit(), from.rung(), item));
            }
        }
        return changed;
    }

    /** Whether of two points that become one this one gives its name: a rail, else one with branches, else the older. */
    private static boolean isKept(Sheet sheet, RungItem.NamedPoint point, RungItem.NamedPoint other) {
        if (point.rail() || other.rail()) {
            return point.rail();
        }
        boolean branches = uses(sheet, point) > 1;
        boolean othersBranches = uses(sheet, other) > 1;
        return branches != othersBranches ? branches : number(point) < number(other);
    }

    private static long uses(Sheet sheet, RungItem.NamedPoint point) {
        return sheet.rungs().flatMap(Rung::points).filter(point::equals).count();
    }

    private static int number(RungItem.NamedPoint point) {
        return point.name().matches("\\d{1,6}") ? Integer.parseInt(point.name()) : 0;
    }

    /** The sheet in which a point has become another, wherever it is written. */
    private static Sheet joined(Sheet sheet, RungItem.NamedPoint gone, RungItem.NamedPoint kept) {
        Sheet joined = sheet;
        for (Circuit circuit : Circuit.values()) {
            joined = joined.withRungs(
                    circuit,
                    sheet.rungs(circuit).stream()
                            .map(rung -> rung.changed(item -> item.equals(gone) ? kept : item))
                            .toList());
        }
        return joined;
    }

    /**
     * Puts something else in the place of a device.
     *
     * @throws EditException if there is nothing to be passed through at the place
     */
    public static Sheet exchanged(Sheet sheet, Place at, RungItem.Passage passage) throws EditException {
        passageAt(sheet, at);
        List<RungItem> items = new ArrayList<>(rung(sheet, at).items());
        items.set(at.item(), passage);
        return replaced(sheet, at, items);
    }

    /**
     * Lets a device change places with the next one along its rung, or with the one before; the points between them stay.
     *
     * @param next whether it goes towards the return side
     * @throws EditException if there is nothing to be passed through at the place, or no neighbour on that side
     */
    public static Sheet shifted(Sheet sheet, Place at, boolean next) throws EditException {
        RungItem.Passage passage = passageAt(sheet, at);
        int neighbour = neighbour(sheet, at, next);
        List<RungItem> items = new ArrayList<>(rung(sheet, at).items());
        items.set(at.item(), items.get(neighbour));
        items.set(neighbour, passage);
        return replaced(sheet, at, items);
    }

    /**
     * The position on its rung of the device next to another.
     *
     * @throws EditException if there is none on that side
     */
    public static int neighbour(Sheet sheet, Place at, boolean next) throws EditException {
        List<RungItem> items = rung(sheet, at).items();
        for (int i = at.item() + (next ? 1 : -1); i >= 0 && i < items.size(); i += next ? 1 : -1) {
            if (items.get(i) instanceof RungItem.Passage) {
                return i;
            }
        }
        throw new EditException(
                items.get(at.item()).text(), "the " + (next ? "last" : "first") + " on its rung", "one beside it");
    }

    /**
     * Moves a rung up or down among the others of its circuit; what it does stays the same.
     *
     * @param to its new position; before the first counts as the first, behind the last as the last
     */
    public static Sheet rungMoved(Sheet sheet, Circuit circuit, int from, int to) {
        List<Rung> rungs = new ArrayList<>(sheet.rungs(circuit));
        Rung rung = rungs.remove(from);
        rungs.add(Math.max(0, Math.min(rungs.size(), to)), rung);
        return sheet.withRungs(circuit, rungs);
    }

    /**
     * Gives a device another tag, on the sheet and in every rung and setting that names it.
     *
     * @throws EditException if there is no such device, or another has the new tag
     */
    public static Sheet renamed(Sheet sheet, String tag, String other) throws EditException {
        if (sheet.device(tag).isEmpty()) {
            throw new EditException(sheet.name(), tag, "a device of the sheet");
        }
        if (!other.matches("[A-Za-z0-9.]+") || sheet.device(other).isPresent()) {
            throw new EditException(tag, other, "a tag of letters and digits that no other device has");
        }
        return Basis.carried(sheet, sheet.retagged(Map.of(tag, other)));
    }

    /** The lowest number from 3 on that no wire of the sheet has. */
    public static String freeNumber(Sheet sheet) {
        Set<String> taken = new HashSet<>();
        sheet.rails().forEach(rail -> taken.add(rail.number()));
        sheet.rungs().flatMap(Rung::points).forEach(point -> taken.add(point.name()));
        int number = 3;
        while (taken.contains(Integer.toString(number))) {
            number++;
        }
        return Integer.toString(number);
    }

    /**
     * What is passed through at a place.
     *
     * @throws EditException if there is no such place, or a point or landing stands there
     */
    public static RungItem.Passage passageAt(Sheet sheet, Place at) throws EditException {
        List<Rung> rungs = sheet.rungs(at.circuit());
        if (at.rung() >= 0 && at.rung() < rungs.size()) {
            List<RungItem> items = rungs.get(at.rung()).items();
            if (at.item() >= 0
                    && at.item() < items.size()
                    && items.get(at.item()) instanceof RungItem.Passage passage) {
                return passage;
            }
        }
        throw new EditException(
                sheet.name() + ", " + at.circuit().words(),
                "nothing at item " + (at.item() + 1) + " of rung " + (at.rung() + 1),
                "a contact, coil or other device");
    }

    private static Rung rung(Sheet sheet, Place at) {
        return sheet.rungs(at.circuit()).get(at.rung());
    }

    private static Sheet replaced(Sheet sheet, Place at, List<RungItem> items) {
        List<Rung> rungs = new ArrayList<>(sheet.rungs(at.circuit()));
        rungs.set(at.rung(), new Rung(items, rung(sheet, at).remark()));
        return sheet.withRungs(at.circuit(), rungs);
    }
}
