package parable.parts;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Terminal;

/** A rung with what each of its items is of a part: looked up once, for a long ladder is gone along again and again. */
public final class FittedRung {

    private static final int NONE = -1;
    private static final String PROTECTIVE_EARTH = "PE";

    private final Rung rung;

    /** Position of each item's part on the sheet. */
    private final int[] indices;

    /** Position of the contact that an item is. */
    private final int[] contacts;

    /** Position of the load that an item is. */
    private final int[] loads;

    private final int[] lineTerminals;
    private final int[] returnTerminals;
    private final boolean earthed;

    FittedRung(Rung rung, Assembly assembly) {
        this.rung = rung;
        int items = rung.items().size();
        indices = new int[items];
        contacts = new int[items];
        loads = new int[items];
        lineTerminals = new int[items];
        returnTerminals = new int[items];
        for (int item = 0; item < items; item++) {
            contacts[item] = NONE;
            loads[item] = NONE;
            indices[item] = NONE;
            fit(item, assembly);
        }
        earthed = rung.terminals().anyMatch(terminal -> terminal.marking().equals(PROTECTIVE_EARTH));
    }

    private void fit(int item, Assembly assembly) {
        RungItem one = rung.items().get(item);
        if (one instanceof RungItem.TerminalEnd landing) {
            fit(item, assembly, landing.terminal(), landing.terminal());
        } else if (one instanceof RungItem.Passage passage) {
            fit(item, assembly, passage.lineSide(), passage.returnSide());
            part(item, assembly).ifPresent(part -> fit(item, part, passage));
        }
    }

    private void fit(int item, Part part, RungItem.Passage passage) {
        contacts[item] = part.contactBetween(passage.from(), passage.to()).orElse(NONE);
        if (contacts[item] == NONE) {
            loads[item] = part.loadBetween(passage.from(), passage.to()).orElse(NONE);
        }
    }

    private Optional<Part> part(int item, Assembly assembly) {
        return indices[item] == NONE
                ? Optional.empty()
                : Optional.of(assembly.parts().get(indices[item]));
    }

    private void fit(int item, Assembly assembly, Terminal line, Terminal back) {
        indices[item] = assembly.indexOf(line.tag()).orElse(NONE);
        if (indices[item] != NONE) {
            lineTerminals[item] = assembly.terminals(indices[item]).of(line.marking());
            returnTerminals[item] = assembly.terminals(indices[item]).of(back.marking());
        }
    }

    /**
     * Checks that the sheet has all that the rung lands on and goes through.
     *
     * @throws PartException at the first terminal that it has not, or else at the first two terminals that are not those of one contact or load
     */
    void check(PartException.Site place, Assembly assembly) throws PartException {
        List<RungItem> items = rung.items();
        for (int item = 0; item < items.size(); item++) {
            if (items.get(item) instanceof RungItem.TerminalEnd landing) {
                check(place, part(item, assembly), landing.terminal());
            } else if (items.get(item) instanceof RungItem.Passage passage && leadsNowhere(item)) {
                check(place, part(item, assembly), passage.lineSide());
                check(place, part(item, assembly), passage.returnSide());
            }
        }
        for (int item = 0; item < items.size(); item++) {
            if (items.get(item) instanceof RungItem.Passage passage && leadsNowhere(item)) {
                throw new PartException(
                        place,
                        passage.tag(),
                        passage.text(),
                        "both ends of one contact or load of " + passage.tag() + ": "
                                + String.join(
                                        ", ", part(item, assembly).orElseThrow().passages()));
            }
        }
    }

    private boolean leadsNowhere(int item) {
        return contacts[item] == NONE && loads[item] == NONE;
    }

    private static void check(PartException.Site place, Optional<Part> part, Terminal terminal) throws PartException {
        String tag = terminal.tag();
        if (part.isEmpty()) {
            throw new PartException(place, tag, tag, "a device that the sheet lists; it lists no " + tag);
        }
        Set<String> terminals = part.get().terminals();
        if (!terminals.contains(terminal.marking())) {
            throw new PartException(
                    place,
                    tag,
                    terminal.toString(),
                    "a terminal that " + tag + " has: " + String.join(", ", terminals));
        }
    }

    /** The rung. */
    public Rung rung() {
        return rung;
    }

    /** How many items it has. */
    public int length() {
        return indices.length;
    }

    /** The position on the sheet of the part that an item goes through or lands on, -1 for a point. */
    public int partIndex(int item) {
        return indices[item];
    }

    /** Whether a terminal on it is marked as that of a protective conductor. */
    public boolean isEarthed() {
        return earthed;
    }

    /** The position of the contact that an item goes through, -1 if it goes through none. */
    public int contact(int item) {
        return contacts[item];
    }

    /** The position of the load that an item goes through, -1 if it goes through none. */
    public int load(int item) {
        return loads[item];
    }

    /** The terminal of its part at the line side of an item, by its number; that of a landing at both sides. */
    public int lineTerminal(int item) {
        return lineTerminals[item];
    }

    /** The terminal of its part at the return side of an item, by its number; that of a landing at both sides. */
    public int returnTerminal(int item) {
        return returnTerminals[item];
    }
}
