package parable.network;

import java.util.ArrayDeque;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;
import parable.parts.Source;

/**
 * What a contact of the control circuit may have to do with: the coils to which a way leads from a supply through that contact, the relays whose
 * contacts lie on the way to those, and the motors of the contactors among them. Read from the drawing, whatever is open or closed.
 */
public final class ControlPath {

    private final Assembly assembly;
    private final PowerPath power;
    private final Set<Integer> sources = new HashSet<>();

    /** The control circuit of a sheet. */
    public ControlPath(Assembly assembly) {
        this.assembly = assembly;
        power = new PowerPath(assembly);
        for (Part part : assembly.parts()) {
            for (Source source : part.sources()) {
                node(part, source.live()).ifPresent(sources::add);
                node(part, source.reference()).ifPresent(sources::add);
            }
        }
        boolean more = true;
        while (more) {
            more = false;
            for (Part part : assembly.parts()) {
                if (isFeed(part)) {
                    for (Contact contact : part.contacts()) {
                        more |= contact.pole()
                                && (joins(part, contact.from(), contact.to())
                                        || joins(part, contact.to(), contact.from()));
                    }
                }
            }
        }
    }

    private static boolean isFeed(Part part) {
        return part.family() == Family.BREAKER || part.family() == Family.ISOLATOR || part.family() == Family.FUSE;
    }

    private boolean joins(Part part, String from, String to) {
        Optional<Integer> next = node(part, to);
        return next.isPresent() && node(part, from).filter(sources::contains).isPresent() && sources.add(next.get());
    }

    private Optional<Integer> node(Part part, String marking) {
        return assembly.nodes().indexOf(new Terminal(part.tag(), marking));
    }

    /** The tags of the motors that a device's contacts may stop or start. */
    public Set<String> motorsOf(Part device) {
        Set<String> relays = relaysOf(device);
        Set<String> motors = new LinkedHashSet<>();
        for (Part part : assembly.parts()) {
            if (relays.contains(part.tag()) && part.family() == Family.CONTACTOR) {
                motors.addAll(power.motorsFedBy(part));
            }
        }
        return motors;
    }

    /** The tags of the relays, timers and contactors whose coils a device's contacts have to do with, directly or through others. */
    public Set<String> relaysOf(Part device) {
        Set<String> found = new LinkedHashSet<>();
        Deque<Part> waiting = new ArrayDeque<>(List.of(device));
        while (!waiting.isEmpty()) {
            Part next = waiting.poll();
            for (Part relay : assembly.parts()) {
                boolean coil = relay.drive() instanceof Drive.ByCoil || relay.drive() instanceof Drive.ByTimer;
                if (coil && !found.contains(relay.tag()) && leadsThrough(next, coil(relay), relay)) {
                    found.add(relay.tag());
                    waiting.add(relay);
                }
            }
        }
        return found;
    }

    private static Load coil(Part relay) {
        return relay.loads().stream()
                .filter(load -> load.role() == LoadRole.COIL)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(relay.tag() + " has no coil"));
    }

    /** Whether a way leads from a source through a contact of a device to a load of another. */
    public boolean leadsThrough(Part device, Load coil, Part relay) {
        for (Contact contact : device.contacts()) {
            Optional<Integer> from = contact.pole() ? Optional.empty() : node(device, contact.from());
            Optional<Integer> to = node(device, contact.to());
            if (from.isPresent() && to.isPresent()) {
                for (String end : List.of(coil.from(), coil.to())) {
                    Optional<Integer> at = node(relay, end).filter(node -> !sources.contains(node));
                    boolean leads = at.isPresent()
                            && (leads(from.get(), to.get(), at.get(), contact, device)
                                    || leads(to.get(), from.get(), at.get(), contact, device));
                    if (leads) {
                        return true;
                    }
                }
            }
        }
        return false;
    }

    /** Whether the front of a contact comes from a source without its back, and its back goes to the end without its front or a source. */
    private boolean leads(int front, int back, int end, Contact without, Part of) {
        return reaches(front, sources::contains, node -> node == back, without, of)
                && reaches(back, node -> node == end, node -> node == front || sources.contains(node), without, of);
    }

    private boolean reaches(int start, Predicate<Integer> goal, Predicate<Integer> barred, Contact without, Part of) {
        BitSet seen = new BitSet();
        Deque<Integer> waiting = new ArrayDeque<>(List.of(start));
        while (!waiting.isEmpty()) {
            int at = waiting.poll();
            if (goal.test(at)) {
                return true;
            }
            if (seen.get(at) || barred.test(at)) {
                continue;
            }
            seen.set(at);
            for (Part part : assembly.parts()) {
                for (Contact contact : part.contacts()) {
                    boolean same = part.equals(of) && contact.equals(without);
                    if (!same && !contact.pole()) {
                        across(part, contact, at).ifPresent(waiting::add);
                    }
                }
            }
        }
        return false;
    }

    private Optional<Integer> across(Part part, Contact contact, int at) {
        Optional<Integer> from = node(part, contact.from());
        Optional<Integer> to = node(part, contact.to());
        if (from.filter(node -> node == at).isPresent()) {
            return to;
        }
        return to.filter(node -> node == at).isPresent() ? from : Optional.empty();
    }
}
