package parable.parts;

import java.util.List;
import java.util.Map;

/** What stands on a door or a station: push button, E-stop, pilot lamp. Markings by EN 50013 and IEC 60947-5-1. */
final class OperatorKinds {

    private static final RatedVoltage LAMP_BY_DEFAULT = new RatedVoltage(230, CurrentKind.AC);

    private OperatorKinds() {}

    static List<PartKind> all() {
        return List.of(
                new PartKind("push-button", Family.PUSH_BUTTON, List.of("blocks", "colour"), OperatorKinds::pushButton),
                new PartKind("selector", Family.SELECTOR, List.of("positions", "blocks"), OperatorKinds::selector),
                new PartKind("emergency-stop", Family.EMERGENCY_STOP, List.of("blocks"), OperatorKinds::emergencyStop),
                new PartKind("pilot-lamp", Family.PILOT_LAMP, List.of("lamp", "colour"), OperatorKinds::pilotLamp));
    }

    /** Momentary; blocks as fitted. */
    private static Part pushButton(PartBuilder part, Settings settings) throws SettingException {
        settings.colour("colour");
        return part.contacts(settings.contacts("blocks", "13-14"))
                .movedBy(new Drive.ByHand(Map.of(Verb.PRESS, 1, Verb.RELEASE, 0)), Travel.BUTTON)
                .build();
    }

    /** Maintained in two or more named positions; a table says in which of them each block is closed. */
    private static Part selector(PartBuilder part, Settings settings) throws SettingException {
        List<String> positions = settings.names("positions", "off on");
        return part.contacts(settings.contactTable("blocks", positions, "13-14=" + positions.get(1)))
                .movedBy(new Drive.ByTurning(positions), Travel.BUTTON)
                .build();
    }

    /** Latches when hit, is released by a twist. */
    private static Part emergencyStop(PartBuilder part, Settings settings) throws SettingException {
        return part.contacts(settings.contacts("blocks", "11-12"))
                .movedBy(new Drive.ByHand(Map.of(Verb.HIT, 1, Verb.RELEASE, 0)), Travel.BUTTON)
                .build();
    }

    /** A lamp of 2 VA. */
    private static Part pilotLamp(PartBuilder part, Settings settings) throws SettingException {
        settings.colour("colour");
        RatedVoltage rated = settings.voltage("lamp", LAMP_BY_DEFAULT);
        return part.loads(List.of(Load.ofPower("X1", "X2", LoadRole.LAMP, rated, 2, 1)))
                .build();
    }
}
