package parable.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.bench.Fault;
import parable.bench.Progress;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Effects;
import parable.reach.Explorer;
import parable.reach.Hand;
import parable.timing.Refinement;
import parable.timing.Refutation;
import parable.timing.Replay;

/**
 * What each single fault does to a sheet: which of the claims {@code no-short}, {@code stops}, {@code no-restart} and
 * {@code comes-to-rest} it breaks, and whether usual operation shows it: the selectors turned, every start pressed and let go, every
 * stop button pressed and let go. An earth fault that makes its protection open breaks nothing: that is what the protection is for. A claim that rests on times is searched within the same times with the fault in.
 */
public final class SingleFaults {

    private static final Set<Fault.Kind> KINDS = Set.of(
            Fault.Kind.WELDED,
            Fault.Kind.BURNT,
            Fault.Kind.BROKEN,
            Fault.Kind.STUCK,
            Fault.Kind.BLOWN,
            Fault.Kind.LOST,
            Fault.Kind.MISSING,
            Fault.Kind.OFF,
            Fault.Kind.EARTHED);

    /** What an earth fault makes by itself, so that its protection opens. */
    private static final Set<String> MADE_BY_EARTH = Set.of(Shorts.NO_SHORT, Shorts.APART);

    private final Assembly assembly;
    private final BooleanSupplier cancelled;
    private final List<Usual> healthy;
    private final Set<String> holding;
    private final Set<Integer> keeping;
    private final SoundMachines unharmed;

    /** Those in which nothing is broken but that an earth fault makes its protection open. */
    private final SoundMachines protecting;

    /**
     * Something usual that is done, and what may be seen once all has settled.
     *
     * @param jog the claim that it stops what a start drove, empty if it is not letting go of one
     */
    private record Usual(String words, List<Hand> script, Set<Effects> ends, Optional<String> jog) {

        boolean drives() {
            return ends.stream().anyMatch(end -> !end.motors().isEmpty());
        }
    }

    private SingleFaults(Assembly assembly, BooleanSupplier cancelled) {
        this.assembly = assembly;
        this.cancelled = cancelled;
        CircuitMachine machine = CircuitMachine.untimed(assembly, List.of());
        Explorer explorer = explored(machine);
        Refinement refinement =
                new Refinement(new CircuitMachine(assembly, List.of()), new Replay(assembly, List.of()), cancelled);
        List<Claim> claims = claims(machine, explorer, refinement, List.of());
        holding = claims.stream()
                .filter(claim -> claim.verdict().holds())
                .map(Claim::id)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        keeping = refinement.kept();
        healthy = usual(machine, explorer);
        boolean everything = !assembly.sheet().claims().isEmpty();
        unharmed = new SoundMachines(everything);
        protecting = new SoundMachines(everything);
        if (isAllHeld(explorer, claims)) {
            unharmed.add(machine, explorer);
        }
    }

    /**
     * The table, the worst first: dangerous and hidden, dangerous, hidden, the rest.
     *
     * @param progress told the faults tried so far, from several threads; what is left out when it ends the work is not in the table
     */
    public static List<FaultRow> of(Assembly assembly, Progress progress) {
        if (!new CircuitMachine(assembly, List.of()).isSmallEnough()) {
            return List.of();
        }
        AtomicInteger tried = new AtomicInteger();
        BooleanSupplier cancelled = () -> progress.isCancelled(tried.get());
        SingleFaults faults = new SingleFaults(assembly, cancelled);
        return faults.rows(tried).stream()
                .sorted(Comparator.comparing(FaultRow::isDangerous)
                        .thenComparing(FaultRow::isHidden)
                        .reversed())
                .toList();
    }

    /** A row for each fault, in their order; some faults take a hundred times as long as others, so each core takes the next that waits. */
    private List<FaultRow> rows(AtomicInteger tried) {
        List<Fault> possible = possible();
        List<List<Fault>> classes = FaultEquivalence.classes(assembly, possible);
        Map<Fault, FaultRow> rows = new ConcurrentHashMap<>();
        AtomicInteger next = new AtomicInteger();
        IntStream.range(0, Runtime.getRuntime().availableProcessors())
                .parallel()
                .forEach(core -> {
                    for (int i = next.getAndIncrement();
                            i < classes.size() && !cancelled.getAsBoolean();
                            i = next.getAndIncrement()) {
                        rowsOf(classes.get(i)).forEach(row -> rows.put(row.fault(), row));
                        tried.addAndGet(classes.get(i).size());
                    }
                });
        return possible.stream().filter(rows::containsKey).map(rows::get).toList();
    }

