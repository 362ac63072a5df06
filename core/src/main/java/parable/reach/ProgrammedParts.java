package parable.reach;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.bench.Fault;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Terminal;
import parable.parts.Assembly;
import parable.parts.ControllerField;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Travel;
import parable.program.Address;
import parable.program.Program;
import parable.program.ScanPlan;
import parable.program.Variable;

/**
 * The controller of a sheet and its program. Its memory moves like a part: a scan takes it from what it is to what it becomes with what the
 * inputs read. Each output that the program writes is a part that follows, each timer of the program one that runs out. What only
 * decides lamps, horns and the like is left out, for nothing depends on it; what they show is worked out where all has settled. Where a claim
 * of somebody's speaks of one, everything is kept.
 */
public final class ProgrammedParts {

    private static final int MOST_SCANS = 500;

    private final int part;
    private final Part controller;
    private final ScanPlan whole;
    private final ScanPlan plan;
    private final ControllerField circuit;
    private final List<Integer> outputs = new ArrayList<>();
    private final List<Integer> outputSlots = new ArrayList<>();
    private final List<Integer> timers;
    private final List<Integer> shown = new ArrayList<>();
    private final Map<Scan, Shown> shows = new HashMap<>();
    private final Numbering scans = new Numbering();
    private int[] scanned = new int[1 << 10];
    private final int memoryBits;
    private int[] outputShift = {};
    private int[] timerShift = {};
    private boolean[][] running = {};

    private record Scan(int memory, long reads, int ripe) {}

    /**
     * What outputs are told that only lead to lamps and the like once nothing changes any more.
     *
     * @param told bit n is set if output n is told to close
     * @param restless bit n is set if that goes on changing, as a lamp that blinks
     */
    record Shown(int told, int restless) {}

    private ProgrammedParts(Assembly assembly, int part, Program program) {
        this.part = part;
        controller = assembly.parts().get(part);
        whole = new ScanPlan(program);
        circuit = ControllerField.of(assembly).orElseThrow();
        boolean askedOf = assembly.sheet().claims().stream().anyMatch(claim -> assembly.parts().stream()
                .filter(Conductions::isSignal)
                .map(Part::tag)
                .anyMatch(claim::contains));
        Set<String> told = new LinkedHashSet<>();
        for (int output = 0; output < controller.contacts().size(); output++) {
            boolean matters = askedOf || !circuit.onlySignals(output);
            ControllerField.variable(program, Address.Area.OUTPUT, output)
                    .filter(any -> matters)
                    .map(Variable::name)
                    .ifPresent(told::add);
        }
        plan = new ScanPlan(program.deciding(told));
        timers = plan.timers();
        memoryBits = plan.bits();
        for (int output = 0; output < controller.contacts().size(); output++) {
            Optional<Variable> variable = ControllerField.variable(program, Address.Area.OUTPUT, output);
            if (variable.isPresent() && told.contains(variable.get().name())) {
                outputs.add(output);
                outputSlots.add(plan.slot(variable.get().name()));
            } else if (variable.isPresent()) {
                shown.add(output);
            }
        }
        outputShift = outputSlots.stream().mapToInt(plan::shiftOf).toArray();
        timerShift = timers.stream().mapToInt(plan::shiftOf).toArray();
        running = timers.stream().map(this::running).toArray(boolean[][]::new);
    }

    /** For each value of a timer whether it runs. */
    private boolean[] running(int slot) {
        boolean[] runs = new boolean[1 << plan.widthOf(slot)];
        int[] memory = plan.initial();
        for (int value = 0; value < runs.length; value++) {
            memory[slot] = value;
            runs[value] = plan.runs(memory, slot);
        }
        return runs;
    }

    /** The first controller of a sheet with its program, empty if there is none. */
    public static Optional<ProgrammedParts> of(Assembly assembly) {
        List<Part> parts = assembly.parts();
        return assembly.sheet().program().flatMap(program -> IntStream.range(0, parts.size())
                .filter(p -> parts.get(p).family() == Family.CONTROLLER)
                .boxed()
                .findFirst()
                .map(p -> new ProgrammedParts(assembly, p, program)));
    }

