package parable.bench;

import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import parable.circuit.Terminal;
import parable.network.Defects;
import parable.network.Jumper;
import parable.network.Network;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Part;

/** What faults do to contacts, loads, wires and movements, on the bench and in the proof alike. */
public final class Faults {

    private static final String PROTECTIVE_EARTH = "PE";
    private static final long SHAKE_PERIOD = 500_000;
    private static final long SHAKE = 30_000;

    private final Network network;
    private final List<Part> parts;

    /** The faults of what a network is compiled from. */
    public Faults(Network network) {
        this.network = network;
        this.parts = network.assembly().parts();
    }

    /**
     * Opens and closes contacts as the faults have it. A welded pole keeps the mirror contacts of its contactor open (IEC
     * 60947-4-1, annex F).
     *
     * @param closed the numbers of the closed contacts; modified
     */
    public void distort(BitSet closed, List<Fault> faults) {
        for (Fault fault : faults) {
            int part = index(fault);
            if (fault.kind() == Fault.Kind.WELDED && isPole(parts.get(part), fault)) {
                openMirrors(part, closed);
            }
            if (fault.kind() == Fault.Kind.BLOWN) {
                closed.clear(network.contact(part, 0));
            } else if (fault.kind() == Fault.Kind.WELDED || fault.kind() == Fault.Kind.BURNT) {
                int contact = fault.contactOf(parts.get(part)).orElseThrow();
                closed.set(network.contact(part, contact), fault.kind() == Fault.Kind.WELDED);
            }
        }
    }

    private void openMirrors(int part, BitSet closed) {
        List<Contact> contacts = parts.get(part).contacts();
        for (int c = 0; c < contacts.size(); c++) {
            if (contacts.get(c).isNormallyClosed()) {
                closed.clear(network.contact(part, c));
            }
        }
    }

    /** The loads that are burnt through. */
    public BitSet openLoads(List<Fault> faults) {
        BitSet open = new BitSet();
        for (Fault fault : faults) {
            Part part = parts.get(index(fault));
            for (int load = 0; load < part.loads().size(); load++) {
                if (fault.breaks(part.loads().get(load))) {
                    open.set(network.load(index(fault), load));
                }
            }
        }
        return open;
    }

    /** Whether a source gives no voltage. */
    public boolean silences(int part, int source, List<Fault> faults) {
        String live = parts.get(part).sources().get(source).live();
        return faults.contains(new Fault(Fault.Kind.LOST, parts.get(part).tag(), live));
    }

    /**
     * How the panel differs from its sheet.
     *
     * @param time when, in microseconds; loose terminals come and go
     */
    public Defects defects(List<Fault> faults, long time) {
        Set<Terminal> off = new HashSet<>();
        Set<Jumper> jumpers = new HashSet<>();
        Map<Terminal, Double> shares = new HashMap<>();
        for (Fault fault : faults) {
            Terminal place = new Terminal(fault.tag(), fault.place());
            Terminal one = new Terminal(fault.tag(), fault.side(0));
            Terminal other = new Terminal(fault.tag(), fault.side(1));
            switch (fault.kind()) {
                case OFF -> off.add(place);
                case LOOSE -> {
                    if (isShaken(time)) {
                        off.add(place);
                    }
                }
                case LOW -> shares.put(place, Defects.LOW_SHARE);
                case LOST -> shares.put(place, 0.0);
                case EARTHED -> jumpers.add(new Jumper(new Jumper.AtTerminal(place), metalAround(fault)));
                case SHORTED -> jumpers.add(new Jumper(new Jumper.AtTerminal(one), new Jumper.AtTerminal(other)));
                case MISPLACED -> {
                    off.add(one);
                    jumpers.add(new Jumper(new Jumper.AtWireOf(one), new Jumper.AtTerminal(other)));
                }
                case SWAPPED -> {
                    off.addAll(List.of(one, other));
                    jumpers.add(new Jumper(new Jumper.AtWireOf(one), new Jumper.AtTerminal(other)));
                    jumpers.add(new Jumper(new Jumper.AtWireOf(other), new Jumper.AtTerminal(one)));
                }
                case WELDED, BURNT, BROKEN, STUCK, BLOWN, MISSET, UNDERSET, MISSING -> {}
            }
        }
        return off.isEmpty() && jumpers.isEmpty() && shares.isEmpty()
                ? Defects.NONE
                : new Defects(off, jumpers, shares);
    }

    /** The case of a device that has a terminal for its protective conductor; earth if it has none, for the plate that it stands on is taken for earthed. */
    private Jumper.End metalAround(Fault fault) {
        Part part = parts.get(index(fault));
        boolean hasCase =
                part.bare().contains(PROTECTIVE_EARTH) && part.sources().isEmpty();
        return hasCase ? new Jumper.AtTerminal(new Terminal(fault.tag(), PROTECTIVE_EARTH)) : new Jumper.AtEarth();
    }

    private static boolean isShaken(long time) {
        return time % SHAKE_PERIOD < SHAKE;
    }

    /** When a loose terminal will next lose or regain contact, in microseconds; never if none is loose. */
    static long nextShake(List<Fault> faults, long time) {
        if (!isAnyLoose(faults)) {
            return Long.MAX_VALUE;
        }
        long inPeriod = time % SHAKE_PERIOD;
        return time - inPeriod + (inPeriod < SHAKE ? SHAKE : SHAKE_PERIOD);
    }

    private static boolean isAnyLoose(List<Fault> faults) {
        for (Fault fault : faults) {
            if (fault.kind() == Fault.Kind.LOOSE) {
                return true;
            }
        }
        return false;
    }

    /** How many times its right value the setting of a release is. */
    public static double dial(String tag, List<Fault> faults) {
        if (faults.isEmpty()) {
            return 1;
        }
        double high = faults.contains(new Fault(Fault.Kind.MISSET, tag, "")) ? 2 : 1;
        return faults.contains(new Fault(Fault.Kind.UNDERSET, tag, "")) ? high / 2 : high;
    }

    /** Whether a device cannot go to a position: it is stuck, or a welded pole holds its armature. */
    public boolean holds(int part, int position, List<Fault> faults) {
        String tag = parts.get(part).tag();
        return faults.stream()
                .filter(fault -> fault.tag().equals(tag))
                .anyMatch(fault -> fault.kind() == Fault.Kind.STUCK
                        || fault.kind() == Fault.Kind.WELDED && position == 0 && isPole(parts.get(part), fault));
    }

    private static boolean isPole(Part part, Fault fault) {
        return part.drive() instanceof Drive.ByCoil
                && fault.contactOf(part)
                        .filter(contact -> part.contacts().get(contact).pole())
                        .isPresent();
    }

    private int index(Fault fault) {
        return network.assembly().indexOf(fault.tag()).orElseThrow();
    }
}
