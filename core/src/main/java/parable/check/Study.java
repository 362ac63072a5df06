package parable.check;

import java.util.BitSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.function.BiPredicate;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.circuit.ColourCode;
import parable.circuit.Terminal;
import parable.network.Network;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.LoadRole;
import parable.parts.Part;

/** A sheet as the rules look at it: how it is joined with these contacts closed, and how it behaves when it is tried. */
final class Study {

    /** The share of its rated voltage on which a winding is at work. */
    private static final double WORKS = 0.3;

    private static final BitSet NO_SOURCES = new BitSet();

    private final Assembly assembly;
    private final ColourCode colours;
    private final BooleanSupplier cancelled;
    private final List<Integer> allSides;
    private final List<Integer> outsideSides;
    private final Network network;
    private final BitSet allSources = new BitSet();
    private Optional<List<StartTrial>> trials = Optional.empty();
    private Optional<RunningWays> runningWays = Optional.empty();

    /** Throws a {@link CancellationException} from a try that is cancelled. */
    Study(Assembly assembly, ColourCode colours, BooleanSupplier cancelled) {
        this.assembly = assembly;
        this.colours = colours;
        this.cancelled = cancelled;
        network = Network.of(assembly);
        allSides = sides(assembly, network, false);
        outsideSides = sides(assembly, network, true);
        allSources.set(0, network.sourceCount());
    }

    Assembly assembly() {
        return assembly;
    }

    /** Which colours operators and lamps may have. */
    ColourCode colours() {
        return colours;
    }

    /** Whether a live terminal of a supply from outside is joined with a node. */
    boolean isJoinedWithLine(Solution joints, int node) {
        return parts(Family.SUPPLY)
                .flatMap(part -> part.sources().stream()
                        .filter(source -> source.following().isEmpty())
                        .map(source -> node(part, source.live())))
                .anyMatch(live -> joints.joined(node, live));
    }

    Stream<Part> parts(Family... families) {
        return assembly.parts().stream().filter(part -> List.of(families).contains(part.family()));
    }

    /** The contactors with a wire on any of their poles. */
    Stream<Part> switchingContactors() {
        return parts(Family.CONTACTOR).filter(contactor -> contactor.contacts().stream()
                .anyMatch(contact ->
                        contact.pole() && (isWired(contactor, contact.from()) || isWired(contactor, contact.to()))));
    }

    /** The breakers and isolators each of which takes a motor off its line. */
    List<Part> switchesBeforeMotors() {
        Solution closed = joints(closed((part, contact) -> true));
        return parts(Family.BREAKER, Family.ISOLATOR)
                .filter(breaker -> {
                    Solution open = joints(closed((part, contact) -> !contact.pole() || !part.is(breaker)));
                    return windings().anyMatch(node -> isJoinedWithLine(closed, node) && !isJoinedWithLine(open, node));
                })
                .toList();
    }

    /** The nodes at the beginnings of the windings of all motors. */
    private Stream<Integer> windings() {
        return parts(Family.MOTOR).flatMap(motor -> motor.loads().stream()
                .filter(load -> load.role() == LoadRole.WINDING)
                .map(load -> node(motor, load.from())));
    }

    /** The parts that an armature moves. */
    Stream<Part> relays() {
        return assembly.parts().stream()
                .filter(part -> part.drive() instanceof Drive.ByCoil || part.drive() instanceof Drive.ByTimer);
    }

