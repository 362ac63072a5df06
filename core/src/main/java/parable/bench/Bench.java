package parable.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import parable.network.ShortCircuit;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.Verb;

/**
 * A sheet under voltage, in time. Time stands still until it is told to run; between two events nothing changes. The same
 * actions at the same times give the same story, byte for byte.
 *
 * <p>Times are in microseconds from the start. Not safe for use by several threads at once.
 */
public final class Bench {

    private final Rig rig;
    private final Narrator narrator;
    private final Timers timers;
    private final Interlocks interlocks;
    private final Controllers controllers;
    private final Physics physics;
    private final Trace trace;
    private final Story story = new Story();
    private final History history = new History();
    private final Forgetting forgetting;
    private final RunState state;
    private final boolean told;
    private Solution solution;

    private List<ShortCircuit> shorts = List.of(); // those that were reacted to

    private Bench(Rig rig, RunState state, boolean told) {
        this.rig = rig;
        this.state = state;
        this.told = told;
        narrator = new Narrator(rig);
        timers = new Timers(rig);
        interlocks = new Interlocks(rig);
        controllers = new Controllers(rig);
        physics = new Physics(rig);
        trace = new Trace(rig.parts.size());
        forgetting = new Forgetting(
                history,
                trace,
                rig.parts.size(),
                rig.network.assembly().nodes().all().size());
        solution = rig.solve(state);
        for (int p = 0; p < rig.parts.size(); p++) {
            state.conditions[p] = rig.condition(p, state, solution);
        }
    }

    /** A sheet at rest: supplies on, breakers open, fuses sound, nobody near it. */
    public static Bench of(Assembly assembly) {
        return of(assembly, Pace.NOMINAL);
    }

    /** A sheet at rest whose changes take times of their own. */
    public static Bench of(Assembly assembly, Pace pace) {
        return of(assembly, pace, true);
    }

    /** A sheet at rest that is run without a story, which stays empty; to put everything into words takes longer than some runs. */
    public static Bench untold(Assembly assembly) {
        return of(assembly, Pace.NOMINAL, false);
    }

    private static Bench of(Assembly assembly, Pace pace, boolean told) {
        Rig rig = new Rig(assembly, pace);
        Bench bench = new Bench(rig, rig.initial(), told);
        bench.settle(List.of(), false);
        return bench;
    }

    /**
     * This run gone on with a changed sheet from one of its instants; this bench is not modified. Devices that are still there
     * keep their state, the story up to then goes on, and what was before the change can no longer be returned to.
     *
     * @param changed the sheet as it is from then on
     * @param time from {@link #earliest()} to {@link #now()}
     */
    public Bench on(Assembly changed, long time) {
        RunState then = checked(time) == state.time ? state : stateAt(time);
        Rig next = rig.on(changed);
        CarryOver carryOver = new CarryOver(rig, then, next);
        Bench bench = new Bench(next, carryOver.state(), told);
        bench.shorts = carryOver.switchesOnAgain() ? List.of() : bench.solution.shorts();
        carryOver.tellFrom(bench.state);
        carryOver.trace(trace, bench.trace);
        bench.trace.cutAfter(time);
        bench.story.begin(story, history.at(time).storyLength());
        if (time > 0) {
            bench.tell(carryOver.words(), OptionalInt.empty());
        }
        bench.settle(List.of(), false);
        return bench;
    }

    /**
     * This run gone on with from its present at other times; this bench is not modified. What is under way already takes the time it would
     * have taken. Both remember together what the circuit came to, so that they are to be used from one thread.
     */
    public Bench paced(Pace pace) {
        Bench bench = new Bench(new Rig(rig, pace), state.copy(), told);
        bench.shorts = shorts;
        bench.history.addAll(history);
        bench.trace.takeOver(trace, part -> part);
        bench.story.begin(story, story.length());
        return bench;
    }

    /** The state at a past time, worked out anew from the instant before it; nothing but speeds and heat changes between. */
    private RunState stateAt(long time) {
        Bench again = new Bench(rig, history.at(time).state().copy(), false);
        again.shorts = again.solution.shorts();
        again.run(time);
        return again.state;
    }

