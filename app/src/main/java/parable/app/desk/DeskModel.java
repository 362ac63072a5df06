package parable.app.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import parable.app.JobModel;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.drafting.NewDevice;
import parable.drafting.TypedRung;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.MotorData;
import parable.starters.Starter;
import parable.starters.Wish;

/** Changes one sheet of the open job, stroke by stroke. Every stroke is one edit that can be undone. */
public final class DeskModel {

    private static final String POWER = "power ";

    private final JobModel jobs;
    private final String name;
    private final String voltage;
    private final ObjectProperty<Optional<Place>> selection = new SimpleObjectProperty<>(Optional.empty());
    private final ObjectProperty<Stroke> stroke = new SimpleObjectProperty<>(Stroke.NEW_RUNG);
    private final StringProperty line = new SimpleStringProperty("");

    /**
     * The desk of a sheet.
     *
     * @param name the sheet
     * @param voltage the voltage of coils and lamps that are put on it
     */
    public DeskModel(JobModel jobs, String name, String voltage) {
        this.jobs = jobs;
        this.name = name;
        this.voltage = voltage;
    }

    /** The sheet as it is now. */
    public Sheet sheet() {
        return jobs.jobProperty().get().sheet(name).orElseThrow();
    }

    /** What is selected on the drawing. */
    public ObjectProperty<Optional<Place>> selectionProperty() {
        return selection;
    }

    /** What is done with the next thing that is typed or chosen. */
    public ObjectProperty<Stroke> strokeProperty() {
        return stroke;
    }

    /** What is typed. */
    public StringProperty lineProperty() {
        return line;
    }

    /**
     * What the line would make of the sheet.
     *
     * @param sheet the sheet as it would be, empty if the line makes no sense
     * @param words what the line does, or what is wrong with it
     * @param goTo where the selection goes by a command, empty if it goes where the edit is
     */
    public record Preview(Optional<Sheet> sheet, String words, Optional<Place> goTo) {

        Preview(Optional<Sheet> sheet, String words) {
            this(sheet, words, Optional.empty());
        }
    }

    /** Says what the line would do, or what is wrong with it. */
    public Preview preview() {
        if (line.get().isBlank()) {
            return new Preview(Optional.empty(), hint());
        }
        try {
            Optional<Command> command = Command.read(line.get(), sheet(), selectedRung());
            if (command.isPresent()) {
                Assembly.of(command.get().sheet());
                return new Preview(
                        Optional.of(command.get().sheet()),
                        command.get().words(),
                        command.get().goTo().or(this::selectedRung));
            }
            Sheet changed = changed();
            Assembly.of(changed);
            return new Preview(Optional.of(changed), said(changed));
        } catch (EditException | PartException senseless) {
            return new Preview(Optional.empty(), senseless.getMessage());
        }
    }

    private String hint() {
        return stroke.get().takesRung()
                ? "Type a rung: L /F2 /S0 S1 (K1) N. A slash is closed at rest, brackets are a coil, @5 is wire 5. Or: find K1,"
                        + " rename K1 K5, wire 6 12, renumber."
                : "Type a device: S1, /S1 closed at rest, (K1) its coil; or choose one below.";
    }

    private String said(Sheet changed) {
        if (sheet().power().isEmpty() && !changed.power().isEmpty()) {
            return "Puts supply, breaker, contactors, overload and motor on the sheet, and the rails of the ladder.";
        }
        Place at = selectedRung().orElse(new Place(Circuit.CONTROL, 0, 0));
        int rung = stroke.get() == Stroke.NEW_RUNG ? newRungAt() : at.rung();
        List<Rung> rungs = changed.rungs(at.circuit());
        int shown = stroke.get() == Stroke.AROUND || stroke.get() == Stroke.BRANCH ? rung + 1 : rung;
        return rungs.get(Math.min(shown, rungs.size() - 1)).text();
    }

    /** Makes of the line what it says; returns whether it did. */
    public boolean commit() {
        Preview preview = preview();
        if (preview.sheet().isEmpty()) {
            return false;
        }
        Place next = preview.goTo().orElseGet(this::placeAfterwards);
        if (!preview.sheet().get().equals(sheet())) {
            line.set("");
        }
        jobs.edit(preview.sheet().get());
        select(next);
        return true;
    }

    private Place placeAfterwards() {
        Place at = selectedRung().orElse(new Place(Circuit.CONTROL, 0, 1));
        return switch (stroke.get()) {
            case RUNG, EXCHANGE, AROUND -> at;
            case NEW_RUNG -> new Place(at.circuit(), newRungAt(), 1);
            case BEFORE -> at;
            case AFTER -> new Place(at.circuit(), at.rung(), at.item() + 2);
            case BRANCH -> new Place(at.circuit(), at.rung() + 1, 1);
        };
    }

