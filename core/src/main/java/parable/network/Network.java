package parable.network;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import parable.circuit.Node;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartTerminals;
import parable.parts.Source;

/**
 * A sheet compiled to nodes and branches. Nodes that have a wire number come first, in the order of the sheet's {@link
 * parable.circuit.Nodes}; then terminals that no wire lands on, then inner points, last of all earth.
 *
 * <p>Which contacts are closed and which sources are on is not part of it; {@link #solve} takes both.
 */
public final class Network {

    private static final String PROTECTIVE_EARTH = "PE";
    private static final BitSet NO_LOADS = new BitSet();

    private final Assembly assembly;
    private final Defects defects;
    private final TerminalNodes nodes;
    private final List<Branch> branches;
    private final int bondCount;
    private final BitSet protectiveEarths;
    private final int[] firstContact;
    private final int[] firstSource;
    private final int[] firstLoad;
    private final int nodeCount;
    private final int[][] branchesAt;
    private final CompiledBranches compiled;
    private final BitSet followers;

    private Network(Assembly assembly, Defects defects) {
        this.assembly = assembly;
        this.defects = defects;
        nodes = TerminalNodes.of(assembly, defects.wiresOff());
        protectiveEarths = new BitSet();
        List<Part> parts = assembly.parts();
        firstContact = new int[parts.size() + 1];
        firstSource = new int[parts.size() + 1];
        firstLoad = new int[parts.size() + 1];
        countBranches(parts);
        List<Branch> found = new ArrayList<>();
        for (int p = 0; p < parts.size(); p++) {
            addBranches(p, parts.get(p), found);
        }
        nodeCount = nodes.count() + 1;
        Set<Integer> bonded = bondedNodes(parts);
        bonded.forEach(node -> found.add(new Branch(Branch.Sort.JUMPER, -1, found.size(), earth(), node)));
        bondCount = bonded.size();
        defects.jumpers().stream()
                .sorted(Comparator.comparing(Jumper::toString))
                .forEach(jumper -> found.add(
                        new Branch(Branch.Sort.JUMPER, -1, found.size(), end(jumper.one()), end(jumper.other()))));
        branches = inOrder(found);
        branchesAt = branchesByNode();
        compiled = CompiledBranches.of(this);
        followers = new BitSet();
        IntStream.range(0, compiled.followed().length)
                .filter(source -> compiled.followed()[source] >= 0)
                .forEach(followers::set);
    }

    /** The same branches between the same nodes, with sources that give other shares of their voltages. */
    private Network(Network same, Defects defects) {
        this.defects = defects;
        assembly = same.assembly;
        nodes = same.nodes;
        branches = same.branches;
        bondCount = same.bondCount;
        protectiveEarths = same.protectiveEarths;
        firstContact = same.firstContact;
        firstSource = same.firstSource;
        firstLoad = same.firstLoad;
        nodeCount = same.nodeCount;
        branchesAt = same.branchesAt;
        compiled = same.compiled.giving(this);
        followers = same.followers;
    }

    /** Compiles an assembled sheet. */
    public static Network of(Assembly assembly) {
        return new Network(assembly, Defects.NONE);
    }

    /**
     * This network with some defects instead of those it has. A terminal whose wire is off is a node of its own. Nodes that
     * have a wire number, contacts, sources and loads keep their places.
     *
     * @throws IllegalArgumentException if a jumper is on a terminal that does not exist
     */
    public Network with(Defects others) {
        boolean sameCopper =
                others.wiresOff().equals(defects.wiresOff()) && others.jumpers().equals(defects.jumpers());
        return sameCopper ? new Network(this, others) : new Network(assembly, others);
    }

    private void countBranches(List<Part> parts) {
        for (int p = 0; p < parts.size(); p++) {
            Part part = parts.get(p);
            firstContact[p + 1] = firstContact[p] + part.contacts().size();
            firstSource[p + 1] = firstSource[p] + part.sources().size();
            firstLoad[p + 1] = firstLoad[p] + part.loads().size();
        }
    }

