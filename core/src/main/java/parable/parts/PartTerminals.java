package parable.parts;

import java.util.ArrayList;
import java.util.List;

/**
 * The terminals of a part, numbered in the order in which they are listed on the device and an inner star point behind them, and which of them each contact, load
 * and source has. So a network is made of numbers, and no marking is looked up while it is.
 */
public final class PartTerminals {

    private final List<String> markings = new ArrayList<>();

    /** Both ends of each, one after the other. */
    private final int[] contacts;

    private final int[] loads;
    private final int[] sources;

    private PartTerminals(Part part) {
        contacts = new int[2 * part.contacts().size()];
        loads = new int[2 * part.loads().size()];
        sources = new int[2 * part.sources().size()];
        for (int i = 0; i < part.contacts().size(); i++) {
            contacts[2 * i] = number(part.contacts().get(i).from());
            contacts[2 * i + 1] = number(part.contacts().get(i).to());
        }
        for (int i = 0; i < part.loads().size(); i++) {
            Load load = part.loads().get(i);
            loads[2 * i] = number(load.from());
            if (!load.endsAtStarPoint()) {
                loads[2 * i + 1] = number(load.to());
            }
        }
        for (int i = 0; i < part.sources().size(); i++) {
            sources[2 * i] = number(part.sources().get(i).live());
            sources[2 * i + 1] = number(part.sources().get(i).reference());
        }
        part.bare().forEach(this::number);
        for (int i = 0; i < part.loads().size(); i++) {
            loads[2 * i + 1] = number(part.loads().get(i).to());
        }
    }

    /** Those of a part. */
    static PartTerminals of(Part part) {
        return new PartTerminals(part);
    }

    private int number(String marking) {
        int known = markings.indexOf(marking);
        if (known < 0) {
            markings.add(marking);
        }
        return known < 0 ? markings.size() - 1 : known;
    }

    /** How many there are, an inner star point included. */
    public int count() {
        return markings.size();
    }

    /** How many a wire can land on: all but an inner star point, which is the last. */
    public int screws() {
        return markings.contains(Part.STAR_POINT) ? markings.size() - 1 : markings.size();
    }

    /** What is printed beside one. */
    public String marking(int terminal) {
        return markings.get(terminal);
    }

    /** The terminal of a marking, -1 if there is none. */
    public int of(String marking) {
        return markings.indexOf(marking);
    }

    /**
     * A terminal of a contact.
     *
     * @param contact its position among those of the part
     * @param end 0 for the terminal that it is listed from, 1 for the other
     */
    public int ofContact(int contact, int end) {
        return contacts[2 * contact + end];
    }

    /**
     * A terminal of a load, or its inner star point.
     *
     * @param load its position among those of the part
     * @param end 0 for the terminal that it is listed from, 1 for the other
     */
    public int ofLoad(int load, int end) {
        return loads[2 * load + end];
    }

    /** The terminal that a source makes live, by its position among those of the part. */
    public int liveOf(int source) {
        return sources[2 * source];
    }

    /** The terminal that the voltage of a source is against, by its position among those of the part. */
    public int referenceOf(int source) {
        return sources[2 * source + 1];
    }
}
