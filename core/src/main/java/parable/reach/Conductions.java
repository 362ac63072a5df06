package parable.reach;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import parable.bench.Fault;
import parable.bench.Faults;
import parable.circuit.Terminal;
import parable.network.Joining;
import parable.network.Network;
import parable.network.Potential;
import parable.network.Solution;
import parable.network.Supplies;
import parable.network.WorstSag;
import parable.parts.Assembly;
import parable.parts.CurrentKind;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * What each set of closed contacts makes of the circuit, asked of the network once and then remembered: many states differ only in
 * what is about to move.
 */
public final class Conductions {

    private static final double WORKS = 0.3;
    private static final double LIT = 0.7;

    /** Voltages up to this one in V are not dangerous to touch (IEC 60364-4-41, alternating). */
    public static final double EXTRA_LOW = 50;

    /** A direct voltage of this much in V on a winding brakes. */
    public static final double BRAKES = 2;

    private static final int PHASES = 3;
    private static final double EVEN = 0.7;

    /** Where the armature of a DC motor begins. */
    private static final String ARMATURE = "A1";

    /** Below this product of two voltages in V² there is no rotating field to speak of. */
    private static final double LEAST_FIELD = 100;

    private final Network network;
    private final List<Part> parts;
    private final int[] moving;
    private final int[] motors;
    private final int[] signals;
    private final List<Fault> faults;
    private final Faults effects;
    private final Network wired;
    private final List<Outages.Outage> outages;
    private final Supplies supplies;
    private final BitSet allSources = new BitSet();
    private final Numbering keys = new Numbering();
    private final List<Conduction> known = new ArrayList<>();
    private final Map<Conduction, Conduction> alike = new HashMap<>();

    /** By what is silent: what was made of each way in which loads and sources are joined. */
    private final Map<BitSet, Map<Joining.Way, Conduction>> ways = new HashMap<>();

    private final Joining joining;
    private final List<Conduction> distinct = new ArrayList<>();
    private final Optional<ProgrammedParts> controller;

    /**
     * Nothing asked yet.
     *
     * @param moving the parts that move, by their positions among the sheet's
     * @param motors the motors, likewise
     * @param signals lamps, horns and solenoids, likewise
     * @param faults what is wrong with the panel
     * @param controller the sheet's controller, empty if it has none or no program
     * @param outages what may be taken away, number 1 first
     */
    Conductions(
            Assembly assembly,
            int[] moving,
            int[] motors,
            int[] signals,
            List<Fault> faults,
            Optional<ProgrammedParts> controller,
            List<Outages.Outage> outages) {
        this.controller = controller;
        this.outages = outages;
        network = Network.of(assembly);
        this.faults = faults;
        effects = new Faults(network);
        wired = network.with(WorstSag.beside(network, effects.defects(faults, 0)));
        parts = assembly.parts();
        this.moving = moving;
        this.motors = motors;
        this.signals = signals;
        allSources.set(0, network.sourceCount());
        supplies = new Supplies(wired);
        joining = new Joining(
                wired,
                IntStream.of(motors)
                        .mapToObj(parts::get)
                        .flatMap(motor -> motor.terminals().stream()
                                .flatMap(marking -> network.node(new Terminal(motor.tag(), marking)).stream()))
                        .mapToInt(Integer::intValue));
    }

    /** Tells which contacts are closed. */
    interface Closed {
        /** Their numbers in the network; the set is the caller's. */
        BitSet contacts();
    }

    /**
     * What a set of closed contacts makes of the circuit.
     *
     * @param key stands for the set and for what is taken away
     * @param outage the number of what is taken away, 0 for nothing
     */
    Conduction of(long key, int outage, Closed closed) {
        int index = keys.indexOf(key);
        if (index >= 0) {
            return known.get(index);
        }
        keys.add(key);
        Conduction asked = joined(outage, closed.contacts());
        known.add(asked);
        return asked;
    }

