package parable.bench;

import parable.network.Solution;
import parable.parts.Part;
import parable.parts.Turning;

/** Tells what condition a device is in. */
final class Conditions {

    /** The share of rated voltage from which a lamp is lit. */
    static final double ENOUGH = 0.85;

    /** The share of rated voltage from which a lamp glows and a winding is taken for fed. */
    static final double GLOWS = 0.2;

    private final Rig rig;

    Conditions(Rig rig) {
        this.rig = rig;
    }

    Condition of(int index, RunState state, Solution solution) {
        Part part = rig.parts.get(index);
        boolean arrived = rig.arrived(index, state);
        boolean itself = state.openedItself.get(index);
        return switch (part.family()) {
            case CONTACTOR, CONTROL_RELAY, TIMER -> arrived ? Condition.IN : Condition.OUT;
            case OVERLOAD_RELAY -> arrived ? Condition.TRIPPED : Condition.HEALTHY;
            case BREAKER -> arrived
                    ? Condition.CLOSED
                    : itself || isTripped(part, index, state) ? Condition.TRIPPED : Condition.OPEN;
            case ISOLATOR -> arrived ? Condition.CLOSED : Condition.OPEN;
            case FUSE -> fuse(part, arrived, itself, state);
            case PUSH_BUTTON -> state.commanded[index] == 1 ? Condition.PRESSED : Condition.RELEASED;
            case SELECTOR, DRUM_SWITCH -> state.commanded[index] == 0 ? Condition.AT_REST : Condition.TURNED;
            case EMERGENCY_STOP -> state.commanded[index] == 1 ? Condition.HIT : Condition.RELEASED;
            case MACHINE_SWITCH -> state.commanded[index] == 1 ? Condition.ACTUATED : Condition.RELEASED;
            case INTERLOCK, RESISTOR, METALWORK -> Condition.FITTED;
            case CONVERTER -> rig.shareOfRated(index, 0, solution) >= ENOUGH ? Condition.PRESENT : Condition.LOST;
            case CONTROLLER -> state.controller.awake() ? Condition.RUNNING : Condition.HALTED;
            case HORN -> rig.shareOfRated(index, 0, solution) >= ENOUGH ? Condition.SOUNDING : Condition.SILENT;
            case SOLENOID -> rig.shareOfRated(index, 0, solution) >= ENOUGH ? Condition.IN : Condition.OUT;
            case SUPPLY -> arrived ? Condition.PRESENT : Condition.LOST;
            case PILOT_LAMP -> lamp(rig.shareOfRated(index, 0, solution));
            case MOTOR -> motor(index, state, solution);
        };
    }

    /** Whether the release has tripped, by heat, by a short circuit or by its test button. */
    private static boolean isTripped(Part breaker, int index, RunState state) {
        return breaker.heater()
                .filter(heater -> heater.tripPosition() > 1 && state.commanded[index] == heater.tripPosition())
                .isPresent();
    }

    private static Condition fuse(Part fuse, boolean arrived, boolean itself, RunState state) {
        boolean found = state.faults.contains(new Fault(Fault.Kind.BLOWN, fuse.tag(), ""));
        if (arrived && !found) {
            return Condition.CLOSED;
        }
        return itself || found ? Condition.BLOWN : Condition.OPEN;
    }

    private Condition motor(int index, RunState state, Solution solution) {
        double speed = state.physical.speed[index];
        Turning turning = rig.excitation(index, solution).turning(speed);
        boolean driven = turning != Turning.NONE && turning != Turning.BRAKED;
        if (driven && rig.isLocked(index, state)) {
            return Condition.LOCKED;
        }
        return switch (turning) {
            case FORWARD -> Condition.FORWARD;
            case REVERSE -> Condition.REVERSE;
            case HUMMING -> Condition.SINGLE_PHASED;
            case BRAKED -> speed == 0 ? Condition.STOPPED : Condition.BRAKED;
            case NONE -> speed == 0 ? Condition.STOPPED : Condition.COASTING;
        };
    }

    private static Condition lamp(double share) {
        if (share >= ENOUGH) {
            return Condition.LIT;
        }
        return share >= GLOWS ? Condition.DIM : Condition.DARK;
    }
}
