package parable.app.program;

import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import parable.app.job.JobModel;
import parable.circuit.Sheet;
import parable.desk.ProgramLine;
import parable.desk.ProgramPlace;
import parable.desk.ProgramStroke;
import parable.program.Logic;
import parable.program.Program;
import parable.program.ProgramEdit;
import parable.program.ProgramException;
import parable.program.ProgramNetwork;
import parable.program.StructuredText;

/** The program of one sheet while it is changed: what is selected in it, what is typed, what that would make of it. */
public final class ProgramModel {

    private final JobModel jobs;
    private final String name;
    private final ObjectProperty<ProgramPlace> selected =
            new SimpleObjectProperty<>(new ProgramPlace(0, ProgramPlace.NETWORK));
    private final ObjectProperty<ProgramStroke> way = new SimpleObjectProperty<>(ProgramStroke.CHANGE);
    private final StringProperty line = new SimpleStringProperty("");
    private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");

    /** The program of the sheet of this name. */
    public ProgramModel(JobModel jobs, String name) {
        this.jobs = jobs;
        this.name = name;
    }

    /** The sheet; empty once it has gone from the job. */
    private Optional<Sheet> sheet() {
        return jobs.jobProperty().get().sheet(name);
    }

    /** The program, empty if the sheet has none. */
    public Optional<Program> program() {
        return sheet().flatMap(Sheet::program);
    }

    ObjectProperty<ProgramPlace> selectedProperty() {
        return selected;
    }

    ObjectProperty<ProgramStroke> wayProperty() {
        return way;
    }

    StringProperty lineProperty() {
        return line;
    }

    /** Why what was asked for last could not be done, empty if it could. */
    ReadOnlyStringProperty troubleProperty() {
        return trouble.getReadOnlyProperty();
    }

    /** Selects a place; to change a network begins with its statement. */
    void select(ProgramPlace place) {
        selected.set(place);
        choose(
                place.leaf() == ProgramPlace.NETWORK
                        ? ProgramStroke.CHANGE
                        : way.get() == ProgramStroke.CHANGE ? ProgramStroke.AFTER : way.get());
    }

    void choose(ProgramStroke next) {
        way.set(next);
        line.set(
                next == ProgramStroke.CHANGE
                        ? network().map(StructuredText::statement).orElse("")
                        : "");
        trouble.set("");
    }

    private Optional<ProgramNetwork> network() {
        return program()
                .filter(program -> selected.get().network() < program.networks().size())
                .map(program -> program.networks().get(selected.get().network()));
    }

    /** What the typed line would make of the program. */
    ProgramLine.Result preview() {
        return typed().map(ProgramLine::preview)
                .orElseGet(() -> new ProgramLine.Result(Optional.empty(), "The sheet has no program."));
    }

    private Optional<ProgramLine> typed() {
        return program().map(program -> new ProgramLine(program, selected.get(), way.get(), line.get()));
    }

    /** Makes of the line what it says; returns whether it did. */
    boolean commit() {
        ProgramLine.Result preview = preview();
        if (preview.program().isEmpty()) {
            trouble.set(preview.words());
            return false;
        }
        boolean adds = way.get() == ProgramStroke.NEW && !typed().orElseThrow().isDeclaration();
        put(preview.program().get());
        if (adds) {
            selected.set(new ProgramPlace(selected.get().network() + 1, ProgramPlace.NETWORK));
        }
        choose(way.get() == ProgramStroke.CHANGE ? ProgramStroke.CHANGE : way.get());
        return true;
    }

    /** A change that was asked for by a key or button. */
    private interface Change {
        Program of(Program program, ProgramPlace at) throws ProgramException;
    }

    private void change(Change change) {
        trouble.set("");
        program()
                .filter(program -> selected.get().network() < program.networks().size())
                .ifPresent(program -> {
                    try {
                        put(change.of(program, selected.get()));
                    } catch (ProgramException impossible) {
                        trouble.set(impossible.getMessage());
                    }
                });
    }

    private void put(Program changed) {
        sheet().ifPresent(sheet -> jobs.edit(sheet.withProgram(Optional.of(changed))));
    }

    /** Takes the selected contact or network away and closes the gap. */
    void take() {
        change((program, at) -> at.leaf() == ProgramPlace.NETWORK
                ? ProgramEdit.taken(program, at.network())
                : ProgramEdit.without(program, at.network(), at.leaf()));
        int last =
                Math.max(0, program().map(program -> program.networks().size()).orElse(1) - 1);
        select(new ProgramPlace(Math.min(last, selected.get().network()), ProgramPlace.NETWORK));
    }

    /** Exchanges the instruction of the selected contact for the other kind. */
    void invert() {
        if (selected.get().leaf() != ProgramPlace.NETWORK) {
            change((program, at) -> ProgramEdit.inverted(program, at.network(), at.leaf()));
        }
    }

    /** Moves the selected network up or down. */
    void move(int sense) {
        int to = selected.get().network() + sense;
        int count = program().map(program -> program.networks().size()).orElse(0);
        if (to >= 0 && to < count) {
            change((program, at) -> ProgramEdit.moved(program, at.network(), to));
            selected.set(new ProgramPlace(to, selected.get().leaf()));
        }
    }

    /** Goes to the next or the last contact, or network. */
    void go(int networks, int leaves) {
        ProgramPlace at = selected.get();
        Program program = program().orElseThrow();
        if (program.networks().isEmpty()) {
            return;
        }
        int network = Math.max(0, Math.min(program.networks().size() - 1, at.network() + networks));
        int count = leaves(program.networks().get(network).logic());
        int leaf = networks != 0
                ? ProgramPlace.NETWORK
                : Math.max(ProgramPlace.NETWORK, Math.min(count - 1, at.leaf() + leaves));
        select(new ProgramPlace(network, leaf));
    }

    private static int leaves(Logic logic) {
        if (logic instanceof Logic.Series series) {
            return series.parts().stream().mapToInt(ProgramModel::leaves).sum();
        }
        return logic instanceof Logic.Parallel parallel
                ? parallel.branches().stream().mapToInt(ProgramModel::leaves).sum()
                : 1;
    }

    /** What is selected, in words. */
    String words() {
        ProgramPlace at = selected.get();
        return network()
                .map(network -> "Network " + (at.network() + 1)
                        + (at.leaf() == ProgramPlace.NETWORK ? "" : ", contact " + (at.leaf() + 1))
                        + (network.comment().isEmpty() ? "" : ": " + network.comment()))
                .orElse("Nothing is selected");
    }
}
