package parable.starters;

import java.util.List;
import parable.circuit.Duty;

/**
 * Motors that are reversed by hand with a drum switch. There is no coil and so no no-volt release: when the power fails and
 * returns with the switch on, the motor starts again by itself.
 */
final class HandOperated {

    /** What a motor of 0.75 kW takes from one phase of 230 V. */
    private static final String SINGLE_PHASE_AMPERES = "5.5 A";

    /** What armature and field of a motor of 0.75 kW take from 180 V. */
    private static final String DIRECT_AMPERES = "5.3 A";

    private static final String DRUM = "S1";
    private static final List<String> REASONS = List.of(
            "Drum switch: the hand switches the motor itself; there are no contactors, no seal-in and no wiring of a ladder.",
            "No coil, no no-volt release: when power returns with the switch on, the motor starts by itself.");
    private static final List<String> WITH_FIELD_RELAY = List.of(
            "Drum switch: the hand reverses the armature and switches the field; there is no seal-in and no wiring of a ladder.",
            "A relay in the field's circuit lets the armature's contactor in: without its field the motor would run away or stall.",
            "Nothing holds: when power returns with the switch on, the motor starts by itself.");

    private HandOperated() {}

    /** Three phases, two lines exchanged. */
    static Starter threePhase(String name, MotorData motor) {
        SheetDraft draft = SheetDraft.named(name, Duty.AUTOMATIC_RESTART);
        draft.device(
                "three-phase-supply",
                "G1",
                "Incoming supply",
                "panel",
                "voltage",
                motor.voltage(),
                "frequency",
                "50 Hz");
        draft.device("motor-protective-breaker", "Q1", "Motor breaker", "panel", "setting", motor.current());
        drum(draft, motor, "");
        draft.device(
                "three-phase-motor",
                "M1",
                motor.label(),
                motor.place(),
                "voltage",
                motor.voltage(),
                "power",
                motor.power(),
                "current",
                motor.current());
        draft.power("G1[L1] @L1 Q1[1-2] @1L1 S1[1-2] @U M1[U1]");
        draft.power("G1[L2] @L2 Q1[3-4] @1L2 S1[3-4] @V M1[V1]");
        draft.power("G1[L3] @L3 Q1[5-6] @1L3 S1[5-6] @W M1[W1]");
        draft.power("@1L2 S1[3-6] @W");
        draft.power("@1L3 S1[5-4] @V");
        Metalwork.draw(draft, number -> "UC" + number, "G1", "M1");
        return new Starter(draft.sheet(), REASONS);
    }

    /** One phase, the ends of the start winding exchanged; from standstill only. */
    static Starter singlePhase(String name, MotorData motor) {
        SheetDraft draft = SheetDraft.named(name, Duty.AUTOMATIC_RESTART);
        supply(draft);
        draft.device("motor-protective-breaker", "Q1", "Motor breaker", "panel", "setting", SINGLE_PHASE_AMPERES);
        drum(draft, motor, "");
        draft.device(
                "single-phase-motor",
                "M1",
                motor.label(),
                motor.place(),
                "voltage",
                "230 V AC",
                "power",
                motor.power(),
                "current",
                SINGLE_PHASE_AMPERES,
                "drives",
                motor.drives(),
                "load",
                motor.load(),
                "run-up",
                motor.runUp());
        draft.power(
                "G1[L] @L Q1[1-2] @2L Q1[5-6] @1L S1[1-2] @U M1[U1-U2] @1N Q1[4-3] @N G1[N] ; through all three poles");
        draft.power("@U S1[3-4] @Z1 M1[Z1-Z2] @Z2 S1[6-5] @1N");
        draft.power("@U S1[3-6] @Z2");
        draft.power("@1N S1[5-4] @Z1");
        Metalwork.draw(draft, number -> "UC" + number, "G1", "M1");
        return new Starter(draft.sheet(), REASONS);
    }

    /**
     * Direct current, the ends of the armature exchanged, the shunt field always the same way round. A relay in the field's circuit lets the contactor of
     * the armature in: without its field an unloaded motor runs away, a loaded one stalls (overspeed, IEC 60204-1, 7.6).
     */
    static Starter directCurrent(String name, MotorData motor) {
        SheetDraft draft = SheetDraft.named(name, Duty.AUTOMATIC_RESTART);
        feed(draft, motor);
        draft.device(
                "dc-supply",
                "G2",
                "DC supply",
                "panel",
                "input",
                "230 V AC",
                "output",
                "180 V DC",
                "minus",
                "grounded");
        draft.device(
                "motor-protective-breaker",
                "Q2",
                "Motor breaker",
                "panel",
                "setting",
                DIRECT_AMPERES,
                "phase-loss",
                "insensitive");
        drum(draft, motor, "1-2=reverse,forward 3-4=forward 5-6=forward 3-6=reverse 5-4=reverse");
        draft.device(
                "dc-motor",
                "M1",
                motor.label(),
                motor.place(),
                "field",
                "shunt",
                "voltage",
                "180 V DC",
                "power",
                motor.power(),
                "current",
                DIRECT_AMPERES,
                "drives",
                motor.drives(),
                "load",
                motor.load(),
                "run-up",
                motor.runUp());
        draft.device("control-relay", "K1", "Field has current", "panel", "coil", "12 V DC", "holding", "3.1 VA");
        draft.device("contactor", "K2", "Armature", "panel", "coil", "230 V AC", "aux", "");
        draft.device("fuse", "F1", "Control fuse", "panel", "rated", "2 A");
        draft.power("G1[L] @L Q1[1-2] @1L G2[L-N] @1N Q1[4-3] @N G1[N]");
        draft.power("G2[+] @30 Q2[1-2] @31 Q2[3-4] @P K2[1-2] @33 K2[3-4] @Q S1[3-4] @A1 M1[A1-A2] @A2 S1[6-5] @M"
                + " ; through all three poles");
        draft.power("@Q S1[3-6] @A2");
        draft.power("@M S1[5-4] @A1");
        draft.power("@P S1[1-2] @F M1[F1-F2] @F2 K1[A1-A2] @M ; the field, and a relay that feels its current");
        draft.power("G2[-] @32 Q2[6-5] @M");
        draft.power("@1L F1[1-2] @1 K1[11-14] @2 K2[A1-A2] @1N ; no armature without a field");
        Metalwork.draw(draft, number -> "UC" + number, "G1", "M1");
        return new Starter(draft.sheet(), WITH_FIELD_RELAY);
    }

    private static void supply(SheetDraft draft) {
        draft.device(
                "single-phase-supply", "G1", "Incoming supply", "panel", "voltage", "230 V AC", "frequency", "50 Hz");
    }

    private static void feed(SheetDraft draft, MotorData motor) {
        supply(draft);
        draft.device("circuit-breaker", "Q1", "Supply breaker", "panel", "poles", "2", "rated", "16 A");
    }

    private static void drum(SheetDraft draft, MotorData motor, String blocks) {
        draft.device("drum-switch", DRUM, "Reversing switch", motor.place(), "blocks", blocks);
    }
}