    /** The sheet that stands on the bench. */
    public Assembly assembly() {
        return rig.network.assembly();
    }

    /** The present time. */
    public long now() {
        return state.time;
    }

    /** The present instant. */
    public Moment moment() {
        return momentAt(state.time);
    }

    /**
     * A past or the present instant.
     *
     * @param time from {@link #earliest()} to {@link #now()}
     */
    public Moment momentAt(long time) {
        History.Entry instant = history.at(checked(time));
        return new Moment(rig, instant.state(), instant.solution(), trace, time);
    }

    /** The first instant that can be returned to: the start, or about an hour ago. */
    public long earliest() {
        return history.earliest();
    }

    /** The times at which anything changed, from {@link #earliest()} on, in order. */
    public List<Long> instants() {
        return history.times();
    }

    /**
     * What a motor has done so far, in the order of time; empty for everything that is no motor.
     *
     * @throws IllegalArgumentException if the sheet has no such device
     */
    public List<Sample> trace(String tag) {
        return trace.of(rig.network
                .assembly()
                .indexOf(tag)
                .orElseThrow(() -> new IllegalArgumentException(tag + ": the sheet has no such device")));
    }

    /** The story so far, its last half a million lines at the most; the list cannot be changed. */
    public List<StoryLine> story() {
        return story.lines();
    }

    /** How many lines of the story are forgotten, those before the first of {@link #story()}. */
    public int storyForgotten() {
        return story.forgotten();
    }

    /** Whether instants of the last hour are forgotten because they would take too much memory. */
    public boolean isPastShortened() {
        return forgetting.hasShortenedTheHour();
    }

    /** When something will happen by itself, empty if nothing is under way; speeds and heat are not counted. */
    public OptionalLong nextEvent() {
        return state.pending.isEmpty()
                ? OptionalLong.empty()
                : OptionalLong.of(state.pending.get(0).time());
    }

    /**
     * Does something to a device now, and lets happen what follows in the same instant. Doing what is done already, such
     * as pressing a pressed button, changes nothing.
     *
     * @throws ActionRefusedException if the device does not exist or cannot have that done to it; nothing has changed then
     */
    public void act(Action action) throws ActionRefusedException {
        int part = rig.network
                .assembly()
                .indexOf(action.tag())
                .orElseThrow(() -> new ActionRefusedException(action, "a device of this sheet"));
        if (action.verb() == Verb.LOAD) {
            load(action, part);
            return;
        }
        if (rig.isArmature(part) && (action.verb() == Verb.PUSH || action.verb() == Verb.RELEASE)) {
            push(action, part);
            return;
        }
        int position = action.positionOf(rig.parts.get(part), state.commanded[part]);
        if (state.commanded[part] != position || state.openedItself.get(part)) {
            state.openedItself.clear(part);
            int line = tell(narrator.done(action, rig.parts.get(part)), OptionalInt.empty());
            command(part, position, line);
            settle(List.of(), false);
        }
    }

    /** A hand on an armature; let go, it goes where its coil holds it. */
    private void push(Action action, int part) {
        int position = action.verb() == Verb.PUSH || state.energised.get(part) ? 1 : 0;
        int line = tell(narrator.done(action, rig.parts.get(part)), OptionalInt.empty());
        command(part, position, line);
        settle(List.of(), false);
    }

    private void load(Action action, int part) throws ActionRefusedException {
        double load = action.loadOn(rig.parts.get(part));
        if (state.physical.loads[part] != load) {
            state.physical.loads[part] = load;
            physics.disturb(state);
            tell(narrator.done(action, rig.parts.get(part)), OptionalInt.empty());
            settle(List.of(), false);
        }
    }

