package parable.app.point;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import parable.app.desk.DeskModel;
import parable.app.job.JobModel;
import parable.circuit.Circuit;
import parable.circuit.Job;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.desk.DeskPreview;
import parable.desk.PowerCircuit;
import parable.desk.Stretch;
import parable.offer.Offers;
import parable.offer.Rehanging;
import parable.offer.Spot;
import parable.parts.Assembly;
import parable.stroke.StrokeOffer;

/** What is chosen for a place of the ladder or of the power circuit that was pointed at. */
public final class PointModel {

    /** So many of what can be put at a place are offered; typing finds the others. */
    private static final int MOST = 40;

    private final JobModel jobs;

    /** Kept as long as this is; the open job outlives it. */
    private final ChangeListener<Job> edited = (any, before, now) -> leave();

    private final DeskModel desk;
    private final Supplier<Assembly> fitted;
    private final ReadOnlyObjectWrapper<Optional<Spot>> spot = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<List<ChooserLine>> offers = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyIntegerWrapper chosen = new ReadOnlyIntegerWrapper();
    private final ReadOnlyStringWrapper heading = new ReadOnlyStringWrapper("");
    private final StringProperty typed = new SimpleStringProperty("");
    private Optional<Offers> made = Optional.empty();
    private Optional<List<StrokeOffer>> steps = Optional.empty();

    /**
     * Nothing is pointed at yet.
     *
     * @param fitted gives the sheet, fitted out
     */
    public PointModel(JobModel jobs, DeskModel desk, Supplier<Assembly> fitted) {
        this.jobs = jobs;
        this.desk = desk;
        this.fitted = fitted;
        typed.addListener((any, before, now) -> filter());
        chosen.addListener((any, before, now) -> show());
        jobs.jobProperty().addListener(new WeakChangeListener<>(edited));
    }

    /** The place that was pointed at, empty if none is. */
    public ReadOnlyObjectProperty<Optional<Spot>> spotProperty() {
        return spot.getReadOnlyProperty();
    }

    /** What can be put there and has what is typed in its tag or words, the likely things first; when something is typed the whole steps that fit behind it. */
    public ReadOnlyObjectProperty<List<ChooserLine>> offersProperty() {
        return offers.getReadOnlyProperty();
    }

    /** The position of the one that is chosen and drawn live, 0 for the first. */
    public ReadOnlyIntegerProperty chosenProperty() {
        return chosen.getReadOnlyProperty();
    }

    /** What is typed to find something among the offers. */
    public StringProperty typedProperty() {
        return typed;
    }

    /** What it is that is chosen, in a few words. */
    public ReadOnlyStringProperty headingProperty() {
        return heading.getReadOnlyProperty();
    }

    /** Points at the coil of a contactor or relay, for which a whole step of the trade is to be chosen; those that do not fit say why. */
    public void pointSteps(String tag) {
        leave();
        List<StrokeOffer> all =
                StrokeOffer.all(fitted.get(), tag, jobs.jobProperty().get().conventions());
        steps = Optional.of(all);
        heading.set("Whole steps at " + tag);
        Place coil = all.get(0).preview().next();
        desk.select(coil);
        spot.set(Optional.of(new Spot.InSeries(coil, false)));
        typed.set("");
        filter();
    }

    /** Points at a place. */
    public void point(Spot at) {
        if (made.isEmpty()) {
            made = Optional.of(new Offers(fitted.get(), jobs.jobProperty().get().conventions()));
        }
        steps = Optional.empty();
        heading.set(at.words());
        spot.set(Optional.of(at));
        at.selected().ifPresent(stretch -> desk.select(stretch.at()));
        typed.set("");
        filter();
    }

    private void filter() {
        String text = typed.get();
        List<ChooserLine> fitting = Stream.concat(
                        made.flatMap(any -> spot.get().map(at -> any.first(at, text, MOST))).stream()
                                .flatMap(List::stream)
                                .map(ChooserLine::of),
                        wholeSteps(text).filter(step -> step.matches(text)).map(ChooserLine::of))
                .toList();
        offers.set(
                fitting.isEmpty()
                        ? made.flatMap(any -> spot.get().flatMap(at -> any.typed(at, text))).stream()
                                .map(ChooserLine::of)
                                .toList()
                        : fitting);
        chosen.set(0);
        show();
    }