    /** What was made of the circuit where its loads and sources were joined in the same way, unless that was a short circuit. */
    private Conduction joined(int outage, BitSet contacts) {
        BitSet silent = new BitSet();
        if (outage != CircuitMachine.ALL_THERE) {
            Outages.Outage taken = outages.get(outage - 1);
            silent = taken.silent();
            contacts.andNot(taken.opened());
            contacts.or(taken.closed());
        }
        effects.distort(contacts, faults);
        Map<Joining.Way, Conduction> before = ways.computeIfAbsent(silent, any -> new HashMap<>());
        Joining.Way way = joining.of(contacts);
        Conduction same = before.get(way);
        if (same != null) {
            return same;
        }
        Conduction asked = alike.computeIfAbsent(ask(silent, contacts), this::number);
        if (!asked.shorted()) {
            before.put(way, asked);
        }
        return asked;
    }

    private Conduction number(Conduction fresh) {
        Conduction numbered = fresh.numbered(distinct.size());
        distinct.add(numbered);
        return numbered;
    }

    /** What was made of the circuit, by its number. */
    Conduction numbered(int number) {
        return distinct.get(number);
    }

    private Conduction ask(BitSet silent, BitSet contacts) {
        BitSet on = (BitSet) allSources.clone();
        on.andNot(silent);
        Solution solution = solve(contacts, on);
        long driven = 0;
        long reversed = 0;
        long uneven = 0;
        long braked = 0;
        long live = 0;
        for (int m = 0; m < motors.length; m++) {
            driven |= isDriven(solution, motors[m]) ? 1L << m : 0;
            reversed |= isReversed(solution, motors[m]) ? 1L << m : 0;
            live |= isLive(solution, motors[m]) ? 1L << m : 0;
            braked |= isBraked(solution, motors[m]) ? 1L << m : 0;
            uneven |= isUneven(solution, motors[m]) ? 1L << m : 0;
        }
        long lit = 0;
        for (int s = 0; s < signals.length; s++) {
            lit |= share(solution, signals[s], 0) >= LIT ? 1L << s : 0;
        }
        long pulls = 0;
        long holds = 0;
        long mayPull = 0;
        long mayHold = 0;
        for (int rank = 0; rank < moving.length && moving[rank] < parts.size(); rank++) {
            Drive drive = parts.get(moving[rank]).drive();
            if (drive instanceof Drive.ByTimer timer) {
                drive = timer.coil();
            }
            if (drive instanceof Drive.ByCoil coil) {
                double share = share(solution, moving[rank], coil.load());
                pulls |= share >= coil.pulls().highest() ? 1L << rank : 0;
                mayPull |= share >= coil.pulls().lowest() ? 1L << rank : 0;
                holds |= share >= coil.drops().highest() ? 1L << rank : 0;
                mayHold |= share >= coil.drops().lowest() ? 1L << rank : 0;
            }
        }
        long reads = 0;
        boolean scans = false;
        if (controller.isPresent()) {
            int part = controller.get().part();
            Drive.ByProgram drive = controller.get().drive();
            scans = share(solution, part, drive.supply()) >= drive.works();
            for (int input = 0; input < drive.readings().size(); input++) {
                boolean one = share(solution, part, drive.readings().get(input)) >= drive.reads();
                reads |= one ? 1L << input : 0;
            }
        }
        return new Conduction(
                !solution.shorts().isEmpty(),
                driven,
                reversed,
                uneven,
                live,
                braked,
                supplies.areSeveral() && supplies.joined(contacts).isPresent(),
                pulls,
                holds,
                mayPull,
                mayHold,
                lit,
                reads,
                scans,
                0);
    }

    private Solution solve(BitSet contacts, BitSet on) {
        if (faults.isEmpty()) {
            return wired.solve(contacts, on);
        }
        for (int p = 0; p < parts.size(); p++) {
            for (int s = 0; s < parts.get(p).sources().size(); s++) {
                if (effects.silences(p, s, faults)) {
                    on.clear(network.source(p, s));
                }
            }
        }
        return wired.solve(contacts, on, effects.openLoads(faults));
    }

    private double share(Solution solution, int part, int load) {
        return solution.shareOfRated(network.load(part, load));
    }

