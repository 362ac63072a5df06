package parable.drafting;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Extras;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.parts.Catalogue;
import parable.parts.Contact;
import parable.parts.LeadMarking;
import parable.parts.Load;
import parable.parts.Part;
import parable.parts.SettingException;

/**
 * Chooses contacts and coils of devices: the lowest free one, and where none is free a further block or add-on. Devices that
 * are not on the sheet yet are put there. It works on a sheet of its own and leaves the one it began with as it was.
 */
final class Fitting {

    private static final List<String> WITH_BLOCKS = List.of(
            "push-button",
            "illuminated-button",
            "emergency-stop",
            "limit-switch",
            "float-switch",
            "pressure-switch",
            "proximity-switch",
            "zero-speed-switch");
    private static final List<String> WITH_AUXILIARIES =
            List.of("contactor", "circuit-breaker", "motor-protective-breaker", "isolator");
    private static final int MOST_POSITIONS = 8;

    private final String voltage;
    private final Set<Set<String>> used = new HashSet<>();
    private Sheet sheet;

    /**
     * A fitting on a sheet.
     *
     * @param voltage the voltage of coils and lamps that are put there, for example {@code 230 V AC}
     */
    Fitting(Sheet sheet, String voltage) {
        this.sheet = sheet;
        this.voltage = voltage;
    }

    /** The sheet with what has been put on it so far. */
    Sheet sheet() {
        return sheet;
    }

    /** Takes note that a passage is used, so that it is not given out again. */
    void use(RungItem.Passage passage) {
        used.add(key(passage.tag(), passage.from(), passage.to()));
    }

    private static Set<String> key(String tag, String from, String to) {
        return new HashSet<>(List.of(tag + ":" + from, tag + ":" + to));
    }

    private boolean isFree(String tag, String from, String to) {
        return !used.contains(key(tag, from, to))
                && sheet.rungs().flatMap(rung -> passages(rung)).noneMatch(passage -> key(
                                passage.tag(), passage.from(), passage.to())
                        .equals(key(tag, from, to)));
    }

    private static Stream<RungItem.Passage> passages(Rung rung) {
        return rung.items().stream().filter(RungItem.Passage.class::isInstance).map(RungItem.Passage.class::cast);
    }

    /** Puts a device on the sheet unless it is there. */
    void need(String tag, Optional<String> kind) throws EditException {
        if (sheet.device(tag).isPresent()) {
            return;
        }
        String wanted = kind.or(() -> TagLetters.kindFor(tag))
                .orElseThrow(() -> new EditException(
                        tag,
                        "a tag that the sheet does not list",
                        "a device of the sheet, or its kind after a colon such as " + tag + ":push-button"));
        if (Catalogue.kind(wanted).isEmpty()) {
            throw new EditException(
                    tag,
                    "the kind '" + wanted + "'",
                    Catalogue.kinds().stream().map(known -> known.id()).collect(Collectors.joining(", ")));
        }
        boolean operator = WITH_BLOCKS.contains(wanted) || wanted.equals("selector") || wanted.equals("pilot-lamp");
        Device device = new Device(tag, "", wanted, "", operator ? "door" : "panel", Map.of(), Extras.NONE);
        put(asWanted(WITH_BLOCKS.contains(wanted) ? device.with("blocks", " ") : device));
    }

    private Device asWanted(Device device) {
        return switch (device.kind()) {
            case "contactor", "control-relay", "timer", "solenoid" -> device.with("coil", voltage);
            case "pilot-lamp", "illuminated-button" -> device.with("lamp", voltage);
            case "horn" -> device.with("rated", voltage);
            case "three-phase-motor" -> device.tag().startsWith("MTR")
                    ? device.with(LeadMarking.SETTING, LeadMarking.NEMA.setting())
                    : device;
            default -> device;
        };
    }

    private void put(Device device) {
        sheet = new Edit.PutDevice(device).on(sheet);
    }

    private Part part(String tag) throws EditException {
        Device device = sheet.device(tag).orElseThrow();
        try {
            return Catalogue.kind(device.kind()).orElseThrow().fit(device);
        } catch (SettingException senseless) {
            throw new EditException(tag, senseless.found(), senseless.expected());
        }
    }

