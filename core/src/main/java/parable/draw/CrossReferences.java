package parable.draw;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * Where the contacts of a device are, told at its coil; and where its coil is, told at its contacts: {@code 5C} for rung 5, column C, {@code power} for the power
 * circuit.
 */
final class CrossReferences {

    private static final int LETTERS = 26;

    /** Something on a rung; the rung counts in the ladder only. */
    private record Spot(boolean power, int rung, RungItem item) {}

    private final Assembly assembly;

    /** Where each contact of each part is first, by the positions of both; null for one that is drawn nowhere. */
    private final Spot[][] places;

    /** Where the coil of each part is; null without. */
    private final Spot[] coils;

    private final BiFunction<Integer, RungItem, OptionalInt> columnOf;
    private final List<Part> interlocks;

    /**
     * Those of a sheet.
     *
     * @param columnOf the column in which something on a rung is drawn, both counted from 0
     */
    CrossReferences(Assembly assembly, BiFunction<Integer, RungItem, OptionalInt> columnOf) {
        this.assembly = assembly;
        this.columnOf = columnOf;
        interlocks = assembly.parts().stream()
                .filter(part -> part.drive() instanceof Drive.Interlocking)
                .toList();
        places = new Spot[assembly.parts().size()][];
        coils = new Spot[places.length];
        note(assembly.sheet().control(), false);
        note(assembly.sheet().power(), true);
    }

    private void note(List<Rung> rungs, boolean power) {
        for (int r = 0; r < rungs.size(); r++) {
            for (RungItem item : rungs.get(r).items()) {
                if (item instanceof RungItem.Passage passage) {
                    note(passage, new Spot(power, r, item));
                }
            }
        }
    }

    private void note(RungItem.Passage passage, Spot spot) {
        int index = assembly.indexOf(passage.tag()).orElseThrow();
        Part part = assembly.parts().get(index);
        Optional<Integer> contact = part.contactBetween(passage.from(), passage.to());
        if (contact.isPresent()) {
            if (places[index] == null) {
                places[index] = new Spot[part.contacts().size()];
            }
            Spot first = places[index][contact.get()];
            places[index][contact.get()] = first == null ? spot : first;
        } else if (!spot.power() && coils[index] == null && isCoil(part, passage)) {
            coils[index] = spot;
        }
    }

    private static boolean isCoil(Part part, RungItem.Passage passage) {
        return part.loadBetween(passage.from(), passage.to())
                .filter(load -> part.loads().get(load).role() == LoadRole.COIL)
                .isPresent();
    }

    /** The lines under the coil of a part: its contacts, free ones included, and the mechanical interlocks that bar it if they are not drawn between poles; none under a controller's terminals. */
    List<String> underCoil(Part part) {
        if (part.family() == Family.CONTROLLER) {
            return List.of();
        }
        Map<String, String> told = new LinkedHashMap<>();
        for (int c = 0; c < part.contacts().size(); c++) {
            Contact contact = part.contacts().get(c);
            String name = contact.pole() ? "poles" : contact.marking();
            told.merge(name, place(part, c), (one, other) -> one.equals("free") ? other : one);
        }
        List<String> lines = new ArrayList<>();
        told.forEach((name, place) -> lines.add(name + ": " + place));
        for (Part bar : interlocks) {
            partner(part.tag(), (Drive.Interlocking) bar.drive())
                    .filter(other -> !hasPoles(part.tag()) || !hasPoles(other))
                    .ifPresent(other -> lines.add(bar.tag() + ": bars " + other));
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

    /** Whether its poles are drawn, so that an interlock is drawn between them; not those of a device that the sheet has not. */
    private boolean hasPoles(String tag) {
        return assembly.part(tag).filter(this::hasPoles).isPresent();
    }

    private boolean hasPoles(Part part) {
        return IntStream.range(0, part.contacts().size())
                .anyMatch(contact -> part.contacts().get(contact).pole()
                        && spot(part, contact).isPresent());
    }

    private Optional<Spot> spot(Part part, int contact) {
        Spot[] ofPart = places[assembly.indexOf(part.tag()).orElseThrow()];
        return ofPart == null ? Optional.empty() : Optional.ofNullable(ofPart[contact]);
    }

    private String place(Part part, int contact) {
        return spot(part, contact)
                .map(spot -> spot.power() ? "power" : words(spot))
                .orElse("free");
    }

    /** Whether a part has a coil in the ladder. */
    boolean hasCoil(Part part) {
        return coils[assembly.indexOf(part.tag()).orElseThrow()] != null;
    }

    /** Where a part's coil is: {@code 5H}; empty if it has none in the ladder. */
    Optional<String> ofCoil(Part part) {
        return Optional.ofNullable(coils[assembly.indexOf(part.tag()).orElseThrow()])
                .map(this::words);
    }

    private String words(Spot spot) {
        OptionalInt column = columnOf.apply(spot.rung(), spot.item());
        return (spot.rung() + 1) + (column.isPresent() ? letter(column.getAsInt()) : "");
    }

    /** What a column is called: A for the first, AA for the one behind Z. */
    static String letter(int column) {
        String last = Character.toString('A' + column % LETTERS);
        return column < LETTERS ? last : letter(column / LETTERS - 1) + last;
    }
}
