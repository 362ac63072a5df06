package parable.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import parable.network.Traversal.Next;
import parable.parts.CurrentKind;
import parable.parts.RatedVoltage;

/** What every point of a network carries in one position of its contacts and sources. It cannot be changed. */
public final class Solution {

    /** Below this, in V, nobody would call a point live. */
    private static final double TOUCHABLE = 5;

    private final Network network;
    private final Switching switching;
    private final Levels potentials;
    private final int[] groups;
    private final boolean[] fed;
    private final List<ShortCircuit> shorts;
    private final BitSet shortedNodes = new BitSet();

    /** As far as they were asked for. */
    private final NodeState[] states;

    Solution(
            Network network,
            Switching switching,
            Levels potentials,
            int[] groups,
            boolean[] fed,
            List<Integer> shortedBranches) {
        this.network = network;
        this.switching = switching;
        this.potentials = potentials;
        this.groups = groups;
        this.fed = fed;
        states = new NodeState[network.nodeCount()];
        this.shorts = shortedBranches.isEmpty()
                ? List.of()
                : shortedBranches.stream()
                        .map(closing -> loopThrough(closing, shortedBranches))
                        .toList();
        for (ShortCircuit found : shorts) {
            found.loop().forEach(branch -> {
                shortedNodes.set(branch.from());
                shortedNodes.set(branch.to());
            });
        }
    }

    /** The loop that a branch closes together with branches that do not contradict each other. */
    private ShortCircuit loopThrough(int closing, List<Integer> contradicting) {
        Branch last = network.branches().get(closing);
        List<Branch> left = contradicting.stream().map(network.branches()::get).toList();
        Traversal walk = Traversal.from(
                last.from(),
                network,
                (branch, at, to) -> left.contains(branch) || !conducts(branch) && branch.sort() != Branch.Sort.DIODE
                        ? Next.END_PATH
                        : Next.CONTINUE);
        List<Branch> loop = new ArrayList<>(List.of(last));
        walk.pathTo(last.to()).ifPresent(loop::addAll);
        return new ShortCircuit(loop);
    }

    /** Whether a branch joins its ends without a load: a closed contact, or a source that is on. */
    public boolean conducts(Branch branch) {
        return switch (branch.sort()) {
            case CONTACT -> switching.closed().get(network.contact(branch.part(), branch.index()));
            case SOURCE -> switching.on().get(network.source(branch.part(), branch.index()));
            case LOAD, DIODE -> false;
            case JUMPER -> true;
        };
    }

    /** Whether a contact is closed, by its number among all contacts. */
    public boolean isClosed(int contact) {
        return switching.closed().get(contact);
    }

    /** The numbers of the closed contacts; the caller's to change. */
    public BitSet closed() {
        return (BitSet) switching.closed().clone();
    }

    /** The network it was solved for. */
    public Network network() {
        return network;
    }

    /** The potential of a node against earth. On the way of a short circuit it means nothing. */
    public Potential potential(int node) {
        return new Potential(potentials.real(node), potentials.imaginary(node), potentials.direct(node));
    }

    /** The voltage from one node to another. */
    public Potential voltage(int from, int to) {
        return potential(to).minus(potential(from));
    }

    /**
     * The voltage that a load works with: 0 where it hangs on a short circuit or is burnt through.
     *
     * @param load its number among all loads
     */
    public Potential loadVoltage(int load) {
        Branch branch = network.loadBranch(load);
        if (switching.open().get(load) || shortedNodes.get(branch.from()) || shortedNodes.get(branch.to())) {
            return new Potential(0, 0, 0);
        }
        return voltage(branch.to(), branch.from());
    }

    /**
     * The voltage that counts for a load in V: of alternating and direct voltage that of the kind it is rated for.
     *
     * @param load its number among all loads
     */
    public double voltsThatCount(int load) {
        Potential voltage = loadVoltage(load);
        return rated(load).kind() == CurrentKind.AC ? voltage.alternating() : Math.abs(voltage.direct());
    }

    /**
     * The voltage that counts for a load as a share of its rated voltage.
     *
     * @param load its number among all loads
     */
    public double shareOfRated(int load) {
        return voltsThatCount(load) / rated(load).volts();
    }

    private RatedVoltage rated(int load) {
        Branch branch = network.loadBranch(load);
        return network.assembly()
                .parts()
                .get(branch.part())
                .loads()
                .get(branch.index())
                .rated();
    }

    /**
     * The current through a load from its first terminal to its second, at the impedance it has at rated voltage.
     *
     * @param load its number among all loads
     */
    public Current loadCurrent(int load) {
        Potential volts = loadVoltage(load);
        double[] admittance = network.loadAdmittance(load);
        return new Current(
                volts.real() * admittance[0] - volts.imaginary() * admittance[1],
                volts.real() * admittance[1] + volts.imaginary() * admittance[0],
                volts.direct() * admittance[2]);
    }

    /**
     * The resistance between two nodes in ohms, as an ohmmeter finds it through closed contacts and sound loads; infinite if
     * nothing leads from one to the other.
     */
    public double resistance(int one, int other) {
        if (groups[one] == groups[other]) {
            return 0;
        }
        return LoadResistance.between(network, switching.open(), groups, groups[one], groups[other]);
    }

    /** Whether two nodes are joined through closed contacts and sources. */
    public boolean joined(int one, int other) {
        return groups[one] == groups[other];
    }

    /**
     * What would be found at a node. Protective earth is dead, although a bond joins it to the return side; the star point of a motor is not, although
     * the meter shows next to nothing there: a lead that comes off, and it has the voltage of the others.
     */
    public NodeState state(int node) {
        if (states[node] == null) {
            states[node] = found(node);
        }
        return states[node];
    }

    private NodeState found(int node) {
        if (shortedNodes.get(node)) {
            return NodeState.SHORTED;
        }
        if (network.isProtectiveEarth(node)) {
            return NodeState.DEAD;
        }
        if (fed[groups[node]]) {
            return isReturn(node) ? NodeState.RETURN : NodeState.LIVE;
        }
        return potential(node).rms() > TOUCHABLE || hangsOnLoadAtWork(groups[node])
                ? NodeState.LIVE_THROUGH_LOAD
                : NodeState.DEAD;
    }

    private boolean hangsOnLoadAtWork(int group) {
        for (int load = 0; load < network.loadCount(); load++) {
            Branch branch = network.loadBranch(load);
            boolean here = groups[branch.from()] == group || groups[branch.to()] == group;
            if (here && loadVoltage(load).rms() > TOUCHABLE) {
                return true;
            }
        }
        return false;
    }

    private boolean isReturn(int node) {
        for (int s = switching.on().nextSetBit(0); s >= 0; s = switching.on().nextSetBit(s + 1)) {
            int reference = network.branches().get(network.contactCount() + s).from();
            if (joined(reference, node) && voltage(reference, node).rms() < TOUCHABLE) {
                return true;
            }
        }
        return false;
    }

    /** The short circuits, empty if there is none. */
    public List<ShortCircuit> shorts() {
        return shorts;
    }
}