    /** Fits a block or add-on with these markings, if the device has none there and can get one. */
    void fit(RungItem.Passage passage) throws EditException {
        Part part = part(passage.tag());
        boolean there = part.contactBetween(passage.from(), passage.to()).isPresent()
                || part.loadBetween(passage.from(), passage.to()).isPresent();
        String setting = WITH_BLOCKS.contains(part.device().kind()) ? "blocks" : "aux";
        boolean fittable = setting.equals("blocks")
                || WITH_AUXILIARIES.contains(part.device().kind());
        if (!there && fittable) {
            Device fitted =
                    part.device().with(setting, (written(part) + " " + passage.from() + "-" + passage.to()).strip());
            Sheet before = sheet;
            put(fitted);
            try {
                part(passage.tag());
            } catch (EditException senseless) {
                sheet = before;
                throw senseless;
            }
        }
    }

    private static String written(Part part) {
        return part.contacts().stream()
                .filter(contact -> !contact.pole())
                .map(Contact::marking)
                .collect(Collectors.joining(" "));
    }

    /**
     * The lowest free contact of a device; poles are not given out.
     *
     * @param closedAtRest whether it is to be normally closed
     * @throws EditException if the device has none and cannot get one
     */
    RungItem.Passage contact(String tag, boolean closedAtRest) throws EditException {
        Optional<RungItem.Passage> free = freeContact(tag, closedAtRest);
        if (free.isEmpty()) {
            extend(tag, closedAtRest);
            free = freeContact(tag, closedAtRest);
        }
        RungItem.Passage passage = free.orElseThrow(() -> new EditException(
                tag,
                "no free contact that is " + (closedAtRest ? "closed" : "open") + " at rest",
                "one, or the contact named, such as " + tag + "[" + example(tag) + "]"));
        use(passage);
        return passage;
    }

    private String example(String tag) {
        try {
            return part(tag).contacts().stream()
                    .filter(contact -> !contact.pole())
                    .map(Contact::marking)
                    .findFirst()
                    .orElse("13-14");
        } catch (EditException senseless) {
            return "13-14";
        }
    }

    private Optional<RungItem.Passage> freeContact(String tag, boolean closedAtRest) throws EditException {
        List<Contact> contacts = part(tag).contacts();
        return contacts.stream()
                .filter(contact -> !contact.pole() && contact.isNormallyClosed() == closedAtRest)
                .filter(contact -> isFree(tag, contact.from(), contact.to()))
                .filter(contact -> commonIsFree(tag, contact, contacts))
                .map(contact -> new RungItem.Passage(tag, contact.from(), contact.to()))
                .findFirst();
    }

    /** A changeover's common belongs to one node: its other contact must not be in use elsewhere. */
    private boolean commonIsFree(String tag, Contact wanted, List<Contact> contacts) {
        return contacts.stream()
                .filter(contact -> contact.from().equals(wanted.from()))
                .filter(contact -> !contact.to().equals(wanted.to()))
                .allMatch(contact -> isFree(tag, contact.from(), contact.to()));
    }

    private void extend(String tag, boolean closedAtRest) throws EditException {
        Device device = sheet.device(tag).orElseThrow();
        if (device.kind().equals("control-relay") || device.kind().equals("timer")) {
            int now = part(tag).contacts().size() / 2;
            if (now < 4) {
                put(device.with("changeovers", Integer.toString(now + 1)));
            }
            return;
        }
        boolean blocks = WITH_BLOCKS.contains(device.kind());
        if (blocks || WITH_AUXILIARIES.contains(device.kind())) {
            List<Contact> fitted = part(tag).contacts().stream()
                    .filter(contact -> !contact.pole())
                    .toList();
            String further = freePosition(fitted) + (closedAtRest ? "1-" : "3-");
            String marking = further + further.charAt(0) + (closedAtRest ? "2" : "4");
            put(device.with(blocks ? "blocks" : "aux", (written(part(tag)) + " " + marking).strip()));
        }
    }

    private static int freePosition(List<Contact> fitted) throws EditException {
        for (int position = 1; position <= MOST_POSITIONS; position++) {
            String digit = Integer.toString(position);
            if (fitted.stream().noneMatch(contact -> contact.from().startsWith(digit))) {
                return position;
            }
        }
        throw new EditException("a device", "all positions for contacts taken", "a free one");
    }

    /**
     * The coil, lamp or other load of a device.
     *
     * @throws EditException if it has none
     */
    RungItem.Passage load(String tag) throws EditException {
        List<Load> loads = part(tag).loads();
        if (loads.isEmpty()) {
            throw new EditException(tag, "a device without coil or lamp", "one with, in round brackets");
        }
        Load load = loads.stream()
                .filter(candidate -> isFree(tag, candidate.from(), candidate.to()))
                .findFirst()
                .orElse(loads.get(0));
        RungItem.Passage passage = new RungItem.Passage(tag, load.from(), load.to());
        use(passage);
        return passage;
    }
}
