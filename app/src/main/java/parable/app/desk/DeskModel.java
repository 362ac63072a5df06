package parable.app.desk;

import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import parable.app.job.JobModel;
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
import parable.drafting.Completion;
import parable.drafting.Inversion;
import parable.drafting.NewDevice;
import parable.drafting.Shorthand;
import parable.drafting.TypedRung;
import parable.parts.Assembly;
import parable.parts.PartException;

/** Changes one sheet of the open job, stroke by stroke. Every stroke is one edit that can be undone. */
public final class DeskModel {

    private static final String POWER = "power ";

    private final JobModel jobs;
    private final String name;
    private final String voltage;
    private final Selection selection = new Selection(this::sheet);
    private final ObjectProperty<DeskStroke> stroke = new SimpleObjectProperty<>(DeskStroke.NEW_RUNG);
    private final StringProperty line = new SimpleStringProperty("");
    private final StringProperty refusal = new SimpleStringProperty("");

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
    public Selection selection() {
        return selection;
    }

    private Practice practice() {
        return jobs.jobProperty().get().practice();
    }

    /** What is done with the next thing that is typed or chosen. */
    public ObjectProperty<DeskStroke> strokeProperty() {
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
            Optional<Command> command = Command.read(line.get(), sheet(), selection.place());
            if (command.isPresent()) {
                Assembly.of(command.get().sheet());
                return new Preview(
                        Optional.of(command.get().sheet()),
                        command.get().words(),
                        command.get().goTo().or(selection::place));
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
        Place at = selection.place().orElse(new Place(Circuit.CONTROL, 0, 0));
        int rung = stroke.get() == DeskStroke.NEW_RUNG ? newRungAt() : at.rung();
        List<Rung> rungs = changed.rungs(at.circuit());
        int shown = stroke.get() == DeskStroke.AROUND || stroke.get() == DeskStroke.BRANCH ? rung + 1 : rung;
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
        Place at = selection.place().orElse(new Place(Circuit.CONTROL, 0, 1));
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
            return PowerCircuit.ofWord(line.get().strip().substring(POWER.length()))
                    .on(sheet, practice());
        }
        if (stroke.get() == DeskStroke.RUNG && selection.place().isPresent()) {
            Place at = selection.place().get();
            Sheet without = new Edit.TakeRung(at.circuit(), at.rung()).on(sheet);
            TypedRung typed = TypedRung.read(line.get(), without, voltage);
            return new Edit.InsertRung(at.circuit(), at.rung(), typed.rung()).on(typed.sheet());
        }
        if (stroke.get().takesRung()) {
            TypedRung typed = TypedRung.read(line.get(), sheet, voltage);
            Circuit circuit = selection.place().map(Place::circuit).orElse(Circuit.CONTROL);
            return new Edit.InsertRung(circuit, newRungAt(), typed.rung()).on(typed.sheet());
        }
        return withDevice(sheet, selection.place().orElseThrow(() -> nothingSelected()));
    }

    private static EditException nothingSelected() {
        return new EditException("the drawing", "nothing selected", "a contact or coil to begin from");
    }

    private Sheet withDevice(Sheet sheet, Place at) throws EditException {
        if (stroke.get() == DeskStroke.BRANCH) {
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
            case AROUND -> around(typed.sheet(), passage);
            case EXCHANGE, RUNG, NEW_RUNG, BRANCH -> Structure.exchanged(typed.sheet(), at, passage);
        };
    }

    private Sheet around(Sheet sheet, RungItem.Passage passage) throws EditException {
        Selection.Stretch stretch = selection.present().orElseThrow();
        return Structure.around(sheet, stretch.first(), stretch.last(), passage);
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
        return selection
                .place()
                .map(at -> at.rung() + 1)
                .orElse(sheet().control().size());
    }

    /** Chooses what the next word does; to change a rung begins with its words. */
    public void choose(DeskStroke next) {
        stroke.set(next);
        line.set(
                next == DeskStroke.RUNG
                        ? selection
                                .place()
                                .map(at -> sheet().rungs(at.circuit())
                                        .get(at.rung())
                                        .text())
                                .orElse("")
                        : "");
    }

    /** What can be said after the words that have been typed so far. */
    List<Completion> completions() {
        return Completion.of(sheet(), line.get());
    }

    /** Puts a whole word in the place of the one that has been begun. */
    void complete(Completion completion) {
        String typed = line.get();
        int begun = Math.max(typed.lastIndexOf(' '), typed.lastIndexOf(';')) + 1;
        line.set(typed.substring(0, begun) + completion.word() + " ");
    }

    /** Takes what is selected away and closes the gap; nothing happens if nothing is selected. */
    public void take() {
        editSelected(at -> {
            Selection.Stretch stretch = selection.present().orElseThrow();
            Sheet changed = Structure.taken(sheet(), stretch.first(), stretch.last());
            return new Edited(changed, stretch.first());
        });
    }

    /** Exchanges the selected contact for one of its device that is closed at rest, or open if it was closed. */
    public void invert() {
        editSelected(at -> new Edited(Inversion.at(sheet(), at, voltage), at));
    }

    /** Moves the selected rung among the others of its circuit. */
    public void moveRung(int sense) {
        editSelected(at -> new Edited(
                Structure.rungMoved(sheet(), at.circuit(), at.rung(), at.rung() + sense),
                new Place(at.circuit(), at.rung() + sense, at.item())));
    }

    /** Lets the selected device change places with its neighbour. */
    public void moveDevice(int sense) {
        editSelected(at -> new Edited(
                Structure.shifted(sheet(), at, sense > 0),
                new Place(at.circuit(), at.rung(), Structure.neighbour(sheet(), at, sense > 0))));
    }

    /** Begins a new rung below the selected one with the words for one like it. */
    public void copyRung() {
        selection.place().ifPresent(at -> {
            choose(DeskStroke.NEW_RUNG);
            try {
                Rung rung = sheet().rungs(at.circuit()).get(at.rung());
                line.set(Shorthand.of(rung, Assembly.of(sheet())));
            } catch (PartException impossible) {
                throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
            }
        });
    }

    /** A changed sheet, and what is selected on it. */
    private record Edited(Sheet sheet, Place selected) {}

    /** A change of what is selected. */
    @FunctionalInterface
    private interface Change {
        Edited at(Place place) throws EditException;
    }

    /** Makes a change of what is selected; one that cannot be made is told and changes nothing. */
    private void editSelected(Change change) {
        selection.place().ifPresent(at -> {
            try {
                Edited edited = change.at(at);
                refusal.set("");
                jobs.edit(edited.sheet());
                select(edited.selected());
            } catch (EditException impossible) {
                refusal.set(impossible.getMessage());
            }
        });
    }

    /** Why the last change of what is selected could not be made, empty if it could. */
    public StringProperty refusalProperty() {
        return refusal;
    }

    /** Puts a device of a kind on the sheet that no rung goes through yet. */
    void put(String kind) {
        try {
            jobs.edit(NewDevice.on(sheet(), kind, voltage, practice()));
        } catch (EditException unknown) {
            throw new IllegalArgumentException(unknown.getMessage(), unknown);
        }
    }

    /** Puts a power circuit and the supply of the ladder on a sheet that has none; nothing happens on another. */
    void drawPower(PowerCircuit circuit) {
        if (sheet().power().isEmpty()) {
            try {
                jobs.edit(circuit.on(sheet(), practice()));
            } catch (EditException impossible) {
                throw new IllegalStateException("an empty power circuit can be drawn", impossible);
            }
        }
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

    /** Selects a place, or what stands nearest to it on its rung. */
    public void select(Place at) {
        selection.select(at);
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
