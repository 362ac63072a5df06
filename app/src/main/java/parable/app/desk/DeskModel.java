package parable.app.desk;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.ObjectBinding;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.beans.value.ObservableObjectValue;
import parable.app.job.JobModel;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Practice;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.Sheet;
import parable.desk.CoilVoltage;
import parable.desk.DeskEdit;
import parable.desk.DeskLine;
import parable.desk.DeskPreview;
import parable.desk.DeskStroke;
import parable.desk.DeviceLine;
import parable.desk.PowerCircuit;
import parable.desk.Stretch;
import parable.drafting.Completion;
import parable.drafting.NewDevice;
import parable.drafting.Shorthand;
import parable.parts.Assembly;
import parable.parts.PartException;

/** Changes one sheet of the open job, stroke by stroke. Every stroke is one edit that can be undone. */
public final class DeskModel {

    private final JobModel jobs;
    private final String name;
    private final Supplier<Assembly> fitted;
    private final String voltage;
    private final Selection selection = new Selection(this::sheet);
    private final ObjectProperty<DeskStroke> stroke = new SimpleObjectProperty<>(DeskStroke.NEW_RUNG);
    private final StringProperty line = new SimpleStringProperty("");
    private final StringProperty refusal = new SimpleStringProperty("");
    private final ObjectBinding<DeskPreview> preview;
    private final ObjectProperty<Optional<DeskPreview>> offered = new SimpleObjectProperty<>(Optional.empty());

    /**
     * The desk of a sheet.
     *
     * @param name the sheet
     * @param fitted gives a sheet fitted out that is much like it, so that little is to be done for what is typed
     */
    public DeskModel(JobModel jobs, String name, Supplier<Assembly> fitted) {
        this.jobs = jobs;
        this.name = name;
        this.fitted = fitted;
        voltage = CoilVoltage.of(fitted.get(), practice());
        preview =
                Bindings.createObjectBinding(this::read, jobs.jobProperty(), line, stroke, selection.stretchProperty());
    }

    /** The sheet as it is now. */
    public Sheet sheet() {
        return jobs.jobProperty().get().sheet(name).orElseThrow();
    }

    private Assembly assembly() {
        try {
            return fitted.get().on(sheet());
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
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

    /** What the line would make of the sheet; worked out once for whatever is typed. */
    public ObservableObjectValue<DeskPreview> previewProperty() {
        return preview;
    }

    /** What is chosen for a place that was pointed at, as it would be; empty if nothing is. */
    public ObservableObjectValue<Optional<DeskPreview>> offeredProperty() {
        return offered;
    }

    /** Shows something as it would be, instead of what is typed; empty ends that. */
    public void offer(Optional<DeskPreview> chosen) {
        offered.set(chosen);
    }

    private DeskPreview read() {
        return new DeskLine(
                        assembly(),
                        jobs.jobProperty().get().conventions(),
                        voltage,
                        selection.present(),
                        stroke.get(),
                        line.get())
                .preview();
    }

    /** Makes of the line what it says; returns whether it did. */
    public boolean commit() {
        DeskPreview typed = preview.get();
        if (typed.sheet().isEmpty()) {
            return false;
        }
        Sheet changed = typed.sheet().get();
        if (!changed.equals(sheet())) {
            line.set("");
        }
        jobs.edit(changed);
        select(typed.next());
        return true;
    }

    /** Chooses what the next word does; to change a rung begins with its words. */
    public void choose(DeskStroke next) {
        stroke.set(next);
        line.set(next == DeskStroke.RUNG ? selectedRung().map(Rung::text).orElse("") : "");
    }

    private Optional<Rung> selectedRung() {
        return selection.present().map(Stretch::at).map(at -> sheet().rungs(at.circuit())
                .get(at.rung()));
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
        editSelected(stretch -> DeskEdit.taken(sheet(), stretch));
    }

    /** Exchanges the selected contact for one of its device that is closed at rest, or open if it was closed. */
    public void invert() {
        editSelected(stretch -> DeskEdit.inverted(sheet(), stretch, voltage));
    }

    /** Moves the selected rung among the others of its circuit. */
    public void moveRung(int sense) {
        editSelected(stretch -> DeskEdit.rungMoved(sheet(), stretch, sense));
    }

    /** Lets the selected device change places with its neighbour. */
    public void moveDevice(int sense) {
        editSelected(stretch -> DeskEdit.deviceMoved(sheet(), stretch, sense));
    }

    /** Begins a new rung below the selected one with the words for one like it. */
    public void copyRung() {
        selectedRung().ifPresent(rung -> {
            choose(DeskStroke.NEW_RUNG);
            line.set(Shorthand.of(rung, assembly()));
        });
    }

    /** A change of what is selected. */
    @FunctionalInterface
    private interface Change {
        DeskEdit of(Stretch stretch) throws EditException;
    }

    /** Makes a change of what is selected; one that cannot be made is told and changes nothing. */
    private void editSelected(Change change) {
        selection.present().ifPresent(stretch -> {
            try {
                DeskEdit edited = change.of(stretch);
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
    public void drawPower(PowerCircuit circuit) {
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

    /** Selects a place, or what is nearest to it on its rung. */
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
