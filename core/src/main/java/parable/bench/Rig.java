package parable.bench;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.circuit.Terminal;
import parable.network.Branch;
import parable.network.Current;
import parable.network.Defects;
import parable.network.Network;
import parable.network.Potential;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Excitation;
import parable.parts.Family;
import parable.parts.Heater;
import parable.parts.Machine;
import parable.parts.MotorModel;
import parable.parts.Part;
import parable.parts.TimerProgram;
import parable.program.ScanPlan;

/** What does not change during a run: the network and which contacts move together. */
final class Rig {

    /** In A. */
    private static final double NO_CURRENT = 1e-6;

    /** In V. */
    private static final double NO_VOLTAGE = 1e-6;

    private static final int REMEMBERED = 128;

    /** What is before a sheet opens about as fast as a fuse, in microseconds. */
    private static final long AHEAD = 10_000;

    final Network network;
    final List<Part> parts;
    final List<ContactGroup> groups = new ArrayList<>();

    /** The position of the first group of each part, those of one part being side by side; how many there are in all at the end. */
    private final int[] firstGroup;

    private final int[] arrivalGroup;
    private final BitSet throughPaths;
    private final Conditions conditions = new Conditions(this);
    private final Faults faults;
    private final boolean sags;
    private final Map<Defects, Network> miswired;

    /** A circuit comes back to the same positions again and again, most of all one that blinks, or one that is tried at other speeds. */
    private final Map<Position, Solution> solutions;

    private final Map<Loaded, Solution> sagged;

    private static final class Remembered<K> extends LinkedHashMap<K, Solution> {
        private static final long serialVersionUID = 1L;

        Remembered() {
            super(16, 0.75f, true);
        }

        @Override
        protected boolean removeEldestEntry(Map.Entry<K, Solution> eldest) {
            return size() > REMEMBERED;
        }
    }

    /** Which contacts are closed, which sources give voltage, what is miswired and which loads are open; none is modified. */
    private record Position(BitSet closed, BitSet on, Defects defects, BitSet open) {}

    /** A position, and the parts whose armatures are home; neither is modified. */
    private record Loaded(Position position, BitSet home) {}

    private static final BitSet NONE_OPEN = new BitSet();

    final Pace pace;
    final Optional<ScanPlan> plan;

    Rig(Assembly assembly, Pace pace) {
        this(assembly, pace, Optional.empty());
    }

    private Rig(Assembly assembly, Pace pace, Optional<Rig> before) {
        this.pace = pace;
        solutions = new Remembered<>();
        sagged = new Remembered<>();
        miswired = new HashMap<>();
        network = Network.of(assembly);
        plan = assembly.sheet().program().map(ScanPlan::new);
        parts = assembly.parts();
        throughPaths = throughPaths(network, parts);
        faults = new Faults(network);
        sags = parts.stream().anyMatch(part -> Sagging.mayWeaken(part, parts));
        arrivalGroup = new int[parts.size()];
        firstGroup = new int[parts.size() + 1];
        for (int p = 0; p < parts.size(); p++) {
            for (ContactGroup group : groupsOf(p, before)) {
                if (group.isArrival()) {
                    arrivalGroup[p] = groups.size();
                }
                groups.add(group);
            }
            firstGroup[p + 1] = groups.size();
        }
    }

    /** The rig of a changed sheet at the times that are usual; what devices stay as they are and where they are is taken over. */
    Rig on(Assembly changed) {
        return new Rig(changed, Pace.NOMINAL, Optional.of(this));
    }

    private List<ContactGroup> groupsOf(int part, Optional<Rig> before) {
        boolean stays = before.isPresent()
                && part < before.get().parts.size()
                && before.get().parts.get(part) == parts.get(part);
        return stays ? before.get().groupsOf(part) : ContactGroup.of(part, parts.get(part));
    }

    /** The same rig where changes take other times; both remember what either has solved, so that one thread only may use them. */
    Rig(Rig same, Pace pace) {
        this.pace = pace;
        network = same.network;
        plan = same.plan;
        parts = same.parts;
        throughPaths = same.throughPaths;
        faults = same.faults;
        sags = same.sags;
        arrivalGroup = same.arrivalGroup;
        groups.addAll(same.groups);
        firstGroup = same.firstGroup;
        solutions = same.solutions;
        sagged = same.sagged;
        miswired = same.miswired;
    }

    /** Everything at rest, supplies on, nothing under way. */
    RunState initial() {
        RunState state = new RunState(parts.size());
        for (int p = 0; p < parts.size(); p++) {
            state.commanded[p] = parts.get(p).initial();
            state.physical.loads[p] = parts.get(p).machine().map(Machine::load).orElse(0.0);
        }
        for (int g = 0; g < groups.size(); g++) {
            state.closedGroups.set(
                    g, groups.get(g).closedAt(state.commanded[groups.get(g).part()]));
        }
        return state;
    }

    Solution solve(RunState state) {
        return sags ? sagging(state) : solve(closedContacts(state), state);
    }

