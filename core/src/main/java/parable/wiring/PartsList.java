package parable.wiring;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import parable.circuit.Places;
import parable.network.PowerPath;
import parable.parts.Assembly;
import parable.parts.Catalogue;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.SettingException;

/**
 * What has to be there to build a sheet: its devices, the contact blocks that are put on them, holders for its fuses, the terminals of its strip with what holds
 * them, and what it is built into. Supplies are there already.
 */
public final class PartsList {

    /** Operators are a head and the blocks behind it; other devices have contacts of their own. */
    private static final Set<Family> OPERATORS = Set.of(Family.PUSH_BUTTON, Family.SELECTOR, Family.EMERGENCY_STOP);

    private static final Set<Family> OPERATED =
            Set.of(Family.PUSH_BUTTON, Family.SELECTOR, Family.EMERGENCY_STOP, Family.DRUM_SWITCH, Family.PILOT_LAMP);

    /** Settings that say what a device belongs to or how its machine behaves. */
    private static final Set<String> NOT_OF_THE_PART = Set.of("motor", "load", "run-up", "drives", "category");

    private PartsList() {}

    /** The list of an assembled sheet: devices, blocks, holders, terminals and enclosures, each in the order of the sheet. */
    public static List<PartsLine> of(Assembly assembly) {
        Map<List<String>, List<String>> devices = new LinkedHashMap<>();
        Map<List<String>, List<String>> blocks = new LinkedHashMap<>();
        for (Part part : assembly.parts()) {
            if (part.family() != Family.SUPPLY) {
                add(devices, List.of(words(part), settings(assembly, part)), part.tag());
                blocks(part).forEach(block -> add(blocks, List.of(words(block), "for " + words(part)), part.tag()));
            }
        }
        devices.putAll(blocks);
        assembly.parts().stream()
                .filter(part -> part.family() == Family.FUSE)
                .forEach(fuse -> add(devices, List.of("fuse holder", "1 pole"), fuse.tag()));
        terminals(assembly, devices);
        enclosures(assembly, devices);
        return devices.entrySet().stream()
                .map(entry ->
                        new PartsLine(entry.getKey().get(0), entry.getKey().get(1), entry.getValue()))
                .toList();
    }

    private static void add(Map<List<String>, List<String>> lines, List<String> what, String tag) {
        lines.computeIfAbsent(what, line -> new ArrayList<>()).add(tag);
    }

    private static String words(Part part) {
        return part.device().kind().replace('-', ' ');
    }

    private static String words(Contact contact) {
        return contact.isNormallyClosed() ? "contact block, opens" : "contact block, closes";
    }

    /** The terminals of the strip, and what keeps them together. */
    private static void terminals(Assembly assembly, Map<List<String>, List<String>> lines) {
        List<StripTerminal> strip = PanelLayout.of(assembly).strip();
        for (StripTerminal terminal : strip) {
            boolean protective = terminal.number().equals("PE");
            add(
                    lines,
                    List.of(protective ? "protective terminal" : "terminal", protective ? "green-yellow" : ""),
                    terminal.terminal().toString());
        }
        if (!strip.isEmpty()) {
            String tag = strip.get(0).terminal().tag();
            add(lines, List.of("end plate", ""), tag);
            add(lines, List.of("end stop", ""), tag);
            add(lines, List.of("end stop", ""), tag);
        }
    }

    /** The panel, and a case for each other place with something to operate. The door is the panel's. */
    private static void enclosures(Assembly assembly, Map<List<String>, List<String>> lines) {
        PanelLayout layout = PanelLayout.of(assembly);
        for (String place : layout.places()) {
            boolean station = assembly.parts().stream()
                    .anyMatch(part -> OPERATED.contains(part.family())
                            && layout.place(part.tag()).equals(place));
            if (place.equals(Places.BACK_PLATE)) {
                add(lines, List.of("enclosure", "with mounting plate and door"), place);
            } else if (station && !place.equals(Places.DOOR)) {
                add(lines, List.of("enclosure", "for what is operated there"), place);
            }
        }
    }

    private static String settings(Assembly assembly, Part part) {
        String told = settings(part);
        if (part.family() == Family.FUSE && part.device().setting("curve").isEmpty()) {
            return (told.isEmpty() ? "" : told + ", ") + "curve gG";
        }
        if (part.family() != Family.CONTACTOR) {
            return told;
        }
        String motors = new PowerPath(assembly)
                .motorsFedBy(part).stream()
                        .map(tag -> assembly.part(tag).orElseThrow().device())
                        .map(motor -> motor.tag()
                                + motor.setting("power")
                                        .map(power -> " " + power)
                                        .orElse("")
                                + motor.setting("current")
                                        .map(current -> " " + current)
                                        .orElse("")
                                + (motor.setting("leads").filter("6"::equals).isPresent() ? ", star-delta" : ""))
                        .collect(Collectors.joining(", "));
        String duty = part.device().setting("category").orElse("AC-3");
        return motors.isEmpty() ? told : told + ", " + duty + " for " + motors;
    }

    private static String settings(Part part) {
        return part.device().settings().entrySet().stream()
                .filter(setting ->
                        !setting.getKey().equals(contacts(part)) && !NOT_OF_THE_PART.contains(setting.getKey()))
                .map(setting -> setting.getKey().replace('-', ' ') + " " + setting.getValue())
                .collect(Collectors.joining(", "));
    }

    /** The setting that says which contacts are put on a device. */
    private static String contacts(Part part) {
        return OPERATORS.contains(part.family()) ? "blocks" : "aux";
    }

    /** The contacts that a device has only because a block is put on it. */
    private static List<Contact> blocks(Part part) {
        if (OPERATORS.contains(part.family())) {
            return part.contacts();
        }
        Set<String> own = withoutAuxiliaries(part).contacts().stream()
                .map(Contact::marking)
                .collect(Collectors.toSet());
        return part.contacts().stream()
                .filter(contact -> !own.contains(contact.marking()))
                .toList();
    }

    private static Part withoutAuxiliaries(Part part) {
        try {
            return Catalogue.kind(part.device().kind())
                    .orElseThrow()
                    .fit(part.device().with("aux", ""));
        } catch (SettingException senseless) {
            throw new IllegalStateException("a part that was fitted out cannot do without its blocks", senseless);
        }
    }
}
