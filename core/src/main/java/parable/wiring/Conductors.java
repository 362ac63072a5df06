package parable.wiring;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import parable.circuit.Node;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;

/**
 * Colours and cross-sections as usual in a practice: IEC 60204-1:2016 (13.2.4) and NFPA 79 (13.2). The size of a wire goes by the nearest breaker or
 * fuse before it: IEC 60204-1:2016, table 6, method B2; NEC table 310.16, 60 degrees. That of a protective conductor goes by the largest wire
 * beside it: IEC 60204-1:2016, table 1; NEC table 250.122. What somebody states for a motor goes before it. They are proposals; local code decides.
 */
final class Conductors {

    private final Assembly assembly;
    private final PanelLayout layout;
    private final Feeds feeds;
    private final WireSizes sizes;
    private final boolean iec;
    private final StatedWires stated;
    private final Set<Terminal> ladder;

    /** By the node itself: to compare long nodes would cost more than this saves. */
    private final Map<Node, Conductor> known = new IdentityHashMap<>();

    Conductors(Assembly assembly, Practice practice, PanelLayout layout) {
        this.assembly = assembly;
        this.layout = layout;
        feeds = new Feeds(assembly);
        sizes = WireSizes.of(assembly.tables().of(practice));
        iec = practice == Practice.IEC;
        stated = new StatedWires(assembly);
        ladder = assembly.sheet().control().stream().flatMap(Rung::terminals).collect(Collectors.toSet());
    }

    /** What a wire of a node is made of. */
    Conductor of(Node node) {
        return known.computeIfAbsent(node, one -> stated.of(one)
                .map(size -> new Conductor(colour(one), size, sizes.ferrule(size)))
                .orElseGet(() ->
                        conductor(isEarth(one) ? Conductor.PROTECTIVE : colour(one), amperes(one), isPower(one))));
    }

    /**
     * What a protective conductor is made of.
     *
     * @param serves the terminals of motors, supplies, and metal that devices are on, to which it leads
     */
    Conductor protective(List<Terminal> serves) {
        List<Node> lines = assembly.nodes().all().stream()
                .filter(node -> !isEarth(node)
                        && node.terminals().stream()
                                .anyMatch(one -> serves.stream().anyMatch(served -> isBeside(one, served))))
                .toList();
        String size = sizes.protective(
                lines.stream().mapToDouble(this::amperes).max().orElse(0),
                lines.stream().anyMatch(this::isPower));
        return new Conductor(Conductor.PROTECTIVE, size, sizes.ferrule(size));
    }

    /** Whether a terminal is of the device that is served, or in the place whose metal is. */
    private boolean isBeside(Terminal terminal, Terminal served) {
        boolean metal = assembly.part(served.tag())
                .filter(part -> part.family() == Family.METALWORK)
                .isPresent();
        return metal
                ? layout.place(terminal.tag()).equals(layout.place(served.tag()))
                : terminal.tag().equals(served.tag());
    }

    private Conductor conductor(String colour, double amperes, boolean power) {
        String size = sizes.carrying(amperes, power).orElse(WireSizes.BY_CALCULATION);
        return new Conductor(colour, size, sizes.ferrule(size));
    }

    private double amperes(Node node) {
        return feeds.amperes(node).orElse(0);
    }

    /** Whether a node is that of the protective conductors. */
    static boolean isEarth(Node node) {
        for (Terminal terminal : node.terminals()) {
            if (terminal.marking().equals("PE")) {
                return true;
            }
        }
        return false;
    }

    /**
     * What a wire to the line side of a breaker or fuse is made of, where that is for less than what comes before it: for so short a way the
     * wire goes by the device at its end.
     */
    Optional<Conductor> tap(Node node, Terminal terminal) {
        Part part = assembly.part(terminal.tag()).orElseThrow();
        boolean pole = part.contacts().stream()
                .anyMatch(contact ->
                        contact.pole() && contact.marking().matches("(.*-)?" + terminal.marking() + "(-.*)?"));
        Conductor whole = of(node);
        return part.protection()
                .filter(protection -> pole && protection.amperes() < amperes(node))
                .map(protection -> conductor(whole.colour(), protection.amperes(), isPower(node)))
                .filter(tapped -> !tapped.equals(whole));
    }

    /** Whether a node is part of the power circuit: not of the ladder, nor on the way to it from a transformer or DC supply. */
    private boolean isPower(Node node) {
        return !isInLadder(node)
                && !(feeds.isConverted(node) && feeds.joinedWith(node).stream().anyMatch(this::isInLadder));
    }

    private boolean isInLadder(Node node) {
        return assembly.sheet().rails().stream().anyMatch(one -> node.names().contains(one.name()))
                || node.terminals().stream().anyMatch(ladder::contains);
    }

    private String colour(Node node) {
        if (isPower(node)) {
            return feeds.isGrounded(node) ? iec ? "light blue" : "white" : "black";
        }
        boolean direct = feeds.isDirect(node);
        if (feeds.isGrounded(node)) {
            return iec
                    ? direct ? "blue" : feeds.isNeutral(node) ? "light blue" : "red"
                    : direct ? "white with blue" : "white";
        }
        if (feeds.isAheadOfMainSwitch(node)) {
            return "orange";
        }
        return direct ? "blue" : "red";
    }
}
