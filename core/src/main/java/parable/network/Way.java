package parable.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;

/**
 * The ways from one node through contacts that take the least to be closed: closed contacts cost nothing, open ones as much as it
 * takes to close them.
 */
public final class Way {

    private static final int FAR = Integer.MAX_VALUE;

    private final int[] open;
    private final Branch[] by;
    private final int start;

    private Way(int nodes, int start) {
        open = new int[nodes];
        by = new Branch[nodes];
        this.start = start;
        Arrays.fill(open, FAR);
        open[start] = 0;
    }

    /**
     * The ways from a node.
     *
     * @param mayPass which contacts may be passed
     * @param effort what an open contact costs, more than 0; closed ones cost nothing
     */
    public static Way from(
            int start, Network network, Solution solution, Predicate<Branch> mayPass, ToIntFunction<Branch> effort) {
        Way way = new Way(network.nodeCount(), start);
        List<List<Branch>> at = new ArrayList<>();
        for (int node = 0; node < network.nodeCount(); node++) {
            at.add(new ArrayList<>());
        }
        network.branches().stream()
                .filter(branch -> branch.sort() == Branch.Sort.CONTACT && mayPass.test(branch))
                .forEach(branch -> {
                    at.get(branch.from()).add(branch);
                    at.get(branch.to()).add(branch);
                });
        PriorityQueue<int[]> waiting = new PriorityQueue<>(Comparator.comparingInt(entry -> entry[1]));
        waiting.add(new int[] {start, 0});
        while (!waiting.isEmpty()) {
            int[] entry = waiting.poll();
            int node = entry[0];
            for (Branch branch : entry[1] > way.open[node] ? List.<Branch>of() : at.get(node)) {
                int other = branch.from() == node ? branch.to() : branch.from();
                int cost = way.open[node] + (solution.conducts(branch) ? 0 : effort.applyAsInt(branch));
                if (cost < way.open[other]) {
                    way.open[other] = cost;
                    way.by[other] = branch;
                    waiting.add(new int[] {other, cost});
                }
            }
        }
        return way;
    }

    /** Whether contacts lead to a node at all. */
    public boolean leadsTo(int node) {
        return open[node] != FAR;
    }

    /** What it takes to close the way to a node. */
    public int openTo(int node) {
        return open[node];
    }

    /** The contacts on the way to a node, from there back to the start. */
    public List<Branch> contactsFrom(int node) {
        List<Branch> contacts = new ArrayList<>();
        int at = node;
        while (at != start) {
            Branch branch = by[at];
            contacts.add(branch);
            at = branch.from() == at ? branch.to() : branch.from();
        }
        return contacts;
    }
}
