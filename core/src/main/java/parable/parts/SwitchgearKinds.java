package parable.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** What switches and protects: breaker, fuse, contactor, overload relay. Markings by IEC 60947 and EN 50012. */
final class SwitchgearKinds {

    private static final Drive TOGGLE = new Drive.ByHand(Map.of(Verb.CLOSE, 1, Verb.OPEN, 0));
    private static final RatedVoltage COIL_BY_DEFAULT = new RatedVoltage(230, CurrentKind.AC);
    private static final List<Contact> THREE_POLES =
            List.of(Contact.mainPole("1", "2"), Contact.mainPole("3", "4"), Contact.mainPole("5", "6"));

    private SwitchgearKinds() {}

    static List<PartKind> all() {
        return List.of(
                new PartKind("circuit-breaker", Family.BREAKER, List.of("rated", "aux"), SwitchgearKinds::breaker),
                new PartKind("fuse", Family.FUSE, List.of("rated"), SwitchgearKinds::fuse),
                new PartKind(
                        "contactor", Family.CONTACTOR, List.of("coil", "holding", "aux"), SwitchgearKinds::contactor),
                new PartKind(
                        "control-relay",
                        Family.CONTROL_RELAY,
                        List.of("coil", "holding", "changeovers"),
                        SwitchgearKinds::controlRelay),
                new PartKind(
                        "overload-relay", Family.OVERLOAD_RELAY, List.of("setting"), SwitchgearKinds::overloadRelay));
    }

    /** Three poles, closed and opened by hand, opens by itself on a short circuit. */
    private static Part breaker(PartBuilder part, Settings settings) throws SettingException {
        return part.contacts(withPoles(settings.contacts("aux", "")))
                .movedBy(TOGGLE, Travel.SNAP)
                .opensAbove(settings.quantity("rated", "A", 0.1, 6300, 16))
                .build();
    }

    /** One pole; open means blown or pulled. */
    private static Part fuse(PartBuilder part, Settings settings) throws SettingException {
        return part.contacts(List.of(Contact.mainPole("1", "2")))
                .movedBy(TOGGLE, Travel.FUSE_LINK)
                .opensAbove(settings.quantity("rated", "A", 0.05, 1250, 2))
                .initiallyIn(1)
                .build();
    }

    /** Three poles, auxiliary contacts as fitted, one coil; pull-in and drop-out by IEC 60947-4-1. */
    private static Part contactor(PartBuilder part, Settings settings) throws SettingException {
        Load coil = coil(settings, 8);
        return part.contacts(withPoles(settings.contacts("aux", "13-14")))
                .loads(List.of(coil))
                .movedBy(pulledBy(coil), Travel.CONTACTOR)
                .build();
    }

    /** One to four changeover contacts: common 11, normally closed 12, normally open 14; the next begin with 2, 3, 4. */
    private static Part controlRelay(PartBuilder part, Settings settings) throws SettingException {
        Load coil = coil(settings, 1.5);
        List<Contact> contacts = new ArrayList<>();
        for (int position = 1; position <= settings.count("changeovers", 1, 4, 2); position++) {
            contacts.add(Contact.normallyClosed(position + "1", position + "2"));
            contacts.add(Contact.normallyOpen(position + "1", position + "4"));
        }
        return part.contacts(contacts)
                .loads(List.of(coil))
                .movedBy(pulledBy(coil), Travel.CONTROL_RELAY)
                .build();
    }

    private static Load coil(Settings settings, double holdingByDefault) throws SettingException {
        RatedVoltage rated = settings.voltage("coil", COIL_BY_DEFAULT);
        double holding = settings.quantity("holding", "VA", 0.5, 500, holdingByDefault);
        return Load.ofPower("A1", "A2", LoadRole.COIL, rated, holding, 0.3);
    }

    private static Drive pulledBy(Load coil) {
        return new Drive.ByCoil(0, 0.85, coil.rated().kind() == CurrentKind.AC ? 0.5 : 0.4);
    }

    /** Three heaters that always conduct; 95-96 opens and 97-98 closes when it trips. */
    private static Part overloadRelay(PartBuilder part, Settings settings) throws SettingException {
        settings.quantity("setting", "A", 0.1, 1000, 5);
        return part.contacts(List.of(
                        Contact.throughPath("1", "2"),
                        Contact.throughPath("3", "4"),
                        Contact.throughPath("5", "6"),
                        Contact.normallyClosed("95", "96"),
                        Contact.normallyOpen("97", "98")))
                .movedBy(new Drive.ByHand(Map.of(Verb.TRIP, 1, Verb.RESET, 0)), Travel.SNAP)
                .build();
    }

    private static List<Contact> withPoles(List<Contact> auxiliaries) {
        List<Contact> contacts = new ArrayList<>(THREE_POLES);
        contacts.addAll(auxiliaries);
        return contacts;
    }
}
