package parable.starters;

import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.program.Program;
import parable.program.ProgramException;
import parable.program.StructuredText;
import parable.program.StructuredTextException;

/**
 * A reversing starter whose logic is a program: breaker supervised and tripped on a contactor that sticks, buttons that light and blink, no
 * start while the motor may still turn.
 */
final class BottleRinser {

    private static final String PROGRAM =
            """
            PROGRAM Bottle_rinser
            VAR
                S4 AT %IX0.0 : BOOL; (* S4 21-22, E-stop not hit *)
                Q1 AT %IX0.1 : BOOL; (* Q1 13-14, breaker closed *)
                S0 AT %IX0.2 : BOOL; (* S0 11-12, Stop *)
                S1 AT %IX0.3 : BOOL; (* S1 13-14, Forward *)
                S2 AT %IX0.4 : BOOL; (* S2 13-14, Reverse *)
                K1_in AT %IX0.5 : BOOL; (* K1 13-14, forward is in *)
                K2_in AT %IX0.6 : BOOL; (* K2 13-14, reverse is in *)
                F2 AT %IX0.7 : BOOL; (* F2 97-98, overload tripped *)
                K1 AT %QX0.0 : BOOL; (* Forward *)
                K2 AT %QX0.1 : BOOL; (* Reverse *)
                Q1_trip AT %QX0.4 : BOOL; (* shunt trip of the breaker *)
                S1_lamp AT %QX1.0 : BOOL; (* runs forward *)
                S2_lamp AT %QX1.1 : BOOL; (* runs in reverse *)
                S0_lamp AT %QX1.2 : BOOL; (* blinks: runs down; steady: may be started *)
                P1 AT %QX1.3 : BOOL; (* fault *)
                released : BOOL; (* nothing stops it *)
                spin : TOF; (* the motor may still turn *)
                on : TON; (* blinking, half a period *)
                off : TON; (* blinking, the other half *)
                K1_late : TON; (* K1 does not do as told *)
                K2_late : TON; (* K2 does not do as told *)
            END_VAR

            (* what must be so for anything to run *)
            released := S4 AND NOT F2 AND Q1 AND S0;

            (* runs or runs down *)
            spin(IN := K1_in OR K2_in, PT := T#4s);

            (* forward *)
            K1 := released AND NOT K2 AND NOT K2_in AND (S1 AND NOT spin.Q OR K1 AND K1_in);

            (* reverse *)
            K2 := released AND NOT K1 AND NOT K1_in AND (S2 AND NOT spin.Q OR K2 AND K2_in);

            (* blinking *)
            on(IN := NOT off.Q, PT := T#400ms);

            off(IN := on.Q, PT := T#400ms);

            (* the button that was pressed is lit while the motor runs *)
            S1_lamp := K1_in;

            S2_lamp := K2_in;

            (* the stop button tells when it may be started again *)
            S0_lamp := released AND NOT K1_in AND NOT K2_in AND (on.Q OR NOT spin.Q);

            (* forward was told one thing and does another *)
            K1_late(IN := K1 AND NOT K1_in OR NOT K1 AND K1_in, PT := T#1s);

            (* reverse was told one thing and does another *)
            K2_late(IN := K2 AND NOT K2_in OR NOT K2 AND K2_in, PT := T#1s);

            (* a contactor that is in without being told is cut off by the breaker *)
            Q1_trip := NOT K1 AND K1_late.Q OR NOT K2 AND K2_late.Q;

            (* something is wrong *)
            P1 := F2 OR NOT Q1 OR K1_late.Q OR K2_late.Q;

            END_PROGRAM
            """;

    private BottleRinser() {}

