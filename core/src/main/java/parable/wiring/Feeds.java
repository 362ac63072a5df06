package parable.wiring;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import parable.circuit.Node;
import parable.circuit.Nodes;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.CurrentKind;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.Source;

/**
 * What feeds each node of a sheet as it is drawn, with every contact taken for closed: which breaker or fuse is the nearest before it, and what
 * kind of current it has.
 */
final class Feeds {

    private final Nodes nodes;
    private final List<Way> ways = new ArrayList<>();
    private final List<Outlet> outlets = new ArrayList<>();
    private final List<Consumer> consumers = new ArrayList<>();
    private final int mostPoles;

    /** A contact, by the nodes on either side of it. */
    private record Way(Part part, boolean pole, int one, int other) {

        private boolean leadsFrom(int node) {
            return one == node || other == node;
        }

        private int across(int node) {
            return one == node ? other : one;
        }

        private boolean protects() {
            return pole && part.protection().isPresent();
        }
    }

    /** One terminal of a source. */
    private record Outlet(Part part, Source source, int node, boolean grounded) {

        private Load input() {
            return part.loads().get(source.following().orElseThrow().load());
        }
    }

    /** A load, by the nodes on either side of it. */
    private record Consumer(Part part, int one, int other) {}

    /** What is joined by contacts without a breaker or fuse between, and the breakers and fuses around it. */
    private record Stretch(Set<Integer> nodes, List<Way> around) {}

    Feeds(Assembly assembly) {
        nodes = assembly.nodes();
        for (Part part : assembly.parts()) {
            for (Contact contact : part.contacts()) {
                between(part, contact.from(), contact.to())
                        .ifPresent(ends -> ways.add(new Way(part, contact.pole(), ends[0], ends[1])));
            }
            for (Load load : part.loads()) {
                between(part, load.from(), load.to())
                        .ifPresent(ends -> consumers.add(new Consumer(part, ends[0], ends[1])));
            }
            for (Source source : part.sources()) {
                node(part, source.live()).ifPresent(node -> outlets.add(new Outlet(part, source, node, false)));
                node(part, source.reference())
                        .ifPresent(node -> outlets.add(new Outlet(part, source, node, source.grounded())));
            }
        }
        mostPoles = assembly.parts().stream()
                .filter(Feeds::isSwitch)
                .mapToInt(Feeds::poles)
                .max()
                .orElse(0);
    }

    private static boolean isSwitch(Part part) {
        return part.family() == Family.ISOLATOR || part.family() == Family.BREAKER;
    }

    private static int poles(Part part) {
        return (int) part.contacts().stream().filter(Contact::pole).count();
    }

    private Optional<Integer> node(Part part, String marking) {
        return nodes.indexOf(new Terminal(part.tag(), marking));
    }

    private Optional<int[]> between(Part part, String from, String to) {
        Optional<Integer> one = node(part, from);
        Optional<Integer> other = node(part, to);
        return one.isPresent() && other.isPresent()
                ? Optional.of(new int[] {one.get(), other.get()})
                : Optional.empty();
    }

    private int index(Node node) {
        return nodes.all().indexOf(node);
    }

    /**
     * The rating in A of the nearest breaker or fuse before a node; before the first of all, of the largest behind it; of a return, of the largest
     * before what it returns from. Empty if nothing protects it.
     */
    OptionalDouble amperes(Node node) {
        Stretch stretch = stretch(index(node));
        OptionalDouble before = before(stretch);
        return before.isPresent() ? before : ofReturn(stretch);
    }

    private Stretch stretch(int start) {
        List<Way> around = new ArrayList<>();
        Set<Integer> joined = joined(start, way -> {
            if (way.protects()) {
                around.add(way);
            }
            return !way.protects();
        });
        return new Stretch(joined, around);
    }

    /** The nodes that one comes to from a node by some contacts, the nearest first. */
    private Set<Integer> joined(int start, Predicate<Way> passes) {
        Set<Integer> joined = new LinkedHashSet<>(Set.of(start));
        Deque<Integer> waiting = new ArrayDeque<>(joined);
        while (!waiting.isEmpty()) {
            int at = waiting.poll();
            for (Way way : ways) {
                if (way.leadsFrom(at) && passes.test(way) && joined.add(way.across(at))) {
                    waiting.add(way.across(at));
                }
            }
        }
        return joined;
    }

    private OptionalDouble before(Stretch stretch) {
        OptionalDouble nearest = stretch.around().stream()
                .filter(way -> leadsToSource(way, stretch.nodes()))
                .mapToDouble(Feeds::rating)
                .max();
        if (nearest.isPresent()) {
            return nearest;
        }
        Optional<Outlet> direct = outlets.stream()
                .filter(outlet -> !outlet.grounded() && stretch.nodes().contains(outlet.node()))
                .findFirst();
        return direct.isEmpty()
                ? OptionalDouble.empty()
                : direct.get().source().following().isPresent()
                        ? OptionalDouble.of(given(direct.get()))
                        : stretch.around().stream().mapToDouble(Feeds::rating).max();
    }

