package parable.reach;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import parable.bench.Action;
import parable.circuit.Terminal;
import parable.network.Network;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Source;
import parable.parts.Verb;

/**
 * What may be taken away from a sheet and given back, one at a time: each supply from outside, all of them together, and each breaker or
 * isolator that only a hand opens. A breaker that does just what its supply does, because nothing but it is on that supply, is not counted
 * twice.
 */
public final class Outages {

    private final Network network;
    private final List<Part> parts;
    private final List<Outage> all = new ArrayList<>();

    /**
     * One of them.
     *
     * @param lost as it is told: {@code G1 fails}
     * @param back as it is told: {@code G1 returns}
     * @param silent the sources that give nothing meanwhile, by their numbers in the network
     * @param opened the contacts that are open meanwhile and would be closed, likewise
     * @param closed the contacts that are closed meanwhile and would be open, likewise
     * @param taken what is done to take it away
     * @param given what is done to give it back
     */
    public record Outage(
            String lost,
            String back,
            BitSet silent,
            BitSet opened,
            BitSet closed,
            List<Action> taken,
            List<Action> given) {}

    /**
     * Those of a sheet.
     *
     * @param fixed whether a breaker is one that stays as it is unless a hand moves it
     */
    Outages(Assembly assembly, Predicate<Part> fixed) {
        network = Network.of(assembly);
        parts = assembly.parts();
        List<Part> supplies = parts.stream()
                .filter(part -> part.drive().verbs().containsKey(Verb.LOSE))
                .toList();
        supplies.forEach(
                supply -> all.add(supply(List.of(supply), supply.tag() + " fails", supply.tag() + " returns")));
        if (supplies.size() > 1) {
            all.add(supply(supplies, "all supplies fail", "all supplies return"));
        }
        for (int p = 0; p < parts.size(); p++) {
            Part part = parts.get(p);
            boolean breaker = part.family() == Family.BREAKER || part.family() == Family.ISOLATOR;
            if (breaker && fixed.test(part) && isWired(part) && !doesWhatSupplyDoes(part, supplies)) {
                all.add(breaker(p));
            }
        }
    }

    List<Outage> all() {
        return all;
    }

    private Outage supply(List<Part> supplies, String lost, String back) {
        BitSet silent = new BitSet();
        for (Part supply : supplies) {
            for (int s = 0; s < supply.sources().size(); s++) {
                silent.set(network.source(parts.indexOf(supply), s));
            }
        }
        return new Outage(
                lost,
                back,
                silent,
                new BitSet(),
                new BitSet(),
                acts(Verb.LOSE, supplies),
                acts(Verb.RESTORE, supplies));
    }

    private static List<Action> acts(Verb verb, List<Part> parts) {
        return parts.stream().map(part -> new Action(verb, part.tag())).toList();
    }

    private Outage breaker(int index) {
        Part part = parts.get(index);
        BitSet opened = new BitSet();
        BitSet closed = new BitSet();
        for (int c = 0; c < part.contacts().size(); c++) {
            Contact contact = part.contacts().get(c);
            opened.set(network.contact(index, c), !contact.closedAt(0));
            closed.set(network.contact(index, c), contact.closedAt(0));
        }
        return new Outage(
                part.tag() + " is opened",
                part.tag() + " is closed",
                new BitSet(),
                opened,
                closed,
                List.of(new Action(Verb.OPEN, part.tag())),
                List.of(new Action(Verb.CLOSE, part.tag())));
    }

    private boolean isWired(Part part) {
        return part.terminals().stream().anyMatch(marking -> node(part, marking).isPresent());
    }

    private Optional<Set<Terminal>> node(Part part, String marking) {
        return network.assembly()
                .nodes()
                .indexOf(new Terminal(part.tag(), marking))
                .map(index ->
                        Set.copyOf(network.assembly().nodes().all().get(index).terminals()));
    }

    private boolean doesWhatSupplyDoes(Part breaker, List<Part> supplies) {
        return supplies.stream().anyMatch(supply -> isAloneBehind(breaker, supply))
                && breaker.contacts().stream()
                        .filter(contact -> !contact.pole())
                        .allMatch(contact -> node(breaker, contact.from()).isEmpty()
                                || node(breaker, contact.to()).isEmpty());
    }

    /** Whether whatever comes from a supply comes through the poles of a breaker, and nothing else is on these. */
    private boolean isAloneBehind(Part breaker, Part supply) {
        Set<String> tags = Set.of(breaker.tag(), supply.tag());
        boolean allLive = supply.sources().stream()
                .map(Source::live)
                .map(marking -> node(supply, marking))
                .flatMap(Optional::stream)
                .allMatch(node -> isOnly(node, tags) && touches(node, breaker));
        return allLive
                && breaker.contacts().stream()
                        .filter(Contact::pole)
                        .filter(pole -> node(breaker, pole.from()).isPresent()
                                || node(breaker, pole.to()).isPresent())
                        .allMatch(pole -> List.of(pole.from(), pole.to()).stream()
                                .flatMap(marking -> node(breaker, marking).stream())
                                .anyMatch(node -> isOnly(node, tags) && touches(node, supply)));
    }

    private static boolean isOnly(Set<Terminal> node, Set<String> tags) {
        return tags.containsAll(node.stream().map(Terminal::tag).collect(Collectors.toSet()));
    }

    private static boolean touches(Set<Terminal> node, Part part) {
        return node.stream().anyMatch(terminal -> terminal.tag().equals(part.tag()));
    }
}
