package parable.network;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Circuit;
import parable.circuit.Nodes;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.FittedRung;

/**
 * The node of each terminal of a sheet: that of the wire that lands on it, one of its own if none does. Those of their own are numbered behind the nodes of the sheet, part by part.
 */
final class TerminalNodes {

    private static final int NONE = -1;

    private final Assembly assembly;

    /** The position of the first terminal of each part among all; how many there are at the end. */
    private final int[] first;

    private final int[] nodes;
    private final int count;

    private TerminalNodes(Assembly assembly, Set<Terminal> wiresOff) {
        this.assembly = assembly;
        first = new int[assembly.parts().size() + 1];
        for (int part = 0; part + 1 < first.length; part++) {
            first[part + 1] = first[part] + assembly.terminals(part).count();
        }
        nodes = new int[first[first.length - 1]];
        Arrays.fill(nodes, NONE);
        for (Circuit circuit : Circuit.values()) {
            land(circuit);
        }
        for (Terminal off : wiresOff) {
            find(off).ifPresent(at -> nodes[at] = NONE);
        }
        int next = assembly.nodes().all().size();
        for (int at = 0; at < nodes.length; at++) {
            nodes[at] = nodes[at] == NONE ? next++ : nodes[at];
        }
        count = next;
    }

    /** Those of a sheet of which some wires are off. */
    static TerminalNodes of(Assembly assembly, Set<Terminal> wiresOff) {
        return new TerminalNodes(assembly, wiresOff);
    }

    /** Lands the wires of a circuit. */
    private void land(Circuit circuit) {
        Nodes wires = assembly.nodes();
        List<FittedRung> rungs = assembly.rungs(circuit);
        for (int rung = 0; rung < rungs.size(); rung++) {
            FittedRung fitted = rungs.get(rung);
            for (int gap = 0; gap + 1 < fitted.length(); gap++) {
                int node = wires.between(circuit, rung, gap);
                land(fitted.partIndex(gap), fitted.returnTerminal(gap), node);
                land(fitted.partIndex(gap + 1), fitted.lineTerminal(gap + 1), node);
            }
        }
    }

    private void land(int part, int terminal, int node) {
        if (part >= 0) {
            nodes[first[part] + terminal] = node;
        }
    }

    /** The node of a terminal, by the numbers of both. */
    int of(int part, int terminal) {
        return nodes[first[part] + terminal];
    }

    /** The node of a terminal, empty if it does not exist. */
    Optional<Integer> of(Terminal terminal) {
        return find(terminal).map(at -> nodes[at]);
    }

    private Optional<Integer> find(Terminal terminal) {
        return assembly.indexOf(terminal.tag())
                .map(part -> at(part, assembly.terminals(part).of(terminal.marking())))
                .filter(at -> at != NONE);
    }

    private int at(int part, int terminal) {
        return terminal == NONE ? NONE : first[part] + terminal;
    }

    /** The terminal that has a node of its own, empty if none has this one. */
    Optional<Terminal> alone(int node) {
        if (node < assembly.nodes().all().size() || node >= count) {
            return Optional.empty();
        }
        int part = 0;
        while (!holds(part, node)) {
            part++;
        }
        int terminal = 0;
        while (of(part, terminal) != node) {
            terminal++;
        }
        return Optional.of(new Terminal(
                assembly.parts().get(part).tag(), assembly.terminals(part).marking(terminal)));
    }

    private boolean holds(int part, int node) {
        return Arrays.stream(nodes, first[part], first[part + 1]).anyMatch(one -> one == node);
    }

    /** How many nodes there are, those of the sheet included. */
    int count() {
        return count;
    }
}
