package parable.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * Contactors that the power circuit makes opponents: in together they short something, give two supplies a common point, or put alternating and
 * direct current on one motor. Read from the power circuit alone, with everything that is switched on and left so switched on, whatever the
 * control circuit does.
 */
public final class OpposedContactors {

    private static final double WORKS = 0.3;
    private static final double BRAKES = 2;
    private static final int MOST_CONTACTORS = 12;

    private final Network network;
    private final List<Part> parts;
    private final Supplies supplies;
    private final BitSet sources = new BitSet();
    private final int[] contactors;
    private final Map<BitSet, Boolean> known = new HashMap<>();

    /**
     * Two opponents.
     *
     * @param one the tag of the one that is listed first
     * @param other the tag of the other
     */
    public record Pair(String one, String other) {}

    private OpposedContactors(Network network) {
        this.network = network;
        parts = network.assembly().parts();
        supplies = new Supplies(network);
        sources.set(0, network.sourceCount());
        contactors = IntStream.range(0, parts.size())
                .filter(part -> parts.get(part).family() == Family.CONTACTOR && isWired(parts.get(part)))
                .limit(MOST_CONTACTORS)
                .toArray();
    }

    /** The opponents of a sheet, in the order of its devices. */
    public static List<Pair> of(Assembly assembly) {
        return new OpposedContactors(Network.of(assembly)).pairs();
    }

    private boolean isWired(Part contactor) {
        return contactor.contacts().stream().filter(Contact::pole).anyMatch(pole -> network.assembly()
                .nodes()
                .indexOf(new Terminal(contactor.tag(), pole.from()))
                .isPresent());
    }

    private List<Pair> pairs() {
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < contactors.length; i++) {
            for (int j = i + 1; j < contactors.length; j++) {
                if (areOpponents(contactors[i], contactors[j])) {
                    pairs.add(new Pair(
                            parts.get(contactors[i]).tag(),
                            parts.get(contactors[j]).tag()));
                }
            }
        }
        return pairs;
    }

    /** Whether two are a disaster together, with none, one or two of the others in, where neither of them is without the other. */
    private boolean areOpponents(int one, int other) {
        for (int first = -1; first < contactors.length; first++) {
            for (int second = Math.max(first, 0); second < contactors.length; second++) {
                BitSet others = new BitSet();
                if (first >= 0) {
                    others.set(contactors[first]);
                    others.set(contactors[second]);
                }
                boolean apart = !others.get(one) && !others.get(other);
                if (apart && isDisaster(others, one, other) && !isDisaster(others, one) && !isDisaster(others, other)) {
                    return true;
                }
            }
        }
        return false;
    }

    private boolean isDisaster(BitSet others, int... further) {
        BitSet in = (BitSet) others.clone();
        IntStream.of(further).forEach(in::set);
        return known.computeIfAbsent(in, this::isDisaster);
    }

    private boolean isDisaster(BitSet in) {
        BitSet closed = new BitSet();
        for (int p = 0; p < parts.size(); p++) {
            for (int c = 0; c < parts.get(p).contacts().size(); c++) {
                closed.set(
                        network.contact(p, c),
                        conducts(p, parts.get(p).contacts().get(c), in));
            }
        }
        Solution solution = network.solve(closed, sources);
        return !solution.shorts().isEmpty()
                || supplies.areSeveral() && supplies.joined(closed).isPresent()
                || IntStream.range(0, parts.size()).anyMatch(part -> hasBothKinds(solution, part));
    }

    private boolean conducts(int part, Contact contact, BitSet in) {
        return switch (parts.get(part).family()) {
            case BREAKER, ISOLATOR, FUSE -> contact.pole();
            case CONTACTOR -> contact.pole() && in.get(part);
            default -> contact.isThroughPath();
        };
    }

    /** Whether a motor for alternating current gets enough of both kinds to be driven by the one and braked by the other. */
    private boolean hasBothKinds(Solution solution, int part) {
        List<Load> loads = parts.get(part).loads();
        boolean motor = parts.get(part).family() == Family.MOTOR
                && loads.stream().noneMatch(load -> load.rated().kind() == CurrentKind.DC);
        boolean driven = false;
        boolean braked = false;
        for (int l = 0; l < loads.size() && motor; l++) {
            Potential voltage = solution.loadVoltage(network.load(part, l));
            driven |= loads.get(l).role() == LoadRole.WINDING
                    && voltage.alternating() > WORKS * loads.get(l).rated().volts();
            braked |= Math.abs(voltage.direct()) > BRAKES;
        }
        return driven && braked;
    }
}
