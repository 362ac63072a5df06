package parable.reach;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.LongConsumer;
import java.util.stream.IntStream;

/** What a circuit does by itself from a state, step by step, each step whenever it likes. */
final class OwnMoves {

    private static final int[] NOWHERE = {};
    private static final int[][] NO_TARGETS = {};

    private final MovingParts parts;
    private final StateBits bits;
    private final Optional<ControllerSteps> controller;

    /** For each part and each position where it goes, first while its coil is not fed, then while it is. */
    private final int[][][] next;

    private final int[] byItself;

    OwnMoves(MovingParts parts, StateBits bits, Optional<ControllerSteps> controller) {
        this.parts = parts;
        this.bits = bits;
        this.controller = controller;
        next = new int[parts.parts.size()][][];
        for (int p : parts.moving) {
            Component component = parts.components.get(p);
            boolean ownTable = !(component instanceof Component.Hand) && !(component instanceof Component.Memory);
            next[p] = ownTable ? nextOf(component) : NO_TARGETS;
        }
        byItself = IntStream.of(parts.moving)
                .filter(p -> p != parts.memory && next[p].length > 0)
                .toArray();
    }

    private static int[][] nextOf(Component component) {
        int values = 1 << component.bits();
        int[][] next = new int[2 * values][];
        for (int value = 0; value < values; value++) {
            next[value] = targets(component, value, false);
            next[values + value] = targets(component, value, true);
        }
        return next;
    }

    private static int[] targets(Component component, int value, boolean fed) {
        return !component.isValue(value)
                ? NOWHERE
                : component.next(value, fed).stream()
                        .mapToInt(Integer::intValue)
                        .toArray();
    }

    /** The parts that may move by themselves, the memory of a program left out. */
    int[] byItself() {
        return byItself.clone();
    }

    private boolean isOfProgram(int part) {
        return controller.isPresent() && part >= parts.memory;
    }

    /** Whether the coil of a moving part is fed enough for what it does. */
    boolean isFed(long state, int part, Conduction conduction) {
        if (isOfProgram(part)) {
            return controller.get().isTold(state, part, conduction);
        }
        boolean held = parts.isIn(part, bits.value(state, part));
        return ((held ? conduction.holds() : conduction.pulls()) >> parts.rank[part] & 1) == 1;
    }

    /** Whether the coil of a moving part has so much voltage that one would feel it and another not. */
    boolean isUnsure(long state, int part, Conduction conduction) {
        if (conduction.isSure() || isOfProgram(part)) {
            return false;
        }
        boolean held = parts.isIn(part, bits.value(state, part));
        long unsure = held ? conduction.mayHold() & ~conduction.holds() : conduction.mayPull() & ~conduction.pulls();
        return (unsure >> parts.rank[part] & 1) == 1;
    }

    /** Whether what is unsure leaves a part where it is as well as it moves it: one that is at either end of its way. */
    boolean mayStay(long state, int part, Conduction conduction) {
        if (!isUnsure(state, part, conduction)) {
            return false;
        }
        int value = bits.valueOfMoving(state, part);
        return !parts.armature[part] || value == Component.Armature.REST || value == Component.Armature.IN;
    }

    /** Whether a mechanical interlock keeps an armature at rest. */
    boolean isBarred(long state, int part) {
        for (int other : parts.barredBy[part]) {
            int value = bits.value(state, other);
            if (parts.twoPlace[other] ? value == 1 : Component.Armature.isAway(value)) {
                return true;
            }
        }
        return false;
    }

    private int[] targets(long state, int part, Conduction conduction) {
        if (part == parts.memory) {
            ControllerSteps scans = controller.orElseThrow();
            int becomes = scans.remembersNext(state, conduction);
            return scans.isToScan(state, becomes) ? new int[] {becomes} : NOWHERE;
        }
        if (next[part].length == 0) {
            return NOWHERE;
        }
        int value = bits.valueOfMoving(state, part);
        int[] targets = isUnsure(state, part, conduction)
                ? either(part, value)
                : next[part][isFed(state, part, conduction) ? (next[part].length >> 1) + value : value];
        if (parts.twoPlace[part]) {
            boolean stays = value == 0 ? isBarred(state, part) : parts.welded[part];
            return stays ? NOWHERE : targets;
        }
        return parts.armature[part] && targets.length > 0 ? ofArmature(state, part, value, targets) : targets;
    }