    /** The coil of a part that an armature moves. */
    static Load coil(Part relay) {
        return relay.loads().stream()
                .filter(load -> load.role() == LoadRole.COIL)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(relay.tag() + " has no coil"));
    }

    /** Whether a terminal has a wire. */
    boolean isWired(Part part, String marking) {
        return assembly.isWired(part, marking);
    }

    /** How the starter behaves when it is tried in the usual ways; tried once, when first asked for. */
    List<StartTrial> trials() {
        if (trials.isEmpty()) {
            trials = Optional.of(new StartTrials(assembly, cancelled).all());
        }
        return trials.get();
    }

    /** The ways in which the motors can run at full voltage; worked out once, when first asked for. */
    RunningWays runningWays() {
        if (runningWays.isEmpty()) {
            runningWays = Optional.of(new RunningWays(this));
        }
        return runningWays.get();
    }

    /** The tags of the motors that a stop was seen to stop when the starter was tried. */
    Set<String> stoppedBy(Part stop) {
        Set<String> stopped = new LinkedHashSet<>();
        for (StartTrial trial : trials()) {
            for (StartTrial.Stop tried : trial.stops()) {
                if (tried.tag().equals(stop.tag())) {
                    stopped.addAll(trial.after());
                    stopped.removeAll(tried.stillDriven());
                }
            }
        }
        return stopped;
    }

    /** The start that drives one of these motors although a stop is held, as it was tried; empty if none does. */
    Optional<String> startPassing(Part stop, Set<String> motors) {
        return new StartTrials(assembly, cancelled).passing(stop, motors);
    }

    /** The contacts that are closed if each is closed for which this holds. */
    BitSet closed(BiPredicate<Part, Contact> isClosed) {
        BitSet closed = new BitSet(network.contactCount());
        for (int p = 0; p < assembly.parts().size(); p++) {
            Part part = assembly.parts().get(p);
            for (int c = 0; c < part.contacts().size(); c++) {
                closed.set(
                        network.contact(p, c),
                        isClosed.test(part, part.contacts().get(c)));
            }
        }
        return closed;
    }

    /** Whether a contact belongs to what is switched on once and then left: breaker, isolator, fuse, heater. */
    static boolean isFeed(Part part, Contact contact) {
        return contact.isThroughPath()
                || contact.pole()
                        && (part.family() == Family.BREAKER
                                || part.family() == Family.ISOLATOR
                                || part.family() == Family.FUSE);
    }

    /** Everything on, supplies there, with these contacts closed. */
    Solution solution(BitSet closed) {
        goOnUnlessCancelled();
        return network.solve(closed, allSources);
    }

    private void goOnUnlessCancelled() {
        if (cancelled.getAsBoolean()) {
            throw new CancellationException();
        }
    }

    /** What is joined through these contacts and nothing else. */
    Solution joints(BitSet closed) {
        goOnUnlessCancelled();
        return network.solve(closed, NO_SOURCES);
    }

    Network network() {
        return network;
    }

    /** Whether a motor gets enough voltage on a winding to be at work. */
    boolean drives(Solution solution) {
        List<Part> parts = assembly.parts();
        for (int p = 0; p < parts.size(); p++) {
            for (int l = 0; l < parts.get(p).loads().size(); l++) {
                Load load = parts.get(p).loads().get(l);
                boolean works = load.role() == LoadRole.WINDING
                        && solution.loadVoltage(network.load(p, l)).rms()
                                > WORKS * load.rated().volts();
                if (works) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether a motor gets enough voltage on a winding to be at work; what brakes one for alternating current does not count. */
    boolean drives(Solution solution, Part motor) {
        int part = assembly.parts().indexOf(motor);
        for (int l = 0; l < motor.loads().size(); l++) {
            Load load = motor.loads().get(l);
            boolean works = load.role() == LoadRole.WINDING && solution.shareOfRated(network.load(part, l)) > WORKS;
            if (works) {
                return true;
            }
        }
        return false;
    }

    /** Whether a contactor drives a motor while all others are out. */
    boolean drivesAlone(Part contactor) {
        return drives(solution(closed((part, contact) ->
                isFeed(part, contact) || contact.closedAt(part.is(contactor) ? 1 : part.initial()))));
    }

    /** Whether a lamp could be fed with a part in one position, all else at rest and switched on, and not with it in the other. */
    boolean isLitBy(Part lamp, Part part, int position) {
        return isFed(standing(part, position), lamp, lamp.loads().get(0))
                && !isFed(standing(part, 1 - position), lamp, lamp.loads().get(0));
    }

    private BitSet standing(Part moved, int position) {
        return closed((part, contact) -> isFeed(part, contact)
                || !contact.pole() && contact.closedAt(part.is(moved) ? position : part.initial()));
    }

    int node(Part part, String marking) {
        return network.node(new Terminal(part.tag(), marking)).orElseThrow();
    }

    /** The terminals of sources from outside that a node is joined to. */
    Set<Integer> outsideReached(Solution joints, int node) {
        return sides(true).filter(side -> joints.joined(node, side)).boxed().collect(Collectors.toSet());
    }

    /** Whether a node is joined to a terminal of any source, live or reference. */
    boolean reachesSource(Solution joints, int node) {
        return sides(false).anyMatch(side -> joints.joined(node, side));
    }

    private IntStream sides(boolean onlyFromOutside) {
        return (onlyFromOutside ? outsideSides : allSides).stream().mapToInt(Integer::intValue);
    }

    private static List<Integer> sides(Assembly assembly, Network network, boolean onlyFromOutside) {
        return assembly.parts().stream()
                .flatMap(part -> part.sources().stream()
                        .filter(source -> !onlyFromOutside || source.following().isEmpty())
                        .flatMap(source -> Stream.of(source.live(), source.reference())
                                .map(marking -> network.node(new Terminal(part.tag(), marking)))))
                .flatMap(Optional::stream)
                .toList();
    }

    /** Whether a load could be fed through these contacts: both its ends are joined to sources, and not to the same point only. */
    boolean isFed(BitSet closed, Part part, Load load) {
        Solution joints = joints(closed);
        int from = node(part, load.from());
        int to = node(part, load.to());
        return reachesSource(joints, from) && reachesSource(joints, to);
    }
}
