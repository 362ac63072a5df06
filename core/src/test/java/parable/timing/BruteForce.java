package parable.timing;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import parable.network.Network;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.TimeRange;

/**
 * Goes through every run of a tiny machine in whole milliseconds, by brute force: every delay of every range, hands at every instant. Written from
 * {@code docs/proof.md} and with nothing in common with the search that it judges. For contactors, plain buttons and one supply.
 */
final class BruteForce {

    private static final int NONE = -1;
    private static final int REST = 0;
    private static final int MID = 1;
    private static final int IN = 2;

    /**
     * A contactor: where it is, whether it feels its coil fed, how long its latest command still takes to break and to make, and how long the one
     * before still takes to make.
     */
    private record Armature(int at, boolean fed, int toBreak, int toMake, int before) {}

    /** Everything at an instant. */
    private record State(List<Armature> armatures, int hands, boolean power) {}

    private final Network network;
    private final List<Part> parts;
    private final int[] contactors;
    private final int[] buttons;
    private final int most;
    private final Set<State> seen = new HashSet<>();
    private final Set<List<Integer>> places = new HashSet<>();
    private boolean shorted;
    private boolean unsure;
    private boolean complete = true;

    /**
     * Goes through them.
     *
     * @param most the most states that are gone through
     */
    BruteForce(Assembly assembly, int most) {
        this.most = most;
        network = Network.of(assembly);
        parts = assembly.parts();
        contactors = IntStream.range(0, parts.size())
                .filter(part -> parts.get(part).family() == Family.CONTACTOR)
                .toArray();
        buttons = IntStream.range(0, parts.size())
                .filter(part -> parts.get(part).family() == Family.PUSH_BUTTON)
                .toArray();
        Deque<State> waiting = new ArrayDeque<>();
        Armature rest = new Armature(REST, false, NONE, NONE, NONE);
        add(new State(IntStream.of(contactors).mapToObj(any -> rest).toList(), 0, true), waiting);
        while (!waiting.isEmpty()) {
            if (seen.size() > most) {
                complete = false;
                return;
            }
            visit(waiting.poll(), waiting);
        }
    }

    /** Whether everything was gone through, and no coil ever had so much voltage that one would feel it and another not. */
    boolean knows() {
        return complete && !unsure;
    }

    boolean findsShort() {
        return shorted;
    }

    /** Whether contactors of these numbers are ever in together. */
    boolean findsIn(int... numbers) {
        return places.stream().anyMatch(place -> IntStream.of(numbers).allMatch(number -> place.get(number) == IN));
    }

    private void add(State state, Deque<State> waiting) {
        if (seen.add(state)) {
            waiting.add(state);
        }
    }

    private void visit(State state, Deque<State> waiting) {
        Solution solution = solution(state);
        places.add(state.armatures().stream().map(Armature::at).toList());
        if (!solution.shorts().isEmpty()) {
            shorted = true;
            return;
        }
        for (int c = 0; c < contactors.length; c++) {
            double share = solution.loadVoltage(network.load(contactors[c], 0)).rms() / 230;
            unsure |= share > 0.15 && share < 0.95;
            if (share > 0.5 != state.armatures().get(c).fed()) {
                for (Armature felt : felt(state.armatures().get(c), parts.get(contactors[c]))) {
                    add(with(state, c, felt), waiting);
                }
                return;
            }
        }
        for (int b = 0; b < buttons.length; b++) {
            add(new State(state.armatures(), state.hands() ^ 1 << b, state.power()), waiting);
        }
        add(new State(state.armatures(), state.hands(), !state.power()), waiting);
        boolean due = false;
        for (int c = 0; c < contactors.length; c++) {
            for (Armature moved : due(state.armatures().get(c))) {
                due = true;
                add(with(state, c, moved), waiting);
            }
        }
        if (!due) {
            add(
                    new State(state.armatures().stream().map(BruteForce::later).toList(), state.hands(), state.power()),
                    waiting);
        }
    }

    private static State with(State state, int contactor, Armature armature) {
        List<Armature> armatures = new ArrayList<>(state.armatures());
        armatures.set(contactor, armature);
        return new State(List.copyOf(armatures), state.hands(), state.power());
    }

    /** The coil changes its mind. */
    private static List<Armature> felt(Armature before, Part part) {
        boolean fed = !before.fed();
        if (before.at() == (fed ? IN : REST)) {
            return List.of(new Armature(before.at(), fed, NONE, NONE, NONE));
        }
        List<Armature> felt = new ArrayList<>();
        TimeRange breaks = part.travel().toBreak(fed);
        TimeRange makes = part.travel().toMake(fed);
        for (int toBreak = millis(breaks.shortest()); toBreak <= millis(breaks.longest()); toBreak++) {
            for (int toMake = Math.max(toBreak, millis(makes.shortest()));
                    toMake <= millis(makes.longest());
                    toMake++) {
                felt.add(new Armature(before.at(), fed, toBreak, toMake, before.at() == MID ? before.toMake() : NONE));
            }
        }
        return felt;
    }

    private static int millis(long micros) {
        return (int) (micros / 1000);
    }

    /** What has to come to pass now, each by itself. */
    private static List<Armature> due(Armature now) {
        List<Armature> due = new ArrayList<>();
        if (now.toBreak() == 0) {
            due.add(new Armature(MID, now.fed(), NONE, now.toMake(), NONE));
        } else if (now.toMake() == 0) {
            due.add(new Armature(now.fed() ? IN : REST, now.fed(), NONE, NONE, NONE));
        }
        if (now.before() == 0) {
            due.add(new Armature(now.fed() ? REST : IN, now.fed(), now.toBreak(), now.toMake(), NONE));
        }
        return due;
    }

    private static Armature later(Armature now) {
        return new Armature(
                now.at(),
                now.fed(),
                Math.max(NONE, now.toBreak() - 1),
                Math.max(NONE, now.toMake() - 1),
                Math.max(NONE, now.before() - 1));
    }

    private Solution solution(State state) {
        BitSet closed = new BitSet();
        BitSet on = new BitSet();
        on.set(0, network.sourceCount(), state.power());
        for (int p = 0; p < parts.size(); p++) {
            for (int c = 0; c < parts.get(p).contacts().size(); c++) {
                closed.set(
                        network.contact(p, c),
                        isClosed(state, p, parts.get(p).contacts().get(c)));
            }
        }
        return network.solve(closed, on);
    }

    private boolean isClosed(State state, int part, Contact contact) {
        for (int c = 0; c < contactors.length; c++) {
            if (contactors[c] == part) {
                int at = state.armatures().get(c).at();
                return contact.isNormallyClosed() ? at == REST : at == IN;
            }
        }
        for (int b = 0; b < buttons.length; b++) {
            if (buttons[b] == part) {
                return contact.isNormallyClosed() != ((state.hands() >> b & 1) == 1);
            }
        }
        return contact.closedAt(1);
    }
}
