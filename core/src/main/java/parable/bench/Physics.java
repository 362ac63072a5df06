package parable.bench;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import parable.network.Branch;
import parable.network.ContactCurrents;
import parable.network.Solution;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Excitation;
import parable.parts.Heater;
import parable.parts.Machine;
import parable.parts.MotorModel;
import parable.parts.Part;
import parable.parts.Turning;

/**
 * What changes steadily between two events: motors speed up and run down, overload releases warm and cool. While a speed
 * changes, time goes on in steps of one to five milliseconds; otherwise the next thing to happen is worked out in one go. Both are
 * independent of how often somebody looks.
 */
final class Physics {

    /** The shortest step, in microseconds; a hundredth of the run-up of the quickest motor is short enough. */
    private static final long SHORTEST_STEP = 1000;

    private static final long LONGEST_STEP = 5000;
    private static final double STEPS_IN_A_RUN_UP = 100;

    private static final double STEADY = 1e-6;
    private static final double STANDSTILL = 0.01;

    /** No motor turns faster than this, in per unit. */
    private static final double FLIES_APART = 4;

    private static final double COLD = 1e-3;

    /** Longer than this, in s, nothing is waited for. */
    private static final double LONG = 1e6;

    private static final double DEAD_POLE = 0.1;
    private static final double NO_CURRENT = 1e-9;

    private final Rig rig;
    private final int[] motors;
    private final int[] heaters;
    private final int[] guards;

    /** All that the current of motors warms: releases and {@link #guards}. */
    private final int[] bodies;

    private final int[] speedSwitches;
    private final long step;

    Physics(Rig rig) {
        this.rig = rig;
        motors = partsWhere(part -> part.machine().isPresent());
        heaters = partsWhere(part -> part.heater().isPresent());
        guards = partsWhere(Wear::has);
        bodies = IntStream.concat(IntStream.of(heaters), IntStream.of(guards)).toArray();
        speedSwitches = partsWhere(part -> part.drive() instanceof Drive.BySpeed);
        step = IntStream.of(motors)
                .mapToLong(motor -> (long) (machine(motor).runUp() / STEPS_IN_A_RUN_UP * 1000) * 1000)
                .map(time -> Math.max(SHORTEST_STEP, Math.min(LONGEST_STEP, time)))
                .min()
                .orElse(SHORTEST_STEP);
    }

    private int[] partsWhere(Predicate<Part> which) {
        return IntStream.range(0, rig.parts.size())
                .filter(p -> which.test(rig.parts.get(p)))
                .toArray();
    }

    /** Takes note of new voltages. */
    void feel(RunState state, Solution solution) {
        boolean changed = false;
        for (int motor : motors) {
            Excitation excitation = rig.excitation(motor, solution);
            if (!excitation.equals(state.physical.excitations[motor])) {
                state.physical.surges[motor] = surge(state, motor, excitation);
                state.physical.excitations[motor] = excitation;
                shareCurrents(state.physical, motor, solution);
                changed = true;
            }
        }
        if (changed) {
            disturb(state);
            settleCurrents(state, state.time);
        }
    }

    private FieldSurge surge(RunState state, int motor, Excitation now) {
        return state.physical.surges[motor].after(
                state.physical.excitations[motor],
                now,
                state.physical.speed[motor],
                machine(motor).fieldTime(),
                state.time);
    }

    private Machine machine(int motor) {
        return rig.parts.get(motor).machine().orElseThrow();
    }

    /** Whether no motor changes its speed. */
    boolean isSteady(RunState state) {
        return !state.physical.unsteady;
    }

    /** Whether a motor has come to rest, or has begun to turn, without anybody having said so yet. */
    boolean standsOut(RunState state) {
        for (int motor : motors) {
            boolean turns = state.physical.speed[motor] != 0;
            Condition said = state.conditions[motor];
            boolean saidToTurn = said == Condition.COASTING || said == Condition.BRAKED;
            if (turns && said == Condition.STOPPED || !turns && saidToTurn) {
                return true;
            }
        }
        return false;
    }

