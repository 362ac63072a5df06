package parable.bench;

import java.util.List;
import java.util.Optional;
import parable.circuit.Terminal;
import parable.network.Network;
import parable.network.NodeState;
import parable.network.Potential;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Heater;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.program.ProgramRun;

/** One instant of a run, as it could be looked at and measured. It cannot be changed. */
public final class Moment {

    /** What takes less is a timer's own play, in microseconds. */
    private static final long SHORTEST_COUNT = 100_000;

    private final Rig rig;
    private final RunState state;
    private final Solution solution;
    private final long time;
    private final Trace trace;

    Moment(Rig rig, RunState state, Solution solution, Trace trace, long time) {
        this.rig = rig;
        this.state = state;
        this.solution = solution;
        this.time = time;
        this.trace = trace;
    }

    /** The time of this instant in microseconds from the start. */
    public long time() {
        return time;
    }

    /** The sheet that runs. */
    public Assembly assembly() {
        return rig.network.assembly();
    }

    /** Whether nothing changed between this instant and another of the same bench. */
    public boolean looksLike(Moment other) {
        return state == other.state;
    }

    /**
     * The condition of a device.
     *
     * @throws IllegalArgumentException if the sheet has no such device
     */
    public Condition condition(String tag) {
        return state.conditions[index(tag)];
    }

    /** Whether a contact of a device is closed; the contact by its position among the device's contacts. */
    public boolean closed(String tag, int contact) {
        return solution.isClosed(rig.network.contact(index(tag), contact));
    }

    /** Whether the device's coil or lamp has the voltage it needs; false for a device without. */
    public boolean energised(String tag) {
        return energised(tag, 0);
    }

    /** Like {@link #energised(String)}, of one of the device's loads, by its position among them. */
    public boolean energised(String tag, int load) {
        int part = index(tag);
        List<Load> loads = rig.parts.get(part).loads();
        if (load >= loads.size()) {
            return false;
        }
        if (rig.coil(part).filter(coil -> coil.load() == load).isPresent()) {
            return state.energised.get(part);
        }
        double enough = loads.get(load).role() == LoadRole.WINDING ? Conditions.GLOWS : Conditions.ENOUGH;
        return rig.shareOfRated(part, load, solution) >= enough;
    }

    /**
     * Whether a device has been told to go to position 1: a button pressed, an E-stop hit, a breaker closed, a supply
     * present. Its contacts may still be on their way.
     */
    public boolean actuated(String tag) {
        int part = index(tag);
        boolean controller = rig.parts.get(part).drive() instanceof Drive.ByProgram;
        return controller ? (state.commanded[part] & 1) == 1 : state.commanded[part] == 1;
    }

    /** The program of the sheet's controller as of its last scan; empty if the controller is asleep or there is no program. */
    public Optional<ProgramRun> program() {
        return state.controller.awake() ? state.controller.run() : Optional.empty();
    }

    /** Whether an input of the controller has voltage enough to be read as 1, by its number; it may not have been read yet. */
    public boolean isInputLive(int input) {
        return state.controller.levels().get(input);
    }

    /** Whether an input of the controller has passed its filter as 1, by its number. */
    public boolean readsInput(int input) {
        return state.controller.read().get(input);
    }

    /** Whether an output of a controller has been told to close, by its number; its contact may still be on its way. */
    public boolean toldOutput(String controller, int output) {
        return (state.commanded[index(controller)] >> output + 1 & 1) == 1;
    }

    /** The name of the position that a device is turned to, empty for a device that is not turned. */
    public Optional<String> position(String tag) {
        int part = index(tag);
        return rig.parts.get(part).drive() instanceof Drive.ByTurning turning
                ? Optional.of(turning.positions().get(state.commanded[part]))
                : Optional.empty();
    }

    /** What would be found at the node of a wire number, empty if no wire has it. */
    public Optional<NodeState> node(String wireNumber) {
        return rig.network.node(wireNumber).map(solution::state);
    }

