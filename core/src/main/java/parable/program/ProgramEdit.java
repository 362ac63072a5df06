package parable.program;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Changes of a program, each of which makes a new one. Places are counted from 0; contacts and comparisons of a network in the order they are written. */
public final class ProgramEdit {

    private ProgramEdit() {}

    /** Where something new goes beside a contact. */
    public enum Side {
        BEFORE,
        AFTER,
        AROUND
    }

    /** With a network put in before the one that has this number. */
    public static Program inserted(Program program, int at, ProgramNetwork network) throws ProgramException {
        List<ProgramNetwork> networks = new ArrayList<>(program.networks());
        networks.add(Math.min(at, networks.size()), network);
        return checked(program, networks);
    }

    /** With another network in the place of the one that has this number. */
    public static Program replaced(Program program, int at, ProgramNetwork network) throws ProgramException {
        List<ProgramNetwork> networks = new ArrayList<>(program.networks());
        networks.set(at, network);
        return checked(program, networks);
    }

    /** Without the network of this number. */
    public static Program taken(Program program, int at) throws ProgramException {
        List<ProgramNetwork> networks = new ArrayList<>(program.networks());
        networks.remove(at);
        return checked(program, networks);
    }

    /** With the network of this number moved to another place; what is out of range is the nearest place. */
    public static Program moved(Program program, int from, int to) throws ProgramException {
        List<ProgramNetwork> networks = new ArrayList<>(program.networks());
        ProgramNetwork network = networks.remove(from);
        networks.add(Math.max(0, Math.min(networks.size(), to)), network);
        return checked(program, networks);
    }

    /** With a variable declared, or declared otherwise. */
    public static Program declared(Program program, Variable variable) throws ProgramException {
        List<Variable> variables = new ArrayList<>(program.variables());
        Optional<Variable> old = program.variable(variable.name());
        if (old.isPresent()) {
            variables.set(variables.indexOf(old.get()), variable);
        } else {
            variables.add(variable);
        }
        return Program.of(program.name(), variables, program.networks());
    }

    /** With a contact or comparison beside one of a network. */
    public static Program beside(Program program, int network, int leaf, Side side, Logic added)
            throws ProgramException {
        ProgramNetwork old = program.networks().get(network);
        Logic changed = mapped(old.logic(), leaf, there -> switch (side) {
            case BEFORE -> Logic.series(List.of(added, there));
            case AFTER -> Logic.series(List.of(there, added));
            case AROUND -> Logic.parallel(List.of(there, added));
        });
        return replaced(program, network, new ProgramNetwork(old.comment(), changed, old.end()));
    }

    /** With a contact instruction of the other kind, or a comparison turned round. */
    public static Program inverted(Program program, int network, int leaf) throws ProgramException {
        ProgramNetwork old = program.networks().get(network);
        Logic changed = mapped(
                old.logic(),
                leaf,
                there -> there instanceof Logic.LadderContact contact
                        ? new Logic.LadderContact(contact.operand(), !contact.closed())
                        : there instanceof Logic.Elapsed elapsed
                                ? new Logic.Elapsed(elapsed.timer(), !elapsed.atLeast(), elapsed.millis())
                                : there);
        return replaced(program, network, new ProgramNetwork(old.comment(), changed, old.end()));
    }

    /** Without a contact or comparison, the gap closed; the whole network if it was the only one. */
    public static Program without(Program program, int network, int leaf) throws ProgramException {
        ProgramNetwork old = program.networks().get(network);
        Optional<Logic> left = without(old.logic(), new int[] {leaf});
        return left.isEmpty()
                ? taken(program, network)
                : replaced(program, network, new ProgramNetwork(old.comment(), left.get(), old.end()));
    }

    private static Program checked(Program program, List<ProgramNetwork> networks) throws ProgramException {
        return Program.of(program.name(), program.variables(), networks);
    }

    /** A change of one contact. */
    private interface Change {
        Logic of(Logic leaf);
    }

    private static Logic mapped(Logic logic, int leaf, Change change) {
        return mapped(logic, new int[] {leaf}, change);
    }

    private static Logic mapped(Logic logic, int[] left, Change change) {
        if (logic instanceof Logic.Series series) {
            return Logic.series(series.parts().stream()
                    .map(part -> mapped(part, left, change))
                    .toList());
        }
        if (logic instanceof Logic.Parallel parallel) {
            return Logic.parallel(parallel.branches().stream()
                    .map(part -> mapped(part, left, change))
                    .toList());
        }
        return left[0]-- == 0 ? change.of(logic) : logic;
    }

    private static Optional<Logic> without(Logic logic, int[] left) {
        if (logic instanceof Logic.Series series) {
            List<Logic> parts = kept(series.parts(), left);
            return parts.isEmpty() ? Optional.empty() : Optional.of(Logic.series(parts));
        }
        if (logic instanceof Logic.Parallel parallel) {
            List<Logic> branches = kept(parallel.branches(), left);
            return branches.isEmpty() ? Optional.empty() : Optional.of(Logic.parallel(branches));
        }
        return left[0]-- == 0 ? Optional.empty() : Optional.of(logic);
    }

    private static List<Logic> kept(List<Logic> parts, int[] left) {
        return parts.stream().flatMap(part -> without(part, left).stream()).toList();
    }
}
