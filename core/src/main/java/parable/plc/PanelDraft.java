package parable.plc;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import parable.circuit.Device;
import parable.circuit.Extras;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.RungNotation;
import parable.circuit.RungSyntaxException;
import parable.circuit.Sheet;
import parable.parts.Catalogue;
import parable.parts.Contact;
import parable.parts.Part;
import parable.parts.SettingException;

/** The panel of the controller while it is drawn: devices, rails, rungs, and which contacts are still free. */
final class PanelDraft {

    private static final int MOST_POSITIONS = 8;
    private static final String EARTH = "PE";

    private final Sheet old;
    private final Map<String, Device> devices = new LinkedHashMap<>();
    private final List<Rail> rails;
    private final List<Rung> power;
    private final List<String> control = new ArrayList<>();
    private final Set<String> numbers = new HashSet<>();
    private final Set<String> used = new HashSet<>();
    private int last = 2;

    PanelDraft(Sheet old) {
        this.old = old;
        old.devices().forEach(device -> devices.put(device.tag(), device));
        rails = new ArrayList<>(old.rails());
        power = new ArrayList<>(old.power());
        rails.forEach(rail -> numbers.add(rail.number()));
        power.stream().flatMap(Rung::points).forEach(point -> numbers.add(point.name()));
        power.stream()
                .flatMap(Rung::terminals)
                .forEach(terminal -> used.add(terminal.tag() + ":" + terminal.marking()));
    }

    /** A wire number that nothing else has, as a point. */
    String point() {
        do {
            last++;
        } while (!numbers.add(Integer.toString(last)));
        return "@" + last;
    }

    void rung(String text) {
        control.add(text);
    }

    void power(String text) {
        power.add(read(text));
    }

    /** Draws the protective conductor of a device, from where those of the sheet begin; nothing if it has none. */
    void ground(String tag) {
        String bar = power.stream().flatMap(Rung::points).anyMatch(point -> point.name()
                        .equals(EARTH))
                ? "@" + EARTH
                : old.devices().stream()
                        .filter(device -> device.kind().endsWith("-phase-supply"))
                        .map(device -> device.tag() + "[" + EARTH + "]")
                        .findFirst()
                        .orElse("");
        if (!bar.isEmpty()) {
            power(bar + " " + tag + "[" + EARTH + "]");
        }
    }

    /** A new rail of this name, or of the name with a number where there is one; its name. */
    String rail(String wanted) {
        String name = wanted;
        for (int i = 2; isRail(name); i++) {
            name = wanted + i;
        }
        rails.add(new Rail(name, point().substring(1)));
        return name;
    }

    private boolean isRail(String name) {
        return rails.stream().anyMatch(rail -> rail.name().equals(name));
    }

    /** The lowest number from one on that makes a tag nobody has. */
    String tag(String letters, int from) {
        int number = from;
        while (devices.containsKey(letters + number)) {
            number++;
        }
        return letters + number;
    }

    void device(String kind, String tag, String label, String place, String... settings) {
        Map<String, String> set = new LinkedHashMap<>();
        for (int i = 0; i < settings.length; i += 2) {
            set.put(settings[i], settings[i + 1]);
        }
        devices.put(tag, new Device(tag, "", kind, label, place, set, Extras.NONE));
    }

    /** Gives a device another rated voltage. */
    void rerate(String tag, String setting, String voltage) {
        devices.put(tag, devices.get(tag).with(setting, voltage));
    }

    void take(String tag) {
        devices.remove(tag);
    }

    Part part(String tag) {
        Device device = devices.get(tag);
        try {
            return Catalogue.kind(device.kind()).orElseThrow().fit(device);
        } catch (SettingException impossible) {
            throw new IllegalStateException("a device of a sheet that is fitted out cannot be fitted out", impossible);
        }
    }

    /** Takes note that a contact is used. */
    void use(String tag, Contact contact) {
        used.add(tag + ":" + contact.from() + "-" + contact.to());
    }

    /**
     * An auxiliary contact of a device that nothing uses, taken from now on; a block is added if there is room for one.
     *
     * @param closedAtRest which kind is wanted
     */
    Optional<Contact> free(String tag, boolean closedAtRest) {
        Optional<Contact> there = found(tag, closedAtRest);
        if (there.isEmpty() && addBlock(tag, closedAtRest)) {
            there = found(tag, closedAtRest);
        }
        there.ifPresent(contact -> use(tag, contact));
        return there;
    }

    private Optional<Contact> found(String tag, boolean closedAtRest) {
        return part(tag).contacts().stream()
                .filter(contact -> !contact.pole() && contact.isNormallyClosed() == closedAtRest)
                .filter(contact -> !used.contains(tag + ":" + contact.from() + "-" + contact.to()))
                .findFirst();
    }

    private boolean addBlock(String tag, boolean closedAtRest) {
        Device device = devices.get(tag);
        List<String> settings = Catalogue.kind(device.kind()).orElseThrow().settings();
        String setting = settings.contains("aux") ? "aux" : "blocks";
        boolean table = device.kind().equals("selector") || device.kind().equals("drum-switch");
        if (!settings.contains(setting) || table) {
            return false;
        }
        Set<String> markings = part(tag).terminals();
        String fitted = part(tag).contacts().stream()
                .filter(contact -> !contact.pole())
                .map(Contact::marking)
                .collect(Collectors.joining(" "));
        return IntStream.rangeClosed(1, MOST_POSITIONS)
                .filter(position ->
                        IntStream.rangeClosed(1, 4).noneMatch(digit -> markings.contains("" + position + digit)))
                .mapToObj(
                        position -> closedAtRest ? position + "1-" + position + "2" : position + "3-" + position + "4")
                .findFirst()
                .map(block -> devices.put(tag, device.with(setting, (fitted + " " + block).strip())))
                .isPresent();
    }

    private Rung read(String text) {
        try {
            return new RungNotation(rails.stream().map(Rail::name).collect(Collectors.toSet())).read(text);
        } catch (RungSyntaxException unreadable) {
            throw new IllegalStateException("a translation writes what is no rung: " + text, unreadable);
        }
    }

    /** Everything drawn so far as a sheet without a program. */
    Sheet sheet(String name) {
        Sheet sheet = new Sheet(
                name,
                old.duty(),
                rails,
                List.copyOf(devices.values()),
                power,
                control.stream().map(this::read).toList(),
                Extras.NONE);
        return sheet.withClaims(old.claims().stream().filter(this::isStillAbout).toList());
    }

    /** Whether a claim speaks of devices only that are still there. */
    private boolean isStillAbout(String claim) {
        return old.devices().stream()
                .map(Device::tag)
                .filter(tag -> List.of(claim.split("[^A-Za-z0-9.]+")).contains(tag))
                .allMatch(devices::containsKey);
    }

    /** Whether a device stands on a rung of the power circuit. */
    boolean isInPower(String tag) {
        return power.stream()
                .flatMap(rung -> rung.items().stream())
                .anyMatch(item -> item instanceof RungItem.Passage passage
                        && passage.tag().equals(tag));
    }
}
