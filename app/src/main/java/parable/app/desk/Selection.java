package parable.app.desk;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.desk.Stretch;
import parable.offer.Spot;

/** What is selected on the sheet that is drawn. */
public final class Selection {

    private static final Stretch BEFORE_THE_FIRST = new Stretch(new Place(Circuit.CONTROL, 0, -1), -1);

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

    /** What is selected on the sheet as it is now: after an edit what is nearest; empty if nothing is there. */
    Optional<Stretch> present() {
        return stretch.get().flatMap(selected -> selected.on(sheet.get()));
    }

    /** The tag of the device that is selected, empty if none is. */
    public Optional<String> tag() {
        return present().map(selected -> selected.tag(sheet.get()));
    }

    void clear() {
        stretch.set(Optional.empty());
    }

    /** Selects a place, or what is nearest to it on its rung. */
    void select(Place at) {
        stretch.set(Stretch.at(sheet.get(), at));
    }

    /** Lets the stretch reach to a place on the same rung; a place on another rung is selected by itself. */
    public void reachTo(Place to) {
        stretch.set(
                present().map(from -> from.reachingTo(sheet.get(), to)).orElseGet(() -> Stretch.at(sheet.get(), to)));
    }

    /**
     * Goes to the next device along the rung, or to the one before.
     *
     * @param reaching whether the stretch grows or shrinks rather than moves
     */
    void along(int sense, boolean reaching) {
        if (present().isPresent() || !sheet.get().control().isEmpty()) {
            Stretch next = present().orElse(BEFORE_THE_FIRST).along(sheet.get(), sense, reaching);
            stretch.set(next.on(sheet.get()));
        }
    }

    /** Goes to the next rung, or to the one before; above the ladder is the power circuit. */
    void across(int sense) {
        stretch.set(present()
                .map(from -> from.across(sheet.get(), sense))
                .orElseGet(() -> Stretch.at(sheet.get(), new Place(Circuit.CONTROL, 0, 1))));
    }

    /** Goes to the next place where the selected device is drawn: from a contact on to its coil, and round again. */
    void nextOfDevice() {
        present().ifPresent(from -> stretch.set(from.nextOfDevice(sheet.get())));
    }

    /** Goes to the first place where a device is drawn; what is selected stays if it is drawn nowhere. */
    public void selectDevice(String tag) {
        Stretch.ofDevice(sheet.get(), tag).ifPresent(found -> stretch.set(Optional.of(found)));
    }

    /** Where one would go on from what is selected: in parallel to a stretch, else before a load, else behind a contact; empty if nothing is. */
    public Optional<Spot> spot() {
        return present()
                .map(selected -> selected.first().item() == selected.last()
                        ? new Spot.InSeries(selected.at(), !isLast(selected))
                        : new Spot.Around(selected.first(), selected.last()));
    }

    private boolean isLast(Stretch selected) {
        if (selected.at().circuit() == Circuit.POWER) {
            return false;
        }
        List<RungItem> items = sheet.get().control().get(selected.at().rung()).items();
        return items.stream().skip(selected.last() + 1L).noneMatch(RungItem.Passage.class::isInstance);
    }

    /** What is selected, in words. */
    public String words() {
        return present()
                .map(selected -> selected.words(sheet.get()))
                .orElse("Nothing selected: click a symbol, or use the arrow keys");
    }
}