    private Sheet changed() throws EditException {
        Sheet sheet = sheet();
        if (line.get().strip().startsWith(POWER)) {
            return withPower(sheet, line.get().strip().substring(POWER.length()));
        }
        if (stroke.get() == Stroke.RUNG && selectedRung().isPresent()) {
            Place at = selectedRung().get();
            Sheet without = new Edit.TakeRung(at.circuit(), at.rung()).on(sheet);
            TypedRung typed = TypedRung.read(line.get(), without, voltage);
            return new Edit.InsertRung(at.circuit(), at.rung(), typed.rung()).on(typed.sheet());
        }
        if (stroke.get().takesRung()) {
            TypedRung typed = TypedRung.read(line.get(), sheet, voltage);
            Circuit circuit = selectedRung().map(Place::circuit).orElse(Circuit.CONTROL);
            return new Edit.InsertRung(circuit, newRungAt(), typed.rung()).on(typed.sheet());
        }
        return withDevice(sheet, selectedRung().orElseThrow(() -> nothingSelected()));
    }

    private static EditException nothingSelected() {
        return new EditException("the drawing", "nothing selected", "a contact or coil to begin from");
    }

    private Sheet withDevice(Sheet sheet, Place at) throws EditException {
        if (stroke.get() == Stroke.BRANCH) {
            return branched(sheet, at);
        }
        TypedRung typed = TypedRung.read("@" + free(sheet) + " " + line.get() + " @" + free(sheet), sheet, voltage);
        List<RungItem> items = typed.rung().items();
        if (items.size() != 3 || !(items.get(1) instanceof RungItem.Passage passage)) {
            throw new EditException("the line", "'" + line.get().strip() + "'", "one device, such as S1, /S1 or (K1)");
        }
        return switch (stroke.get()) {
            case BEFORE -> Structure.inSeries(typed.sheet(), at, false, passage);
            case AFTER -> Structure.inSeries(typed.sheet(), at, true, passage);
            case AROUND -> Structure.around(typed.sheet(), at, at.item(), passage);
            case EXCHANGE, RUNG, NEW_RUNG, BRANCH -> Structure.exchanged(typed.sheet(), at, passage);
        };
    }

    private static String free(Sheet sheet) {
        return Structure.freeNumber(sheet);
    }

    /** A rung from the point behind the selected device to the return rail. */
    private Sheet branched(Sheet sheet, Place at) throws EditException {
        Sheet named = Structure.pointAfter(sheet, at);
        RungItem from = named.rungs(at.circuit()).get(at.rung()).items().get(at.item() + 1);
        String rail = sheet.rails().stream()
                .skip(1)
                .map(Rail::name)
                .findFirst()
                .orElseThrow(() -> new EditException(sheet.name(), "no return rail", "a ladder with two rails"));
        TypedRung typed = TypedRung.read(from.text() + " " + line.get() + " " + rail, named, voltage);
        return new Edit.InsertRung(at.circuit(), at.rung() + 1, typed.rung()).on(typed.sheet());
    }

    private int newRungAt() {
        return selectedRung().map(at -> at.rung() + 1).orElse(sheet().control().size());
    }

    private Optional<Place> selectedRung() {
        return selection
                .get()
                .filter(at -> at.rung() < sheet().rungs(at.circuit()).size());
    }

    /** Chooses what the next word does; to change a rung begins with its words. */
    public void choose(Stroke next) {
        stroke.set(next);
        line.set(
                next == Stroke.RUNG
                        ? selectedRung()
                                .map(at -> sheet().rungs(at.circuit())
                                        .get(at.rung())
                                        .text())
                                .orElse("")
                        : "");
    }

    /** Takes what is selected away and closes the gap; nothing happens if nothing is selected. */
    public void take() {
        selectedRung().ifPresent(at -> {
            try {
                Sheet changed = Structure.taken(sheet(), at);
                jobs.edit(changed);
                select(at);
            } catch (EditException nothingThere) {
                selection.set(Optional.empty());
            }
        });
    }

    /** Puts a device of a kind on the sheet that no rung goes through yet. */
    void put(String kind) {
        try {
            jobs.edit(NewDevice.on(
                    sheet(), kind, voltage, jobs.jobProperty().get().practice()));
        } catch (EditException unknown) {
            throw new IllegalArgumentException(unknown.getMessage(), unknown);
        }
    }

    /** Puts a power circuit and the supply of the ladder on a sheet that has none; nothing happens on another. */
    void drawPower(PowerCircuit circuit) {
        if (sheet().power().isEmpty()) {
            jobs.edit(withPower(sheet(), circuit));
        }
    }

