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
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Heater;
import parable.parts.LoadRole;
import parable.parts.Part;

/** What follows from new voltages within the same instant: words for the story, and devices that are set going. */
final class Reaction {

    private static final double SHUNT_OPENS = 0.7;
    private static final double UNDERVOLTAGE_OPENS = 0.35;

    private final Rig rig;
    private final RunState state;
    private final Solution after;
    private static final String PROTECTIVE_EARTH = "PE";

    /** Up to this, in V, a touch is not dangerous (IEC 60364-4-41, alternating). */
    private static final double TOUCHABLE = 50;

    private final boolean told;
    private final List<String> words = new ArrayList<>();
    private final List<Order> commands = new ArrayList<>();
    private final List<Integer> timersFed = new ArrayList<>();
    private final List<Integer> timersReleased = new ArrayList<>();

    /**
     * A device set going.
     *
     * @param byItself true if a protective device opens
     */
    record Order(int part, int position, boolean byItself) {}

    private Reaction(Rig rig, RunState state, Solution after, boolean told) {
        this.rig = rig;
        this.state = state;
        this.after = after;
        this.told = told;
    }

    /**
     * The reaction of all devices; their coils and conditions in the state are brought up to date.
     *
     * @param known the short circuits that were reacted to before
     * @param told whether it is put into words, which takes longer than all else
     */
    static Reaction of(
            Rig rig, RunState state, Solution before, Solution after, List<ShortCircuit> known, boolean told) {
        Reaction reaction = new Reaction(rig, state, after, told);
        for (int p = 0; p < rig.parts.size(); p++) {
            int part = p;
            rig.coil(p).ifPresent(coil -> reaction.feel(part, coil));
            reaction.feelReleases(p);
        }
        for (int p = 0; p < rig.parts.size(); p++) {
            reaction.look(p);
            if (told) {
                reaction.touch(p, before);
            }
        }
        if (!after.shorts().isEmpty() && !after.shorts().equals(known)) {
            reaction.tellOf(after.shorts().get(0));
            after.shorts().forEach(reaction::protect);
        }
        return reaction;
    }

    /** Metal that can be touched has become live: its protective conductor is missing, and something has come upon it. */
    private void touch(int part, Solution before) {
        Part metal = rig.parts.get(part);
        if (!metal.bare().contains(PROTECTIVE_EARTH) || !metal.sources().isEmpty()) {
            return;
        }
        int node = rig.node(part, PROTECTIVE_EARTH);
        double volts = after.potential(node).rms();
        if (volts > TOUCHABLE && before.potential(node).rms() <= TOUCHABLE) {
            words.add(String.format(
                    Locale.ROOT,
                    "the metal of %s is live, %.0f V to earth: whoever touches it gets it",
                    metal.tag(),
                    volts));
        }
    }

    /** The consequences, each as the end of a sentence. */
    List<String> words() {
        return words;
    }

    /** The devices that go to another position. */
    List<Order> commands() {
        return commands;
    }

    /** The timers whose coils got voltage. */
    List<Integer> timersFed() {
        return timersFed;
    }

    /** The timers whose coils lost it. */
    List<Integer> timersReleased() {
        return timersReleased;
    }

    private void feel(int part, Drive.ByCoil coil) {
        double share = rig.shareOfRated(part, coil.load(), after);
        String tag = rig.parts.get(part).tag();
        boolean timer = rig.program(part).isPresent();
        if (!state.energised.get(part) && share >= coil.pullIn()) {
            state.energised.set(part);
            if (told) {
                words.add(
                        tag + "'s coil gets " + volts(part, coil.load()) + new FeedWords(after).of(part, coil.load()));
            }
            set(part, timer, 1);
        } else if (state.energised.get(part) && share < coil.dropOut()) {
            state.energised.clear(part);
            words.add(
                    share < 0.02
                            ? tag + "'s coil loses its voltage"
                            : tag + "'s coil has only " + volts(part, coil.load()) + " and lets go");
            set(part, timer, 0);
        }
    }

    private void set(int part, boolean timer, int position) {
        if (!timer) {
            commands.add(new Order(part, position, false));
        } else {
            (position == 1 ? timersFed : timersReleased).add(part);
        }
    }

    private void feelReleases(int part) {
        Part breaker = rig.parts.get(part);
        for (int load = 0; load < breaker.loads().size() && state.commanded[part] == 1; load++) {
            LoadRole role = breaker.loads().get(load).role();
            double share = rig.shareOfRated(part, load, after);
            if (role == LoadRole.SHUNT_RELEASE && share >= SHUNT_OPENS) {
                words.add(breaker.tag() + "'s shunt trip gets " + volts(part, load));
                commands.add(new Order(part, 0, true));
            } else if (role == LoadRole.UNDERVOLTAGE_RELEASE && share < UNDERVOLTAGE_OPENS) {
                words.add(breaker.tag() + "'s undervoltage release has no voltage");
                commands.add(new Order(part, 0, true));
            }
        }
    }

