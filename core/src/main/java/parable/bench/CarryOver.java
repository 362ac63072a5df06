package parable.bench;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.circuit.Relabelling;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.Family;
import parable.parts.Load;
import parable.parts.Part;
import parable.program.ProgramRun;

/**
 * Takes the state of a run over to a changed sheet. A device that is still there, by tag and kind, or that was given another tag
 * in its place in the list, keeps its position, its
 * speed and its heat; with its contacts unchanged also what is on its way. Everything else is at rest.
 */
final class CarryOver {

    private static final String CHANGED = "The circuit is changed; copper would be de-energised first.";

    private static final int GONE = -1;

    private final Rig from;
    private final Rig to;
    private final RunState before;
    private final Map<String, String> renamed = new HashMap<>();

    /** For each part its position in the changed sheet, or that it is gone. */
    private final int[] survivors;

    private final Relabelling names;

    CarryOver(Rig from, RunState before, Rig to) {
        this.from = from;
        this.before = before;
        this.to = to;
        for (int p = 0; p < Math.min(from.parts.size(), to.parts.size()); p++) {
            String old = from.parts.get(p).tag();
            String fresh = to.parts.get(p).tag();
            boolean isRenamed = !old.equals(fresh)
                    && to.network.assembly().part(old).isEmpty()
                    && from.network.assembly().part(fresh).isEmpty();
            if (isRenamed) {
                renamed.put(old, fresh);
            }
        }
        survivors = IntStream.range(0, from.parts.size()).map(this::survivorOf).toArray();
        names = new Relabelling(renamed, markings());
    }

    /** The leads of motors that are marked otherwise now. */
    private Map<Terminal, String> markings() {
        Map<Terminal, String> markings = new HashMap<>();
        for (int p = 0; p < from.parts.size(); p++) {
            Part old = from.parts.get(p);
            if (survivors[p] != GONE && !old.lineLeads().isEmpty()) {
                markLeads(old, to.parts.get(survivors[p]).loads(), markings);
            }
        }
        return markings;
    }

    private static void markLeads(Part old, List<Load> now, Map<Terminal, String> markings) {
        for (int l = 0; l < Math.min(old.loads().size(), now.size()); l++) {
            Load load = old.loads().get(l);
            markings.put(new Terminal(old.tag(), load.from()), now.get(l).from());
            markings.put(new Terminal(old.tag(), load.to()), now.get(l).to());
        }
    }

    private Fault inNewNames(Fault fault) {
        String place = Stream.of(fault.place().split("-"))
                .map(marking -> names.of(new Terminal(fault.tag(), marking)).marking())
                .collect(Collectors.joining("-"));
        return new Fault(fault.kind(), names.of(new Terminal(fault.tag(), "")).tag(), place);
    }

    /** The position in the changed sheet of a part, empty if it is gone. */
    private Optional<Integer> survivor(int part) {
        return survivors[part] == GONE ? Optional.empty() : Optional.of(survivors[part]);
    }

    private int survivorOf(int part) {
        Part old = from.parts.get(part);
        if (part < to.parts.size() && to.parts.get(part) == old) {
            return part;
        }
        return to.network
                .assembly()
                .indexOf(renamed.getOrDefault(old.tag(), old.tag()))
                .filter(index ->
                        to.parts.get(index).device().kind().equals(old.device().kind()))
                .orElse(GONE);
    }

    /** The state of the run on the changed sheet. */
    RunState state() {
        RunState after = to.initial();
        after.time = before.time;
        after.physical.steppedTo = before.physical.steppedTo;
        after.physical.unsteady = true;
        int[] groups = new int[from.groups.size()];
        Arrays.fill(groups, GONE);
        for (int p = 0; p < from.parts.size(); p++) {
            if (survivors[p] != GONE && !isOpenAhead(p)) {
                take(p, survivors[p], after, groups);
            }
        }
        for (Pending pending : before.pending) {
            if (pending instanceof Pending.Move move && groups[move.group()] != GONE) {
                after.pending.add(new Pending.Move(move.time(), groups[move.group()], move.closes(), move.cause()));
            } else if (pending instanceof Pending.Stage stage) {
                survivor(stage.part())
                        .ifPresent(part -> after.pending.add(
                                new Pending.Stage(stage.time(), part, stage.stage(), stage.released(), stage.cause())));
            }
        }
        takeController(after);
        after.faults = before.faults.stream()
                .map(this::inNewNames)
                .filter(this::isStillPossible)
                .toList();
        return after;
    }

