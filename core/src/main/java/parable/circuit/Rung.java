package parable.circuit;

import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One line of a circuit: what is between two points, in series. A branch is a rung of its own that begins and ends
 * on the points of another. The circuit itself is the graph of nodes; rungs are how it is written down.
 *
 * @param items at least two; the first and the last are points or landings, and landings stand nowhere else
 * @param remark what the electrician notes beside it; empty if nothing
 */
public record Rung(List<RungItem> items, String remark) {

    /** The words by which a remark calls a rung live while the main switch is open. */
    public static final String EXCEPTED = "excepted circuit";

    /**
     * Not modified: the list is copied.
     *
     * @throws IllegalArgumentException if the items do not make a rung
     */
    public Rung {
        items = List.copyOf(items);
        if (items.size() < 2) {
            throw new IllegalArgumentException("a rung needs a beginning and an end, found " + items.size() + " items");
        }
        for (int i = 0; i < items.size(); i++) {
            boolean end = i == 0 || i == items.size() - 1;
            if (end && items.get(i) instanceof RungItem.Passage passage) {
                throw new IllegalArgumentException("a rung cannot end in mid-air at " + passage.text());
            }
            if (!end && items.get(i) instanceof RungItem.TerminalEnd landing) {
                throw new IllegalArgumentException(landing.text() + " can only begin or end a rung");
            }
        }
    }

    /** The terminals named on this rung, from the line side to the return side. */
    public Stream<Terminal> terminals() {
        return items.stream().flatMap(item -> {
            if (item instanceof RungItem.Passage passage) {
                return Stream.of(passage.lineSide(), passage.returnSide());
            }
            return item instanceof RungItem.TerminalEnd landing ? Stream.of(landing.terminal()) : Stream.of();
        });
    }

    /** The points named on this rung, from the line side to the return side. */
    public Stream<RungItem.NamedPoint> points() {
        return items.stream().filter(RungItem.NamedPoint.class::isInstance).map(RungItem.NamedPoint.class::cast);
    }

    /** This rung with its items changed; the same object if none of them becomes another, so that what is known of it stays known. */
    Rung changed(UnaryOperator<RungItem> change) {
        List<RungItem> changed = items.stream().map(change).toList();
        return changed.equals(items) ? this : new Rung(changed, remark);
    }

    /** This rung after devices and terminals were given other names; the same object if it has none of them. */
    Rung relabelled(Relabelling names) {
        return changed(item -> relabelled(item, names));
    }

    private static RungItem relabelled(RungItem item, Relabelling names) {
        if (item instanceof RungItem.Passage passage) {
            Terminal from = names.of(new Terminal(passage.tag(), passage.from()));
            Terminal to = names.of(new Terminal(passage.tag(), passage.to()));
            return new RungItem.Passage(from.tag(), from.marking(), to.marking());
        }
        if (item instanceof RungItem.TerminalEnd landing) {
            return new RungItem.TerminalEnd(names.of(landing.terminal()));
        }
        return item;
    }

    /** The rung in the compact notation, with its remark after a semicolon. */
    public String text() {
        String line = items.stream().map(RungItem::text).collect(Collectors.joining(" "));
        return remark.isEmpty() ? line : line + " ; " + remark;
    }

    /** Whether the remark says that this is live while the main switch is open (IEC 60204-1, 5.3.5). */
    public boolean isExcepted() {
        return remark.toLowerCase(Locale.ROOT).contains(EXCEPTED);
    }
}