    /** The voltage between two wire numbers, empty if one of them does not exist. */
    public Optional<Potential> voltage(String one, String other) {
        Network network = solution.network();
        return network.node(one)
                .flatMap(from -> network.node(other).map(to -> induced().withoutStray(to, from)));
    }

    /**
     * The voltage between two terminals, empty if one of them does not exist; of what strays over from live wires no more than in a duct, for it falls to nothing under any
     * load.
     */
    public Optional<Potential> voltage(Terminal one, Terminal other) {
        Network network = solution.network();
        return network.node(one)
                .flatMap(from -> network.node(other).map(to -> induced().withoutStray(to, from)));
    }

    /** A meter that can be put on this instant. */
    public Meter meter() {
        return new Meter(solution, induced(), () -> new TerminalCurrents(rig, solution, this::motorAmperes));
    }

    private InducedVoltages induced() {
        return new InducedVoltages(rig, solution, state.physical, time, this::speed);
    }

    private double speed(int part) {
        return trace.motorAt(part, time).map(Sample::speed).orElse(0.0);
    }

    private double motorAmperes(int part) {
        return state.physical.excitations[part].amperes(speed(part));
    }

    /** The load on a motor as a share of its rated torque; 0 for a device that is no motor. */
    public double load(String tag) {
        return state.physical.loads[index(tag)];
    }

    /**
     * The heat of a device's overload release as a share of that at which it trips, so that 1 trips; empty for a device
     * without.
     */
    public Optional<Double> heat(String tag) {
        int part = index(tag);
        return trace.releaseAt(part, time).map(warmth -> heat(part, warmth) / Heater.TRIPS_AT);
    }

    /** In how many seconds a device's overload release will trip if its current stays as it is; empty if it will not. */
    public Optional<Double> tripsIn(String tag) {
        int part = index(tag);
        Optional<Warmth> warmth = trace.releaseAt(part, time);
        if (warmth.isEmpty() || state.commanded[part] == rig.heater(part, state).tripPosition()) {
            return Optional.empty();
        }
        return rig.heater(part, state)
                .secondsTo(
                        Heater.TRIPS_AT, heat(part, warmth.get()), warmth.get().amperes());
    }

    /**
     * What a timer counts. Both times are in microseconds from the start of the run.
     *
     * @param since when it began to
     * @param until when it will be through, if its coil stays as it is
     */
    public record Count(long since, long until) {

        /** How many seconds are left at a time; 0 when it is through. */
        public double secondsLeft(long at) {
            return Math.max(0, until - at) / 1e6;
        }

        /** The share that is left at a time, from 1 at the beginning to 0. */
        public double shareLeft(long at) {
            return Math.max(0, Math.min(1, (until - at) / (double) (until - since)));
        }
    }

    /** What a timer counts at this instant; empty if it counts nothing, and for a device that is no timer. */
    public Optional<Count> count(String tag) {
        int part = index(tag);
        return state.pending.stream()
                .filter(Pending.Stage.class::isInstance)
                .map(Pending.Stage.class::cast)
                .filter(stage -> stage.part() == part)
                .map(stage -> new Count(stage.time() - rig.lasts(stage), stage.time()))
                .filter(count -> count.until() - count.since() >= SHORTEST_COUNT)
                .findFirst();
    }

    private double heat(int part, Warmth warmth) {
        double seconds = Math.max(0, time - warmth.time()) / 1e6;
        return rig.heater(part, state).after(warmth.heat(), warmth.amperes(), seconds);
    }

    /** What is wrong at this instant; the list cannot be changed. */
    public List<Fault> faults() {
        return state.faults;
    }

    /** How the circuit is joined and fed at this instant. */
    public Solution solution() {
        return solution;
    }

    /** Whether anything is shorted. */
    public boolean shorted() {
        return !solution.shorts().isEmpty();
    }

    private int index(String tag) {
        return rig.network
                .assembly()
                .indexOf(tag)
                .orElseThrow(() -> new IllegalArgumentException(tag + ": the sheet has no such device"));
    }
}
