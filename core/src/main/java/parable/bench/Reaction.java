package parable.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import parable.network.Branch;
import parable.network.ShortCircuit;
import parable.network.Solution;
import parable.parts.Drive;
import parable.parts.Part;

/**
 * What follows from new voltages within the same instant.
 *
 * @param words the consequences, each as the end of a sentence
 * @param commands the devices that are set going by them
 */
record Reaction(List<String> words, List<Command> commands) {

    /**
     * A device set going.
     *
     * @param byItself true if a protective device opens
     */
    record Command(int part, int position, boolean byItself) {}

    /** The reaction of all devices; their conditions in the state are brought up to date. */
    static Reaction of(Rig rig, RunState state, Solution before, Solution after) {
        Reaction reaction = new Reaction(new ArrayList<>(), new ArrayList<>());
        for (int p = 0; p < rig.parts.size(); p++) {
            int part = p;
            rig.coil(p).ifPresent(coil -> reaction.feel(rig, state, after, part, coil));
        }
        for (int p = 0; p < rig.parts.size(); p++) {
            reaction.look(rig, state, after, p);
        }
        if (!after.shorts().isEmpty() && !after.shorts().equals(before.shorts())) {
            after.shorts().forEach(found -> reaction.protect(rig, state, found));
        }
        return reaction;
    }

    private void feel(Rig rig, RunState state, Solution after, int part, Drive.ByCoil coil) {
        double share = rig.shareOfRated(part, coil.load(), after);
        String tag = rig.parts.get(part).tag();
        String volts = volts(rig.voltsThatCount(part, coil.load(), after));
        if (state.commanded[part] == 0 && share >= coil.pullIn()) {
            words.add(tag + "'s coil gets " + volts);
            commands.add(new Command(part, 1, false));
        } else if (state.commanded[part] == 1 && share < coil.dropOut()) {
            words.add(
                    share < 0.02
                            ? tag + "'s coil loses its voltage"
                            : tag + "'s coil has only " + volts + " and lets go");
            commands.add(new Command(part, 0, false));
        }
    }

    private void look(Rig rig, RunState state, Solution after, int part) {
        Condition now = rig.condition(part, state, after);
        if (now == state.conditions[part]) {
            return;
        }
        state.conditions[part] = now;
        String tag = rig.parts.get(part).tag();
        switch (now) {
            case LIT -> words.add(tag + " lights");
            case DIM -> words.add(tag + " glows dimly");
            case DARK -> words.add(tag + " goes dark");
            case FORWARD -> words.add(tag + " runs forward");
            case REVERSE -> words.add(tag + " runs in reverse");
            case STOPPED -> words.add(tag + " has no power and stops");
            case SINGLE_PHASED -> words.add(tag + " hums on two phases");
            case IN,
                    OUT,
                    TRIPPED,
                    HEALTHY,
                    CLOSED,
                    OPEN,
                    BLOWN,
                    PRESSED,
                    HIT,
                    RELEASED,
                    AT_REST,
                    TURNED,
                    PRESENT,
                    LOST -> {}
        }
    }

    private void protect(Rig rig, RunState state, ShortCircuit found) {
        Branch closing = found.loop().get(0);
        words.add("there is a short circuit: wires " + rig.network.name(closing.from()) + " and "
                + rig.network.name(closing.to()) + " are joined through " + through(rig, found));
        Set<Integer> protective = new TreeSet<>();
        for (Branch branch : found.loop()) {
            if (rig.parts.get(branch.part()).protection().isPresent()) {
                protective.add(branch.part());
            }
        }
        double lowest = protective.stream()
                .mapToDouble(part -> amperes(rig, part))
                .min()
                .orElse(0);
        protective.stream()
                .filter(part -> amperes(rig, part) == lowest && state.commanded[part] == 1)
                .filter(part -> commands.stream().noneMatch(command -> command.part == part))
                .forEach(part -> commands.add(new Command(part, 0, true)));
        if (protective.isEmpty()) {
            words.add("nothing in its way can open it");
        }
    }

    private static String through(Rig rig, ShortCircuit found) {
        return found.loop().stream()
                .filter(branch -> branch.sort() == Branch.Sort.CONTACT)
                .map(branch -> {
                    Part part = rig.parts.get(branch.part());
                    return part.tag() + " "
                            + part.contacts().get(branch.index()).marking();
                })
                .collect(Collectors.collectingAndThen(
                        Collectors.joining(", "), list -> list.isEmpty() ? "copper alone" : list));
    }

    private static double amperes(Rig rig, int part) {
        return rig.parts.get(part).protection().orElseThrow().amperes();
    }

    private static String volts(double volts) {
        return String.format(Locale.ROOT, "%.0f V", volts);
    }
}
