package parable.app.program;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import parable.app.job.JobModel;
import parable.circuit.Sheet;
import parable.program.Address;
import parable.program.Logic;
import parable.program.Program;
import parable.program.ProgramEdit;
import parable.program.ProgramException;
import parable.program.ProgramNetwork;
import parable.program.StructuredText;
import parable.program.StructuredTextException;
import parable.program.Variable;
import parable.program.VariableType;

/** The program of one sheet while it is changed: what is selected in it, what is typed, what that would make of it. */
public final class ProgramModel {

    private static final Pattern DECLARATION =
            Pattern.compile("(?s)[A-Za-z]\\w*\\s+AT\\s+%.*|[A-Za-z]\\w*\\s*:(?!=).*");
    private static final Pattern REMARK = Pattern.compile("(?s)\\(\\*(.*?)\\*\\)(.*)");

    private final JobModel jobs;
    private final String name;
    private final ObjectProperty<Spot> selected = new SimpleObjectProperty<>(new Spot(0, Spot.NETWORK));
    private final ObjectProperty<Insertion> way = new SimpleObjectProperty<>(Insertion.CHANGE);
    private final StringProperty line = new SimpleStringProperty("");
    private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");

    /**
     * A place in a program.
     *
     * @param network from 0
     * @param leaf the contact in it, from 0, or {@link #NETWORK} for all of it
     */
    public record Spot(int network, int leaf) {
        static final int NETWORK = -1;
    }

    /** What is done with what is typed. */
    public enum Insertion {
        CHANGE("Change", "the selected network, as a statement"),
        NEW("New network", "below the selected one"),
        BEFORE("Before", "in series before the selected contact"),
        AFTER("After", "in series after the selected contact"),
        AROUND("Around", "in parallel with the selected contact");

        private final String words;
        private final String help;

        Insertion(String words, String help) {
            this.words = words;
            this.help = help;
        }

        String words() {
            return words;
        }

        String help() {
            return help;
        }
    }

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

    ObjectProperty<Spot> selectedProperty() {
        return selected;
    }

