package parable.wiring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import parable.circuit.Node;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.Terminal;
import parable.parts.Assembly;

/**
 * All wires of a sheet in the order in which they are made: rung by rung from the first on, each from left to right up to the return, then the power
 * circuit. A wire from one rung to another belongs to the earlier one, so that a rung has all its wires before the next begins. The wires of a node leave a place as seldom as can be, and are then as short as can be, with two conductors on a terminal at the
 * most, on a terminal of the strip two on either side. Where somebody wants them otherwise, they are as they are wanted.
 *
 * @param wires in that order
 * @param metres how much wire that is, in m
 * @param metresFromFirst how much it would be if every wire of a node began at its first terminal, in m
 */
public record WireList(List<Wire> wires, double metres, double metresFromFirst) {

    /** Not modified: the list is copied. */
    public WireList {
        wires = List.copyOf(wires);
    }

    /** The list of an assembled sheet, wired by the method that it says. */
    public static WireList of(Assembly assembly, Practice practice) {
        return new Chains(assembly, practice, PanelLayout.of(assembly)).list();
    }

    /** How much wire is saved against always returning to the first terminal, in m. */
    public double saved() {
        return metresFromFirst - metres;
    }

    /** Makes the list. */
    private static final class Chains {

        /** Leaving a place costs more than any way within one. */
        private static final double CROSSING = 1000;

        private static final int POWER = 1_000_000;

        /** A wire to a smaller fuse is as thin as that allows up to this length, in m (IEC 60364-4-43, 433.2.2; NEC 240.21(B)(1)). */
        private static final double MOST_FOR_TAP = 3;

        private final Assembly assembly;
        private final PanelLayout layout;
        private final Groups groups;
        private final Conductors conductors;
        private final Map<Terminal, Double> order = new HashMap<>();
        private final Map<Terminal, Integer> rungs = new HashMap<>();

        /** For each terminal of the strip those that it leads to in another place. */
        private final Map<Terminal, List<Terminal>> behind = new HashMap<>();

        Chains(Assembly assembly, Practice practice, PanelLayout layout) {
            this.assembly = assembly;
            this.layout = layout;
            groups = new Groups(assembly, layout);
            conductors = new Conductors(assembly, practice, layout);
            List<Rung> control = assembly.sheet().control();
            for (int i = 0; i < control.size(); i++) {
                int rung = i + 1;
                control.get(i).terminals().forEach(terminal -> met(terminal, rung));
            }
            assembly.sheet().power().stream().flatMap(Rung::terminals).forEach(terminal -> met(terminal, 0));
        }

        private void met(Terminal terminal, int rung) {
            order.putIfAbsent(terminal, (double) order.size());
            rungs.putIfAbsent(terminal, rung);
        }

        WireList list() {
            List<Wire> wires = new ArrayList<>();
            double fromFirst = 0;
            for (Node node : assembly.nodes().all()) {
                List<List<Terminal>> joined = groups.of(node);
                joined.stream().skip(1).forEach(group -> behind.put(group.get(0), group.subList(1, group.size())));
                joined.stream().skip(1).forEach(behind -> metBefore(behind.get(0), behind.subList(1, behind.size())));
                for (List<Terminal> group : joined) {
                    fromFirst += fromFirst(group);
                    wires.addAll(wires(node, group));
                }
            }
            wires.sort(Comparator.comparingInt((Wire wire) -> Math.min(rung(wire.from()), rung(wire.to())))
                    .thenComparingDouble(this::turn)
                    .thenComparing(this::leadsBack, Comparator.reverseOrder())
                    .thenComparing(wire -> rung(wire.from()) == rung(wire.to()), Comparator.reverseOrder()));
            return new WireList(
                    seconds(wires), wires.stream().mapToDouble(Wire::metres).sum(), fromFirst);
        }

        /** When a wire is made within its rung: when the last of its terminals that are on that rung is come to. */
        private double turn(Wire wire) {
            return rung(wire.from()) == rung(wire.to())
                    ? order.get(wire.to())
                    : order.get(rung(wire.from()) < rung(wire.to()) ? wire.from() : wire.to());
        }

        /** Whether a wire leads from a rung to where it is fed from. */
        private boolean leadsBack(Wire wire) {
            return Math.max(rung(wire.from()), rung(wire.to())) == POWER;
        }

        /** The rung that a terminal is on; the power circuit comes after all of them. */
        private int rung(Terminal terminal) {
            int rung = rungs.get(terminal);
            return rung == 0 ? POWER : rung;
        }

        private double fromFirst(List<Terminal> joined) {
            return joined.stream()
                    .skip(1)
                    .mapToDouble(terminal -> layout.metres(joined.get(0), terminal))
                    .sum();
        }

        /** A terminal of the strip is wired just before what lies behind it. */
        private void metBefore(Terminal strip, List<Terminal> behind) {
            Terminal first =
                    behind.stream().min(Comparator.comparingDouble(order::get)).orElseThrow();
            order.put(strip, order.get(first) - 0.5);
            rungs.put(strip, rungs.get(first));
        }

