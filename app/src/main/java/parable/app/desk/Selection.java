package parable.app.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;

/** What is selected on a sheet: one device on a rung, or a stretch of the rung from it to another. */
public final class Selection {

    /**
     * A stretch of one rung.
     *
     * @param at where it was begun
     * @param other the position on the rung of its other end; the same as that of {@code at} if one device is selected
     */
    public record Stretch(Place at, int other) {

        /** Its end on the line side. */
        public Place first() {
            return new Place(at.circuit(), at.rung(), Math.min(at.item(), other));
        }

        /** The position on the rung of its end on the return side. */
        public int last() {
            return Math.max(at.item(), other);
        }
    }

    private final Supplier<Sheet> sheet;
    private final ObjectProperty<Optional<Stretch>> stretch = new SimpleObjectProperty<>(Optional.empty());

    /** A selection on the sheet as it is when asked for. */
    Selection(Supplier<Sheet> sheet) {
        this.sheet = sheet;
    }

    /** What is selected, empty if nothing is. */
    public ObjectProperty<Optional<Stretch>> stretchProperty() {
        return stretch;
    }

    /** What is selected on the sheet as it is now: after an edit what stands nearest; empty if nothing is there. */
    Optional<Stretch> present() {
        return stretch.get().flatMap(this::nearest);
    }

    private Optional<Stretch> nearest(Stretch selected) {
        Place at = selected.at();
        if (at.rung() >= rungs(at.circuit()).size()) {
            return Optional.empty();
        }
        List<Integer> places = passages(rungs(at.circuit()).get(at.rung()));
        return nearest(places, at.item()).flatMap(item -> nearest(places, selected.other())
                .map(other -> new Stretch(new Place(at.circuit(), at.rung(), item), other)));
    }

    /** Where the selection was begun, empty if nothing is selected. */
    Optional<Place> place() {
        return present().map(Stretch::at);
    }

    private List<Rung> rungs(Circuit circuit) {
        return sheet.get().rungs(circuit);
    }

    /** The tag of the device that is selected, empty if none is. */
    public Optional<String> tag() {
        return place().map(this::tagAt);
    }

    void clear() {
        stretch.set(Optional.empty());
    }

    /** Selects a place, or what stands nearest to it on its rung. */
    void select(Place at) {
        List<Rung> rungs = rungs(at.circuit());
        if (rungs.isEmpty()) {
            clear();
            return;
        }
        int rung = Math.max(0, Math.min(at.rung(), rungs.size() - 1));
        stretch.set(nearest(passages(rungs.get(rung)), at.item())
                .map(item -> new Stretch(new Place(at.circuit(), rung, item), item)));
    }

    /** Lets the stretch reach to a place on the same rung; a place on another rung is selected by itself. */
    public void reachTo(Place to) {
        Optional<Place> from = place().filter(at -> at.circuit() == to.circuit() && at.rung() == to.rung());
        if (from.isEmpty()) {
            select(to);
            return;
        }
        Rung rung = rungs(to.circuit()).get(to.rung());
        nearest(passages(rung), to.item()).ifPresent(item -> stretch.set(Optional.of(new Stretch(from.get(), item))));
    }

    private static Optional<Integer> nearest(List<Integer> places, int item) {
        return places.stream().min((one, other) -> Integer.compare(Math.abs(one - item), Math.abs(other - item)));
    }

    private static List<Integer> passages(Rung rung) {
        return IntStream.range(0, rung.items().size())
                .filter(i -> rung.items().get(i) instanceof RungItem.Passage)
                .boxed()
                .toList();
    }

    /**
     * Goes to the next device along the rung, or to the one before.
     *
     * @param reaching whether the stretch grows or shrinks rather than moves
     */
    void along(int sense, boolean reaching) {
        Stretch from = present().orElse(new Stretch(new Place(Circuit.CONTROL, 0, -1), -1));
        Place at = from.at();
        if (at.rung() >= rungs(at.circuit()).size()) {
            return;
        }
        int begin = reaching ? from.other() : at.item();
        List<Integer> places = new ArrayList<>(passages(rungs(at.circuit()).get(at.rung())));
        places.removeIf(item -> sense > 0 ? item <= begin : item >= begin);
        if (!places.isEmpty()) {
            int item = sense > 0 ? places.get(0) : places.get(places.size() - 1);
            Place place = new Place(at.circuit(), at.rung(), item);
            if (reaching) {
                reachTo(place);
            } else {
                select(place);
            }
        }
    }

    /** Goes to the next rung, or to the one before; above the ladder is the power circuit. */
    void across(int sense) {
        Place at = place().orElse(new Place(Circuit.CONTROL, -sense, 1));
        int rung = at.rung() + sense;
        if (rung < 0 && at.circuit() == Circuit.CONTROL) {
            select(new Place(Circuit.POWER, rungs(Circuit.POWER).size() - 1, at.item()));
        } else if (rung >= rungs(at.circuit()).size() && at.circuit() == Circuit.POWER) {
            select(new Place(Circuit.CONTROL, 0, at.item()));
        } else {
            select(new Place(at.circuit(), rung, at.item()));
        }
    }

    /** Goes to the next place where the selected device is drawn: from a contact on to its coil, and round again. */
    void nextOfDevice() {
        Optional<Place> from = place();
        if (from.isEmpty()) {
            return;
        }
        List<Place> places = placesOf(tagAt(from.get()));
        int now = places.indexOf(from.get());
        select(places.get((now + 1) % places.size()));
    }

    /** Goes to the first place where a device is drawn; what is selected stays if it is drawn nowhere. */
    public void selectDevice(String tag) {
        placesOf(tag).stream().findFirst().ifPresent(this::select);
    }

    private String tagAt(Place place) {
        RungItem item = rungs(place.circuit()).get(place.rung()).items().get(place.item());
        return item instanceof RungItem.Passage passage ? passage.tag() : "";
    }

    private List<Place> placesOf(String tag) {
        List<Place> places = new ArrayList<>();
        for (Circuit circuit : new Circuit[] {Circuit.CONTROL, Circuit.POWER}) {
            for (int rung = 0; rung < rungs(circuit).size(); rung++) {
                for (int item : passages(rungs(circuit).get(rung))) {
                    Place place = new Place(circuit, rung, item);
                    if (tagAt(place).equals(tag)) {
                        places.add(place);
                    }
                }
            }
        }
        return places;
    }

    /** What is selected, in words. */
    public String words() {
        return present()
                .map(selected -> {
                    Place at = selected.first();
                    List<RungItem> items = rungs(at.circuit()).get(at.rung()).items();
                    String end = selected.last() == at.item()
                            ? ""
                            : " to " + items.get(selected.last()).text();
                    return "Rung " + (at.rung() + 1) + " of the " + at.circuit().words() + ": "
                            + items.get(at.item()).text() + end;
                })
                .orElse("Nothing selected: click a symbol, or use the arrow keys");
    }
}
