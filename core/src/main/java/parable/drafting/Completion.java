package parable.drafting;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.circuit.Rail;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.parts.Catalogue;
import parable.parts.Contact;
import parable.parts.Part;
import parable.parts.SettingException;

/**
 * A word that could stand where one has been begun.
 *
 * @param word the whole word
 * @param words what it is: {@code contact 13-14, open at rest}
 */
public record Completion(String word, String words) {

    /**
     * The words that the last one of a line could become, rails and points first, then devices in their order.
     *
     * @param line what has been typed; if it ends in a space there is no word yet, and nothing to choose from
     */
    public static List<Completion> of(Sheet sheet, String line) {
        String begun = line.substring(Math.max(line.lastIndexOf(' '), line.lastIndexOf(';')) + 1);
        if (begun.isEmpty() || line.indexOf(';') >= 0) {
            return List.of();
        }
        List<Completion> all = new ArrayList<>();
        points(sheet, all);
        sheet.devices().forEach(device -> addDevice(sheet, device, begun, all));
        String wanted = begun.toLowerCase(Locale.ROOT);
        return all.stream()
                .filter(completion -> completion.word.toLowerCase(Locale.ROOT).startsWith(wanted))
                .filter(completion -> !completion.word.equals(begun))
                .toList();
    }

    private static void points(Sheet sheet, List<Completion> all) {
        for (Rail rail : sheet.rails()) {
            all.add(new Completion(rail.name(), "rail, wire " + rail.number()));
        }
        Set<String> points = new LinkedHashSet<>();
        sheet.control().forEach(rung -> rung.points()
                .filter(point -> !point.rail())
                .map(RungItem.NamedPoint::text)
                .forEach(points::add));
        points.forEach(point -> all.add(new Completion(point, "wire " + point.substring(1))));
    }

    private static void addDevice(Sheet sheet, Device device, String begun, List<Completion> all) {
        Optional<Part> part = part(device);
        if (part.isEmpty()) {
            return;
        }
        if (begun.startsWith(device.tag() + "[")) {
            addEveryContact(sheet, part.get(), all);
            return;
        }
        boolean hasContacts = part.get().contacts().stream().anyMatch(contact -> !contact.pole());
        if (hasContacts) {
            addNextFree(sheet, device, false, all);
            addNextFree(sheet, device, true, all);
        }
        if (!part.get().loads().isEmpty()) {
            all.add(new Completion("(" + device.tag() + ")", device.title() + ", coil or load"));
        }
    }

    private static Optional<Part> part(Device device) {
        try {
            return Optional.of(Catalogue.kind(device.kind()).orElseThrow().fit(device));
        } catch (SettingException senseless) {
            return Optional.empty();
        }
    }

    /** The contact that would be given out, as an add-on where there is none left. */
    private static void addNextFree(Sheet sheet, Device device, boolean closed, List<Completion> all) {
        try {
            Fitting fitting = new Fitting(sheet, "");
            RungItem.Passage passage = fitting.contact(device.tag(), closed);
            boolean isAddOn = !fitting.sheet().equals(sheet);
            all.add(new Completion(
                    (closed ? "/" : "") + device.tag(),
                    passage.from() + "-" + passage.to() + (closed ? " closed" : " open") + " at rest"
                            + (isAddOn ? ", a further block" : "")));
        } catch (EditException none) {
            // A device without a contact of this sort has nothing to offer.
        }
    }

    private static void addEveryContact(Sheet sheet, Part part, List<Completion> all) {
        for (Contact contact : part.contacts()) {
            RungItem.Passage passage = new RungItem.Passage(part.tag(), contact.from(), contact.to());
            boolean used = sheet.rungs().anyMatch(rung -> rung.items().contains(passage));
            all.add(new Completion(
                    passage.text(),
                    (contact.pole() ? "pole" : contact.isNormallyClosed() ? "closed at rest" : "open at rest")
                            + (used ? ", in use" : ", free")));
        }
    }
}