    /** Where a part goes fed or not. */
    private int[] either(int part, int value) {
        return IntStream.concat(
                        IntStream.of(next[part][value]), IntStream.of(next[part][(next[part].length >> 1) + value]))
                .distinct()
                .toArray();
    }

    private int[] ofArmature(long state, int part, int value, int[] targets) {
        if (parts.welded[part] && value == Component.Armature.HANGING) {
            return NOWHERE;
        }
        return value == Component.Armature.STARTED && isBarred(state, part)
                ? IntStream.of(targets)
                        .filter(target -> target != Component.Armature.RISING)
                        .toArray()
                : targets;
    }

    /** As {@link CircuitMachine#eachOwn}. */
    boolean each(long state, Conduction conduction, LongConsumer step) {
        boolean any = false;
        if (controller.isPresent() && controller.get().isMoving()) {
            ControllerSteps scans = controller.get();
            int becomes = scans.remembersNext(state, conduction);
            any = scans.isToScan(state, becomes);
            if (any) {
                step.accept(scans.scanned(state, becomes));
            }
        }
        for (int p : byItself) {
            for (int target : targets(state, p, conduction)) {
                any |= conduction.isSure() || !mayStay(state, p, conduction);
                step.accept(bits.with(state, p, target));
            }
        }
        return any;
    }

    /** As {@link CircuitMachine#allOwn}. */
    boolean all(long state, Conduction conduction, CircuitMachine.OwnStep kind) {
        for (int p : parts.moving) {
            for (int target : targets(state, p, conduction)) {
                if (!kind.is(p, target)) {
                    return false;
                }
            }
        }
        return true;
    }

    /** As {@link CircuitMachine#ownMoves}. */
    List<CircuitMachine.Move> moves(long state, Conduction conduction) {
        List<CircuitMachine.Move> moves = new ArrayList<>();
        for (int p : parts.moving) {
            for (int target : targets(state, p, conduction)) {
                moves.add(new CircuitMachine.Move(p, target, false));
            }
        }
        return moves;
    }

    /** The armatures that are in, bit n for that of rank n: what they do depends on whether they are fed enough to hold. */
    long held(long state) {
        long held = 0;
        for (int p : byItself) {
            held |= parts.isIn(p, bits.valueOfMoving(state, p)) ? 1L << parts.rank[p] : 0;
        }
        return held;
    }

    /** The parts, bit n for that of rank n, that do something else in a state when their coils are fed than when they are not. */
    long heeding(long state) {
        long heeding = 0;
        for (int p : byItself) {
            int value = bits.valueOfMoving(state, p);
            boolean heeds = !Arrays.equals(next[p][value], next[p][(next[p].length >> 1) + value]);
            heeding |= heeds ? 1L << parts.rank[p] : 0;
        }
        return heeding;
    }

    /** As {@link CircuitMachine#isUnhurried}. */
    boolean isUnhurried(long from, long to) {
        for (int p : byItself) {
            int before = bits.valueOfMoving(from, p);
            int after = bits.valueOfMoving(to, p);
            if (before != after && isUnhurried(from, p, before, after)) {
                return true;
            }
        }
        return false;
    }

    private boolean isUnhurried(long from, int part, int before, int after) {
        Component component = parts.components.get(part);
        if (component instanceof Component.ProgramTimer) {
            ControllerSteps scans = controller.orElseThrow();
            return after == 1
                    && scans.programmed().toNextMark(scans.memory(from), scans.timerOf(part)) >= Quiescence.SLOW;
        }
        return component instanceof Component.Clockwork clock && isSlow(clock, before, after);
    }

    private static boolean isSlow(Component.Clockwork clock, int before, int after) {
        boolean notices = Component.Clockwork.phase(before) == Component.Clockwork.RELEASED && after == clock.idle();
        boolean stage = Component.Clockwork.phase(before) == Component.Clockwork.phase(after);
        return notices && clock.program().released().get(0).after().nominal() >= Quiescence.SLOW
                || stage
                        && (clock.program().repeats()
                                || clock.stageAfter(before)
                                        .filter(due -> due.after().nominal() >= Quiescence.SLOW)
                                        .isPresent());
    }
}
