package parable.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What switches and protects the power circuit. Markings by IEC 60947 and EN 50012. */
final class SwitchgearKinds {

    private static final Drive TOGGLE = new Drive.ByHand(Map.of(Verb.CLOSE, 1, Verb.OPEN, 0));

    /** With a trip signal: its test button trips it, and opening it resets the signal. */
    private static final Drive TOGGLE_WITH_TRIP =
            new Drive.ByHand(Map.of(Verb.CLOSE, 1, Verb.OPEN, 0, Verb.TRIP, SwitchgearKinds.TRIP_POSITION));

    private static final String NO_SIGNAL = "none";
    private static final int TRIP_POSITION = 2;
    private static final int OPEN = 1;
    private static final int CLOSED = 1 << 1;
    private static final int TRIPPED = 1 << TRIP_POSITION;

    /** The test button trips it, the reset button resets it; while the stop button is held, 95-96 is open. */
    private static final Drive OVERLOAD_BUTTONS =
            new Drive.ByHand(Map.of(Verb.TRIP, 1, Verb.RESET, 0, Verb.PRESS, 2, Verb.RELEASE, 0));

    private static final RatedVoltage RELEASE_BY_DEFAULT = new RatedVoltage(230, CurrentKind.AC);
    private static final List<String> CLASSES = List.of("10A", "10", "20", "30");
    private static final List<String> HEATERS = List.of("1-2", "3-4", "5-6");

    private SwitchgearKinds() {}

    static List<PartKind> all() {
        return List.of(
                new PartKind(
                        "circuit-breaker",
                        Family.BREAKER,
                        List.of("poles", "rated", "curve", "aux", "release", "release-voltage"),
                        SwitchgearKinds::breaker),
                new PartKind(
                        "motor-protective-breaker",
                        Family.BREAKER,
                        List.of("setting", "class", "phase-loss", "aux", "trip"),
                        SwitchgearKinds::motorProtectiveBreaker),
                new PartKind("isolator", Family.ISOLATOR, List.of("poles", "aux"), SwitchgearKinds::isolator),
                new PartKind("fuse", Family.FUSE, List.of("rated", "curve"), SwitchgearKinds::fuse),
                new PartKind(
                        "contactor",
                        Family.CONTACTOR,
                        List.of(
                                "poles",
                                "rated",
                                "category",
                                "coil",
                                "holding",
                                "inrush",
                                "ohms",
                                "pull-in",
                                "drop-out",
                                "suppressor",
                                "aux"),
                        SwitchgearKinds::contactor),
                new PartKind(
                        "overload-relay",
                        Family.OVERLOAD_RELAY,
                        List.of("setting", "class", "phase-loss", "reset"),
                        SwitchgearKinds::overloadRelay),
                new PartKind("mechanical-interlock", Family.INTERLOCK, List.of("between"), SwitchgearKinds::interlock));
    }

    /**
     * One to four poles, closed and opened by hand, opens by itself on a short circuit and on too much current; with a shunt trip C1-C2 also when
     * that gets voltage, with an undervoltage release D1-D2 also when that loses it.
     */
    private static Part breaker(PartBuilder part, Settings settings) throws SettingException {
        RatedVoltage voltage = settings.voltage("release-voltage", RELEASE_BY_DEFAULT);
        String release = settings.oneOf("release", List.of("none", "shunt", "undervoltage"), "none");
        List<Load> releases =
                switch (release) {
                    case "shunt" -> List.of(Load.ofPower("C1", "C2", LoadRole.SHUNT_RELEASE, voltage, 30, 0.5));
                    case "undervoltage" -> List.of(
                            Load.ofPower("D1", "D2", LoadRole.UNDERVOLTAGE_RELEASE, voltage, 5, 0.5));
                    default -> List.of();
                };
        return part.contacts(withPoles(settings.count("poles", 1, 4, 3), settings.contacts("aux", "")))
                .loads(releases)
                .movedBy(TOGGLE, Travel.SNAP)
                .opensAbove(
                        settings.quantity("rated", "A", 0.1, 6300, 16),
                        TripCurve.named(settings.oneOf("curve", List.of("B", "C", "D"), "C")))
                .build();
    }

