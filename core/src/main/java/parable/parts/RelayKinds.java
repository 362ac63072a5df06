package parable.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Control relays and timers, on screw terminals (EN 50005) or on the usual plug-in sockets. */
final class RelayKinds {

    /**
     * Where a relay's terminals are.
     *
     * @param coil the coil's two terminals
     * @param changeovers for each changeover contact its common, normally closed and normally open terminal
     */
    private record Base(List<String> coil, List<List<String>> changeovers) {}

    private static final Map<String, Base> SOCKETS = Map.of(
            "8-pin",
            new Base(List.of("2", "7"), List.of(List.of("1", "4", "3"), List.of("8", "5", "6"))),
            "11-pin",
            new Base(
                    List.of("2", "10"),
                    List.of(List.of("1", "4", "3"), List.of("6", "5", "7"), List.of("11", "8", "9"))),
            "14-blade",
            new Base(
                    List.of("13", "14"),
                    List.of(
                            List.of("9", "1", "5"),
                            List.of("10", "2", "6"),
                            List.of("11", "3", "7"),
                            List.of("12", "4", "8"))));

    private static final List<String> BASES = List.of("screw", "8-pin", "11-pin", "14-blade");
    private static final List<String> FUNCTIONS = List.of("on-delay", "off-delay", "interval", "flasher", "star-delta");

    private RelayKinds() {}

    static List<PartKind> all() {
        return List.of(
                new PartKind(
                        "control-relay",
                        Family.CONTROL_RELAY,
                        List.of(
                                "coil",
                                "holding",
                                "inrush",
                                "ohms",
                                "pull-in",
                                "drop-out",
                                "suppressor",
                                "changeovers",
                                "base"),
                        RelayKinds::controlRelay),
                new PartKind(
                        "timer",
                        Family.TIMER,
                        List.of(
                                "function",
                                "setting",
                                "dead-time",
                                "coil",
                                "holding",
                                "pull-in",
                                "drop-out",
                                "changeovers",
                                "base"),
                        RelayKinds::timer));
    }

    /** Changeover contacts, break before make. */
    private static Part controlRelay(PartBuilder part, Settings settings) throws SettingException {
        Base base = base(settings, List.of("1", "2", "4"), 2);
        Load coil = settings.coil(base.coil.get(0), base.coil.get(1), CoilData.CONTROL_RELAY);
        return part.contacts(changeovers(base))
                .loads(List.of(coil))
                .movedBy(settings.electromagnet(coil), settings.suppressed(Travel.CONTROL_RELAY, coil))
                .build();
    }

    /** Setting with a tolerance of 2 %; markings ending in 5 common, 6 normally closed, 8 normally open. */
    private static Part timer(PartBuilder part, Settings settings) throws SettingException {
        String function = settings.oneOf("function", FUNCTIONS, "on-delay");
        TimeRange setting = settings.time("setting", 5);
        Base base = base(settings, List.of("5", "6", "8"), 1);
        Load coil = settings.coil(base.coil.get(0), base.coil.get(1), CoilData.CONTROL_RELAY)
                .electronic();
        TimerProgram program =
                switch (function) {
                    case "off-delay" -> TimerProgram.offDelay(setting);
                    case "interval" -> TimerProgram.interval(setting);
                    case "flasher" -> TimerProgram.flasher(setting);
                    case "star-delta" -> TimerProgram.starDelta(setting, settings.time("dead-time", 0.05));
                    default -> TimerProgram.onDelay(setting);
                };
        List<Contact> contacts = function.equals("star-delta")
                ? List.of(Contact.closedInPositions("17", "18", 1 << 1), Contact.closedInPositions("17", "28", 1 << 3))
                : changeovers(base);
        return part.contacts(contacts)
                .loads(List.of(coil))
                .movedBy(new Drive.ByTimer(settings.electromagnet(coil), program), Travel.TIMER)
                .build();
    }

    /**
     * The terminals of the chosen base.
     *
     * @param functions on screws the second digits of common, normally closed and normally open terminal
     */
    private static Base base(Settings settings, List<String> functions, int byDefault) throws SettingException {
        String written = settings.oneOf("base", BASES, "screw");
        Base socket = SOCKETS.get(written);
        int most = socket == null ? 4 : socket.changeovers.size();
        int count = settings.count("changeovers", 1, most, socket == null ? byDefault : most);
        List<List<String>> contacts = new ArrayList<>();
        for (int i = 1; i <= count; i++) {
            int position = i;
            contacts.add(
                    socket == null
                            ? functions.stream().map(digit -> position + digit).toList()
                            : socket.changeovers.get(i - 1));
        }
        return new Base(socket == null ? List.of("A1", "A2") : socket.coil, contacts);
    }

    private static List<Contact> changeovers(Base base) {
        List<Contact> contacts = new ArrayList<>();
        for (List<String> changeover : base.changeovers) {
            contacts.add(Contact.normallyClosed(changeover.get(0), changeover.get(1)));
            contacts.add(Contact.normallyOpen(changeover.get(0), changeover.get(2)));
        }
        return contacts;
    }
}
