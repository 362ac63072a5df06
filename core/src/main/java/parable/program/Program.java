package parable.program;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A program. Names are the same in capitals or not (IEC 61131-3).
 *
 * @param name as of a variable
 * @param variables in the order they are declared
 * @param networks in the order of the scan
 */
public record Program(String name, List<Variable> variables, List<ProgramNetwork> networks) {

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
    public static Program of(String name, List<Variable> variables, List<ProgramNetwork> networks)
            throws ProgramException {
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
        program.checkCalls();
        return program;
    }

    /** The part of this program that decides what some of its variables are: nothing else in it makes a difference to them. */
    public Program deciding(Set<String> some) {
        Set<String> cone = new HashSet<>();
        some.forEach(named -> cone.add(named.toUpperCase(Locale.ROOT)));
        boolean grows = true;
        while (grows) {
            grows = false;
            for (ProgramNetwork network : networks) {
                if (cone.contains(network.end().variable().toUpperCase(Locale.ROOT))) {
                    grows |= network.operands()
                            .map(operand -> operand.variable().toUpperCase(Locale.ROOT))
                            .map(cone::add)
                            .reduce(false, Boolean::logicalOr);
                }
            }
        }
        return new Program(
                name,
                variables.stream()
                        .filter(variable -> cone.contains(variable.name().toUpperCase(Locale.ROOT)))
                        .toList(),
                networks.stream()
                        .filter(network ->
                                cone.contains(network.end().variable().toUpperCase(Locale.ROOT)))
                        .toList());
    }

    private void checkCalls() throws ProgramException {
        Set<String> called = new HashSet<>();
        for (int n = 0; n < networks.size(); n++) {
            NetworkEnd end = networks.get(n).end();
            if (!(end instanceof NetworkEnd.Coil) && !called.add(end.variable().toUpperCase(Locale.ROOT))) {
                throw new ProgramException(n + 1, end.variable() + " called again", "each block called once");
            }
        }
    }

    /**
     * This program with its variables renamed that are called like a device, or like a device and an underscore and more.
     *
     * @param tags from the old tag to the new; a name that would not be one, or is taken, stays as it was
     */
    public Program renamed(Map<String, String> tags) {
        Map<String, String> names = new LinkedHashMap<>();
        for (Variable variable : variables) {
            String tag = variable.name().split("_", 2)[0];
            String other = tags.getOrDefault(tag, tag).replace('.', '_')
                    + variable.name().substring(tag.length());
            boolean free = variables.stream().noneMatch(any -> any.name().equalsIgnoreCase(other));
            names.put(
                    variable.name().toUpperCase(Locale.ROOT), Variable.isName(other) && free ? other : variable.name());
        }
        UnaryOperator<String> naming = old -> names.getOrDefault(old.toUpperCase(Locale.ROOT), old);
        return new Program(
                name,
                variables.stream()
                        .map(variable -> new Variable(
                                naming.apply(variable.name()), variable.type(), variable.address(), variable.comment()))
                        .toList(),
                networks.stream().map(network -> network.renamed(naming)).toList());
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