    /** Whether what is before a supply has opened on a short circuit; for a changed sheet it is switched on again. */
    private boolean isOpenAhead(int part) {
        return from.parts.get(part).family() == Family.SUPPLY && before.openedItself.get(part);
    }

    /** Whether any supply is switched on again. */
    boolean switchesOnAgain() {
        return IntStream.range(0, from.parts.size()).anyMatch(this::isOpenAhead);
    }

    private void takeController(RunState after) {
        Optional<Integer> controller = IntStream.range(0, from.parts.size())
                .filter(p -> from.parts.get(p).family() == Family.CONTROLLER)
                .boxed()
                .findFirst()
                .filter(p -> survivor(p).isPresent());
        if (controller.isPresent()) {
            Optional<ProgramRun> run = to.plan.map(plan ->
                    before.controller.run().map(old -> old.goneOnWith(plan)).orElseGet(() -> new ProgramRun(plan)));
            after.controller = before.controller.scanned(before.time, run);
            before.pending.stream()
                    .filter(pending -> pending instanceof Pending.Read)
                    .forEach(after.pending::add);
            if (before.controller.awake()) {
                after.pending.add(new Pending.Scan(before.time, Math.max(0, before.pending.size() - 1)));
            }
            after.pending.sort(Comparator.comparingLong(Pending::time));
        }
    }

    private boolean isStillPossible(Fault fault) {
        return to.network
                .assembly()
                .part(fault.tag())
                .filter(part -> fault.nonsenseIn(part).isEmpty())
                .isPresent();
    }

    private void take(int old, int part, RunState after, int[] groups) {
        after.commanded[part] = before.commanded[old];
        after.energised.set(part, before.energised.get(old));
        after.openedItself.set(part, before.openedItself.get(old));
        after.heldBack.set(part, before.heldBack.get(old));
        after.timing.set(part, before.timing.get(old));
        after.physical.speed[part] = before.physical.speed[old];
        after.physical.surges[part] =
                before.physical.surges[old].whileFed(before.physical.excitations[old], before.time);
        after.physical.heat[part] = before.physical.heat[old];
        after.physical.heatTime[part] = before.physical.heatTime[old];
        after.physical.amperes[part] = before.physical.amperes[old];
        boolean sameLoad =
                from.parts.get(old).machine().equals(to.parts.get(part).machine());
        if (sameLoad) {
            after.physical.loads[part] = before.physical.loads[old];
        }
        int oldGroup = from.firstGroup(old);
        int newGroup = to.firstGroup(part);
        boolean sameContacts =
                from.parts.get(old).contacts().equals(to.parts.get(part).contacts());
        for (int i = 0; i < to.groupsOf(part).size(); i++) {
            int group = newGroup + i;
            if (sameContacts) {
                groups[oldGroup + i] = group;
                after.closedGroups.set(group, before.closedGroups.get(oldGroup + i));
            } else {
                after.closedGroups.set(group, to.groups.get(group).closedAt(before.commanded[old]));
            }
        }
    }

    /** Brings the conditions that were told last over, so that what changes by the edit itself is told. */
    void tellFrom(RunState after) {
        for (int p = 0; p < from.parts.size(); p++) {
            if (survivors[p] != GONE) {
                after.conditions[survivors[p]] = before.conditions[p];
            }
        }
    }

    /** Brings the traces over. */
    void trace(Trace old, Trace fresh) {
        fresh.takeOver(old, part -> survivors[part]);
    }

    /** What the change is, for the story: which devices are called otherwise if it is nothing more than that. */
    String words() {
        if (renamed.isEmpty()) {
            return CHANGED;
        }
        Sheet called = from.network.assembly().sheet().relabelled(names);
        Sheet changed = to.network.assembly().sheet();
        boolean onlyCalled =
                called.power().equals(changed.power()) && called.control().equals(changed.control());
        String names = renamed.entrySet().stream()
                .map(entry -> entry.getKey() + " is now called " + entry.getValue())
                .sorted()
                .collect(Collectors.joining(", "));
        return onlyCalled && !names.isEmpty() ? names + "." : CHANGED;
    }
}