    private Solution sagging(RunState state) {
        BitSet closed = closedContacts(state);
        faults.distort(closed, state.faults);
        Defects given = faults.defects(state.faults, state.time);
        Position stiff = new Position(closed, sourcesOn(state), given, faults.openLoads(state.faults));
        BitSet home = new BitSet(parts.size());
        for (int part = 0; part < parts.size(); part++) {
            home.set(part, arrived(part, state));
        }
        return sagged.computeIfAbsent(new Loaded(stiff, home), this::sagging);
    }

    private Solution sagging(Loaded loaded) {
        Position stiff = loaded.position();
        Defects given = stiff.defects();
        Map<Terminal, Double> shares = new Sagging(wired(given), stiff.closed(), stiff.open(), loaded.home()).shares();
        if (shares.isEmpty()) {
            return solve(stiff);
        }
        given.shares().forEach((terminal, share) -> shares.merge(terminal, share, (one, other) -> one * other));
        return solve(new Position(
                stiff.closed(), stiff.on(), new Defects(given.wiresOff(), given.jumpers(), shares), stiff.open()));
    }

    private Solution solve(Position position) {
        return solutions.computeIfAbsent(position, at -> wired(at.defects()).solve(at.closed(), at.on(), at.open()));
    }

    private Solution solve(BitSet closed, RunState state) {
        if (state.faults.isEmpty()) {
            return solutions.computeIfAbsent(
                    new Position(closed, sourcesOn(state), Defects.NONE, NONE_OPEN),
                    at -> network.solve(at.closed(), at.on()));
        }
        faults.distort(closed, state.faults);
        return solve(new Position(
                closed, sourcesOn(state), faults.defects(state.faults, state.time), faults.openLoads(state.faults)));
    }

    private Network wired(Defects defects) {
        return defects.equals(Defects.NONE) ? network : miswired.computeIfAbsent(defects, network::with);
    }

    /** How long after the command to go to a position, given now, contacts follow, in microseconds. */
    long delay(ContactGroup group, int position, RunState state) {
        Part part = parts.get(group.part());
        boolean opensAhead = part.family() == Family.SUPPLY && state.openedItself.get(group.part());
        return (opensAhead ? AHEAD : 0) + group.delay(part, position, pace, state.time);
    }

    /** Whether a fault keeps a device from going to a position. */
    boolean isHeld(int part, int position, RunState state) {
        return !state.faults.isEmpty() && faults.holds(part, position, state.faults);
    }

    /** Like {@link #solve}, but with one contact of a device open. */
    Solution solveWithout(int part, int contact, RunState state) {
        BitSet closed = closedContacts(state);
        closed.clear(network.contact(part, contact));
        return solve(closed, state);
    }

    private BitSet closedContacts(RunState state) {
        BitSet closed = new BitSet(network.contactCount());
        for (int g = state.closedGroups.nextSetBit(0); g >= 0; g = state.closedGroups.nextSetBit(g + 1)) {
            ContactGroup group = groups.get(g);
            for (int contact : group.contacts()) {
                closed.set(network.contact(group.part(), contact));
            }
        }
        closed.or(throughPaths);
        return closed;
    }

    /** The contacts that always conduct, by their numbers. */
    private static BitSet throughPaths(Network network, List<Part> parts) {
        BitSet always = new BitSet();
        for (int p = 0; p < parts.size(); p++) {
            List<Contact> contacts = parts.get(p).contacts();
            for (int c = 0; c < contacts.size(); c++) {
                if (contacts.get(c).isThroughPath()) {
                    always.set(network.contact(p, c));
                }
            }
        }
        return always;
    }

    private BitSet sourcesOn(RunState state) {
        BitSet on = new BitSet(network.sourceCount());
        for (int p = 0; p < parts.size(); p++) {
            for (int s = 0; s < parts.get(p).sources().size(); s++) {
                on.set(network.source(p, s), arrived(p, state) && !faults.silences(p, s, state.faults));
            }
        }
        return on;
    }

    /** Whether a device has arrived in position 1. */
    boolean arrived(int part, RunState state) {
        return state.closedGroups.get(arrivalGroup[part]);
    }

    /** The condition that a device is in. */
    Condition condition(int part, RunState state, Solution solution) {
        return conditions.of(part, state, solution);
    }

    /** The coil that moves a device; empty if it is not moved by one. */
    Optional<Drive.ByCoil> coil(int part) {
        if (parts.get(part).drive() instanceof Drive.ByTimer timer) {
            return Optional.of(timer.coil());
        }
        return parts.get(part).drive() instanceof Drive.ByCoil coil ? Optional.of(coil) : Optional.empty();
    }

    /** Whether a device has an armature that a hand can push in. */
    boolean isArmature(int part) {
        return coil(part).isPresent() && program(part).isEmpty();
    }

    /** What the clockwork of a device does; empty if it has none. */
    Optional<TimerProgram> program(int part) {
        return parts.get(part).drive() instanceof Drive.ByTimer timer ? Optional.of(timer.program()) : Optional.empty();
    }

