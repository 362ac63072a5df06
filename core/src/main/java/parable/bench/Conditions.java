package parable.bench;

import parable.network.Solution;
import parable.parts.Part;

/** Tells what condition a device is in. */
final class Conditions {

    /** The share of rated voltage from which a lamp is lit. */
    static final double ENOUGH = 0.85;

    private static final double GLOWS = 0.2;

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
            case BREAKER -> arrived ? Condition.CLOSED : itself ? Condition.TRIPPED : Condition.OPEN;
            case ISOLATOR -> arrived ? Condition.CLOSED : Condition.OPEN;
            case FUSE -> arrived ? Condition.CLOSED : itself ? Condition.BLOWN : Condition.OPEN;
            case PUSH_BUTTON -> state.commanded[index] == 1 ? Condition.PRESSED : Condition.RELEASED;
            case SELECTOR -> state.commanded[index] == 0 ? Condition.AT_REST : Condition.TURNED;
            case EMERGENCY_STOP -> state.commanded[index] == 1 ? Condition.HIT : Condition.RELEASED;
            case MACHINE_SWITCH -> state.commanded[index] == 1 ? Condition.ACTUATED : Condition.RELEASED;
            case INTERLOCK, RESISTOR -> Condition.FITTED;
            case CONVERTER -> rig.shareOfRated(index, 0, solution) >= ENOUGH ? Condition.PRESENT : Condition.LOST;
            case HORN -> rig.shareOfRated(index, 0, solution) >= ENOUGH ? Condition.SOUNDING : Condition.SILENT;
            case SOLENOID -> rig.shareOfRated(index, 0, solution) >= ENOUGH ? Condition.IN : Condition.OUT;
            case SUPPLY -> arrived ? Condition.PRESENT : Condition.LOST;
            case PILOT_LAMP -> lamp(rig.shareOfRated(index, 0, solution));
            case MOTOR -> rig.motorDrive(index, solution)
                    .condition(
                            state.physical.speed[index],
                            part.machine().orElseThrow().locked());
        };
    }

    private static Condition lamp(double share) {
        if (share >= ENOUGH) {
            return Condition.LIT;
        }
        return share >= GLOWS ? Condition.DIM : Condition.DARK;
    }
}