    /** The position of the controller among the sheet's parts. */
    int part() {
        return part;
    }

    /** How the controller works: what it needs, reads and tells. */
    public Drive.ByProgram drive() {
        return (Drive.ByProgram) controller.drive();
    }

    /** The memory, the outputs and the timers, as parts that move but have nothing in the circuit. */
    List<Part> parts() {
        List<Part> parts = new ArrayList<>();
        parts.add(part(controller.tag()));
        outputs.forEach(output -> parts.add(part(controller.tag() + ".Q" + output)));
        timers.forEach(
                slot -> parts.add(part(plan.program().variables().get(slot).name())));
        return parts;
    }

    private Part part(String tag) {
        Device device = new Device(tag, "", "controller", "", "", Map.of(), Extras.NONE);
        Travel travel = controller.travel();
        return new Part(
                device,
                Family.CONTROLLER,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                new Drive.None(),
                travel,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                0);
    }

    /** How they move, in the same order. */
    List<Component> components() {
        List<Component> components = new ArrayList<>();
        components.add(new Component.Memory(plan.bits()));
        outputs.forEach(output -> components.add(new Component.Output()));
        timers.forEach(timer -> components.add(new Component.ProgramTimer()));
        return components;
    }

    int outputs() {
        return outputs.size();
    }

    /** How many outputs the controller has. */
    int allOutputs() {
        return controller.contacts().size();
    }

    /** Whether one of these outputs, a bit each, leads to a device. */
    boolean lights(int some, String tag) {
        return IntStream.range(0, allOutputs())
                .anyMatch(output -> (some >> output & 1) == 1 && circuit.leadsTo(output, tag));
    }

    int timers() {
        return timers.size();
    }

    /** Which of the outputs that are written is this one of the controller's; empty if the program does not write it. */
    OptionalInt output(int number) {
        int index = outputs.indexOf(number);
        return index < 0 ? OptionalInt.empty() : OptionalInt.of(index);
    }

    boolean tells(int memory, int output) {
        return (memory >> outputShift[output] & 1) == 1;
    }

    boolean runs(int memory, int timer) {
        return running[timer][memory >> timerShift[timer] & running[timer].length - 1];
    }

    /** Whether memory, inputs and timers fit into one number together. */
    boolean isSmallEnough() {
        return memoryBits + drive().readings().size() + timers.size() < Long.SIZE - 1;
    }

    /** From one mark of a timer that runs to the next, in microseconds. */
    public long toNextMark(int memory, int timer) {
        int slot = timers.get(timer);
        int[] unpacked = plan.unpacked(memory);
        long next = plan.nextMark(unpacked, slot);
        long before = 0;
        for (long mark : plan.marks(slot)) {
            before = mark < next ? mark : before;
        }
        return 1000 * (next - before);
    }

    /** Whether a timer that runs has not passed any of its marks. */
    public boolean isAtFirstMark(int memory, int timer) {
        int slot = timers.get(timer);
        return plan.nextMark(plan.unpacked(memory), slot) == plan.marks(slot)[0];
    }

    /** The longest preset times one after the other, in microseconds. */
    public long longest() {
        return timers.stream()
                .mapToLong(slot -> {
                    long[] marks = plan.marks(slot);
                    return marks.length == 0 ? 0 : 1000 * marks[marks.length - 1];
                })
                .sum();
    }

    /**
     * The memory after a scan.
     *
     * @param reads bit n is set if input n reads 1
     * @param ripe bit n is set if timer n has come to its next mark
     */
    int scanned(int memory, long reads, int ripe) {
        long key = (reads << memoryBits | memory) << timers.size() | ripe;
        int index = scans.indexOf(key);
        if (index >= 0) {
            return scanned[index];
        }
        int after = scan(new Scan(memory, reads, ripe));
        scans.add(key);
        scanned = scans.size() > scanned.length ? Arrays.copyOf(scanned, 2 * scanned.length) : scanned;
        scanned[scans.size() - 1] = after;
        return after;
    }