    /** How long a stage of a timer lasts as it is set, in microseconds. */
    long lasts(Pending.Stage stage) {
        TimerProgram program = program(stage.part()).orElseThrow();
        return (stage.released() ? program.released() : program.fed())
                .get(stage.stage())
                .after()
                .nominal();
    }

    /** The position of the first of a device's contact groups. */
    int firstGroup(int part) {
        return firstGroup[part];
    }

    /** A device's contact groups, in order. */
    List<ContactGroup> groupsOf(int part) {
        return groups.subList(firstGroup[part], firstGroup[part + 1]);
    }

    /** Whether every contact of a device is where it is at rest. */
    boolean atRest(int part, RunState state) {
        return isWhole(part, 0, state);
    }

    /** Whether every contact of a device is where it is in a position: it has not begun to leave, or has arrived. */
    boolean isWhole(int part, int position, RunState state) {
        for (int g = 0; g < groups.size(); g++) {
            if (groups.get(g).part() == part
                    && state.closedGroups.get(g) != groups.get(g).closedAt(position)) {
                return false;
            }
        }
        return true;
    }

    /** The devices that a sound mechanical interlock ties to this one. */
    List<Integer> interlockedWith(int part, RunState state) {
        String tag = parts.get(part).tag();
        List<Integer> others = new ArrayList<>();
        for (Part bar : parts) {
            boolean sound = !state.faults.contains(new Fault(Fault.Kind.MISSING, bar.tag(), ""));
            if (sound && bar.drive() instanceof Drive.Interlocking between) {
                if (between.one().equals(tag)) {
                    network.assembly().indexOf(between.other()).ifPresent(others::add);
                } else if (between.other().equals(tag)) {
                    network.assembly().indexOf(between.one()).ifPresent(others::add);
                }
            }
        }
        return others;
    }

    /** A motor under the voltages of a solution. */
    Excitation excitation(int part, Solution solution) {
        double[][] volts = new double[parts.get(part).loads().size()][];
        for (int winding = 0; winding < volts.length; winding++) {
            Potential voltage = solution.loadVoltage(network.load(part, winding));
            volts[winding] = new double[] {voltage.real(), voltage.imaginary(), voltage.direct()};
        }
        MotorModel motor = parts.get(part).machine().orElseThrow().motor();
        return openLine(part, solution).isPresent() ? motor.withLineOpen(volts) : motor.under(volts);
    }

    /** The one of a motor's three lines at which no current comes in while it does at the others. */
    Optional<String> openLine(int part, Solution solution) {
        List<String> open = parts.get(part).lineLeads().stream()
                .filter(line -> comingIn(part, line, solution) < NO_CURRENT)
                .toList();
        return open.size() == 1 && !isFed(part, open.get(0), solution) ? Optional.of(open.get(0)) : Optional.empty();
    }

    /** Whether a line is on the same supply as another of the motor's. */
    private boolean isFed(int part, String line, Solution solution) {
        return parts.get(part).lineLeads().stream()
                .filter(other -> !other.equals(line))
                .anyMatch(other -> solution.joined(node(part, line), node(part, other)));
    }

    /** The node of a terminal of a part. */
    int node(int part, String marking) {
        return network.node(new Terminal(parts.get(part).tag(), marking)).orElseThrow();
    }

    /** The alternating current of the windings that are joined to one of a motor's terminals, in A. */
    private double comingIn(int part, String marking, Solution solution) {
        int node = node(part, marking);
        double real = 0;
        double imaginary = 0;
        for (int winding = 0; winding < parts.get(part).loads().size(); winding++) {
            Branch branch = network.loadBranch(network.load(part, winding));
            int sign = (isOne(solution, branch.from(), node) ? 1 : 0) - (isOne(solution, branch.to(), node) ? 1 : 0);
            Current current = solution.loadCurrent(network.load(part, winding));
            real += sign * current.real();
            imaginary += sign * current.imaginary();
        }
        return Math.hypot(real, imaginary);
    }

    /** Whether two nodes are one point: joined, and with no source between them. */
    static boolean isOne(Solution solution, int one, int other) {
        return solution.joined(one, other) && solution.voltage(one, other).rms() < NO_VOLTAGE;
    }

    /** Whether a motor's rotor cannot turn. */
    boolean isLocked(int part, RunState state) {
        return parts.get(part).machine().orElseThrow().locked()
                || !state.faults.isEmpty()
                        && state.faults.contains(
                                new Fault(Fault.Kind.STUCK, parts.get(part).tag(), ""));
    }

    /** The setting of an overload release, in A, as its dial stands. */
    Heater heater(int part, RunState state) {
        Heater made = parts.get(part).heater().orElseThrow();
        return state.faults.isEmpty()
                ? made
                : made.dialled(Faults.dial(parts.get(part).tag(), state.faults));
    }

    /** The voltage that counts for a load, in V: AC for an AC load, DC for a DC load. */
    double voltsThatCount(int part, int load, Solution solution) {
        return solution.voltsThatCount(network.load(part, load));
    }

    /** The voltage that counts for a load as a share of its rated voltage. */
    double shareOfRated(int part, int load, Solution solution) {
        return solution.shareOfRated(network.load(part, load));
    }
}
