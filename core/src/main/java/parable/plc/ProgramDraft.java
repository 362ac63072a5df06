package parable.plc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.program.Address;
import parable.program.Logic;
import parable.program.NetworkEnd;
import parable.program.Program;
import parable.program.ProgramException;
import parable.program.ProgramNetwork;
import parable.program.Variable;
import parable.program.VariableType;

/** A program while it is written. */
final class ProgramDraft {

    private static final int BITS_IN_A_BYTE = 8;

    private final Map<String, Variable> variables = new LinkedHashMap<>();
    private final List<ProgramNetwork> networks = new ArrayList<>();

    /** A name that no variable has, as near to the one that is wanted as can be. */
    private String name(String wanted) {
        String plain = wanted.replaceAll("[^A-Za-z0-9]+", "_").replaceAll("^_+|_+$", "");
        String begin = Variable.isName(plain) ? plain : "x_" + plain.substring(0, Math.min(plain.length(), 20));
        String name = begin;
        for (int i = 2; has(name); i++) {
            name = begin + "_" + i;
        }
        return name;
    }

    boolean has(String name) {
        return variables.keySet().stream().anyMatch(name::equalsIgnoreCase);
    }

    String bit(String wanted, Optional<Address> address, String comment) {
        return add(wanted, VariableType.BOOL, address, comment);
    }

    String block(String wanted, VariableType type, String comment) {
        return add(wanted, type, Optional.empty(), comment);
    }

    private String add(String wanted, VariableType type, Optional<Address> address, String comment) {
        String name = name(wanted);
        variables.put(name, new Variable(name, type, address, comment.strip()));
        return name;
    }

    static Address address(Address.Area area, int number) {
        return new Address(area, number / BITS_IN_A_BYTE, number % BITS_IN_A_BYTE);
    }

    void network(String comment, Logic logic, NetworkEnd end) {
        networks.add(new ProgramNetwork(comment.strip(), logic, end));
    }

    void coil(String comment, Logic logic, String variable) {
        network(comment, logic, new NetworkEnd.Coil(variable, NetworkEnd.Coil.Kind.NORMAL));
    }

    static Logic one(String variable) {
        return new Logic.LadderContact(new Logic.Operand(variable, false), false);
    }

    static Logic zero(String variable) {
        return new Logic.LadderContact(new Logic.Operand(variable, false), true);
    }

    static Logic output(String block) {
        return new Logic.LadderContact(new Logic.Operand(block, true), false);
    }

    static Logic noOutput(String block) {
        return new Logic.LadderContact(new Logic.Operand(block, true), true);
    }

    /** The program; inputs first, then outputs, then what is only remembered. */
    Program program(String named) {
        List<Variable> sorted = new ArrayList<>(variables.values());
        sorted.sort((one, other) -> Integer.compare(place(one), place(other)));
        String name = named.replaceAll("[^A-Za-z0-9]+", "_").replaceAll("^_+|_+$", "");
        try {
            return Program.of(Variable.isName(name) && !has(name) ? name : "Main", sorted, networks);
        } catch (ProgramException impossible) {
            throw new IllegalStateException("a translation writes what is no program", impossible);
        }
    }

    private static int place(Variable variable) {
        return variable.address().map(at -> at.area().ordinal()).orElse(Address.Area.values().length);
    }
}