    private Sheet withPower(Sheet sheet, String word) throws EditException {
        if (!sheet.power().isEmpty()) {
            throw new EditException(name, "a power circuit", "none before one is put on it");
        }
        for (PowerCircuit circuit : PowerCircuit.values()) {
            if (circuit.word().equals(word.strip())) {
                return withPower(sheet, circuit);
            }
        }
        throw new EditException("power", "'" + word + "'", "direct, reversing, star-delta or brake");
    }

    private Sheet withPower(Sheet sheet, PowerCircuit circuit) {
        Practice practice = jobs.jobProperty().get().practice();
        MotorData motor = practice == Practice.IEC
                ? MotorData.on400V("Motor", "machine", "2.2 kW", "4.9 A", "10 A")
                : MotorData.on480V("Motor", "machine", "3 hp", "4.8 A", "15 A");
        Sheet drawn = Starter.withoutLadder(Wish.of(name, practice, motor).with(circuit.choice()));
        Sheet with = sheet;
        for (Device device : drawn.devices()) {
            with = new Edit.PutDevice(device).on(with);
        }
        return with.withRails(drawn.rails()).withRungs(Circuit.POWER, drawn.power());
    }

    /** Takes over what somebody has written of a device; returns why not if it says nothing sensible. */
    Optional<String> describe(Device device, String written) {
        try {
            Sheet changed = new Edit.PutDevice(DeviceLine.read(device, written)).on(sheet());
            Assembly.of(changed);
            jobs.edit(changed);
            return Optional.empty();
        } catch (EditException | PartException senseless) {
            return Optional.of(senseless.getMessage());
        }
    }

    /** The name of the sheet. */
    String name() {
        return name;
    }

    /** A rung with one device from rail to rail, empty if the sheet has fewer than two rails. */
    Optional<String> between(String word) {
        List<Rail> rails = sheet().rails();
        return rails.size() < 2
                ? Optional.empty()
                : Optional.of(
                        rails.get(0).name() + " " + word + " " + rails.get(1).name());
    }

    /** What is selected, in words. */
    String selectedWords() {
        return selectedRung()
                .map(at -> "Rung " + (at.rung() + 1) + " of the " + at.circuit().words() + ": "
                        + sheet().rungs(at.circuit())
                                .get(at.rung())
                                .items()
                                .get(Math.min(
                                        at.item(),
                                        sheet().rungs(at.circuit())
                                                        .get(at.rung())
                                                        .items()
                                                        .size()
                                                - 1))
                                .text())
                .orElse("Nothing selected: click a symbol, or use the arrow keys");
    }

    /** Selects a place, or what stands nearest to it on its rung. */
    public void select(Place at) {
        List<Rung> rungs = sheet().rungs(at.circuit());
        if (rungs.isEmpty()) {
            selection.set(Optional.empty());
            return;
        }
        int rung = Math.max(0, Math.min(at.rung(), rungs.size() - 1));
        List<Integer> places = passages(rungs.get(rung));
        selection.set(places.stream()
                .min((one, other) -> Integer.compare(Math.abs(one - at.item()), Math.abs(other - at.item())))
                .map(item -> new Place(at.circuit(), rung, item)));
    }

    private static List<Integer> passages(Rung rung) {
        return IntStream.range(0, rung.items().size())
                .filter(i -> rung.items().get(i) instanceof RungItem.Passage)
                .boxed()
                .toList();
    }

    /** Goes to the next device along the rung, or to the one before. */
    public void along(int sense) {
        Place at = selection.get().orElse(new Place(Circuit.CONTROL, 0, -1));
        List<Rung> rungs = sheet().rungs(at.circuit());
        if (at.rung() >= rungs.size()) {
            return;
        }
        List<Integer> places = new ArrayList<>(passages(rungs.get(at.rung())));
        places.removeIf(item -> sense > 0 ? item <= at.item() : item >= at.item());
        if (!places.isEmpty()) {
            select(new Place(at.circuit(), at.rung(), sense > 0 ? places.get(0) : places.get(places.size() - 1)));
        }
    }

    /** Goes to the next rung, or to the one before; above the ladder is the power circuit. */
    public void across(int sense) {
        Place at = selection.get().orElse(new Place(Circuit.CONTROL, -sense, 1));
        int rung = at.rung() + sense;
        if (rung < 0 && at.circuit() == Circuit.CONTROL) {
            select(new Place(Circuit.POWER, sheet().power().size() - 1, at.item()));
        } else if (rung >= sheet().rungs(at.circuit()).size() && at.circuit() == Circuit.POWER) {
            select(new Place(Circuit.CONTROL, 0, at.item()));
        } else {
            select(new Place(at.circuit(), rung, at.item()));
        }
    }

    /** Takes the last edit of the job back. */
    public void undo() {
        jobs.undo();
    }

    /** Makes the edit again that was taken back last. */
    public void redo() {
        jobs.redo();
    }
}