    private List<FaultRow> rowsOf(List<Fault> same) {
        FaultRow first = row(same.get(0));
        return Stream.concat(
                        Stream.of(first),
                        same.stream().skip(1).map(fault -> first.of(fault, new Replay(assembly, List.of(fault)))))
                .toList();
    }

    /** The faults that can occur on what is wired. */
    private List<Fault> possible() {
        List<Fault> possible = new ArrayList<>();
        for (Part part : assembly.parts()) {
            Fault.possibleIn(part).stream()
                    .filter(fault -> KINDS.contains(fault.kind()))
                    .filter(fault -> isWired(part, fault))
                    .filter(fault ->
                            fault.kind() != Fault.Kind.STUCK || part.machine().isEmpty())
                    .forEach(possible::add);
        }
        return possible;
    }

    private boolean isWired(Part part, Fault fault) {
        return switch (fault.kind()) {
            case WELDED, BURNT -> part.contacts().stream()
                    .filter(contact -> contact.marking().equals(fault.place()))
                    .allMatch(
                            contact -> assembly.isWired(part, contact.from()) && assembly.isWired(part, contact.to()));
            case OFF, EARTHED -> assembly.isWired(part, fault.place());
            default -> true;
        };
    }

    private Explorer explored(CircuitMachine machine) {
        Explorer explorer = new Explorer(machine, states -> cancelled.getAsBoolean());
        explorer.explore();
        return explorer;
    }

    private List<Claim> claims(CircuitMachine machine, Explorer explorer, Refinement refinement, List<Fault> faults) {
        Replay replay = new Replay(assembly, faults);
        Deciding deciding = new Deciding(machine, explorer, replay, refinement);
        List<Claim> claims = new ArrayList<>(new Requirements(
                        assembly, explorer, new CircuitMachine(assembly, faults), replay, refinement, cancelled)
                .underFault());
        claims.addAll(new OwnClaims(assembly, machine, explorer, deciding).claims());
        return claims;
    }

    private FaultRow row(Fault fault) {
        List<Fault> faults = List.of(fault);
        CircuitMachine machine = CircuitMachine.untimed(assembly, faults);
        Explorer explorer = new Explorer(machine, states -> cancelled.getAsBoolean());
        List<Claim> broken = isKnown(fault, machine) ? List.of() : broken(fault, machine, explorer);
        List<String> ids = new ArrayList<>(broken.stream().map(Claim::id).toList());
        String stops = "stops:" + fault.tag();
        boolean deaf = fault.kind() == Fault.Kind.STUCK && holding.contains(stops);
        if (deaf) {
            ids.add(stops);
        }
        List<Usual> faulty = usual(machine, explorer);
        ids.addAll(jogsThatRunOn(faulty));
        Optional<Integer> reveals = IntStream.range(0, healthy.size())
                .filter(i -> !healthy.get(i).ends().equals(faulty.get(i).ends()))
                .boxed()
                .findFirst();
        Optional<Refutation> shown = broken.stream()
                .flatMap(claim -> claim.refutation().stream())
                .findFirst()
                .or(() -> Optional.of(
                        shown(machine, faults, faulty.get(reveals.orElse(Math.min(2, faulty.size() - 1))))));
        return new FaultRow(fault, ids, reveals.map(i -> words(healthy.get(i), faulty.get(i))), shown);
    }

    /** The claims on letting go of a start that stops what it drove, and that does not with the fault in. */
    private List<String> jogsThatRunOn(List<Usual> faulty) {
        return IntStream.range(1, healthy.size())
                .filter(i -> healthy.get(i).jog().isPresent())
                .filter(i -> healthy.get(i - 1).drives() && !healthy.get(i).drives())
                .filter(i -> faulty.get(i).drives())
                .mapToObj(i -> healthy.get(i).jog().orElseThrow())
                .toList();
    }