    /** By their sort, those of one sort as they were found. */
    private static List<Branch> inOrder(List<Branch> found) {
        Map<Branch.Sort, List<Branch>> bySort = new EnumMap<>(Branch.Sort.class);
        for (Branch branch : found) {
            bySort.computeIfAbsent(branch.sort(), any -> new ArrayList<>()).add(branch);
        }
        return bySort.values().stream().flatMap(List::stream).toList();
    }

    private int end(Jumper.End end) {
        if (end instanceof Jumper.AtEarth) {
            return earth();
        }
        if (end instanceof Jumper.AtTerminal at) {
            return node(at.terminal()).orElseThrow(() -> noSuch(at.terminal()));
        }
        Terminal terminal = ((Jumper.AtWireOf) end).terminal();
        return assembly.nodes().indexOf(terminal).or(() -> node(terminal)).orElseThrow(() -> noSuch(terminal));
    }

    private static IllegalArgumentException noSuch(Terminal terminal) {
        return new IllegalArgumentException(terminal + ": the sheet has no such terminal");
    }

    private void addBranches(int p, Part part, List<Branch> found) {
        PartTerminals terminals = assembly.terminals(p);
        for (int i = 0; i < part.contacts().size(); i++) {
            int from = nodes.of(p, terminals.ofContact(i, 0));
            found.add(new Branch(Branch.Sort.CONTACT, p, i, from, nodes.of(p, terminals.ofContact(i, 1))));
        }
        for (int i = 0; i < part.sources().size(); i++) {
            int from = nodes.of(p, terminals.referenceOf(i));
            found.add(new Branch(Branch.Sort.SOURCE, p, i, from, nodes.of(p, terminals.liveOf(i))));
        }
        if (part.bare().contains(PROTECTIVE_EARTH)) {
            protectiveEarths.set(node(p, PROTECTIVE_EARTH));
        }
        for (int i = 0; i < part.loads().size(); i++) {
            int from = nodes.of(p, terminals.ofLoad(i, 0));
            found.add(new Branch(Branch.Sort.LOAD, p, i, from, nodes.of(p, terminals.ofLoad(i, 1))));
        }
        List<Diode> diodes = Diode.of(part);
        for (int i = 0; i < diodes.size(); i++) {
            int from = node(p, diodes.get(i).from());
            found.add(new Branch(
                    Branch.Sort.DIODE, p, i, from, node(p, diodes.get(i).to())));
        }
    }

    private int node(int part, String marking) {
        return nodes.of(part, assembly.terminals(part).of(marking));
    }

    /**
     * The nodes that are bonded to earth: the protective earth of each supply and its grounded neutral, and what is grounded of a transformer or a DC
     * supply whose own conductor leads there. The case of a motor or another metal part is so only by its own conductor.
     */
    private Set<Integer> bondedNodes(List<Part> parts) {
        Set<Integer> bonded = new LinkedHashSet<>();
        for (int p = 0; p < parts.size(); p++) {
            if (parts.get(p).family() == Family.SUPPLY && parts.get(p).bare().contains(PROTECTIVE_EARTH)) {
                bonded.add(node(p, PROTECTIVE_EARTH));
            }
        }
        Set<Integer> grounded = new LinkedHashSet<>();
        for (int p = 0; p < parts.size(); p++) {
            List<Source> sources = parts.get(p).sources();
            for (int i = 0; i < sources.size(); i++) {
                if (sources.get(i).grounded() && isBonded(p, bonded)) {
                    grounded.add(nodes.of(p, assembly.terminals(p).referenceOf(i)));
                }
            }
        }
        bonded.addAll(grounded);
        return bonded;
    }

    private boolean isBonded(int p, Set<Integer> bonded) {
        Part part = assembly.parts().get(p);
        return part.family() == Family.SUPPLY
                || part.bare().contains(PROTECTIVE_EARTH) && bonded.contains(node(p, PROTECTIVE_EARTH));
    }

    private int[][] branchesByNode() {
        int[] count = new int[nodeCount];
        for (Branch branch : branches) {
            count[branch.from()]++;
            count[branch.to()]++;
        }
        int[][] at = new int[nodeCount][];
        for (int node = 0; node < nodeCount; node++) {
            at[node] = new int[count[node]];
        }
        for (int b = branches.size() - 1; b >= 0; b--) {
            at[branches.get(b).to()][--count[branches.get(b).to()]] = b;
            at[branches.get(b).from()][--count[branches.get(b).from()]] = b;
        }
        return at;
    }

