package parable.reach;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.function.IntUnaryOperator;
import java.util.function.Predicate;
import parable.network.Network;
import parable.parts.Contact;
import parable.parts.Part;

/** Which contacts are closed where each part is, worked out once for each of its values. */
final class ContactPositions {

    /** More bits than this no part with contacts has. */
    private static final int MOST_BITS = 16;

    private final BitSet resting = new BitSet();
    private final BitSet[][] closedAt;
    private final List<Output> outputs = new ArrayList<>();

    /** A contact that a controller's program closes, with its number in the network. */
    private record Output(Contact contact, int number) {}

    /**
     * The contacts of some parts.
     *
     * @param parts those of the network's sheet come first, in its order; any others have no contacts
     * @param components how they move
     * @param moves whether a part moves at all; others stay at rest
     */
    ContactPositions(Network network, List<Part> parts, List<Component> components, IntPredicate moves) {
        closedAt = new BitSet[parts.size()][];
        for (int p = 0; p < parts.size(); p++) {
            Component component = components.get(p);
            boolean stands = parts.get(p).contacts().isEmpty() || component.bits() > MOST_BITS || !moves.test(p);
            closedAt[p] = new BitSet[stands ? 0 : 1 << component.bits()];
            Arrays.setAll(closedAt[p], value -> new BitSet());
            for (int c = 0; c < parts.get(p).contacts().size(); c++) {
                note(p, component, parts.get(p).contacts().get(c), network.contact(p, c));
            }
        }
    }

    private void note(int part, Component component, Contact contact, int number) {
        if (contact.output()) {
            outputs.add(new Output(contact, number));
        } else if (closedAt[part].length == 0) {
            resting.set(number, component.isClosed(contact, component.rest()));
        } else {
            for (int value = 0; value < closedAt[part].length; value++) {
                closedAt[part][value].set(number, component.isValue(value) && component.isClosed(contact, value));
            }
        }
    }

    /**
     * The contacts that are closed, by their numbers in the network.
     *
     * @param valueOf where a part that moves is, by its position among the parts
     * @param isOn whether an output of a controller is on
     */
    BitSet closed(IntUnaryOperator valueOf, Predicate<Contact> isOn) {
        BitSet closed = (BitSet) resting.clone();
        for (int p = 0; p < closedAt.length; p++) {
            if (closedAt[p].length > 0) {
                closed.or(closedAt[p][valueOf.applyAsInt(p)]);
            }
        }
        for (Output output : outputs) {
            closed.set(output.number(), isOn.test(output.contact()));
        }
        return closed;
    }
}
