package parable.parts;

import java.util.List;
import java.util.Map;

/** What is on a door, a station or the machine: operators, machine switches, lamps and horns. Markings by EN 50013. */
final class OperatorKinds {

    private static final RatedVoltage BY_DEFAULT = new RatedVoltage(230, CurrentKind.AC);
    private static final Drive MOMENTARY = new Drive.ByHand(Map.of(Verb.PRESS, 1, Verb.RELEASE, 0));
    private static final Drive DRIVEN = new Drive.ByHand(Map.of(Verb.ACTUATE, 1, Verb.RELEASE, 0));

    /** Above 5 % of its speed a motor counts as turning. */
    private static final double TURNS = 0.05;

    private OperatorKinds() {}

    static List<PartKind> all() {
        return List.of(
                new PartKind("push-button", Family.PUSH_BUTTON, List.of("blocks", "colour"), OperatorKinds::pushButton),
                new PartKind(
                        "illuminated-button",
                        Family.PUSH_BUTTON,
                        List.of("blocks", "lamp", "colour"),
                        OperatorKinds::illuminatedButton),
                new PartKind(
                        "selector",
                        Family.SELECTOR,
                        List.of("positions", "rest", "spring", "blocks"),
                        OperatorKinds::selector),
                new PartKind(
                        "drum-switch",
                        Family.DRUM_SWITCH,
                        List.of("positions", "rest", "spring", "blocks"),
                        OperatorKinds::drumSwitch),
                new PartKind("emergency-stop", Family.EMERGENCY_STOP, List.of("blocks"), OperatorKinds::emergencyStop),
                machineSwitch("limit-switch"),
                machineSwitch("float-switch"),
                machineSwitch("pressure-switch"),
                machineSwitch("proximity-switch"),
                new PartKind(
                        "zero-speed-switch",
                        Family.MACHINE_SWITCH,
                        List.of("motor", "blocks"),
                        OperatorKinds::zeroSpeedSwitch),
                new PartKind("pilot-lamp", Family.PILOT_LAMP, List.of("lamp", "colour"), OperatorKinds::pilotLamp),
                new PartKind("horn", Family.HORN, List.of("rated"), OperatorKinds::horn),
                new PartKind(
                        "solenoid",
                        Family.SOLENOID,
                        List.of("coil", "holding", "inrush", "ohms"),
                        OperatorKinds::solenoid));
    }

    /** Momentary; blocks as fitted. */
    private static Part pushButton(PartBuilder part, Settings settings) throws SettingException {
        settings.colour("colour");
        return part.contacts(settings.contacts("blocks", "13-14"))
                .movedBy(MOMENTARY, Travel.BUTTON)
                .build();
    }

    /** A push button with a lamp X1-X2 in it. */
    private static Part illuminatedButton(PartBuilder part, Settings settings) throws SettingException {
        settings.colour("colour");
        return part.contacts(settings.contacts("blocks", "13-14"))
                .loads(List.of(lamp(settings)))
                .movedBy(MOMENTARY, Travel.BUTTON)
                .build();
    }

    /** Maintained in two or more named positions; a table says in which of them each block is closed. */
    private static Part selector(PartBuilder part, Settings settings) throws SettingException {
        Drive.ByTurning turning = settings.turning("off on", "");
        List<String> positions = turning.positions();
        return part.contacts(settings.contactTable("blocks", positions, "13-14=" + positions.get(1)))
                .movedBy(turning, Travel.BUTTON)
                .build();
    }

    /**
     * A hand-operated switch for the motor itself, with poles by position; as delivered a reversing switch for three phases.
     * It has no coil and therefore stays where it is when the power fails.
     */
    private static Part drumSwitch(PartBuilder part, Settings settings) throws SettingException {
        Drive.ByTurning turning = settings.turning("reverse off forward", "off");
        List<Contact> poles = settings
                .contactTable(
                        "blocks",
                        turning.positions(),
                        "1-2=reverse,forward 3-4=forward 5-6=forward 3-6=reverse 5-4=reverse")
                .stream()
                .map(Contact::asPole)
                .toList();
        return part.contacts(poles).movedBy(turning, Travel.BUTTON).build();
    }

    /** Latches when hit, is released by a twist. */
    private static Part emergencyStop(PartBuilder part, Settings settings) throws SettingException {
        return part.contacts(settings.contacts("blocks", "11-12"))
                .movedBy(new Drive.ByHand(Map.of(Verb.HIT, 1, Verb.RELEASE, 0)), Travel.BUTTON)
                .build();
    }

    /** Actuated by the machine, that is, by the user who plays its part. */
    private static PartKind machineSwitch(String id) {
        return new PartKind(id, Family.MACHINE_SWITCH, List.of("blocks"), (part, settings) -> part.contacts(
                        settings.contacts("blocks", "11-12 13-14"))
                .movedBy(DRIVEN, Travel.SNAP)
                .build());
    }

    /** Actuated while a motor turns. */
    private static Part zeroSpeedSwitch(PartBuilder part, Settings settings) throws SettingException {
        return part.contacts(settings.contacts("blocks", "13-14"))
                .movedBy(new Drive.BySpeed(settings.word("motor", "M1"), TURNS), Travel.SNAP)
                .build();
    }

    /** A lamp of 2 VA, of light-emitting diodes as all are that are sold today. */
    private static Part pilotLamp(PartBuilder part, Settings settings) throws SettingException {
        settings.colour("colour");
        return part.loads(List.of(lamp(settings))).build();
    }

    private static Load lamp(Settings settings) throws SettingException {
        return Load.ofPower("X1", "X2", LoadRole.LAMP, settings.voltage("lamp", BY_DEFAULT), 2, 1)
                .electronic();
    }

    /** A horn or buzzer of 5 VA. */
    private static Part horn(PartBuilder part, Settings settings) throws SettingException {
        return part.loads(List.of(Load.ofPower("X1", "X2", LoadRole.HORN, settings.voltage("rated", BY_DEFAULT), 5, 0.8)
                        .electronic()))
                .build();
    }

    /** A solenoid, as of a valve. */
    private static Part solenoid(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage rated = settings.voltage("coil", BY_DEFAULT);
        return part.loads(List.of(settings.coil(LoadRole.SOLENOID, "A1", "A2", rated, CoilData.SOLENOID)))
                .build();
    }
}