    private int scan(Scan scan) {
        int[] memory = plan.unpacked(scan.memory());
        int[] before = memory.clone();
        plan.scan(
                memory,
                ones(plan, scan.reads()),
                slot -> plan.passed(before, slot) + (scan.ripe() >> timers.indexOf(slot) & 1));
        return (int) plan.packed(memory);
    }

    private static BitSet ones(ScanPlan plan, long reads) {
        BitSet ones = new BitSet();
        List<Variable> variables = plan.program().variables();
        for (int slot = 0; slot < variables.size(); slot++) {
            ones.set(
                    slot,
                    ControllerField.number(variables.get(slot), Address.Area.INPUT).stream()
                            .anyMatch(at -> (reads >> at & 1) == 1));
        }
        return ones;
    }

    /** Whether of a part only contacts that make are used. */
    boolean onlyMakes(Part relay) {
        return circuit.onlyMakes(relay);
    }

    /** Whether an output leads to nothing but the coil of a relay, and follows at once without making a difference. */
    boolean followsAtOnce(int output, List<Fault> faults) {
        int number = outputs.get(output);
        return circuit.onlyRelay(number).filter(circuit::onlyMakes).isPresent()
                && faults.stream().noneMatch(fault -> leadsElsewhere(fault, number));
    }

    /** Whether a fault may join what an output feeds with something else, or keep the program from running. */
    private boolean leadsElsewhere(Fault fault, int output) {
        Stream<Terminal> feeds = Stream.concat(
                Stream.of(new Terminal(
                        controller.tag(), controller.contacts().get(output).to())),
                circuit.behind(output).stream());
        return switch (fault.kind()) {
            case WELDED, BURNT, OFF, BROKEN, BLOWN, LOST, MISSING -> false;
            case EARTHED -> feeds.anyMatch(new Terminal(fault.tag(), fault.place())::equals);
            case STUCK, SHORTED, LOOSE, LOW, MISSET, UNDERSET, MISPLACED, SWAPPED -> feeds.anyMatch(
                    terminal -> terminal.tag().equals(fault.tag()));
        };
    }

    /** What the lamps show once nothing changes any more; they change nothing themselves. */
    Shown shown(int memory, long reads) {
        return shows.computeIfAbsent(new Scan(memory, reads, 0), this::look);
    }

    /** A timer that decides lamps only has run out by then; one that the machine waits for stands where it is. */
    private int lapsed(int[] all, int slot) {
        boolean waitedFor = plan.program()
                .variable(whole.program().variables().get(slot).name())
                .isPresent();
        return waitedFor ? whole.passed(all, slot) : whole.marks(slot).length;
    }

    /** Scans until the program does again what it did before; what changes in that round goes on changing. */
    private Shown look(Scan at) {
        int[] core = plan.unpacked(at.memory());
        int[] all = whole.initial();
        List<Variable> variables = plan.program().variables();
        for (int slot = 0; slot < variables.size(); slot++) {
            all[whole.slot(variables.get(slot).name())] = core[slot];
        }
        BitSet ones = ones(whole, at.reads());
        Map<List<Integer>, Integer> before = new HashMap<>();
        List<Integer> told = new ArrayList<>();
        List<Integer> now = boxed(all);
        while (!before.containsKey(now) && told.size() < MOST_SCANS) {
            before.put(now, told.size());
            whole.scan(all, ones, slot -> lapsed(all, slot));
            told.add(told(all));
            now = boxed(all);
        }
        int last = told.get(told.size() - 1);
        int round = before.getOrDefault(now, told.size() / 2);
        int restless = told.subList(round, told.size()).stream()
                .mapToInt(one -> one ^ last)
                .reduce(0, (one, other) -> one | other);
        return new Shown(last & ~restless, restless);
    }

    private static List<Integer> boxed(int[] memory) {
        return Arrays.stream(memory).boxed().toList();
    }

    /** What the outputs are told that only lead to lamps and the like, a bit each. */
    private int told(int[] all) {
        int told = 0;
        for (int output : shown) {
            Variable variable = ControllerField.variable(whole.program(), Address.Area.OUTPUT, output)
                    .orElseThrow();
            told |= whole.isOne(all, whole.slot(variable.name())) ? 1 << output : 0;
        }
        return told;
    }
}