    /** Whether a motor is fed on a winding; a brake's direct current does not drive, nor does the field of a DC motor by itself. */
    private boolean isDriven(Solution solution, int motor) {
        List<Load> loads = parts.get(motor).loads();
        boolean directMotor = loads.stream().anyMatch(load -> load.rated().kind() == CurrentKind.DC);
        for (int l = 0; l < loads.size(); l++) {
            var voltage = solution.loadVoltage(network.load(motor, l));
            double drives = directMotor ? voltage.rms() : voltage.alternating();
            boolean turns = !directMotor || loads.get(l).from().equals(ARMATURE);
            if (loads.get(l).role() == LoadRole.WINDING
                    && turns
                    && drives > WORKS * loads.get(l).rated().volts()) {
                return true;
            }
        }
        return false;
    }

    /** Whether the order of the phases at a three-phase motor is the reverse one, or one winding of another motor is exchanged against the others. */
    private boolean isReversed(Solution solution, int motor) {
        String tag = parts.get(motor).tag();
        List<String> leads = parts.get(motor).lineLeads();
        if (leads.isEmpty()) {
            return product(solution, motor) < 0;
        }
        Potential first = potential(solution, tag, leads.get(1)).minus(potential(solution, tag, leads.get(0)));
        Potential second = potential(solution, tag, leads.get(2)).minus(potential(solution, tag, leads.get(0)));
        boolean field = first.alternating() * second.alternating() > LEAST_FIELD;
        return field && first.real() * second.imaginary() - first.imaginary() * second.real() > 0;
    }

    /** What the voltages of a motor's windings make together: less than nothing if one of two is exchanged. */
    private double product(Solution solution, int motor) {
        List<Load> loads = parts.get(motor).loads();
        if (loads.size() < 2) {
            Potential only = solution.loadVoltage(network.load(motor, 0));
            return loads.get(0).rated().kind() == CurrentKind.DC ? only.direct() : 0;
        }
        Potential one = solution.loadVoltage(network.load(motor, 0));
        Potential other = solution.loadVoltage(network.load(motor, 1));
        return one.real() * other.real() + one.imaginary() * other.imaginary() + one.direct() * other.direct();
    }

    /** Whether the windings of a three-phase motor do not all get the same voltage, as with a phase missing. */
    private boolean isUneven(Solution solution, int motor) {
        DoubleSummaryStatistics windings = IntStream.range(
                        0, parts.get(motor).loads().size())
                .filter(l -> parts.get(motor).loads().get(l).role() == LoadRole.WINDING)
                .mapToDouble(l -> solution.loadVoltage(network.load(motor, l)).alternating())
                .summaryStatistics();
        return windings.getCount() == PHASES && windings.getMin() < EVEN * windings.getMax();
    }

    private boolean isBraked(Solution solution, int motor) {
        List<Load> loads = parts.get(motor).loads();
        return loads.stream().noneMatch(load -> load.rated().kind() == CurrentKind.DC)
                && IntStream.range(0, loads.size())
                        .anyMatch(l -> Math.abs(solution.loadVoltage(network.load(motor, l))
                                        .direct())
                                > BRAKES);
    }

    private boolean isLive(Solution solution, int motor) {
        return parts.get(motor).terminals().stream()
                .flatMap(marking -> network.node(new Terminal(parts.get(motor).tag(), marking)).stream())
                .anyMatch(node -> solution.potential(node).rms() > EXTRA_LOW);
    }

    private Potential potential(Solution solution, String tag, String marking) {
        return solution.potential(network.node(new Terminal(tag, marking)).orElseThrow());
    }

    /** Whether a part does nothing but tell or move something: a lamp, a horn, a solenoid. */
    static boolean isSignal(Part part) {
        return part.family() == Family.PILOT_LAMP || part.family() == Family.HORN || part.family() == Family.SOLENOID;
    }

    /** Whether a part tells something: a signal, or a button with a lamp in it. */
    static boolean tells(Part part) {
        return isSignal(part) || part.loads().stream().anyMatch(load -> load.role() == LoadRole.LAMP);
    }

    static boolean isMotor(Part part) {
        return part.family() == Family.MOTOR;
    }
}
