package parable.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import parable.network.Branch;
import parable.network.ContactCurrents;
import parable.network.Potential;
import parable.network.Solution;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Heater;
import parable.parts.Load;
import parable.parts.Machine;
import parable.parts.Part;

/**
 * What changes steadily between two events: motors speed up and run down, overload releases warm and cool. While a speed
 * changes, time goes on in steps of a millisecond; otherwise the next thing to happen is worked out in one go. Both are
 * independent of how often somebody looks.
 */
final class Physics {

    private static final long STEP = 1000;
    private static final double STEADY = 1e-6;
    private static final double STANDSTILL = 0.01;
    private static final double COLD = 1e-3;
    private static final double NO_CURRENT = 1e-9;

    private final Rig rig;
    private final int[] motors;
    private final int[] heaters;
    private final int[] speedSwitches;

    Physics(Rig rig) {
        this.rig = rig;
        motors = partsWhere(part -> part.machine().isPresent());
        heaters = partsWhere(part -> part.heater().isPresent());
        speedSwitches = partsWhere(part -> part.drive() instanceof Drive.BySpeed);
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
            MotorDrive drive = rig.motorDrive(motor, solution);
            if (!drive.equals(state.physical.drives[motor])) {
                state.physical.drives[motor] = drive;
                shareCurrents(state.physical, motor, solution);
                changed = true;
            }
        }
        if (changed) {
            state.physical.steppedTo = Math.max(state.physical.steppedTo, state.time / STEP * STEP);
            state.physical.unsteady = true;
            settleCurrents(state, state.time);
        }
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
        double strongest = IntStream.range(0, windings)
                .mapToDouble(w -> solution.loadCurrent(first + w).rms())
                .max()
                .orElse(0);
        physical.heaterShares[motor] = new double[heaters.length];
        physical.lineShares[motor] = 0;
        if (strongest < NO_CURRENT) {
            return;
        }
        ContactCurrents currents =
                ContactCurrents.of(solution, load -> load >= first && load < first + windings ? 1 : 0);
        physical.lineShares[motor] = solution.network().branches().stream()
                        .filter(branch -> branch.sort() == Branch.Sort.SOURCE && solution.conducts(branch))
                        .mapToDouble(branch -> currents.outOf(branch.to()).rms())
                        .max()
                        .orElse(0)
                / strongest;
        for (int h = 0; h < heaters.length; h++) {
            physical.heaterShares[motor][h] = throughPoles(heaters[h], currents) / strongest;
        }
    }

    private double throughPoles(int part, ContactCurrents currents) {
        List<Contact> contacts = rig.parts.get(part).contacts();
        return IntStream.range(0, contacts.size())
                .filter(c -> contacts.get(c).pole())
                .mapToDouble(c -> currents.through(rig.network.contact(part, c)).rms())
                .max()
                .orElse(0);
    }

    /** When something will happen by itself or a speed must be worked out, in microseconds; never if nothing changes. */
    long next(RunState state) {
        if (state.physical.unsteady) {
            return state.physical.steppedTo + STEP;
        }
        long next = Long.MAX_VALUE;
        for (int heater : heaters) {
            next = Math.min(next, crossing(state, heater));
        }
        return next;
    }

    /** When a release will trip or may be reset, if its current stays as it is. */
    private long crossing(RunState state, int index) {
        Heater heater = rig.parts.get(index).heater().orElseThrow();
        double heat = state.physical.heat[index];
        double end = Math.pow(state.physical.amperes[index] / heater.setting(), 2);
        boolean tripped = isTripped(state, index);
        double level = tripped ? Heater.RESETS_AT : Heater.TRIPS_AT;
        boolean reaches = tripped ? heater.automaticReset() && end < level : end > level;
        if (!reaches) {
            return Long.MAX_VALUE;
        }
        boolean alreadyThere = tripped ? heat <= level : heat >= level;
        double seconds = alreadyThere ? 0 : heater.timeConstant() * Math.log((end - heat) / (end - level));
        return Math.max(state.time, state.physical.heatTime[index] + (long) Math.ceil(seconds * 1e6) + 1);
    }

    private boolean isTripped(RunState state, int index) {
        return state.commanded[index]
                == rig.parts.get(index).heater().orElseThrow().tripPosition();
    }

    /** Goes on to the present time of the state, which is what {@link #next} said; returns the devices that move. */
    List<Reaction.Command> goOn(RunState state) {
        List<Reaction.Command> commands = new ArrayList<>();
        if (state.physical.unsteady) {
            step(state);
            for (int index : speedSwitches) {
                feelSpeed(state, index, commands);
            }
        }
        for (int index : heaters) {
            if (crossing(state, index) <= state.time) {
                Heater heater = rig.parts.get(index).heater().orElseThrow();
                boolean tripped = isTripped(state, index);
                settleHeat(state, index, state.time);
                commands.add(new Reaction.Command(index, tripped ? 0 : heater.tripPosition(), true));
            }
        }
        return commands;
    }

    private void step(RunState state) {
        state.physical.steppedTo += STEP;
        boolean unsteady = false;
        for (int motor : motors) {
            double before = state.physical.speed[motor];
            double after = speedAfterStep(motor, before, state.physical.drives[motor]);
            state.physical.speed[motor] = after;
            unsteady |= Math.abs(after - before) > STEADY;
        }
        settleCurrents(state, state.physical.steppedTo);
        state.physical.unsteady = unsteady;
    }

    private double speedAfterStep(int motor, double speed, MotorDrive drive) {
        Machine machine = rig.parts.get(motor).machine().orElseThrow();
        if (machine.locked()) {
            return 0;
        }
        double seconds = STEP / 1e6 / machine.runUp();
        double torque = machine.torque(speed, drive.forward(), drive.backward(), drive.brake());
        double resistance = machine.resistance(speed);
        if (speed == 0 && Math.abs(torque) <= resistance) {
            return 0;
        }
        double sense = speed == 0 ? Math.signum(torque) : Math.signum(speed);
        double after = speed + seconds * (torque - sense * resistance);
        boolean driven = Math.max(drive.forward(), drive.backward()) > STANDSTILL;
        boolean stops = speed != 0 && (after * speed <= 0 || !driven && Math.abs(after) < STANDSTILL);
        return stops && (!driven || Math.abs(torque) <= machine.resistance(0)) ? 0 : after;
    }

    private void feelSpeed(RunState state, int index, List<Reaction.Command> commands) {
        Drive.BySpeed by = (Drive.BySpeed) rig.parts.get(index).drive();
        double speed = rig.network
                .assembly()
                .indexOf(by.motor())
                .map(motor -> Math.abs(state.physical.speed[motor]))
                .orElse(0.0);
        int position = speed > by.threshold() ? 1 : 0;
        if (position != state.commanded[index]) {
            commands.add(new Reaction.Command(index, position, false));
        }
    }

    /** Works out the currents through all releases anew, from a time on. */
    private void settleCurrents(RunState state, long time) {
        for (int h = 0; h < heaters.length; h++) {
            double amperes = 0;
            for (int motor : motors) {
                amperes += state.physical.heaterShares[motor][h] * amperes(state, motor);
            }
            settleHeat(state, heaters[h], time);
            state.physical.amperes[heaters[h]] = amperes;
        }
    }

    private void settleHeat(RunState state, int index, long time) {
        PhysicalState physical = state.physical;
        double seconds = Math.max(0, time - physical.heatTime[index]) / 1e6;
        double heat = rig.parts
                .get(index)
                .heater()
                .orElseThrow()
                .after(physical.heat[index], physical.amperes[index], seconds);
        physical.heat[index] = heat < COLD && physical.amperes[index] == 0 ? 0 : heat;
        physical.heatTime[index] = Math.max(time, physical.heatTime[index]);
    }

    private double amperes(RunState state, int motor) {
        MotorDrive drive = state.physical.drives[motor];
        return rig.parts
                .get(motor)
                .machine()
                .orElseThrow()
                .amperes(state.physical.speed[motor], drive.forward(), drive.backward());
    }

    /** The drive of a motor with these voltages, for whoever has no physics at hand. */
    static MotorDrive drive(Part motor, Potential u, Potential v, Potential w) {
        Load winding = motor.loads().get(0);
        double ratedAmperes = motor.machine().orElseThrow().ratedAmperes();
        return MotorDrive.of(u, v, w, winding.rated().volts(), 1 / winding.directOhms() / ratedAmperes);
    }

    /** Adds the present of all motors to a trace. */
    void trace(RunState state, Trace trace, boolean event) {
        for (int motor : motors) {
            double amperes = state.physical.lineShares[motor] * amperes(state, motor);
            trace.add(motor, new Sample(state.time, state.physical.speed[motor], amperes), event);
        }
    }
}