    private void look(int part) {
        Condition before = state.conditions[part];
        Condition now = rig.condition(part, state, after);
        if (now == before) {
            return;
        }
        state.conditions[part] = now;
        if (told) {
            tellOf(part, before, now);
        }
    }

    private void tellOf(int part, Condition before, Condition now) {
        String tag = rig.parts.get(part).tag();
        boolean moved = before == Condition.COASTING || before == Condition.BRAKED;
        switch (now) {
            case LIT -> words.add(tag + " lights");
            case DIM -> words.add(tag + " glows dimly");
            case DARK -> words.add(tag + " goes dark");
            case SOUNDING -> words.add(tag + " sounds");
            case SILENT -> words.add(tag + " falls silent");
            case FORWARD -> words.add(tag + " runs forward");
            case REVERSE -> words.add(tag + " runs in reverse");
            case SINGLE_PHASED -> words.add(
                    tag + (state.physical.speed[part] == 0 ? " hums and does not start" : " runs on two phases only"));
            case LOCKED -> words.add(tag + " is fed but stuck");
            case COASTING -> words.add(tag + " has no power and coasts");
            case BRAKED -> words.add(tag + " is braked by direct current");
            case STOPPED -> words.add(tag + (moved ? " has come to rest" : " has no power"));
            case IN,
                    OUT,
                    TRIPPED,
                    HEALTHY,
                    CLOSED,
                    OPEN,
                    BLOWN,
                    PRESSED,
                    HIT,
                    ACTUATED,
                    RELEASED,
                    AT_REST,
                    TURNED,
                    PRESENT,
                    LOST,
                    FITTED -> {}
        }
    }

    private void tellOf(ShortCircuit found) {
        words.add(
                "there is a short circuit: " + found.wires(after.network()) + " are joined through " + through(found));
    }

    /** The protection in the way of a short circuit opens; of several those of the lowest rating. Where the sheet has none that can, what is before it opens. */
    private void protect(ShortCircuit found) {
        Set<Integer> protective = new TreeSet<>();
        found.loop().stream().filter(this::canOpen).map(Branch::part).forEach(protective::add);
        if (protective.isEmpty()) {
            openAhead(found);
        }
        double lowest = protective.stream().mapToDouble(this::amperes).min().orElse(0);
        protective.stream().filter(part -> amperes(part) == lowest).forEach(part -> open(part, tripPosition(part)));
    }

    private boolean canOpen(Branch branch) {
        if (branch.sort() != Branch.Sort.CONTACT) {
            return false;
        }
        Part part = rig.parts.get(branch.part());
        Contact contact = part.contacts().get(branch.index());
        return part.protection().isPresent()
                && state.faults.stream()
                        .filter(fault -> fault.tag().equals(part.tag()))
                        .noneMatch(fault -> fault.kind() == Fault.Kind.STUCK
                                || fault.kind() == Fault.Kind.WELDED && fault.isBetween(contact.from(), contact.to()));
    }

    private void openAhead(ShortCircuit found) {
        List<Integer> supplies = found.loop().stream()
                .filter(branch -> branch.sort() == Branch.Sort.SOURCE)
                .map(Branch::part)
                .filter(part -> rig.parts.get(part).family() == Family.SUPPLY)
                .distinct()
                .toList();
        String tags = supplies.stream().map(part -> rig.parts.get(part).tag()).collect(Collectors.joining(" and "));
        words.add(
                supplies.isEmpty()
                        ? "nothing in its way can open it"
                        : "nothing on the sheet can open it: what is before " + tags + " does");
        supplies.forEach(part -> open(part, 0));
    }

    private void open(int part, int position) {
        if (state.commanded[part] == 1 && commands.stream().noneMatch(command -> command.part == part)) {
            commands.add(new Order(part, position, true));
        }
    }

    private int tripPosition(int part) {
        return rig.parts.get(part).heater().map(Heater::tripPosition).orElse(0);
    }

    private String through(ShortCircuit found) {
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

    private double amperes(int part) {
        return rig.parts.get(part).protection().orElseThrow().amperes();
    }

    private String volts(int part, int load) {
        return String.format(Locale.ROOT, "%.0f V", rig.voltsThatCount(part, load, after));
    }
}
