package parable.program;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Programs made by lot. */
public final class Programs {

    private static final List<VariableType> BLOCKS = List.of(
            VariableType.TON,
            VariableType.TOF,
            VariableType.TP,
            VariableType.CTU,
            VariableType.R_TRIG,
            VariableType.F_TRIG);

    private final Random random;
    private final List<Variable> variables = new ArrayList<>();
    private final List<Logic.Operand> operands = new ArrayList<>();
    private final List<String> timers = new ArrayList<>();

    private Programs(Random random) {
        this.random = random;
    }

    /** A program of some inputs, outputs, bits in memory and blocks, and some networks on them. */
    public static Program by(long seed) {
        return new Programs(new Random(seed)).program();
    }

    private Program program() {
        for (int i = 0; i < 2 + random.nextInt(5); i++) {
            bit("S" + i, Address.Area.INPUT, i);
        }
        for (int i = 0; i < 1 + random.nextInt(4); i++) {
            bit("K_" + i, Address.Area.OUTPUT, i);
            bit("m" + i, Address.Area.MEMORY, i);
        }
        List<NetworkEnd> ends = new ArrayList<>();
        for (int i = 0; i < random.nextInt(5); i++) {
            VariableType type = BLOCKS.get(random.nextInt(BLOCKS.size()));
            String name = "B" + i;
            variables.add(new Variable(name, type, Optional.empty(), ""));
            operands.add(new Logic.Operand(name, true));
            if (type.isTimer()) {
                timers.add(name);
                ends.add(new NetworkEnd.Timer(name, random.nextInt(5000)));
            } else if (type == VariableType.CTU) {
                ends.add(new NetworkEnd.Counter(name, logic(1), 1 + random.nextInt(4)));
            } else {
                ends.add(new NetworkEnd.Edge(name));
            }
        }
        for (Variable variable : variables) {
            if (variable.address().filter(at -> at.area() != Address.Area.INPUT).isPresent()) {
                NetworkEnd.Coil.Kind[] kinds = NetworkEnd.Coil.Kind.values();
                ends.add(new NetworkEnd.Coil(variable.name(), kinds[random.nextInt(kinds.length)]));
            }
        }
        List<ProgramNetwork> networks = ends.stream()
                .map(end -> new ProgramNetwork(random.nextBoolean() ? "" : "does its work, or not", logic(3), end))
                .toList();
        try {
            return Program.of("Made_by_lot", variables, networks);
        } catch (ProgramException impossible) {
            throw new AssertionError(impossible);
        }
    }

    private void bit(String name, Address.Area area, int number) {
        Address address = new Address(area, number / 8, number % 8);
        variables.add(
                new Variable(name, VariableType.BOOL, Optional.of(address), random.nextBoolean() ? "" : "at the door"));
        operands.add(new Logic.Operand(name, false));
    }

    private Logic logic(int depth) {
        int kind = depth == 0 ? 2 : random.nextInt(4);
        if (kind < 2) {
            List<Logic> parts = new ArrayList<>();
            for (int i = 0; i < 2 + random.nextInt(2); i++) {
                parts.add(logic(depth - 1));
            }
            return kind == 0 ? Logic.series(parts) : Logic.parallel(parts);
        }
        if (!timers.isEmpty() && random.nextInt(6) == 0) {
            return new Logic.Elapsed(
                    timers.get(random.nextInt(timers.size())), random.nextBoolean(), random.nextInt(5000));
        }
        return new Logic.LadderContact(operands.get(random.nextInt(operands.size())), random.nextBoolean());
    }
}
