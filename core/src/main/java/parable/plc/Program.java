package parable.plc;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * A program. Names are the same in capitals or not (IEC 61131-3).
 *
 * @param name as of a variable
 * @param variables in the order they are declared
 * @param networks in the order of the scan
 */
public record Program(String name, List<Variable> variables, List<Network> networks) {

    private static final int MOST_COUNTED = 32_767;

    /** Not modified: the lists are copied. */
    public Program {
        variables = List.copyOf(variables);
        networks = List.copyOf(networks);
    }

    /**
     * A program of which all that is used is declared and used as what it is.
     *
     * @throws ProgramException at the first variable or network that is wrong
     */
    public static Program of(String name, List<Variable> variables, List<Network> networks) throws ProgramException {
        if (!Variable.isName(name)) {
            throw new ProgramException(
                    0, "a program called " + name, "a name of letters, digits and single underscores");
        }
        Program program = new Program(name, variables, networks);
        Set<String> names = new HashSet<>(Set.of(name.toUpperCase(Locale.ROOT)));
        for (Variable variable : variables) {
            if (!names.add(variable.name().toUpperCase(Locale.ROOT))) {
                throw new ProgramException(0, variable.name() + " twice", "each name once");
            }
        }
        for (int n = 0; n < networks.size(); n++) {
            program.check(n + 1, networks.get(n).logic());
            program.check(n + 1, networks.get(n).end());
        }
        return program;
    }

    /** The variable of this name, in capitals or not; empty if it is not declared. */
    public Optional<Variable> variable(String named) {
        return variables.stream()
                .filter(variable -> variable.name().equalsIgnoreCase(named))
                .findFirst();
    }

    private void check(int network, Logic logic) throws ProgramException {
        for (Logic.Operand operand : logic.operands().toList()) {
            VariableType type = declared(network, operand.variable()).type();
            if (operand.output() == (type == VariableType.BOOL)) {
                throw new ProgramException(
                        network,
                        operand.text(),
                        operand.output()
                                ? operand.variable() + " without .Q, for it is a bit"
                                : operand.variable() + ".Q");
            }
        }
        if (logic instanceof Logic.Elapsed elapsed
                && !declared(network, elapsed.timer()).type().isTimer()) {
            throw new ProgramException(network, elapsed.timer() + ".ET", "a timer");
        }
        for (Logic part : parts(logic)) {
            check(network, part);
        }
    }

    private static List<Logic> parts(Logic logic) {
        return logic instanceof Logic.Series series
                ? series.parts()
                : logic instanceof Logic.Parallel parallel ? parallel.branches() : List.of();
    }

    private void check(int network, NetworkEnd end) throws ProgramException {
        Variable variable = declared(network, end.variable());
        boolean fits;
        if (end instanceof NetworkEnd.Coil) {
            fits = variable.type() == VariableType.BOOL;
            if (variable.address().filter(at -> at.area() == Address.Area.INPUT).isPresent()) {
                throw new ProgramException(
                        network, "a coil on " + variable.name(), "an output or memory, for it is an input");
            }
        } else if (end instanceof NetworkEnd.Timer timer) {
            fits = variable.type().isTimer() && timer.millis() >= 0;
        } else if (end instanceof NetworkEnd.Counter counter) {
            fits = variable.type() == VariableType.CTU && counter.preset() >= 1 && counter.preset() <= MOST_COUNTED;
            check(network, counter.reset());
        } else {
            fits = variable.type() == VariableType.R_TRIG || variable.type() == VariableType.F_TRIG;
        }
        if (!fits) {
            throw new ProgramException(
                    network, variable.name() + ", a " + variable.type(), "what this network ends on");
        }
    }

    private Variable declared(int network, String named) throws ProgramException {
        Optional<Variable> variable = variable(named);
        if (variable.isEmpty()) {
            throw new ProgramException(network, named, "a variable that is declared");
        }
        return variable.get();
    }
}