    /**
     * Puts a fault in, or takes it out. Putting in one that is there, or taking out one that is not, changes nothing.
     *
     * @param there whether it is to be there afterwards
     * @throws ActionRefusedException if the device does not exist or cannot have that fault; nothing has changed then
     */
    public void set(Fault fault, boolean there) throws ActionRefusedException {
        Optional<Integer> part = assembly().indexOf(fault.tag());
        Optional<String> expected =
                part.isEmpty() ? Optional.of("a device of this sheet") : fault.nonsenseIn(rig.parts.get(part.get()));
        if (expected.isPresent()) {
            throw new ActionRefusedException(fault, expected.get());
        }
        if (state.faults.contains(fault) == there) {
            return;
        }
        List<Fault> faults = new ArrayList<>(state.faults);
        if (there) {
            faults.add(fault);
        } else {
            faults.remove(fault);
        }
        state.faults = List.copyOf(faults);
        int line = tell((there ? "Fault put in: " : "Fault taken out: ") + fault.words() + ".", OptionalInt.empty());
        physics.disturb(state);
        if (!there) {
            command(part.get(), state.commanded[part.get()], line);
        }
        settle(List.of(), false);
    }

    /**
     * Lets time run.
     *
     * @param time until when, not before {@link #now()}; what happens at that very time still happens
     */
    public void runUntil(long time) {
        if (time < state.time) {
            throw new IllegalArgumentException("time runs forward: it is " + state.time + " us, asked for " + time);
        }
        run(time);
    }

    private void run(long time) {
        for (long next = soonest(); next <= time; next = soonest()) {
            state.time = next;
            boolean steady = state.pending.isEmpty() || state.pending.get(0).time() > next;
            List<Reaction.Order> felt = physics.next(state) <= next ? physics.goOn(state) : List.of();
            boolean shaken = Faults.nextShake(state.faults, state.time - 1) == state.time;
            boolean disturbed = shaken || !felt.isEmpty() || physics.standsOut(state);
            if (!steady || disturbed) {
                settle(felt, !disturbed && physics.isSteady(state));
            } else {
                physics.trace(state, trace, false);
            }
        }
        state.time = time;
    }

    /** Until when nothing changes by itself, speeds and heat that trips something included; without end if nothing is under way. */
    public OptionalLong restsUntil() {
        long soonest = soonest();
        return soonest == Long.MAX_VALUE ? OptionalLong.empty() : OptionalLong.of(soonest);
    }

    /** When a release or a fuse or breaker will act by heat if all currents stay as they are; empty if none will. */
    public OptionalLong protectionActs() {
        long acts = physics.protectionActs(state);
        return acts == Long.MAX_VALUE ? OptionalLong.empty() : OptionalLong.of(acts);
    }

    private long soonest() {
        long byItself = Math.min(Math.max(state.time, physics.next(state)), Faults.nextShake(state.faults, state.time));
        return Math.min(nextEvent().orElse(Long.MAX_VALUE), byItself);
    }

    /**
     * Goes back to a past instant and forgets what came after it.
     *
     * @param time from {@link #earliest()} to {@link #now()}
     */
    public void rewindTo(long time) {
        History.Entry instant = history.cutAfter(checked(time));
        story.cut(instant.storyLength());
        state.restore(instant.state());
        solution = instant.solution();
        shorts = solution.shorts();
        trace.cutAfter(state.time);
        run(time);
    }

    private long checked(long time) {
        if (time < earliest() || time > state.time) {
            throw new IllegalArgumentException(
                    "there are instants from " + earliest() + " to " + state.time + " us, asked for " + time);
        }
        return time;
    }

    private void command(int part, int position, int cause) {
        state.commanded[part] = position;
        if (rig.isHeld(part, position, state) || rig.isWhole(part, position, state)) {
            state.stayPut(move -> rig.groups.get(move.group()).part() == part);
            return;
        }
        for (int g = 0; g < rig.groups.size(); g++) {
            ContactGroup group = rig.groups.get(g);
            if (group.part() == part) {
                long arrival = state.time + rig.delay(group, position, state);
                state.setGoing(new Pending.Move(arrival, g, group.closedAt(position), cause));
            }
        }
    }

