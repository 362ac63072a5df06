package parable.starters;

import java.util.List;
import parable.circuit.Circuit;
import parable.circuit.Edit;
import parable.circuit.Practice;
import parable.circuit.Sheet;

/** Starters as they are drawn wrong: each a starter of the library with one mistake made in it. */
final class BadExamples {

    private static final MotorData PUMP = MotorData.on400V("Pump", "machine", "2.2 kW");
    private static final MotorData PLATEN = MotorData.on400V("Press platen", "machine", "4 kW");

    private static final MotorData MILL =
            MotorData.on400V("Apple mill", "mill floor", "18.5 kW").driving("mill", "20 %", "4 s");

    private BadExamples() {}

    static List<Sheet> all() {
        return List.of(
                twoBlockJog(),
                stopsInParallel(),
                missingSealIn(),
                overloadNotWiredIn(),
                noInterlock(),
                electricalInterlockOnly(),
                doubleSwap(),
                deltaLeadsExchanged(),
                deltaLeadOnTheLineSide(),
                suppliesJoined());
    }

    private static Sheet plain(String name) {
        return Starter.of(Wish.of(name, Practice.IEC, PUMP).with(ControlSupply.LINE_TO_NEUTRAL))
                .sheet();
    }

    private static Wish reversing(String name) {
        return Wish.of(name, Practice.IEC, PLATEN)
                .with(ControlSupply.LINE_TO_NEUTRAL)
                .with(Directions.STOP_FIRST)
                .with(EmergencyStop.ONE)
                .showing(Lamp.RUNNING);
    }

    private static Sheet twoBlockJog() {
        return Starter.of(Wish.of("Two-block jog", Practice.IEC, PUMP)
                        .with(ControlSupply.LINE_TO_NEUTRAL)
                        .with(Jogging.TWO_BLOCK_BUTTON))
                .sheet();
    }

    /** Each stop bridges the other. */
    private static Sheet stopsInParallel() {
        SheetDraft draft = new SheetDraft(plain("Stops in parallel"));
        draft.device("push-button", "S2", "Stop", "wash floor", "blocks", "11-12", "colour", "red");
        draft.rung("@3 S2[11-12] @4 ; each stop bridges the other");
        return draft.sheet();
    }

    private static Sheet missingSealIn() {
        return new SheetDraft(plain("Missing seal-in"))
                .take(Circuit.CONTROL, "@4 K1[13-14]")
                .sheet();
    }

    /** The overload relay lights a lamp and stops nothing. */
    private static Sheet overloadNotWiredIn() {
        SheetDraft draft = new SheetDraft(plain("Overload not wired in"));
        draft.device("pilot-lamp", "P3", "Tripped", "door", "lamp", "230 V AC", "colour", "yellow");
        draft.replace(
                Circuit.CONTROL, "L F2[95-96]", "L S0[11-12] @4 S1[13-14] @5 K1[A1-A2] N ; the overload only reports");
        draft.rung("L F2[97-98] @6 P3[X1-X2] N");
        return draft.sheet();
    }

    private static Sheet noInterlock() {
        SheetDraft draft = new SheetDraft(Starter.of(reversing("No interlock")).sheet());
        draft.make(new Edit.TakeDevice("X1"));
        draft.replace(
                Circuit.CONTROL,
                "L F2[95-96]",
                "L F2[95-96] @3 S4[11-12] @4 S0[11-12] @5 S1[13-14] @6 K1[A1-A2] N ; forward");
        draft.replace(Circuit.CONTROL, "@5 S2[13-14]", "@5 S2[13-14] @8 K2[A1-A2] N ; reverse");
        return draft.sheet();
    }

    private static Sheet electricalInterlockOnly() {
        return new SheetDraft(Starter.of(reversing("Electrical interlock only")).sheet())
                .make(new Edit.TakeDevice("X1"))
                .sheet();
    }

    /** The lines are exchanged above the contactor and below it, which cancels. */
    private static Sheet doubleSwap() {
        return new SheetDraft(Starter.of(reversing("Double swap")).sheet())
                .replace(Circuit.POWER, "@1L1 K2[1-2]", "@1L3 K2[1-2] @2L3")
                .replace(Circuit.POWER, "@1L3 K2[5-6]", "@1L1 K2[5-6] @2L1")
                .sheet();
    }

    private static SheetDraft starDelta(String name) {
        return new SheetDraft(Starter.of(Wish.of(name, Practice.IEC, MILL)
                        .with(ControlSupply.LINE_TO_NEUTRAL)
                        .with(Running.STAR_DELTA_BY_STAR))
                .sheet());
    }

    /** Two delta leads exchanged: one winding has both its ends on one line. */
    private static Sheet deltaLeadsExchanged() {
        return starDelta("Delta leads exchanged")
                .replace(Circuit.POWER, "@1L1 KD[1-2]", "@1L1 KD[1-2] @W2")
                .replace(Circuit.POWER, "@1L2 KD[3-4]", "@1L2 KD[3-4] @V2")
                .sheet();
    }

    /** A delta lead on the beginning of a winding: two lines meet there when delta closes. */
    private static Sheet deltaLeadOnTheLineSide() {
        return starDelta("Delta lead on the line side")
                .replace(Circuit.POWER, "@1L2 KD[3-4]", "@1L2 KD[3-4] @U1")
                .sheet();
    }

    /** A start button brings line voltage onto the horn's 24 V, and the two returns are one. */
    private static Sheet suppliesJoined() {
        SheetDraft draft = new SheetDraft(plain("Supplies joined"));
        draft.rail("L24", "11");
        draft.rail("M24", "12");
        draft.device("push-button", "S1", "Start", "door", "blocks", "13-14 23-24", "colour", "green");
        draft.device("dc-supply", "G2", "Horn supply", "panel", "input", "230 V AC", "output", "24 V DC");
        draft.power("@PE G2[PE]");
        draft.device("horn", "H1", "Horn", "wash floor", "rated", "24 V DC");
        draft.device("control-relay", "KA", "Horn relay", "panel", "coil", "230 V AC", "changeovers", "1");
        draft.power("G2[+] L24");
        draft.power("G2[-] M24");
        draft.rung("L G2[L-N] N");
        draft.rung("L24 KA[11-12] @13 H1[X1-X2] M24 ; horn");
        draft.rung("L S1[23-24] @13 ; line voltage onto the horn's supply");
        draft.rung("M24 N ; the two returns joined");
        return draft.sheet();
    }
}
