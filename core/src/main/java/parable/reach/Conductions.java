package parable.reach;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import parable.bench.Fault;
import parable.bench.Faults;
import parable.circuit.Terminal;
import parable.network.Joining;
import parable.network.Network;
import parable.network.Solution;
import parable.network.Supplies;
import parable.network.WorstSag;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * What each set of closed contacts makes of the circuit, asked of the network once and then remembered: many states differ only in
 * what is about to move.
 */
public final class Conductions {

    private static final double LIT = 0.7;

    /** Voltages up to this one in V are not dangerous to touch (IEC 60364-4-41, alternating). */
    public static final double EXTRA_LOW = 50;

    /** A direct voltage of this much in V on a winding brakes. */
    public static final double BRAKES = 2;

    private final Network network;
    private final List<Part> parts;
    private final Numbered numbered;
    private final MotorFeeds feeds;
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
     * The parts that have a number in the bits of a {@link Conduction}, by their positions among the sheet's; none is modified.
     *
     * @param moving those that move
     * @param motors the motors
     * @param signals lamps, horns and solenoids
     */
    record Numbered(int[] moving, int[] motors, int[] signals) {}

    /**
     * Nothing asked yet.
     *
     * @param faults what is wrong with the panel
     * @param controller the sheet's controller, empty if it has none or no program
     * @param outages what may be taken away, number 1 first
     */
    Conductions(
            Assembly assembly,
            Numbered numbered,
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
        this.numbered = numbered;
        feeds = new MotorFeeds(network, parts);
        allSources.set(0, network.sourceCount());
        supplies = new Supplies(wired);
        joining = new Joining(
                wired,
                IntStream.of(numbered.motors())
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
        int[] motors = numbered.motors();
        return new Conduction(
                !solution.shorts().isEmpty(),
                bits(motors, motor -> feeds.isDriven(solution, motor)),
                bits(motors, motor -> feeds.isReversed(solution, motor)),
                bits(motors, motor -> feeds.isUneven(solution, motor)),
                bits(motors, motor -> feeds.isLive(solution, motor)),
                bits(motors, motor -> feeds.isBraked(solution, motor)),
                supplies.areSeveral() && supplies.joined(contacts).isPresent(),
                coils(solution, coil -> coil.pulls().highest()),
                coils(solution, coil -> coil.drops().highest()),
                coils(solution, coil -> coil.pulls().lowest()),
                coils(solution, coil -> coil.drops().lowest()),
                bits(numbered.signals(), signal -> share(solution, signal, 0) >= LIT),
                reads(solution),
                controller.filter(program -> scans(program, solution)).isPresent(),
                0);
    }

    /** Bit n is set for the n-th of some parts if it is as asked. */
    private static long bits(int[] parts, IntPredicate is) {
        long bits = 0;
        for (int n = 0; n < parts.length; n++) {
            bits |= is.test(parts[n]) ? 1L << n : 0;
        }
        return bits;
    }

    /** Bit n is set if the coil of the moving part of number n has at least some share of its rated voltage. */
    private long coils(Solution solution, ToDoubleFunction<Drive.ByCoil> least) {
        return bits(
                numbered.moving(),
                part -> part < parts.size()
                        && coil(parts.get(part))
                                .filter(coil -> share(solution, part, coil.load()) >= least.applyAsDouble(coil))
                                .isPresent());
    }

    private static Optional<Drive.ByCoil> coil(Part part) {
        Drive drive = part.drive() instanceof Drive.ByTimer timer ? timer.coil() : part.drive();
        return drive instanceof Drive.ByCoil coil ? Optional.of(coil) : Optional.empty();
    }

    private boolean scans(ProgrammedParts program, Solution solution) {
        return share(solution, program.part(), program.drive().supply())
                >= program.drive().works();
    }

    /** Bit n is set if input n of the controller is read as 1. */
    private long reads(Solution solution) {
        if (controller.isEmpty()) {
            return 0;
        }
        Drive.ByProgram drive = controller.get().drive();
        int[] inputs = drive.readings().stream().mapToInt(Integer::intValue).toArray();
        return bits(inputs, load -> share(solution, controller.get().part(), load) >= drive.reads());
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
