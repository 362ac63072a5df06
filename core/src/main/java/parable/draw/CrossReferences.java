package parable.draw;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.BiFunction;
import java.util.function.Function;
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

    /** A contact of a device, by its position among the device's contacts. */
    private record ContactOf(String tag, int contact) {}

    private static final int LETTERS = 26;

    private final Assembly assembly;
    /** Something in the ladder. */
    private record Spot(int rung, RungItem item) {}

    /** Where it is for a contact; empty if it is in the power circuit. */
    private final Map<ContactOf, Optional<Spot>> places = new HashMap<>();

    private final Map<String, Spot> coils = new HashMap<>();
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
        List<Rung> ladder = assembly.sheet().control();
        for (int r = 0; r < ladder.size(); r++) {
            int number = r;
            note(ladder.get(r), item -> Optional.of(new Spot(number, item)));
            noteCoils(ladder.get(r), r);
        }
        assembly.sheet().power().forEach(rung -> note(rung, item -> Optional.empty()));
    }

    private void note(Rung rung, Function<RungItem, Optional<Spot>> place) {
        for (RungItem item : rung.items()) {
            if (item instanceof RungItem.Passage passage) {
                assembly.part(passage.tag())
                        .flatMap(part -> part.contactBetween(passage.from(), passage.to()))
                        .ifPresent(contact ->
                                places.putIfAbsent(new ContactOf(passage.tag(), contact), place.apply(item)));
            }
        }
    }

    private void noteCoils(Rung rung, int number) {
        for (RungItem item : rung.items()) {
            if (item instanceof RungItem.Passage passage) {
                Part part = assembly.part(passage.tag()).orElseThrow();
                part.loadBetween(passage.from(), passage.to())
                        .filter(load -> part.loads().get(load).role() == LoadRole.COIL)
                        .ifPresent(load -> coils.putIfAbsent(passage.tag(), new Spot(number, item)));
            }
        }
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
        return assembly.part(tag).filter(part -> hasPoles(tag, part)).isPresent();
    }

    private boolean hasPoles(String tag, Part part) {
        return IntStream.range(0, part.contacts().size())
                .anyMatch(contact ->
                        part.contacts().get(contact).pole() && places.containsKey(new ContactOf(tag, contact)));
    }

    private String place(Part part, int contact) {
        Optional<Spot> spot = places.get(new ContactOf(part.tag(), contact));
        return spot == null ? "free" : spot.map(this::words).orElse("power");
    }

    /** Where a part's coil is: {@code 5H}; empty if it has none in the ladder. */
    Optional<String> ofCoil(Part part) {
        return Optional.ofNullable(coils.get(part.tag())).map(this::words);
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
