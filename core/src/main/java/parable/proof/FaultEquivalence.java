package parable.proof;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.bench.Fault;
import parable.circuit.Node;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Load;
import parable.parts.Part;

/**
 * Which faults leave the same circuit behind, so that one of them answers for all: a contact that no longer conducts and a wire off either side
 * of it; a coil or lamp that is burnt through and a wire off it; a wire off either end where it joins two terminals only; earth on any terminal of a
 * node. Known as fault collapsing where circuits are tested.
 */
final class FaultEquivalence {

    private final Assembly assembly;
    private final List<Fault> faults;
    private final Map<Fault, Integer> numbers = new HashMap<>();
    private final int[] leaders;

    private FaultEquivalence(Assembly assembly, List<Fault> faults) {
        this.assembly = assembly;
        this.faults = faults;
        for (Fault fault : faults) {
            numbers.put(fault, numbers.size());
        }
        leaders = IntStream.range(0, faults.size()).toArray();
    }

    /** The classes of these faults of a sheet, in the order of their first; each fault is in one of them. */
    static List<List<Fault>> classes(Assembly assembly, List<Fault> faults) {
        FaultEquivalence equivalence = new FaultEquivalence(assembly, faults);
        assembly.parts().forEach(equivalence::joinInside);
        assembly.nodes().all().forEach(equivalence::joinAlong);
        return List.copyOf(equivalence.joined());
    }

    private Collection<List<Fault>> joined() {
        Map<Integer, List<Fault>> classes = new LinkedHashMap<>();
        for (int fault = 0; fault < faults.size(); fault++) {
            classes.computeIfAbsent(leader(fault), any -> new ArrayList<>()).add(faults.get(fault));
        }
        return classes.values();
    }

    private void joinInside(Part part) {
        for (Contact contact : part.contacts()) {
            Fault open = new Fault(Fault.Kind.BURNT, part.tag(), contact.marking());
            joinEnds(part, open, contact.from(), contact.to());
            if (part.contacts().size() == 1) {
                join(open, new Fault(Fault.Kind.BLOWN, part.tag(), ""));
            }
        }
        if (part.machine().isPresent()) {
            return;
        }
        for (Load load : part.loads()) {
            String place = part.loads().size() == 1 ? "" : load.from() + "-" + load.to();
            joinEnds(part, new Fault(Fault.Kind.BROKEN, part.tag(), place), load.from(), load.to());
        }
    }

    private void joinEnds(Part part, Fault open, String from, String to) {
        Stream.of(from, to)
                .filter(marking -> uses(part, marking) == 1)
                .forEach(marking -> join(open, off(new Terminal(part.tag(), marking))));
    }

    /** Of how many contacts, loads and sources of a part a terminal is an end; a bare terminal may be joined to metal. */
    private static long uses(Part part, String marking) {
        return Stream.of(
                        part.contacts().stream().flatMap(contact -> Stream.of(contact.from(), contact.to())),
                        part.loads().stream().flatMap(load -> Stream.of(load.from(), load.to())),
                        part.sources().stream().flatMap(source -> Stream.of(source.live(), source.reference())),
                        part.bare().stream())
                .flatMap(markings -> markings)
                .filter(marking::equals)
                .count();
    }

    private void joinAlong(Node node) {
        List<Terminal> terminals = node.terminals();
        if (terminals.size() == 2) {
            join(off(terminals.get(0)), off(terminals.get(1)));
        }
        List<Fault> earthed = terminals.stream()
                .filter(terminal -> !isInCase(terminal))
                .map(terminal -> new Fault(Fault.Kind.EARTHED, terminal.tag(), terminal.marking()))
                .toList();
        earthed.forEach(fault -> join(earthed.get(0), fault));
    }

    /** Whether the device has a case of its own, which an earth fault in it makes live where its conductor is missing. */
    private boolean isInCase(Terminal terminal) {
        return assembly.indexOf(terminal.tag())
                .map(part -> assembly.parts().get(part))
                .filter(part -> !part.bare().isEmpty())
                .isPresent();
    }

    private static Fault off(Terminal terminal) {
        return new Fault(Fault.Kind.OFF, terminal.tag(), terminal.marking());
    }

    private void join(Fault one, Fault other) {
        Optional<Integer> first = Optional.ofNullable(numbers.get(one)).map(this::leader);
        Optional<Integer> second = Optional.ofNullable(numbers.get(other)).map(this::leader);
        if (first.isPresent() && second.isPresent()) {
            leaders[Math.max(first.get(), second.get())] = Math.min(first.get(), second.get());
        }
    }

    private int leader(int fault) {
        int at = fault;
        while (leaders[at] != at) {
            at = leaders[at];
        }
        return at;
    }
}
