package parable.bench;

import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import parable.circuit.Terminal;
import parable.network.Network;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Part;

/** What the faults of a run do to its contacts, loads, wires and movements. */
final class Faults {

    private final Network network;
    private final List<Part> parts;

    Faults(Network network) {
        this.network = network;
        this.parts = network.assembly().parts();
    }

    /**
     * Opens and closes contacts as the faults have it. A welded pole keeps the mirror contacts of its contactor open (IEC
     * 60947-4-1, annex F).
     */
    void distort(BitSet closed, List<Fault> faults) {
        for (Fault fault : faults) {
            int part = index(fault);
            if (fault.kind() == Fault.Kind.WELDED && isPole(parts.get(part), fault)) {
                openMirrors(part, closed);
            }
            fault.contactOf(parts.get(part))
                    .ifPresent(
                            contact -> closed.set(network.contact(part, contact), fault.kind() == Fault.Kind.WELDED));
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
    BitSet openLoads(List<Fault> faults) {
        BitSet open = new BitSet();
        for (Fault fault : faults) {
            Part part = parts.get(index(fault));
            for (int load = 0; load < part.loads().size(); load++) {
                if (fault.breaks(part.loads().get(load).role())) {
                    open.set(network.load(index(fault), load));
                }
            }
        }
        return open;
    }

    /** Whether a source gives no voltage. */
    boolean silences(int part, int source, List<Fault> faults) {
        String live = parts.get(part).sources().get(source).live();
        return faults.contains(new Fault(Fault.Kind.LOST, parts.get(part).tag(), live));
    }

    /** The terminals whose wires are off. */
    Set<Terminal> wiresOff(List<Fault> faults) {
        Set<Terminal> off = new HashSet<>();
        for (Fault fault : faults) {
            if (fault.kind() == Fault.Kind.OFF) {
                off.add(new Terminal(fault.tag(), fault.place()));
            }
        }
        return off;
    }

    /** Whether a device cannot go to a position: it is stuck, or a welded pole holds its armature. */
    boolean holds(int part, int position, List<Fault> faults) {
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