    private void shareCurrents(PhysicalState physical, int motor, Solution solution) {
        int first = rig.network.load(motor, 0);
        int windings = rig.parts.get(motor).loads().size();
        MotorModel model = machine(motor).motor();
        double strongest = IntStream.range(0, windings)
                .filter(model::carriesWhileRunning)
                .mapToDouble(w -> solution.loadCurrent(first + w).rms())
                .max()
                .orElse(0);
        physical.heaterShares[motor] = new double[bodies.length];
        physical.lineShares[motor] = 0;
        if (strongest < NO_CURRENT) {
            return;
        }
        ContactCurrents currents = ContactCurrents.of(
                solution,
                load -> load >= first && load < first + windings && model.carriesWhileRunning(load - first) ? 1 : 0);
        physical.lineShares[motor] = solution.network().branches().stream()
                        .filter(branch -> branch.sort() == Branch.Sort.SOURCE && solution.conducts(branch))
                        .mapToDouble(branch -> currents.outOf(branch.to()).rms())
                        .max()
                        .orElse(0)
                / strongest;
        for (int b = 0; b < bodies.length; b++) {
            physical.heaterShares[motor][b] = throughPoles(bodies[b], currents) / strongest;
        }
    }

    private double throughPoles(int part, ContactCurrents currents) {
        List<Contact> contacts = rig.parts.get(part).contacts();
        DoubleSummaryStatistics poles = IntStream.range(0, contacts.size())
                .filter(c -> contacts.get(c).pole())
                .mapToDouble(c -> currents.through(rig.network.contact(part, c)).rms())
                .summaryStatistics();
        boolean sensitive =
                rig.parts.get(part).heater().filter(Heater::phaseLossSensitive).isPresent();
        boolean phaseLost = poles.getMin() < DEAD_POLE * poles.getMax();
        return poles.getMax() * (sensitive && phaseLost ? Heater.WITH_A_DEAD_POLE : 1);
    }

    /** When something will happen by itself or a speed must be worked out, in microseconds; never if nothing changes. */
    long next(RunState state) {
        if (state.physical.unsteady) {
            return state.physical.steppedTo + step;
        }
        return protectionActs(state);
    }

    /** When a release or a guard will act, if all currents stay as they are, in microseconds; never if none will. */
    long protectionActs(RunState state) {
        long next = Long.MAX_VALUE;
        for (int heater : heaters) {
            next = Math.min(next, crossing(state, heater));
        }
        for (int guard : guards) {
            next = Math.min(next, opening(state, guard));
        }
        return next;
    }

    /** When a fuse or breaker will open, if its current stays as it is. */
    private long opening(RunState state, int guard) {
        if (state.commanded[guard] != 1) {
            return Long.MAX_VALUE;
        }
        double seconds =
                Wear.secondsToOpen(rig.parts.get(guard), state.physical.heat[guard], state.physical.amperes[guard]);
        if (seconds == 0) {
            return state.time;
        }
        return seconds > LONG
                ? Long.MAX_VALUE
                : Math.max(state.time, state.physical.heatTime[guard] + (long) Math.ceil(seconds * 1e6) + 1);
    }

    /** When a release will trip or may be reset, if its current stays as it is. */
    private long crossing(RunState state, int index) {
        Heater heater = rig.heater(index, state);
        double heat = state.physical.heat[index];
        double end = Math.pow(state.physical.amperes[index] / heater.setting(), 2);
        boolean tripped = isTripped(state, index);
        double level = tripped ? Heater.RESETS_AT : Heater.TRIPS_AT;
        boolean reaches = tripped ? heater.automaticReset() && end < level : end > level;
        if (!reaches) {
            return Long.MAX_VALUE;
        }
        if (!tripped && heat >= level) {
            return state.time;
        }
        boolean alreadyThere = tripped && heat <= level;
        double seconds = alreadyThere ? 0 : heater.timeConstant() * Math.log((end - heat) / (end - level));
        return Math.max(state.time, state.physical.heatTime[index] + (long) Math.ceil(seconds * 1e6) + 1);
    }

    private boolean isTripped(RunState state, int index) {
        return state.commanded[index]
                == rig.parts.get(index).heater().orElseThrow().tripPosition();
    }

    /** Goes on to the present time of the state, which is what {@link #next} said; returns the devices that move. */
    List<Reaction.Order> goOn(RunState state) {
        List<Reaction.Order> commands = new ArrayList<>();
        if (state.physical.unsteady) {
            step(state);
            for (int index : speedSwitches) {
                feelSpeed(state, index, commands);
            }
        }
        for (int index : heaters) {
            if (crossing(state, index) <= state.time) {
                Heater heater = rig.heater(index, state);
                boolean tripped = isTripped(state, index);
                settleHeat(state, index, state.time);
                commands.add(new Reaction.Order(index, tripped ? 0 : heater.tripPosition(), true));
            }
        }
        for (int guard : guards) {
            if (opening(state, guard) <= state.time) {
                state.physical.heat[guard] = 0;
                state.physical.heatTime[guard] = state.time;
                commands.add(new Reaction.Order(guard, 0, true));
            }
        }
        return commands;
    }

