package parable.program;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** A program written as Structured Text (IEC 61131-3), one statement a network. */
public final class StructuredText {

    private static final String INDENT = "    ";

    private StructuredText() {}

    /** The program as text; {@link #read} gives the same program back. */
    public static String write(Program program) {
        StringBuilder text = new StringBuilder("PROGRAM " + program.name() + "\nVAR\n");
        for (Variable variable : program.variables()) {
            text.append(INDENT).append(variable.name());
            variable.address().ifPresent(address -> text.append(" AT ").append(address));
            text.append(" : ")
                    .append(variable.type())
                    .append(';')
                    .append(comment(" ", variable.comment(), ""))
                    .append('\n');
        }
        text.append("END_VAR\n");
        for (ProgramNetwork network : program.networks()) {
            text.append('\n')
                    .append(comment("", network.comment(), "\n"))
                    .append(statement(network))
                    .append('\n');
        }
        return text.append("\nEND_PROGRAM\n").toString();
    }

    /**
     * Reads a program of the subset that is written here: assignments, boolean expressions, standard timers, up counters and edges, IF that sets
     * or resets one bit. {@code NOT} in front of more than one operand is carried inwards, but for a whole right side, which is a negated coil.
     *
     * @throws StructuredTextException at the first place that is outside the subset
     * @throws ProgramException if what is written uses something that is not declared, or uses it as what it is not
     */
    public static Program read(String text) throws StructuredTextException, ProgramException {
        return new StructuredTextReader(text).program();
    }

    /**
     * The network that a single statement says.
     *
     * @param variables that it may use
     * @throws StructuredTextException if it is no statement, more than one, or has a comment in it
     * @throws ProgramException if the variables do not allow it
     */
    public static ProgramNetwork readStatement(List<Variable> variables, String statement)
            throws StructuredTextException, ProgramException {
        ProgramNetwork network = new StructuredTextReader(statement).onlyNetwork();
        Program.of("Statement", variables, List.of(network));
        return network;
    }

    /**
     * The variable that a single declaration says.
     *
     * @throws StructuredTextException if it is no declaration, or more than one
     */
    public static Variable readVariable(String declaration) throws StructuredTextException {
        return new StructuredTextReader(declaration).onlyVariable();
    }

    private static String comment(String before, String comment, String after) {
        return comment.isEmpty() ? "" : before + "(* " + comment + " *)" + after;
    }

    /** A network as one statement. */
    public static String statement(ProgramNetwork network) {
        String logic = expression(network.logic(), false);
        NetworkEnd end = network.end();
        if (end instanceof NetworkEnd.Coil coil) {
            return switch (coil.kind()) {
                case NORMAL -> coil.variable() + " := " + logic + ";";
                case NEGATED -> coil.variable() + " := NOT (" + logic + ");";
                case SET -> "IF " + logic + " THEN " + coil.variable() + " := TRUE; END_IF;";
                case RESET -> "IF " + logic + " THEN " + coil.variable() + " := FALSE; END_IF;";
            };
        }
        if (end instanceof NetworkEnd.Timer timer) {
            return timer.variable() + "(IN := " + logic + ", PT := " + time(timer.millis()) + ");";
        }
        if (end instanceof NetworkEnd.Counter counter) {
            return counter.variable() + "(CU := " + logic + ", R := " + expression(counter.reset(), false) + ", PV := "
                    + counter.preset() + ");";
        }
        return end.variable() + "(CLK := " + logic + ");";
    }

    private static String expression(Logic logic, boolean within) {
        if (logic instanceof Logic.LadderContact contact) {
            return (contact.closed() ? "NOT " : "") + contact.operand().text();
        }
        if (logic instanceof Logic.Elapsed elapsed) {
            return elapsed.timer() + ".ET " + (elapsed.atLeast() ? ">= " : "< ") + time(elapsed.millis());
        }
        if (logic instanceof Logic.Series series) {
            return series.parts().stream().map(part -> expression(part, true)).collect(Collectors.joining(" AND "));
        }
        String alternatives = ((Logic.Parallel) logic)
                .branches().stream().map(branch -> expression(branch, false)).collect(Collectors.joining(" OR "));
        return within ? "(" + alternatives + ")" : alternatives;
    }

    /** The time in ms of a literal such as {@code T#3s500ms}, empty if it is not one. */
    public static Optional<Long> readTime(String literal) {
        try {
            return Optional.of(new StructuredTextReader(literal).onlyTime());
        } catch (StructuredTextException unreadable) {
            return Optional.empty();
        }
    }

    /** A time in ms as a literal: {@code T#3s500ms}. */
    public static String time(long millis) {
        long seconds = millis / 1000;
        long rest = millis % 1000;
        if (seconds == 0) {
            return "T#" + rest + "ms";
        }
        return String.format(Locale.ROOT, "T#%ds", seconds) + (rest == 0 ? "" : rest + "ms");
    }
}
