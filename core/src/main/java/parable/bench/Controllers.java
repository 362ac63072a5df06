package parable.bench;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.stream.IntStream;
import parable.network.Solution;
import parable.parts.ControllerField;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.TimeRange;
import parable.program.Address;
import parable.program.ProgramRun;
import parable.program.Variable;

/**
 * The controller of a sheet, the first if there are several: its inputs are read through their filters, its program is scanned, its
 * outputs are told. It scans at whole multiples of its scan time; scans in which nothing can change are left out.
 */
final class Controllers {

    private final Rig rig;
    private final OptionalInt part;

    /** For the place of each variable of the program the number of its input or output, -1 for one that has none. */
    private final int[] inputOf;

    private final int[] outputOf;

    Controllers(Rig rig) {
        this.rig = rig;
        inputOf = numbers(Address.Area.INPUT);
        outputOf = numbers(Address.Area.OUTPUT);
        part = IntStream.range(0, rig.parts.size())
                .filter(p -> rig.parts.get(p).family() == Family.CONTROLLER)
                .findFirst();
    }

    private int[] numbers(Address.Area area) {
        return rig.plan.stream()
                .flatMap(plan -> plan.program().variables().stream())
                .mapToInt(variable -> ControllerField.number(variable, area).orElse(-1))
                .toArray();
    }

    private Drive.ByProgram drive() {
        return (Drive.ByProgram) rig.parts.get(part.orElseThrow()).drive();
    }

    private String tag() {
        return rig.parts.get(part.orElseThrow()).tag();
    }

    /** What a controller does by itself: words for the story, and its outputs if they are written else. */
    record Deed(List<String> words, Optional<Reaction.Order> command) {
        static final Deed NONE = new Deed(List.of(), Optional.empty());
    }

    /** It feels its supply and its inputs. */
    Deed feel(RunState state, Solution solution, int cause) {
        if (part.isEmpty()) {
            return Deed.NONE;
        }
        feelInputs(state, solution, cause);
        int index = part.getAsInt();
        boolean powered = rig.shareOfRated(index, drive().supply(), solution) >= drive().works();
        boolean awake = powered && (state.commanded[index] & 1) == 1;
        if (awake == state.controller.awake()) {
            return Deed.NONE;
        }
        state.controller = state.controller.awake(awake, state.time, rig.plan.map(ProgramRun::new));
        state.conditions[index] = rig.condition(index, state, solution);
        state.takeBack(pending -> pending instanceof Pending.Scan);
        if (awake) {
            schedule(state, state.time, cause);
            return new Deed(List.of(tag() + " begins to scan its program from the beginning"), Optional.empty());
        }
        String why = powered ? "" : ", for it has no supply";
        return new Deed(
                List.of(tag() + " no longer scans" + why + ": all its outputs go off"),
                Optional.of(new Reaction.Order(index, state.commanded[index] & 1, false)));
    }

    private void feelInputs(RunState state, Solution solution, int cause) {
        for (int input = 0; input < drive().readings().size(); input++) {
            boolean before = state.controller.levels().get(input);
            double share = rig.shareOfRated(part.getAsInt(), drive().readings().get(input), solution);
            boolean now = share >= (before ? drive().unreads() : drive().reads());
            if (now != before) {
                int number = input;
                state.controller = state.controller.withLevel(input, now);
                state.takeBack(pending -> pending instanceof Pending.Read read && read.input() == number);
                if (now != state.controller.read().get(input)) {
                    state.add(new Pending.Read(state.time + drive().filter().nominal(), input, cause));
                }
            }
        }
    }

    /** A new level has passed the filter of an input. */
    Deed read(Pending.Read read, RunState state) {
        boolean one = state.controller.levels().get(read.input());
        state.controller = state.controller.withRead(read.input(), one);
        if (!state.controller.awake()) {
            return Deed.NONE;
        }
        schedule(state, state.time, read.cause());
        return new Deed(
                List.of(variable(Address.Area.INPUT, read.input())
                        .map(variable -> tag() + " reads " + (one ? 1 : 0) + " at I" + read.input() + " ("
                                + variable.name() + ")")
                        .orElse(tag() + " reads " + (one ? 1 : 0) + " at I" + read.input()
                                + ", which its program does not use")),
                Optional.empty());
    }

    /** It scans. */
    Deed scan(Pending.Scan scan, RunState state) {
        Optional<ProgramRun> before = state.controller.run();
        if (before.isEmpty()) {
            return Deed.NONE;
        }
        ProgramRun run = before.get().copy();
        boolean changed = run.scan(ones(state.controller.read()), state.time / 1000);
        state.controller = state.controller.scanned(state.time, Optional.of(run));
        if (changed) {
            schedule(state, state.time + 1, scan.cause());
        } else {
            OptionalLong mark = run.nextMark();
            mark.ifPresent(millis -> schedule(state, millis * 1000, scan.cause()));
        }
        int index = part.getAsInt();
        int told = (state.commanded[index] & 1) | outputs(run);
        return told == state.commanded[index]
                ? Deed.NONE
                : new Deed(
                        List.of(tag() + "'s program " + told(state.commanded[index], told)),
                        Optional.of(new Reaction.Order(index, told, false)));
    }

    /** The places of the program's inputs that read 1. */
    private BitSet ones(BitSet read) {
        BitSet ones = new BitSet();
        for (int slot = 0; slot < inputOf.length; slot++) {
            ones.set(slot, inputOf[slot] >= 0 && read.get(inputOf[slot]));
        }
        return ones;
    }

    private int outputs(ProgramRun run) {
        int outputs = 0;
        int most = rig.parts.get(part.getAsInt()).contacts().size();
        for (int slot = 0; slot < outputOf.length; slot++) {
            boolean there = outputOf[slot] >= 0 && outputOf[slot] < most;
            if (there && run.isOne(run.program().variables().get(slot).name())) {
                outputs |= 2 << outputOf[slot];
            }
        }
        return outputs;
    }

    private String told(int before, int now) {
        List<String> words = new ArrayList<>();
        for (int output = 0; output < rig.parts.get(part.getAsInt()).contacts().size(); output++) {
            int bit = 2 << output;
            if ((before & bit) != (now & bit)) {
                String name = variable(Address.Area.OUTPUT, output)
                        .map(variable -> " (" + variable.name() + ")")
                        .orElse("");
                words.add((now & bit) != 0 ? "sets Q" + output + name : "clears Q" + output + name);
            }
        }
        return String.join(" and ", words);
    }

    private Optional<Variable> variable(Address.Area area, int number) {
        return rig.plan.flatMap(plan -> ControllerField.variable(plan.program(), area, number));
    }

    /** The first scan not before a time, instead of a later one. */
    private void schedule(RunState state, long notBefore, int cause) {
        long period = drive().scan();
        long begins = Math.max(notBefore, state.time);
        long toNext = Math.floorMod(-begins, period);
        long time = begins + rig.pace.time(tag(), Pace.Change.SCAN, begins, new TimeRange(0, toNext, period));
        boolean sooner =
                state.pending.stream().anyMatch(other -> other instanceof Pending.Scan && other.time() <= time);
        if (!sooner) {
            state.takeBack(pending -> pending instanceof Pending.Scan);
            state.add(new Pending.Scan(time, cause));
        }
    }
}