    /**
     * Lets everything happen that is due now, until the instant is over.
     *
     * @param undisturbed whether only what was under way can change anything, so that a controller's scan that comes to nothing leads to nothing
     */
    private void settle(List<Reaction.Order> felt, boolean undisturbed) {
        List<Reaction.Order> waiting = felt;
        do {
            boolean heat = !waiting.isEmpty();
            carryOut(waiting, heat ? tellOfHeat(waiting) : story.length() - 1);
            waiting = List.of();
            Arrivals arrivals = arrivals();
            arrivals.deeds().forEach(this::perform);
            if (undisturbed && arrivals.cameToNothing()) {
                continue;
            }
            Solution before = solution;
            solution = rig.solve(state);
            Reaction reaction = Reaction.of(rig, state, before, solution, shorts, told);
            shorts = solution.shorts();
            reaction.words().addAll(arrivals.heldBack());
            OptionalInt cause = arrivals.moved().isEmpty()
                    ? OptionalInt.empty()
                    : OptionalInt.of(arrivals.moved().get(0).cause());
            int line = tell(arrivals.moved(), reaction, cause);
            carryOut(reaction.commands(), line);
            reaction.timersFed().forEach(part -> timers.fed(part, state, line));
            reaction.timersReleased().forEach(part -> timers.released(part, state, line));
            interlocks.freed(state).forEach(part -> command(part, 1, line));
            perform(controllers.feel(state, solution, line));
            physics.feel(state, solution);
        } while (!state.pending.isEmpty() && state.pending.get(0).time() <= state.time);
        remember();
    }

    private void perform(Controllers.Deed deed) {
        int line = deed.words().isEmpty()
                ? story.length() - 1
                : tell(String.join(", ", deed.words()) + ".", OptionalInt.empty());
        deed.command().ifPresent(command -> carryOut(List.of(command), line));
    }

    private void carryOut(List<Reaction.Order> commands, int line) {
        for (Reaction.Order command : commands) {
            state.openedItself.set(command.part(), command.byItself());
            command(command.part(), command.position(), line);
        }
    }

    private int tellOfHeat(List<Reaction.Order> felt) {
        int line = story.length() - 1;
        for (Reaction.Order command : felt) {
            if (command.byItself()) {
                line = tell(narrator.heated(command.part(), command.position()), OptionalInt.empty());
            }
        }
        return line;
    }

    private Arrivals arrivals() {
        Arrivals arrivals = new Arrivals();
        while (!state.pending.isEmpty() && state.pending.get(0).time() <= state.time) {
            Pending next = state.pending.remove(0);
            if (next instanceof Pending.Stage stage) {
                command(stage.part(), timers.arrived(stage, state), stage.cause());
            } else if (next instanceof Pending.Read read) {
                arrivals.deeds().add(controllers.read(read, state));
            } else if (next instanceof Pending.Scan scan) {
                arrivals.deeds().add(controllers.scan(scan, state));
            } else if (next instanceof Pending.Move move && interlocks.holdsBack(move, state)) {
                String tag = rig.parts.get(rig.groups.get(move.group()).part()).tag();
                arrivals.heldBack()
                        .add("the mechanical interlock holds " + tag
                                + " back while its coil is fed: it hums and overheats");
            } else if (next instanceof Pending.Move move) {
                state.closedGroups.set(move.group(), move.closes());
                arrivals.moved().add(move);
            }
        }
        return arrivals;
    }

    private int tell(List<Pending.Move> moved, Reaction reaction, OptionalInt cause) {
        Optional<String> sentence = told ? narrator.told(moved, reaction, state) : Optional.empty();
        return sentence.map(words -> tell(words, cause)).orElse(story.length() - 1);
    }

    private int tell(String sentence, OptionalInt cause) {
        return told ? story.tell(state.time, sentence, cause) : story.length() - 1;
    }

    private void remember() {
        physics.trace(state, trace, true);
        history.add(state, solution, story.length());
        forgetting.keptOneMore(state.time);
    }
}