    static Sheet sheet() {
        MotorData motor =
                MotorData.on400V("Bottle rinser", "machine", "0.75 kW").driving("conveyor", "40 %", "0.6 s");
        Wish wish = Wish.of("Bottle rinser", Practice.IEC, motor)
                .with(Directions.STOP_FIRST)
                .with(EmergencyStop.ONE);
        SheetDraft draft = new SheetDraft(Starter.withoutLadder(wish));
        draft.replace(
                Circuit.POWER,
                "@1L1 F1[1-2]",
                "@L1 F1[1-2] @H1 T1[H1-H4] @H4 F3[2-1] @L2 ; excepted circuit: live while the breaker is open");
        draft.device(
                "circuit-breaker",
                "Q1",
                "Motor breaker",
                "panel",
                "rated",
                motor.breaker(),
                "aux",
                "13-14",
                "release",
                "shunt",
                "release-voltage",
                "230 V AC");
        devices(draft);
        draft.rail("P", "31");
        draft.rail("M", "32");
        draft.power("G2[+] @33 F5[1-2] P ; 24 V behind its own fuse");
        draft.power("G2[-] M");
        rungs(draft);
        Metalwork.draw(draft, number -> "UC" + number, "G1", "M1");
        return draft.sheet().withProgram(Optional.of(program()));
    }

    private static void devices(SheetDraft draft) {
        draft.device(
                "dc-supply",
                "G2",
                "24 V supply",
                "panel",
                "input",
                "230 V AC",
                "output",
                "24 V DC",
                "rated",
                "2.5 A",
                "minus",
                "grounded");
        draft.device("fuse", "F5", "Fuse of the 24 V", "panel", "rated", "2 A");
        draft.device(
                "controller",
                "A1",
                "Controller",
                "panel",
                "inputs",
                "8",
                "outputs",
                "12",
                "group",
                "4",
                "output",
                "relay");
        draft.device("emergency-stop", "S4", "E-stop", "door", "blocks", "11-12 21-22");
        button(draft, "S0", "Stop", "11-12", "red");
        button(draft, "S1", "Forward", "13-14", "white");
        button(draft, "S2", "Reverse", "13-14", "white");
        draft.device("pilot-lamp", "P1", "Fault", "door", "lamp", "24 V DC", "colour", "yellow");
        draft.device("control-relay", "KA1", "Output of K1", "panel", "coil", "24 V DC", "changeovers", "1");
        draft.device("control-relay", "KA2", "Output of K2", "panel", "coil", "24 V DC", "changeovers", "1");
    }

    private static void button(SheetDraft draft, String tag, String label, String blocks, String colour) {
        draft.device("illuminated-button", tag, label, "door", "blocks", blocks, "lamp", "24 V DC", "colour", colour);
    }

    private static void rungs(SheetDraft draft) {
        draft.rung("L G2[L-N] N ; 24 V for the controller");
        draft.rung("P A1[+--] M ; supply of the controller");
        draft.rung("P S4[21-22] @3 A1[I0-IC] M ; E-stop not hit");
        draft.rung("P Q1[13-14] @4 A1[I1-IC] M ; breaker closed");
        draft.rung("P S0[11-12] @5 A1[I2-IC] M ; stop");
        draft.rung("P S1[13-14] @6 A1[I3-IC] M ; forward");
        draft.rung("P S2[13-14] @7 A1[I4-IC] M ; reverse");
        draft.rung("P K1[13-14] @8 A1[I5-IC] M ; forward is in");
        draft.rung("P K2[13-14] @9 A1[I6-IC] M ; reverse is in");
        draft.rung("P F2[97-98] @10 A1[I7-IC] M ; overload tripped");
        draft.rung("P A1[QC0-Q0] @11 KA1[A1-A2] M ; forward");
        draft.rung("P A1[QC0-Q1] @12 KA2[A1-A2] M ; reverse");
        draft.rung("P A1[QC2-Q8] @24 S1[X1-X2] M ; runs forward");
        draft.rung("P A1[QC2-Q9] @14 S2[X1-X2] M ; runs in reverse");
        draft.rung("P A1[QC2-Q10] @15 S0[X1-X2] M ; blinks while it runs down");
        draft.rung("P A1[QC2-Q11] @16 P1[X1-X2] M ; fault");
        draft.rung("L F2[95-96] @17 S4[11-12] @18 KA1[11-14] @19 K2[21-22] @20 K1[A1-A2] N ; forward");
        draft.rung("@18 KA2[11-14] @21 K1[21-22] @22 K2[A1-A2] N ; reverse");
        draft.rung("L A1[QC1-Q4] @23 Q1[C1-C2] N ; trips the breaker if a contactor sticks");
    }

    private static Program program() {
        try {
            return StructuredText.read(PROGRAM);
        } catch (StructuredTextException | ProgramException unreadable) {
            throw new IllegalStateException("the library writes what is no program", unreadable);
        }
    }
}