    /** At a coil all of them; at a place those that fit, once something is typed that may be meant for them. */
    private Stream<StrokeOffer> wholeSteps(String text) {
        if (steps.isEmpty() && !text.isBlank()) {
            steps = spot.get()
                    .map(at -> StrokeOffer.at(
                            fitted.get(), at, jobs.jobProperty().get().conventions()));
        }
        return steps.stream().flatMap(List::stream);
    }

    /** Draws what is chosen as it would be. */
    private void show() {
        desk.offer(spot.get().isPresent() ? chosen().map(ChooserLine::preview) : Optional.empty());
    }

    private Optional<ChooserLine> chosen() {
        int at = chosen.get();
        return at < offers.get().size() ? Optional.of(offers.get().get(at)) : Optional.empty();
    }

    /** Chooses another of the offers, no further than the first and the last. */
    public void choose(int position) {
        chosen.set(Math.max(0, Math.min(offers.get().size() - 1, position)));
    }

    /** Puts what is chosen on the sheet and points at the place where one goes on, if there is one; nothing happens if nothing is chosen. */
    public void take() {
        Optional<Spot> at = spot.get();
        Optional<ChooserLine> taken = chosen();
        Optional<DeskPreview> preview = taken.map(ChooserLine::preview);
        Optional<Assembly> drawn = preview.flatMap(DeskPreview::assembly);
        if (at.isEmpty() || drawn.isEmpty()) {
            return;
        }
        leave();
        jobs.edit(drawn.get().sheet());
        desk.select(preview.get().next());
        taken.get().offer().flatMap(any -> Offers.next(fitted.get(), at.get())).ifPresent(this::point);
    }

    /** What is at a place, as it is written; in the power circuit the device, which is dragged with all its poles. */
    String words(Place place) {
        RungItem item = fitted.get()
                .sheet()
                .rungs(place.circuit())
                .get(place.rung())
                .items()
                .get(place.item());
        return place.circuit() == Circuit.POWER && item instanceof RungItem.Passage pole
                ? pole.tag() + " in all its lines"
                : item.text();
    }

    /** Takes something from its place and puts it at another; nothing happens if it cannot go there. */
    void move(Place from, Spot to) {
        new Rehanging(fitted.get(), jobs.jobProperty().get().conventions())
                .moved(from, to)
                .ifPresent(preview -> preview.sheet().ifPresent(changed -> {
                    jobs.edit(changed);
                    desk.select(preview.next());
                }));
    }

    /** Puts a further contact of the same device at another place; nothing happens if there is none. */
    void copy(Place from, Spot to) {
        new Rehanging(fitted.get(), jobs.jobProperty().get().conventions())
                .copied(from, to)
                .ifPresent(preview -> preview.sheet().ifPresent(changed -> {
                    jobs.edit(changed);
                    desk.select(preview.next());
                }));
    }

    /** The stretch that is selected, empty if none is. */
    Optional<Stretch> selected() {
        return desk.selection().stretchProperty().get();
    }

    /** Lets what is selected reach from one place to another on its rung. */
    void reach(Place from, Place to) {
        desk.select(from);
        desk.selection().reachTo(to);
    }

    /** Puts a power circuit on a sheet that has none, and goes on with the first rung. */
    void drawPower(PowerCircuit circuit) {
        desk.drawPower(circuit);
        if (fitted.get().sheet().control().isEmpty()) {
            point(new Spot.NewRung(0));
        }
    }

    /** Points at nothing any more; nothing is put anywhere. So it is after every edit: what was offered was offered for the sheet before. */
    public void leave() {
        spot.set(Optional.empty());
        made = Optional.empty();
        steps = Optional.empty();
        offers.set(List.of());
        desk.offer(Optional.empty());
    }
}
