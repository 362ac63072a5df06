package parable.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.parts.Part;

/**
 * A contact, coil, lamp or winding of a device, and where it is used.
 *
 * @param marking as it is printed on the device: {@code 13-14}
 * @param isLoad whether it is a coil, lamp or winding
 * @param index its position among the contacts, or among the loads, of the device
 * @param place where it is on the sheet, empty if it is free
 */
public record ContactUse(String marking, boolean isLoad, int index, Optional<Place> place) {

    /** Those of a device in the order in which they are listed on it; a winding that ends at an inner star point is told by its first lead. */
    public static List<ContactUse> of(Sheet sheet, Part part) {
        List<ContactUse> uses = new ArrayList<>();
        for (int i = 0; i < part.contacts().size(); i++) {
            String from = part.contacts().get(i).from();
            String to = part.contacts().get(i).to();
            uses.add(new ContactUse(part.contacts().get(i).marking(), false, i, place(sheet, part.tag(), from, to)));
        }
        for (int i = 0; i < part.loads().size(); i++) {
            String from = part.loads().get(i).from();
            String to = part.loads().get(i).to();
            boolean inner = !part.terminals().contains(to);
            uses.add(new ContactUse(inner ? from : from + "-" + to, true, i, place(sheet, part.tag(), from, to)));
        }
        return uses;
    }

    /** {@code rung 3}, {@code power circuit} or {@code free}. */
    public String where() {
        return place.map(at -> at.circuit() == Circuit.CONTROL ? "rung " + (at.rung() + 1) : "power circuit")
                .orElse("free");
    }

    private static Optional<Place> place(Sheet sheet, String tag, String one, String other) {
        for (Circuit circuit : List.of(Circuit.CONTROL, Circuit.POWER)) {
            List<Rung> rungs = sheet.rungs(circuit);
            for (int rung = 0; rung < rungs.size(); rung++) {
                List<RungItem> items = rungs.get(rung).items();
                for (int item = 0; item < items.size(); item++) {
                    if (isAt(items.get(item), tag, one, other)) {
                        return Optional.of(new Place(circuit, rung, item));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private static boolean isAt(RungItem item, String tag, String one, String other) {
        if (item instanceof RungItem.TerminalEnd end) {
            return end.terminal().equals(new Terminal(tag, one));
        }
        return item instanceof RungItem.Passage passage
                && passage.tag().equals(tag)
                && (passage.from().equals(one) && passage.to().equals(other)
                        || passage.from().equals(other) && passage.to().equals(one));
    }
}
