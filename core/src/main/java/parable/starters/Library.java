package parable.starters;

import java.util.List;
import java.util.stream.Stream;
import parable.circuit.Extras;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;

/** The jobs that ship with the program: two works with all their starters, the variants of each starter, and bad examples. */
public final class Library {

    private Library() {}

    /** Drawn when first asked for. */
    private static final class Drawn {

        static final List<Job> JOBS =
                List.of(pressHouse(), iceHouse(), lampBoard(), directVariants(), furtherVariants(), badExamples());
    }

    /** All jobs. */
    public static List<Job> jobs() {
        return Drawn.JOBS;
    }

    private static Job job(String name, Practice practice, List<Sheet> sheets) {
        return new Job(name, practice, sheets, Extras.NONE);
    }

    /** With one motor and two control devices at most, so that its control may be from line to neutral (IEC 60204-1, 9.1.1). */
    private static Wish simple(String name, MotorData motor) {
        return Wish.of(name, Practice.IEC, motor).with(ControlSupply.LINE_TO_NEUTRAL);
    }

    private static Wish iec(String name, MotorData motor) {
        return Wish.of(name, Practice.IEC, motor);
    }

    private static Wish american(String name, MotorData motor) {
        return Wish.of(name, Practice.NORTH_AMERICAN, motor);
    }

    private static List<Sheet> drawn(Wish... wishes) {
        return Stream.of(wishes).map(wish -> Starter.of(wish).sheet()).toList();
    }

    /** The cider works. */
    static Job pressHouse() {
        MotorData pump =
                MotorData.on400V("Fruit wash pump", "wash floor", "2.2 kW").driving("pump", "", "");
        MotorData mill = MotorData.on400V("Apple mill", "mill floor", "18.5 kW").driving("mill", "20 %", "4 s");
        MotorData platen = MotorData.on400V("Press platen", "machine", "4 kW").driving("conveyor", "", "");
        MotorData auger = MotorData.on400V("Pomace auger", "machine", "2.2 kW").driving("conveyor", "", "");
        MotorData separator = MotorData.on400V("Separator", "machine", "5.5 kW").driving("mill", "10 %", "3 s");
        MotorData feeder =
                MotorData.on400V("Mill feeder", "mill floor", "2.2 kW").driving("conveyor", "", "");
        List<Sheet> relays = drawn(
                iec("Wash pump", pump)
                        .from("door", "wash floor")
                        .with(EmergencyStop.ONE)
                        .showing(Lamp.RUNNING, Lamp.STOPPED, Lamp.TRIPPED),
                simple("Mill", mill)
                        .with(Running.STAR_DELTA_BY_STAR)
                        .with(EmergencyStop.ONE)
                        .showing(Lamp.RUNNING, Lamp.TRIPPED),
                iec("Press platen", platen)
                        .with(Directions.STOP_FIRST)
                        .with(EndSwitches.STOP)
                        .with(EmergencyStop.ONE)
                        .showing(Lamp.RUNNING),
                simple("Pomace auger", auger)
                        .with(Jogging.SELECTOR)
                        .with(EmergencyStop.ONE)
                        .showing(Lamp.RUNNING),
                simple("Mill start warning", feeder).with(Warning.FROM_POWER_UP),
                simple("Juice separator", separator)
                        .with(Braking.UNTIL_STANDSTILL)
                        .showing(Lamp.RUNNING));
        return job(
                "Tern Hollow press house",
                Practice.IEC,
                Stream.concat(relays.stream(), Stream.of(BottleRinser.sheet())).toList());
    }

    /** The ice house. */
    static Job iceHouse() {
        MotorData pump = MotorData.on480V("Glycol pump", "machine", "5 hp").driving("pump", "", "");
        MotorData crusher = MotorData.on480V("Ice crusher", "machine", "15 hp").driving("mill", "60 %", "3 s");
        MotorData auger = MotorData.on480V("Ice auger", "machine", "3 hp").driving("conveyor", "", "");
        MotorData compressor =
                MotorData.on480V("Compressor", "machine", "30 hp").driving("mill", "20 %", "2 s");
        MotorData fan = MotorData.on480V("Evaporator fan", "machine", "2 hp").driving("fan", "", "4 s");
        return job(
                "Pike Landing ice house",
                Practice.NORTH_AMERICAN,
                drawn(
                        american("Glycol pump", pump)
                                .from("door", "pump room", "roof")
                                .showing(Lamp.RUNNING, Lamp.STOPPED),
                        american("Crusher", crusher).with(Directions.BUTTON_INTERLOCK),
                        american("Ice auger", auger).with(Jogging.RELAY),
                        american("Compressor", compressor).with(Running.STAR_DELTA_DIRECT),
                        american("Fan", fan).with(Starting.HAND_OFF_AUTO).showing(Lamp.RUNNING)));
    }