    ObjectProperty<Insertion> wayProperty() {
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
    void select(Spot place) {
        selected.set(place);
        choose(
                place.leaf() == Spot.NETWORK
                        ? Insertion.CHANGE
                        : way.get() == Insertion.CHANGE ? Insertion.AFTER : way.get());
    }

    void choose(Insertion next) {
        way.set(next);
        line.set(
                next == Insertion.CHANGE
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
    record Preview(Optional<Program> program, String words) {}

    Preview preview() {
        if (program().isEmpty()) {
            return new Preview(Optional.empty(), "The sheet has no program.");
        }
        if (line.get().isBlank()) {
            return new Preview(
                    Optional.empty(),
                    "Type a statement, such as K1 := S0 AND (S1 OR K1_in); or a variable, such as S5 AT %IX0.7 : BOOL; beside a contact only its"
                            + " name, NOT in front of it for the closed instruction.");
        }
        try {
            Program changed = changed();
            return new Preview(
                    Optional.of(changed),
                    changed.equals(program().orElseThrow()) ? "As it is." : "Enter takes it over.");
        } catch (StructuredTextException | ProgramException senseless) {
            return new Preview(Optional.empty(), senseless.getMessage());
        }
    }

    /** Makes of the line what it says; returns whether it did. */
    boolean commit() {
        Preview preview = preview();
        if (preview.program().isEmpty()) {
            trouble.set(preview.words());
            return false;
        }
        boolean adds = way.get() == Insertion.NEW && !isDeclaration();
        put(preview.program().get());
        if (adds) {
            selected.set(new Spot(selected.get().network() + 1, Spot.NETWORK));
        }
        choose(way.get() == Insertion.CHANGE ? Insertion.CHANGE : way.get());
        return true;
    }

    private boolean isDeclaration() {
        return DECLARATION.matcher(line.get().strip()).matches();
    }

    private Program changed() throws StructuredTextException, ProgramException {
        Program program = program().orElseThrow();
        if (isDeclaration()) {
            return ProgramEdit.declared(program, variable(line.get().strip()));
        }
        int at = selected.get().network();
        return switch (way.get()) {
            case CHANGE -> program.networks().isEmpty()
                    ? ProgramEdit.inserted(program, 0, typed(program))
                    : ProgramEdit.replaced(program, at, typed(program));
            case NEW -> ProgramEdit.inserted(program, at + 1, typed(program));
            case BEFORE -> beside(program, ProgramEdit.Side.BEFORE);
            case AFTER -> beside(program, ProgramEdit.Side.AFTER);
            case AROUND -> beside(program, ProgramEdit.Side.AROUND);
        };
    }

    private Program beside(Program program, ProgramEdit.Side side) throws StructuredTextException, ProgramException {
        Spot at = selected.get();
        return ProgramEdit.beside(program, at.network(), Math.max(0, at.leaf()), side, operand(program));
    }

    /** A name, an expression or a comparison, as the right side of a statement would have it. */
    private Logic operand(Program program) throws StructuredTextException, ProgramException {
        String bit = program.networks().get(selected.get().network()).end().variable();
        boolean block = program.variable(bit)
                .filter(variable -> variable.type() != VariableType.BOOL)
                .isPresent();
        String target = block
                ? program.variables().stream()
                        .filter(variable -> variable.type() == VariableType.BOOL)
                        .filter(variable -> variable.address()
                                .filter(at -> at.area() == Address.Area.INPUT)
                                .isEmpty())
                        .map(Variable::name)
                        .findFirst()
                        .orElse(bit)
                : bit;
        return network(program, target + " := " + line.get().strip().replaceAll(";$", "") + ";")
                .logic();
    }

    private ProgramNetwork typed(Program program) throws StructuredTextException, ProgramException {
        String written = line.get().strip();
        Matcher remark = REMARK.matcher(written);
        String comment = remark.matches()
                ? remark.group(1).strip()
                : way.get() == Insertion.CHANGE
                        ? network().map(ProgramNetwork::comment).orElse("")
                        : "";
        String statement = remark.matches() ? remark.group(2).strip() : written;
        ProgramNetwork read = network(program, statement.endsWith(";") ? statement : statement + ";");
        return new ProgramNetwork(comment, read.logic(), read.end());
    }

    /** Reads one statement with the variables that the program has. */
    private static ProgramNetwork network(Program program, String statement)
            throws StructuredTextException, ProgramException {
        return StructuredText.readStatement(program.variables(), statement);
    }

    private static Variable variable(String declaration) throws StructuredTextException {
        return StructuredText.readVariable(declaration.endsWith(";") ? declaration : declaration + ";");
    }

    /** A change that was asked for by a key or button. */
    private interface Change {
        Program of(Program program, Spot at) throws ProgramException;
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
        change((program, at) -> at.leaf() == Spot.NETWORK
                ? ProgramEdit.taken(program, at.network())
                : ProgramEdit.without(program, at.network(), at.leaf()));
        int last =
                Math.max(0, program().map(program -> program.networks().size()).orElse(1) - 1);
        select(new Spot(Math.min(last, selected.get().network()), Spot.NETWORK));
    }

    /** Exchanges the instruction of the selected contact for the other kind. */
    void invert() {
        if (selected.get().leaf() != Spot.NETWORK) {
            change((program, at) -> ProgramEdit.inverted(program, at.network(), at.leaf()));
        }
    }

    /** Moves the selected network up or down. */
    void move(int sense) {
        int to = selected.get().network() + sense;
        int count = program().map(program -> program.networks().size()).orElse(0);
        if (to >= 0 && to < count) {
            change((program, at) -> ProgramEdit.moved(program, at.network(), to));
            selected.set(new Spot(to, selected.get().leaf()));
        }
    }

    /** Goes to the next or the last contact, or network. */
    void go(int networks, int leaves) {
        Spot at = selected.get();
        Program program = program().orElseThrow();
        if (program.networks().isEmpty()) {
            return;
        }
        int network = Math.max(0, Math.min(program.networks().size() - 1, at.network() + networks));
        int count = leaves(program.networks().get(network).logic());
        int leaf = networks != 0 ? Spot.NETWORK : Math.max(Spot.NETWORK, Math.min(count - 1, at.leaf() + leaves));
        select(new Spot(network, leaf));
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
        Spot at = selected.get();
        return network()
                .map(network -> "Network " + (at.network() + 1)
                        + (at.leaf() == Spot.NETWORK ? "" : ", contact " + (at.leaf() + 1))
                        + (network.comment().isEmpty() ? "" : ": " + network.comment()))
                .orElse("Nothing is selected");
    }
}