    private static double rating(Way way) {
        return way.part().protection().orElseThrow().amperes();
    }

    /** Whether what lies behind a breaker or fuse, away from a stretch, has a source. */
    private boolean leadsToSource(Way way, Set<Integer> stretch) {
        int far = stretch.contains(way.one()) ? way.other() : way.one();
        if (stretch.contains(far)) {
            return false;
        }
        Set<Integer> behind = joined(far, next -> !stretch.contains(next.one()) && !stretch.contains(next.other()));
        return outlets.stream().anyMatch(outlet -> !outlet.grounded() && behind.contains(outlet.node()));
    }

    /**
     * What a converter lets flow, in A. A transformer and a rectifier hand on what the breaker or fuse before them allows; a regulated supply, or one
     * with nothing before it, gives what it is rated for.
     */
    private double given(Outlet outlet) {
        Load input = outlet.input();
        double volts = input.rated().volts();
        double rated = volts * volts / Math.hypot(input.ohms(), input.reactance());
        double voltAmperes = outlet.source().following().orElseThrow().law() == Source.Law.REGULATED
                ? rated
                : Stream.of(input.from(), input.to())
                        .flatMap(marking -> node(outlet.part(), marking).stream())
                        .map(node -> before(stretch(node)))
                        .flatMapToDouble(OptionalDouble::stream)
                        .map(amperes -> amperes * volts)
                        .max()
                        .orElse(rated);
        return voltAmperes / outlet.source().rated().volts();
    }

    private OptionalDouble ofReturn(Stretch stretch) {
        return consumers.stream()
                .filter(consumer -> stretch.nodes().contains(consumer.one())
                        != stretch.nodes().contains(consumer.other()))
                .map(consumer ->
                        before(stretch(stretch.nodes().contains(consumer.one()) ? consumer.other() : consumer.one())))
                .flatMapToDouble(OptionalDouble::stream)
                .max();
    }

    /** Whether a node is fed by a transformer or a DC supply: its nearest source is one. */
    boolean isConverted(Node node) {
        return joined(index(node), way -> true).stream()
                .flatMap(at -> outlets.stream().filter(outlet -> outlet.node() == at))
                .findFirst()
                .flatMap(outlet -> outlet.source().following())
                .filter(following -> following.law() != Source.Law.RECTIFIED)
                .isPresent();
    }

    /** The nodes that contacts lead to from a node, itself among them. */
    List<Node> joinedWith(Node node) {
        return joined(index(node), way -> true).stream().map(nodes.all()::get).toList();
    }

    /** Whether a node has direct voltage: its nearest source has. */
    boolean isDirect(Node node) {
        Set<Integer> near = joined(index(node), way -> true);
        Optional<CurrentKind> kind = kind(near);
        if (kind.isPresent()) {
            return kind.get() == CurrentKind.DC;
        }
        return consumers.stream()
                .filter(consumer -> near.contains(consumer.one()) || near.contains(consumer.other()))
                .map(consumer ->
                        kind(joined(near.contains(consumer.one()) ? consumer.other() : consumer.one(), way -> true)))
                .flatMap(Optional::stream)
                .findFirst()
                .filter(CurrentKind.DC::equals)
                .isPresent();
    }

    private Optional<CurrentKind> kind(Set<Integer> near) {
        return near.stream()
                .flatMap(at -> outlets.stream().filter(outlet -> outlet.node() == at))
                .map(outlet -> outlet.source().rated().kind())
                .findFirst();
    }

    /** Whether a node stays live while the main switch, the breaker or isolator with the most poles, is open. */
    boolean isAheadOfMainSwitch(Node node) {
        return mostPoles > 0 && isAhead(index(node), new HashSet<>());
    }

    private boolean isAhead(int start, Set<Part> passed) {
        Set<Integer> near = joined(start, way -> !way.pole() || !isSwitch(way.part()) || poles(way.part()) < mostPoles);
        for (Outlet outlet : outlets) {
            if (!outlet.grounded() && near.contains(outlet.node())) {
                if (outlet.source().following().isEmpty()) {
                    return true;
                }
                if (passed.add(outlet.part()) && isFedAhead(outlet, passed)) {
                    return true;
                }
            }
        }
        return false;
    }

    private boolean isFedAhead(Outlet outlet, Set<Part> passed) {
        Load input = outlet.input();
        return node(outlet.part(), input.from())
                        .filter(node -> isAhead(node, passed))
                        .isPresent()
                || node(outlet.part(), input.to())
                        .filter(node -> isAhead(node, passed))
                        .isPresent();
    }

    /** Whether a node is a return that is bonded to earth at its source. */
    boolean isGrounded(Node node) {
        return outlets.stream().anyMatch(outlet -> outlet.grounded() && outlet.node() == index(node));
    }

    /** Whether it is the neutral of a supply. */
    boolean isNeutral(Node node) {
        return outlets.stream()
                .anyMatch(outlet ->
                        outlet.grounded() && outlet.source().following().isEmpty() && outlet.node() == index(node));
    }
}