    /**
     * Three poles, thermal and magnetic release. Auxiliary contacts tell open from closed, whatever opened it; trip signal contacts, where they are fitted,
     * move only when it has tripped, and go back when the handle is turned to open.
     */
    private static Part motorProtectiveBreaker(PartBuilder part, Settings settings) throws SettingException {
        double setting = settings.quantity("setting", "A", 0.1, 100, 5);
        String trip = settings.oneOf("trip", List.of(NO_SIGNAL, "97-98", "95-96", "95-96 97-98"), NO_SIGNAL);
        boolean signals = !trip.equals(NO_SIGNAL);
        List<Contact> contacts = new ArrayList<>(withPoles(3, settings.contacts("aux", "13-14 21-22")));
        if (signals) {
            contacts.replaceAll(contact -> contact.isNormallyClosed()
                    ? Contact.closedInPositions(contact.from(), contact.to(), OPEN | TRIPPED)
                    : contact);
            if (trip.contains("95-96")) {
                contacts.add(Contact.closedInPositions("95", "96", OPEN | CLOSED));
            }
            if (trip.contains("97-98")) {
                contacts.add(Contact.closedInPositions("97", "98", TRIPPED));
            }
        }
        return part.contacts(contacts)
                .movedBy(signals ? TOGGLE_WITH_TRIP : TOGGLE, Travel.SNAP)
                .heatedBy(release(settings, setting, signals ? TRIP_POSITION : 0, false))
                .opensAbove(setting)
                .build();
    }

    /** One to four poles, closed and opened by hand only. */
    private static Part isolator(PartBuilder part, Settings settings) throws SettingException {
        return part.contacts(withPoles(settings.count("poles", 1, 4, 3), settings.contacts("aux", "")))
                .movedBy(TOGGLE, Travel.SNAP)
                .build();
    }

    /** One pole; open means blown or pulled. */
    private static Part fuse(PartBuilder part, Settings settings) throws SettingException {
        return part.contacts(List.of(Contact.mainPole("1", "2")))
                .movedBy(TOGGLE, Travel.FUSE_LINK)
                .opensAbove(
                        settings.quantity("rated", "A", 0.05, 1250, 2),
                        TripCurve.named(settings.oneOf("curve", List.of("gG", "aM"), "gG")))
                .initiallyIn(1)
                .build();
    }

    /** One to four poles, three as a rule, auxiliary contacts as fitted, one coil; pull-in and drop-out by IEC 60947-4-1. */
    private static Part contactor(PartBuilder part, Settings settings) throws SettingException {
        Load coil = settings.coil(
                "A1",
                "A2",
                CoilData.contactor(
                        settings.tables(), settings.quantity("rated", "A", 1, 1000, CoilData.SMALL_CONTACTOR)));
        settings.oneOf("category", List.of("AC-3", "AC-4"), "AC-3");
        Travel travel = coil.rated().kind() == CurrentKind.DC ? Travel.DIRECT_CONTACTOR : Travel.CONTACTOR;
        return part.contacts(withPoles(settings.count("poles", 1, 4, 3), settings.contacts("aux", "13-14")))
                .loads(List.of(coil))
                .movedBy(settings.electromagnet(coil), settings.suppressed(travel, coil))
                .build();
    }

    /**
     * Three heaters that always conduct; 95-96 opens and 97-98 closes when it trips. Its stop button opens 95-96 while it is
     * pressed.
     */
    private static Part overloadRelay(PartBuilder part, Settings settings) throws SettingException {
        boolean automatic = settings.oneOf("reset", List.of("manual", "automatic"), "manual")
                .equals("automatic");
        double setting = settings.quantity("setting", "A", 0.1, 1000, 5);
        List<Contact> heaters = HEATERS.stream()
                .map(marking -> marking.split("-"))
                .map(sides -> Contact.throughPath(sides[0], sides[1]))
                .toList();
        List<Contact> signals = List.of(Contact.normallyClosed("95", "96"), Contact.normallyOpen("97", "98"));
        return part.contacts(Stream.concat(heaters.stream(), signals.stream()).toList())
                .movedBy(OVERLOAD_BUTTONS, Travel.SNAP)
                .heatedBy(release(settings, setting, 1, automatic))
                .build();
    }

    private static Heater release(Settings settings, double setting, int tripPosition, boolean automatic)
            throws SettingException {
        String onPhaseLoss = settings.oneOf("phase-loss", List.of("sensitive", "insensitive"), "sensitive");
        return Heater.ofClass(
                settings.oneOf("class", CLASSES, "10"),
                setting,
                tripPosition,
                automatic,
                onPhaseLoss.equals("sensitive"));
    }

    /** A bar between two contactors; it has no terminals. */
    private static Part interlock(PartBuilder part, Settings settings) throws SettingException {
        List<String> between = settings.names("between", "K1 K2");
        return part.movedBy(new Drive.Interlocking(between.get(0), between.get(1)), Travel.AT_ONCE)
                .build();
    }

    private static List<Contact> withPoles(int poles, List<Contact> auxiliaries) {
        List<Contact> contacts = new ArrayList<>(IntStream.range(0, poles)
                .mapToObj(i -> Contact.mainPole(Integer.toString(2 * i + 1), Integer.toString(2 * i + 2)))
                .toList());
        contacts.addAll(auxiliaries);
        return contacts;
    }
}