    private List<Claim> broken(Fault fault, CircuitMachine machine, Explorer explorer) {
        List<Fault> faults = List.of(fault);
        explorer.explore();
        Refinement refinement = new Refinement(
                        new CircuitMachine(assembly, faults), new Replay(assembly, faults), cancelled)
                .keepingTo(keeping);
        List<Claim> claims = claims(machine, explorer, refinement, faults).stream()
                .filter(claim -> holding.contains(claim.id()))
                .filter(claim -> !isEarthed(fault) || !MADE_BY_EARTH.contains(claim.id()))
                .toList();
        if (isAllHeld(explorer, claims)) {
            (isEarthed(fault) ? protecting : unharmed).add(machine, explorer);
        }
        return claims.stream().filter(claim -> !claim.verdict().holds()).toList();
    }

    private boolean isKnown(Fault fault, CircuitMachine machine) {
        return unharmed.includes(machine) || isEarthed(fault) && protecting.includes(machine);
    }

    private static boolean isEarthed(Fault fault) {
        return fault.kind() == Fault.Kind.EARTHED;
    }

    /** Whether everything that holds without a fault holds at any speed. */
    private boolean isAllHeld(Explorer explorer, List<Claim> claims) {
        return explorer.isComplete()
                && claims.stream()
                        .filter(claim -> holding.contains(claim.id()))
                        .allMatch(claim -> claim.verdict() == Verdict.HOLDS_AT_ANY_SPEED);
    }

    private static String words(Usual healthy, Usual faulty) {
        return healthy.words() + ": " + seen(faulty.ends()) + ", instead of " + seen(healthy.ends());
    }

    /** Something usual that is done with the fault in, at nominal times. */
    private Refutation shown(CircuitMachine machine, List<Fault> faults, Usual usual) {
        List<CircuitMachine.Move> moves = new ArrayList<>();
        long state = machine.initial();
        for (Hand hand : usual.script()) {
            CircuitMachine.Move move = hand.move(machine, state);
            moves.add(move);
            state = machine.with(state, move);
        }
        return new Replay(assembly, faults).shown(moves);
    }

    private static String seen(Set<Effects> ends) {
        return ends.isEmpty()
                ? "something is shorted and its protection opens, or it never comes to rest"
                : ends.stream().map(Effects::words).collect(Collectors.joining(", or "));
    }

    private static List<Usual> usual(CircuitMachine machine, Explorer explorer) {
        Operators operators = new Operators(machine);
        Map<String, List<Hand>> scripts = new LinkedHashMap<>();
        Map<String, String> jogs = new HashMap<>();
        scripts.put("The power is on", List.of());
        for (List<Hand> arrangement : operators.arrangements()) {
            String with = arrangement.isEmpty() ? "" : operators.words(arrangement) + ", ";
            scripts.put(arrangement.isEmpty() ? "The power is on" : operators.words(arrangement), arrangement);
            for (int start = 0; start < machine.parts().size(); start++) {
                operators.start(start).ifPresent(press -> {
                    List<Hand> held = new ArrayList<>(arrangement);
                    held.add(press);
                    List<Hand> run = new ArrayList<>(held);
                    run.add(Operators.release(press));
                    String pressed = with + operators.tag(press) + " is " + press.words();
                    scripts.put(pressed, held);
                    scripts.put(pressed + " and let go", run);
                    jogs.put(
                            pressed + " and let go",
                            Behaviour.jogId(
                                    operators.tag(press),
                                    arrangement.isEmpty() ? "" : "@" + operators.ids(arrangement)));
                    for (int stop = 0; stop < machine.parts().size(); stop++) {
                        operators.stop(stop).ifPresent(push -> {
                            List<Hand> stopped = new ArrayList<>(run);
                            stopped.add(push);
                            String then = pressed + " and let go, then " + operators.tag(push) + " is pressed";
                            scripts.put(then, stopped);
                            List<Hand> over = new ArrayList<>(stopped);
                            over.add(Operators.release(push));
                            scripts.put(then + " and let go", over);
                        });
                    }
                });
            }
        }
        List<Usual> usual = new ArrayList<>();
        scripts.forEach((words, script) -> usual.add(new Usual(
                words,
                script,
                operators.ends(explorer, script).stream()
                        .map(Effects::seen)
                        .collect(Collectors.toCollection(LinkedHashSet::new)),
                Optional.ofNullable(jogs.get(words)))));
        return usual;
    }
}
