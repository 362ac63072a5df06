package parable.desk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;

/**
 * What is selected on a sheet: one device on a rung, or a stretch of the rung from it to another. It may outlive the sheet that it was chosen on; {@link #on}
 * says what it is on another.
 *
 * @param at where it was begun
 * @param other the position on the rung of its other end; the same as that of {@code at} if one device is selected
 */
public record Stretch(Place at, int other) {

    private static final List<Circuit> CIRCUITS = List.of(Circuit.CONTROL, Circuit.POWER);

    /** Its end on the line side. */
    public Place first() {
        return new Place(at.circuit(), at.rung(), Math.min(at.item(), other));
    }

    /** The position on the rung of its end on the return side. */
    public int last() {
        return Math.max(at.item(), other);
    }

    /** The device at a place, or what is nearest to it on the nearest rung of its circuit; empty if there is none. */
    public static Optional<Stretch> at(Sheet sheet, Place place) {
        List<Rung> rungs = sheet.rungs(place.circuit());
        if (rungs.isEmpty()) {
            return Optional.empty();
        }
        int rung = Math.max(0, Math.min(place.rung(), rungs.size() - 1));
        return nearest(passages(rungs.get(rung)), place.item())
                .map(item -> new Stretch(new Place(place.circuit(), rung, item), item));
    }

    /** The first place of the ladder, then of the power circuit, where a device is drawn; empty if it is drawn nowhere. */
    public static Optional<Stretch> ofDevice(Sheet sheet, String tag) {
        return placesOf(sheet, tag).stream().findFirst().flatMap(place -> at(sheet, place));
    }

    /** This on the sheet as it is now: what is nearest on its rung; empty if the rung is gone or nothing is on it. */
    public Optional<Stretch> on(Sheet sheet) {
        if (at.rung() >= sheet.rungs(at.circuit()).size()) {
            return Optional.empty();
        }
        List<Integer> places = passages(rung(sheet));
        return nearest(places, at.item()).flatMap(item -> nearest(places, other)
                .map(end -> new Stretch(new Place(at.circuit(), at.rung(), item), end)));
    }

    private Rung rung(Sheet sheet) {
        return sheet.rungs(at.circuit()).get(at.rung());
    }

    /** This reaching to a place on the same rung; a place on another rung is selected by itself. */
    public Optional<Stretch> reachingTo(Sheet sheet, Place to) {
        return to.circuit() == at.circuit() && to.rung() == at.rung()
                ? nearest(passages(rung(sheet)), to.item()).map(item -> new Stretch(at, item))
                : at(sheet, to);
    }

    /**
     * The next device along the rung, or the one before; this if there is none.
     *
     * @param sense more than 0 for the next
     * @param reaching whether the stretch grows or shrinks rather than moves
     */
    public Stretch along(Sheet sheet, int sense, boolean reaching) {
        int begin = reaching ? other : at.item();
        List<Integer> there = passages(rung(sheet)).stream()
                .filter(item -> sense > 0 ? item > begin : item < begin)
                .toList();
        if (there.isEmpty()) {
            return this;
        }
        int item = sense > 0 ? there.get(0) : there.get(there.size() - 1);
        return reaching ? new Stretch(at, item) : new Stretch(new Place(at.circuit(), at.rung(), item), item);
    }

    /**
     * The next rung with a device on it, or the one before, in the power circuit and then down the ladder; the same rung if there is none.
     *
     * @param sense more than 0 for the next
     */
    public Optional<Stretch> across(Sheet sheet, int sense) {
        List<Place> rungs = new ArrayList<>();
        for (Circuit circuit : List.of(Circuit.POWER, Circuit.CONTROL)) {
            for (int rung = 0; rung < sheet.rungs(circuit).size(); rung++) {
                if (!passages(sheet.rungs(circuit).get(rung)).isEmpty()) {
                    rungs.add(new Place(circuit, rung, at.item()));
                }
            }
        }
        int there = rungs.indexOf(at) + Integer.signum(sense);
        return at(sheet, rungs.get(Math.max(0, Math.min(there, rungs.size() - 1))));
    }

    /** The next place where its device is drawn: from a contact on to its coil, and round again. */
    public Optional<Stretch> nextOfDevice(Sheet sheet) {
        List<Place> places = placesOf(sheet, tag(sheet));
        return at(sheet, places.get((places.indexOf(at) + 1) % places.size()));
    }

    /** The tag of the device that it was begun on. */
    public String tag(Sheet sheet) {
        return tagOf(rung(sheet).items().get(at.item()));
    }

    /** What is selected, in words: {@code Rung 1 of the ladder: S1[13-14] to K1[A1-A2]}. */
    public String words(Sheet sheet) {
        List<RungItem> items = rung(sheet).items();
        String end = last() == first().item() ? "" : " to " + items.get(last()).text();
        return "Rung " + (at.rung() + 1) + " of the " + at.circuit().words() + ": "
                + items.get(first().item()).text() + end;
    }

    private static String tagOf(RungItem item) {
        return item instanceof RungItem.Passage passage ? passage.tag() : "";
    }

    private static List<Place> placesOf(Sheet sheet, String tag) {
        List<Place> places = new ArrayList<>();
        for (Circuit circuit : CIRCUITS) {
            List<Rung> rungs = sheet.rungs(circuit);
            for (int rung = 0; rung < rungs.size(); rung++) {
                for (int item : passages(rungs.get(rung))) {
                    if (tagOf(rungs.get(rung).items().get(item)).equals(tag)) {
                        places.add(new Place(circuit, rung, item));
                    }
                }
            }
        }
        return places;
    }

    private static Optional<Integer> nearest(List<Integer> places, int item) {
        return places.stream().min(Comparator.comparingInt(one -> Math.abs(one - item)));
    }

    private static List<Integer> passages(Rung rung) {
        return IntStream.range(0, rung.items().size())
                .filter(i -> rung.items().get(i) instanceof RungItem.Passage)
                .boxed()
                .toList();
    }
}
