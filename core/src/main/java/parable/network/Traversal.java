package parable.network;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * A walk through a network from one node, nearest branches first. The visitor is asked once for every branch that is
 * reached, in the order of the sheet, and owns all policy: which branch conducts, where to end.
 */
public final class Traversal {

    /** How the walk goes on after a branch. */
    public enum Next {
        /** Through the branch to its other end. */
        CONTINUE,
        /** Not through this branch. */
        END_PATH,
        /** Through this branch, and then the walk is over. */
        END_ALL
    }

    /** Asked once for every branch reached. */
    @FunctionalInterface
    public interface Visitor {
        /** What to do about a branch that was reached at one node and leads to another. */
        Next visit(Branch branch, int reachedAt, int leadsTo);
    }

    private final int start;
    private final Branch[] arrivedBy;
    private final boolean[] reached;

    private Traversal(int start, int nodes) {
        this.start = start;
        this.arrivedBy = new Branch[nodes];
        this.reached = new boolean[nodes];
    }

    /** Walks the network from a node. */
    public static Traversal from(int start, Network network, Visitor visitor) {
        Traversal traversal = new Traversal(start, network.nodeCount());
        traversal.walk(network, visitor);
        return traversal;
    }

    private void walk(Network network, Visitor visitor) {
        boolean[] asked = new boolean[network.branches().size()];
        ArrayDeque<Integer> waiting = new ArrayDeque<>(List.of(start));
        reached[start] = true;
        while (!waiting.isEmpty()) {
            int node = waiting.remove();
            for (int b : network.branchesAt(node)) {
                if (asked[b]) {
                    continue;
                }
                asked[b] = true;
                Branch branch = network.branches().get(b);
                int next = branch.otherEnd(node);
                Next verdict = visitor.visit(branch, node, next);
                if (verdict != Next.END_PATH && !reached[next]) {
                    reached[next] = true;
                    arrivedBy[next] = branch;
                    waiting.add(next);
                }
                if (verdict == Next.END_ALL) {
                    return;
                }
            }
        }
    }

    /** Whether the walk came to this node; true for the start. */
    public boolean reached(int node) {
        return reached[node];
    }

    /** The branches from the start to this node by the shortest way, empty if the walk did not come there. */
    public Optional<List<Branch>> pathTo(int node) {
        if (!reached[node]) {
            return Optional.empty();
        }
        List<Branch> path = new ArrayList<>();
        for (int at = node; at != start; at = path.get(path.size() - 1).otherEnd(at)) {
            path.add(arrivedBy[at]);
        }
        Collections.reverse(path);
        return Optional.of(path);
    }
}
