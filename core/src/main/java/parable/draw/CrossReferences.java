package parable.draw;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import parable.circuit.Circuit;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.FittedRung;
import parable.parts.LoadRole;
import parable.parts.Part;

/**
 * Where the contacts of a device are, told at its coil; and where its coil is, told at its contacts: {@code 5C} for rung 5, column C, {@code power} for the power
 * circuit.
 */
final class CrossReferences {

    private static final int LETTERS = 26;

    /** In which column of the ladder something is drawn. */
    interface Columns {

        /** The column of an item of a rung, all three counted from 0; empty if it is in none. */
        OptionalInt of(int rung, int item);
    }

    /** Something on a rung. */
    private record Spot(boolean power, int rung, int item) {}

    private final Assembly assembly;

    /** Where each contact of each part is first, by the positions of both; null for one that is drawn nowhere. */
    private final Spot[][] places;

    /** Where the coil of each part is; null without. */
    private final Spot[] coils;

    private final Columns columns;
    private final List<Part> interlocks;

    /**
     * Those of a sheet.
     *
     * @param columns asked when a reference is told, not before
     */
    CrossReferences(Assembly assembly, Columns columns) {
        this.assembly = assembly;
        this.columns = columns;
        interlocks = assembly.parts().stream()
                .filter(part -> part.drive() instanceof Drive.Interlocking)
                .toList();
        places = new Spot[assembly.parts().size()][];
        coils = new Spot[places.length];
        note(assembly.rungs(Circuit.CONTROL), false);
        note(assembly.rungs(Circuit.POWER), true);
    }

    private void note(List<FittedRung> rungs, boolean power) {
        for (int rung = 0; rung < rungs.size(); rung++) {
            FittedRung fitted = rungs.get(rung);
            for (int item = 0; item < fitted.length(); item++) {
                if (fitted.contact(item) >= 0) {
                    noteContact(fitted, new Spot(power, rung, item));
                } else if (!power && fitted.load(item) >= 0) {
                    noteLoad(fitted, new Spot(false, rung, item));
                }
            }
        }
    }

    private void noteContact(FittedRung fitted, Spot spot) {
        int index = fitted.partIndex(spot.item());
        int contact = fitted.contact(spot.item());
        if (places[index] == null) {
            places[index] = new Spot[assembly.parts().get(index).contacts().size()];
        }
        Spot first = places[index][contact];
        places[index][contact] = first == null ? spot : first;
    }

    private void noteLoad(FittedRung fitted, Spot spot) {
        int index = fitted.partIndex(spot.item());
        Part part = assembly.parts().get(index);
        boolean coil = part.loads().get(fitted.load(spot.item())).role() == LoadRole.COIL;
        coils[index] = coil && coils[index] == null ? spot : coils[index];
    }

    private int indexOf(Part part) {
        return assembly.indexOf(part.tag()).orElseThrow();
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
            barred(part, bar).ifPresent(other -> lines.add(bar.tag() + ": bars " + other));
        }
        return lines;
    }

    /** How many lines {@link #underCoil} has. */
    int linesUnderCoil(Part part) {
        if (part.family() == Family.CONTROLLER) {
            return 0;
        }
        int poles = 0;
        for (Contact contact : part.contacts()) {
            poles += contact.pole() ? 1 : 0;
        }
        int bars = 0;
        for (Part bar : interlocks) {
            bars += barred(part, bar).isPresent() ? 1 : 0;
        }
        return part.contacts().size() - poles + Math.min(poles, 1) + bars;
    }

    /** The contactor that a mechanical interlock bars to this one, if that is not drawn between poles. */
    private Optional<String> barred(Part part, Part bar) {
        return partner(part.tag(), (Drive.Interlocking) bar.drive())
                .filter(other -> !hasPoles(part.tag()) || !hasPoles(other));
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
        Spot[] ofPart = places[indexOf(part)];
        return ofPart == null ? Optional.empty() : Optional.ofNullable(ofPart[contact]);
    }

    private String place(Part part, int contact) {
        return spot(part, contact)
                .map(spot -> spot.power() ? "power" : words(spot))
                .orElse("free");
    }

    /** Whether a part has a coil in the ladder, by its position on the sheet. */
    boolean hasCoil(int part) {
        return coils[part] != null;
    }

    /** Where a part's coil is: {@code 5H}; empty if it has none in the ladder. */
    Optional<String> ofCoil(Part part) {
        return Optional.ofNullable(coils[indexOf(part)]).map(this::words);
    }

    private String words(Spot spot) {
        OptionalInt column = columns.of(spot.rung(), spot.item());
        return (spot.rung() + 1) + (column.isPresent() ? letter(column.getAsInt()) : "");
    }

    /** What a column is called: A for the first, AA for the one behind Z. */
    static String letter(int column) {
        String last = Character.toString('A' + column % LETTERS);
        return column < LETTERS ? last : letter(column / LETTERS - 1) + last;
    }
}