    /** The sheet it was compiled from. */
    public Assembly assembly() {
        return assembly;
    }

    /** How many nodes there are, earth included. */
    public int nodeCount() {
        return nodeCount;
    }

    /** Its branches as plain arrays. */
    CompiledBranches compiled() {
        return compiled;
    }

    /** The node that is earth. */
    public int earth() {
        return nodeCount - 1;
    }

    /** The node that a terminal is on; empty if the terminal does not exist. */
    public Optional<Integer> node(Terminal terminal) {
        return nodes.of(terminal);
    }

    /** The node that a terminal of a part is on, by the position of the part and the number that the terminal has among its own. */
    public int node(int part, int terminal) {
        return nodes.of(part, terminal);
    }

    /** The node of a wire number; empty if no wire has it. */
    public Optional<Integer> node(String wireNumber) {
        return assembly.nodes().indexOf(wireNumber);
    }

    /** What a node is called: its wire number, or its terminal where no wire lands. */
    public String name(int node) {
        List<Node> numbered = assembly.nodes().all();
        if (node < numbered.size()) {
            return numbered.get(node).number();
        }
        return nodes.alone(node).map(Terminal::toString).orElse("earth");
    }

    /**
     * All branches: contacts, then sources, loads and diodes, each in the order of the parts, then jumpers. The list cannot be
     * changed.
     */
    public List<Branch> branches() {
        return branches;
    }

    /** The positions in {@link #branches()} of the branches that end at a node. */
    int[] branchesAt(int node) {
        return branchesAt[node];
    }

    /** How many contacts there are in all. */
    public int contactCount() {
        return firstContact[firstContact.length - 1];
    }

    /** The number of a part's contact among all contacts. */
    public int contact(int part, int index) {
        return firstContact[part] + index;
    }

    /** How many sources there are in all. */
    public int sourceCount() {
        return firstSource[firstSource.length - 1];
    }

    /** The number of a part's source among all sources. */
    public int source(int part, int index) {
        return firstSource[part] + index;
    }

    /** How many loads there are in all. */
    public int loadCount() {
        return firstLoad[firstLoad.length - 1];
    }

    /** The number of a part's load among all loads. */
    public int load(int part, int index) {
        return firstLoad[part] + index;
    }

    /** Whether a node is a protective earth. */
    boolean isProtectiveEarth(int node) {
        return protectiveEarths.get(node);
    }

    /** How many of the jumpers are bonds that belong there; they come first. */
    int bondCount() {
        return bondCount;
    }

    /** The defects it has. */
    Defects defects() {
        return defects;
    }

    /** A load's AC conductance, AC susceptance and DC conductance in S. */
    double[] loadAdmittance(int load) {
        return compiled.loadAdmittance()[load];
    }

    /** The branch of a load, by its number among all loads. */
    public Branch loadBranch(int load) {
        return branches.get(contactCount() + sourceCount() + load);
    }

    /**
     * What every point carries while these contacts are closed and these sources are on. Neither set is modified.
     *
     * @param closed the numbers of the closed contacts
     * @param on the numbers of the sources that give voltage; those that follow an input do so whether named or not
     */
    public Solution solve(BitSet closed, BitSet on) {
        return solve(closed, on, NO_LOADS);
    }

    /**
     * Like {@link #solve(BitSet, BitSet)}, but with some loads burnt through, so that no current can flow in them.
     *
     * @param open the numbers of those loads
     */
    public Solution solve(BitSet closed, BitSet on, BitSet open) {
        if (followers.isEmpty()) {
            return Solver.solve(this, compiled, new Switching(closed, on, open), compiled.sourceValue());
        }
        return new Followers(this, compiled, followers).solve(closed, on, open);
    }

    /** What wires and these contacts join. */
    public Copper copper(BitSet closed) {
        return new Copper(Clusters.of(compiled, closed));
    }
}