        private List<Wire> wires(Node node, List<Terminal> group) {
            List<Wire> made = groups.chosen(group)
                    .map(wanted -> wanted.stream()
                            .map(one -> ordered(node, one.one(), one.other()))
                            .toList())
                    .orElseGet(() -> group.stream()
                            .filter(groups::isProtectiveBar)
                            .findFirst()
                            .map(bar -> star(node, bar, group))
                            .orElseGet(() -> chain(node, group)));
            return made.stream()
                    .map(wire -> Conductors.isEarth(node) ? wire.madeOf(protective(wire, made, group)) : wire)
                    .toList();
        }

        /**
         * A protective conductor of its own goes by what it leads to, also behind the strip; one of a row by all that the row leads to, for it serves
         * them all.
         */
        private Conductor protective(Wire wire, List<Wire> made, List<Terminal> group) {
            boolean own = groups.isProtectiveBar(wire.from()) && ends(made, wire.to()) == 1;
            List<Terminal> serves = (own ? List.of(wire.to()) : group)
                    .stream()
                            .flatMap(terminal -> behind.getOrDefault(terminal, List.of(terminal)).stream())
                            .filter(terminal -> !groups.isProtectiveBar(terminal))
                            .toList();
            return conductors.protective(serves);
        }

        /** A conductor of its own to each, so that taking one device away leaves all others protected (IEC 60364-5-54, 543.2.8). */
        private List<Wire> star(Node node, Terminal bar, List<Terminal> terminals) {
            return terminals.stream()
                    .filter(terminal -> !terminal.equals(bar))
                    .map(terminal -> wire(node, bar, terminal, conductors.of(node)))
                    .toList();
        }

        /** In a row, but for what only a small fuse or breaker is fed by: its thin wire ends there, and no thick one lands under it. */
        private List<Wire> chain(Node node, List<Terminal> terminals) {
            List<Terminal> taps = terminals.stream()
                    .filter(terminal -> isOfDevice(terminal)
                            && conductors.tap(node, terminal).isPresent())
                    .toList();
            List<Terminal> rest = terminals.stream()
                    .filter(terminal -> !taps.contains(terminal))
                    .toList();
            if (taps.isEmpty() || rest.isEmpty()) {
                return row(node, terminals);
            }
            List<Wire> wires = new ArrayList<>(row(node, rest));
            for (Terminal tap : taps) {
                Terminal from = Stream.concat(rest.stream(), taps.stream().takeWhile(one -> !one.equals(tap)))
                        .filter(terminal -> ends(wires, terminal) < 2)
                        .min(Comparator.comparingDouble(terminal -> distance(terminal, tap)))
                        .orElseThrow();
                Conductor made = layout.metres(from, tap) <= MOST_FOR_TAP
                        ? conductors.tap(node, tap).orElseThrow()
                        : conductors.of(node);
                boolean forward = order.get(from) <= order.get(tap);
                wires.add(wire(node, forward ? from : tap, forward ? tap : from, made));
            }
            return wires;
        }

        private boolean isOfDevice(Terminal terminal) {
            return assembly.part(terminal.tag()).isPresent();
        }

        private static long ends(List<Wire> wires, Terminal terminal) {
            return wires.stream()
                    .filter(wire -> wire.from().equals(terminal) || wire.to().equals(terminal))
                    .count();
        }

        private double distance(Terminal one, Terminal other) {
            return layout.metres(one, other) + (layout.crosses(one, other) ? CROSSING : 0);
        }

        private List<Wire> row(Node node, List<Terminal> terminals) {
            List<Integer> way = ShortestPath.through(
                    terminals.size(), (one, other) -> distance(terminals.get(one), terminals.get(other)));
            List<Wire> wires = new ArrayList<>();
            for (int i = 1; i < way.size(); i++) {
                Terminal one = terminals.get(way.get(i - 1));
                Terminal other = terminals.get(way.get(i));
                wires.add(ordered(node, one, other));
            }
            return wires;
        }

        /** A wire from that of two terminals which is met first. */
        private Wire ordered(Node node, Terminal one, Terminal other) {
            boolean forward = order.get(one) <= order.get(other);
            return wire(node, forward ? one : other, forward ? other : one, conductors.of(node));
        }

        private Wire wire(Node node, Terminal from, Terminal to, Conductor conductor) {
            return new Wire(
                    node.number(),
                    from,
                    to,
                    Math.min(rung(from), rung(to)) % POWER,
                    List.of(),
                    conductor,
                    layout.metres(from, to),
                    layout.route(from, to),
                    layout.crosses(from, to));
        }

        /** Marks the wires by which a terminal gets its second conductor; the two sides of the strip are counted apart. */
        private List<Wire> seconds(List<Wire> wires) {
            Set<List<Object>> wired = new HashSet<>();
            List<Wire> marked = new ArrayList<>();
            for (Wire wire : wires) {
                marked.add(wire.withSeconds(Stream.of(wire.from(), wire.to())
                        .filter(terminal -> !wired.add(List.of(terminal, isStrip(terminal) && wire.crosses())))
                        .toList()));
            }
            return marked;
        }

        private boolean isStrip(Terminal terminal) {
            return layout.strip().stream().anyMatch(one -> one.terminal().equals(terminal));
        }
    }
}