    private void step(RunState state) {
        state.physical.steppedTo += step;
        boolean unsteady = false;
        for (int motor : motors) {
            double before = state.physical.speed[motor];
            double after = speedAfterStep(motor, state);
            state.physical.speed[motor] = after;
            unsteady |=
                    Math.abs(after - before) > STEADY || !state.physical.surges[motor].isOver(state.physical.steppedTo);
        }
        settleCurrents(state, state.physical.steppedTo);
        state.physical.unsteady = unsteady;
    }

    private double speedAfterStep(int motor, RunState state) {
        double speed = state.physical.speed[motor];
        if (rig.isLocked(motor, state)) {
            return 0;
        }
        Excitation excitation = state.physical.excitations[motor];
        double load = state.physical.loads[motor];
        double torque = excitation.torque(speed);
        Machine machine = machine(motor);
        double resistance = machine.driven().resistance(load, speed);
        if (speed == 0 && Math.abs(torque) <= resistance) {
            return 0;
        }
        double sense = speed == 0 ? Math.signum(torque) : Math.signum(speed);
        double after = speed + step / 1e6 / machine.runUp() * (torque - sense * resistance);
        boolean driven = isDriven(excitation.turning(speed));
        boolean stops = speed != 0 && (after * speed <= 0 || !driven && Math.abs(after) < STANDSTILL);
        return stops && (!driven || Math.abs(torque) <= machine.driven().resistance(load, 0))
                ? 0
                : Math.max(-FLIES_APART, Math.min(FLIES_APART, after));
    }

    private static boolean isDriven(Turning turning) {
        return turning != Turning.NONE && turning != Turning.BRAKED;
    }

    private void feelSpeed(RunState state, int index, List<Reaction.Order> commands) {
        Drive.BySpeed by = (Drive.BySpeed) rig.parts.get(index).drive();
        double speed = rig.network
                .assembly()
                .indexOf(by.motor())
                .map(motor -> Math.abs(state.physical.speed[motor]))
                .orElse(0.0);
        int position = speed > by.threshold() ? 1 : 0;
        if (position != state.commanded[index]) {
            commands.add(new Reaction.Order(index, position, false));
        }
    }

    /** Works out the currents through all releases anew, from a time on. */
    private void settleCurrents(RunState state, long time) {
        for (int b = 0; b < bodies.length; b++) {
            double amperes = 0;
            for (int motor : motors) {
                amperes += state.physical.heaterShares[motor].length == 0
                        ? 0
                        : state.physical.heaterShares[motor][b] * amperes(state, motor, time);
            }
            if (b < heaters.length) {
                settleHeat(state, bodies[b], time);
            } else {
                settleWear(state, bodies[b], time);
            }
            state.physical.amperes[bodies[b]] = amperes;
        }
    }

    private void settleWear(RunState state, int index, long time) {
        PhysicalState physical = state.physical;
        double seconds = Math.max(0, time - physical.heatTime[index]) / 1e6;
        double wear = Wear.after(rig.parts.get(index), physical.heat[index], physical.amperes[index], seconds);
        physical.heat[index] = wear < COLD ? 0 : wear;
        physical.heatTime[index] = Math.max(time, physical.heatTime[index]);
    }

    private void settleHeat(RunState state, int index, long time) {
        PhysicalState physical = state.physical;
        double seconds = Math.max(0, time - physical.heatTime[index]) / 1e6;
        double heat = rig.heater(index, state).after(physical.heat[index], physical.amperes[index], seconds);
        physical.heat[index] = heat < COLD && physical.amperes[index] == 0 ? 0 : heat;
        physical.heatTime[index] = Math.max(time, physical.heatTime[index]);
    }

    private static double amperes(RunState state, int motor, long time) {
        return state.physical.excitations[motor].amperes(state.physical.speed[motor])
                + state.physical.surges[motor].at(time);
    }

    /** Takes note of something that changes a motor's speed without a change of voltage: another load, a rotor let go. */
    void disturb(RunState state) {
        state.physical.steppedTo = Math.max(state.physical.steppedTo, state.time / step * step);
        state.physical.unsteady = motors.length > 0;
    }

    /** Adds the present of all motors and releases to a trace. */
    void trace(RunState state, Trace trace, boolean event) {
        for (int motor : motors) {
            double amperes = state.physical.lineShares[motor] * amperes(state, motor, state.time);
            trace.add(motor, new Sample(state.time, state.physical.speed[motor], amperes), event);
        }
        for (int heater : heaters) {
            settleHeat(state, heater, state.time);
            double amperes = state.physical.amperes[heater];
            trace.add(heater, new Warmth(state.time, state.physical.heat[heater], amperes), event);
        }
    }
}