    /** A starter with every lamp. */
    static Job lampBoard() {
        MotorData pump =
                MotorData.on400V("Fruit wash pump", "wash floor", "2.2 kW").driving("pump", "", "");
        SheetDraft draft = new SheetDraft(
                Starter.of(iec("Lamp board", pump).with(EmergencyStop.ONE).showing(Lamp.values()))
                        .sheet());
        draft.device("push-button", "S5", "Level", "door", "blocks", "13-14", "colour", "black");
        draft.device("control-relay", "K2", "Level reached", "panel", "coil", "230 V AC", "changeovers", "1");
        draft.device("pilot-lamp", "P6", "Filling", "door", "lamp", "230 V AC", "colour", "blue");
        draft.device("pilot-lamp", "P7", "Full", "door", "lamp", "230 V AC", "colour", "blue");
        draft.rung("L S5[13-14] @10 K2[A1-A2] N ; level");
        draft.rung("L K2[11-12] @11 P6[X1-X2] N ; exactly one of the two is on");
        draft.rung("L K2[11-14] @12 P7[X1-X2] N");
        return job("Tern Hollow lamp board", Practice.IEC, List.of(draft.sheet()));
    }

    /** The variants of a starter with one direction, direct on line. */
    static Job directVariants() {
        MotorData motor = MotorData.on400V("Cellar pump", "cellar", "2.2 kW").driving("pump", "", "");
        MotorData saw = MotorData.on400V("Crate saw", "yard", "5.5 kW").driving("mill", "10 %", "3 s");
        return job(
                "Tern Hollow direct starters",
                Practice.IEC,
                drawn(
                        simple("Two-wire", motor).with(Starting.TWO_WIRE),
                        simple("Hand off auto", motor).with(Starting.HAND_OFF_AUTO),
                        simple("Breaker auxiliary", motor)
                                .with(ProtectiveDevice.MOTOR_PROTECTIVE_BREAKER)
                                .showing(Lamp.TRIPPED),
                        simple("Overload contact last", motor).with(OverloadContact.LAST),
                        iec("Transformer", motor).with(ControlSupply.TRANSFORMER),
                        iec("24 V DC", motor).with(ControlSupply.DC_24).showing(Lamp.RUNNING),
                        iec("24 V relay", motor)
                                .with(ControlSupply.DC_24_WITH_RELAY)
                                .showing(Lamp.RUNNING),
                        iec("Three stations", motor)
                                .from("door", "cellar", "yard")
                                .with(EmergencyStop.ONE),
                        simple("Jog relay", motor).with(Jogging.RELAY),
                        simple("Warning at start", motor).with(Warning.FROM_START),
                        simple("Timed brake", saw).with(Braking.TIMED).showing(Lamp.RUNNING),
                        simple("By controller", motor)
                                .with(ControlBy.CONTROLLER)
                                .showing(Lamp.RUNNING)));
    }

    /** The variants of reversing, star-delta and hand-operated starters. */
    static Job furtherVariants() {
        MotorData gate = MotorData.on400V("Bin gate", "yard", "1.5 kW").driving("conveyor", "", "");
        MotorData fan = MotorData.on400V("Drying fan", "loft", "18.5 kW").driving("fan", "40 %", "4 s");
        MotorData hoist = MotorData.on400V("Crate hoist", "yard", "0.75 kW").driving("hoist", "", "");
        List<Sheet> drawn = drawn(
                iec("Travel turned round", gate).with(Directions.STOP_FIRST).with(EndSwitches.TURN_ROUND),
                simple("Direct change", gate).with(Directions.BUTTON_INTERLOCK),
                simple("Direction selector", gate).with(Directions.SELECTOR).showing(Lamp.RUNNING),
                simple("Star-delta direct", fan).with(Running.STAR_DELTA_DIRECT),
                simple("Star-delta dead time", fan).with(Running.STAR_DELTA_DEAD_TIME),
                simple("Jog both ways", gate).with(Directions.STOP_FIRST).with(Jogging.SELECTOR));
        List<Sheet> byHand = List.of(
                HandOperated.threePhase("Drum switch", hoist).sheet(),
                HandOperated.singlePhase("Single-phase drum", hoist.driving("hoist", "60 %", "0.4 s"))
                        .sheet(),
                HandOperated.directCurrent("DC drum", hoist.driving("hoist", "60 %", "0.5 s"))
                        .sheet());
        return job(
                "Tern Hollow further starters",
                Practice.IEC,
                Stream.concat(drawn.stream(), byHand.stream()).toList());
    }

    /** Starters with one mistake each. */
    static Job badExamples() {
        return job("Tern Hollow bad examples", Practice.IEC, BadExamples.all());
    }
}
