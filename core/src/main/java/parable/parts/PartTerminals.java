package parable.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * The terminals of a part, numbered in the order in which they are listed on the device and an inner star point behind them, and which of them each contact, load
 * and source has. So a network is made of numbers, and no marking is looked up while it is.
 */
public final class PartTerminals {

    private final List<String> markings;
    private final int screws;

    /** Both ends of each, one after the other. */
    private final int[] contacts;

    private final int[] loads;
    private final int[] sources;

    private PartTerminals(Part part) {
        markings = new ArrayList<>(part.terminals());
        screws = markings.size();
        if (part.loads().stream().anyMatch(Load::endsAtStarPoint)) {
            markings.add(Part.STAR_POINT);
        }
        contacts = numbers(part.contacts().stream().flatMap(one -> Stream.of(one.from(), one.to())));
        loads = numbers(part.loads().stream().flatMap(one -> Stream.of(one.from(), one.to())));
        sources = numbers(part.sources().stream().flatMap(one -> Stream.of(one.live(), one.reference())));
    }

    /** Those of a part. */
    static PartTerminals of(Part part) {
        return new PartTerminals(part);
    }

    private int[] numbers(Stream<String> ends) {
        return ends.mapToInt(this::of).toArray();
    }

    /** How many there are, an inner star point included. */
    public int count() {
        return markings.size();
    }

    /** How many a wire can land on: all but an inner star point, which is the last. */
    public int screws() {
        return screws;
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
