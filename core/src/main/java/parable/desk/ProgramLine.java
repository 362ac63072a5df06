package parable.desk;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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

/**
 * A line that is typed for a program, with what it is typed for: a statement, an operand beside a contact, or the declaration of a variable.
 *
 * @param program the program as it is
 * @param selected what is selected in it
 * @param stroke what is done with the line
 * @param text the line; blank if nothing is typed yet
 */
public record ProgramLine(Program program, ProgramPlace selected, ProgramStroke stroke, String text) {

    private static final Pattern DECLARATION =
            Pattern.compile("(?s)[A-Za-z]\\w*\\s+AT\\s+%.*|[A-Za-z]\\w*\\s*:(?!=).*");
    private static final Pattern REMARK = Pattern.compile("(?s)\\(\\*(.*?)\\*\\)(.*)");

    /**
     * What the line would make of the program.
     *
     * @param program the program as it would be, empty if the line makes no sense
     * @param words what the line does, or what is wrong with it
     */
    public record Result(Optional<Program> program, String words) {}

    /** What it would make of the program. */
    public Result preview() {
        if (text.isBlank()) {
            return new Result(
                    Optional.empty(),
                    "Type a statement, such as K1 := S0 AND (S1 OR K1_in); or a variable, such as S5 AT %IX0.7 : BOOL; beside a contact only its"
                            + " name, NOT in front of it for the closed instruction.");
        }
        try {
            Program changed = changed();
            return new Result(Optional.of(changed), changed.equals(program) ? "As it is." : "Enter takes it over.");
        } catch (StructuredTextException | ProgramException senseless) {
            return new Result(Optional.empty(), senseless.getMessage());
        }
    }

    /** Whether it declares a variable rather than being part of a network. */
    public boolean isDeclaration() {
        return DECLARATION.matcher(text.strip()).matches();
    }

    private Program changed() throws StructuredTextException, ProgramException {
        if (isDeclaration()) {
            return ProgramEdit.declared(program, StructuredText.readVariable(closed(text.strip())));
        }
        int at = selected.network();
        return switch (stroke) {
            case CHANGE -> program.networks().isEmpty()
                    ? ProgramEdit.inserted(program, 0, typed())
                    : ProgramEdit.replaced(program, at, typed());
            case NEW -> ProgramEdit.inserted(program, at + 1, typed());
            case BEFORE -> beside(ProgramEdit.Side.BEFORE);
            case AFTER -> beside(ProgramEdit.Side.AFTER);
            case AROUND -> beside(ProgramEdit.Side.AROUND);
        };
    }

    private static String closed(String statement) {
        return statement.endsWith(";") ? statement : statement + ";";
    }

    private Program beside(ProgramEdit.Side side) throws StructuredTextException, ProgramException {
        return ProgramEdit.beside(program, selected.network(), Math.max(0, selected.leaf()), side, operand());
    }

    /** A name, an expression or a comparison, as the right side of a statement would have it. */
    private Logic operand() throws StructuredTextException, ProgramException {
        String bit = program.networks().get(selected.network()).end().variable();
        boolean block = program.variable(bit)
                .filter(variable -> variable.type() != VariableType.BOOL)
                .isPresent();
        String target = block ? anyBit().orElse(bit) : bit;
        return statement(closed(target + " := " + text.strip())).logic();
    }

    /** Some variable that a statement may give a value. */
    private Optional<String> anyBit() {
        return program.variables().stream()
                .filter(variable -> variable.type() == VariableType.BOOL)
                .filter(variable -> variable.address()
                        .filter(at -> at.area() == Address.Area.INPUT)
                        .isEmpty())
                .map(Variable::name)
                .findFirst();
    }

    private ProgramNetwork typed() throws StructuredTextException, ProgramException {
        String written = text.strip();
        Matcher remark = REMARK.matcher(written);
        boolean remarked = remark.matches();
        String statement = remarked ? remark.group(2).strip() : written;
        ProgramNetwork read = statement(closed(statement));
        return new ProgramNetwork(remarked ? remark.group(1).strip() : remarkBefore(), read.logic(), read.end());
    }

    /** A network that is changed keeps its remark, if none is typed. */
    private String remarkBefore() {
        boolean changes = stroke == ProgramStroke.CHANGE
                && selected.network() < program.networks().size();
        return changes ? program.networks().get(selected.network()).comment() : "";
    }

    private ProgramNetwork statement(String statement) throws StructuredTextException, ProgramException {
        return StructuredText.readStatement(program.variables(), statement);
    }
}
