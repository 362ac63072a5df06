package parable.draw;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.LoadRole;
import parable.parts.Part;

/** Where the contacts of a device are, told at its coil; and where its coil is, told at its contacts. */
final class CrossReferences {

    private final Assembly assembly;

    CrossReferences(Assembly assembly) {
        this.assembly = assembly;
    }

    /** The lines under the coil of a part: its contacts, free ones included, and the mechanical interlocks that bar it. */
    List<String> underCoil(Part part) {
        Map<String, String> places = new LinkedHashMap<>();
        for (int c = 0; c < part.contacts().size(); c++) {
            Contact contact = part.contacts().get(c);
            String name = contact.pole() ? "poles" : contact.marking();
            places.merge(name, place(part, c), (one, other) -> one.equals("free") ? other : one);
        }
        List<String> lines = new ArrayList<>();
        places.forEach((name, place) -> lines.add(name + ": " + place));
        for (Part bar : assembly.parts()) {
            if (bar.drive() instanceof Drive.Interlocking between) {
                partner(part.tag(), between).ifPresent(other -> lines.add(bar.tag() + ": bars " + other));
            }
        }
        return lines;
    }

    /** The contactor that a mechanical interlock ties to this one, empty if it ties others. */
    private static Optional<String> partner(String tag, Drive.Interlocking between) {
        if (between.one().equals(tag)) {
            return Optional.of(between.other());
        }
        return between.other().equals(tag) ? Optional.of(between.one()) : Optional.empty();
    }

    private String place(Part part, int contact) {
        List<Rung> ladder = assembly.sheet().control();
        for (int r = 0; r < ladder.size(); r++) {
            if (uses(ladder.get(r), part, contact)) {
                return "rung " + (r + 1);
            }
        }
        return assembly.sheet().power().stream().anyMatch(rung -> uses(rung, part, contact)) ? "power" : "free";
    }

    private static boolean uses(Rung rung, Part part, int contact) {
        return rung.items().stream()
                .anyMatch(item -> item instanceof RungItem.Passage passage
                        && passage.tag().equals(part.tag())
                        && part.contactBetween(passage.from(), passage.to()).equals(Optional.of(contact)));
    }

    /** The number of the rung that a part's coil is on, 1 for the first; empty if it has none. */
    Optional<Integer> rungOfCoil(Part part) {
        List<Rung> ladder = assembly.sheet().control();
        for (int r = 0; r < ladder.size(); r++) {
            boolean here = ladder.get(r).items().stream()
                    .anyMatch(item -> item instanceof RungItem.Passage passage
                            && passage.tag().equals(part.tag())
                            && part.loadBetween(passage.from(), passage.to())
                                    .filter(load -> part.loads().get(load).role() == LoadRole.COIL)
                                    .isPresent());
            if (here) {
                return Optional.of(r + 1);
            }
        }
        return Optional.empty();
    }
}
