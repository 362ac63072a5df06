package parable.reach;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import parable.network.Network;
import parable.network.Solution;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/**
 * A second explorer, written from {@code docs/proof.md} and as plainly as can be: a state is a map of words, every state asks the
 * network anew, nothing is packed or remembered. For circuits of buttons, contactors and one supply.
 */
final class NaiveExplorer {

    private final Assembly assembly;
    private final Network network;
    private final Map<String, String> first = new HashMap<>();
    private final Set<Map<String, String>> seen = new HashSet<>();
    private final Set<Map<String, String>> shorted = new HashSet<>();
    private final Map<Map<String, String>, List<Map<String, String>>> own = new HashMap<>();
    private final Set<Map<String, String>> mustMove = new HashSet<>();

    NaiveExplorer(Assembly assembly) {
        this.assembly = assembly;
        this.network = Network.of(assembly);
        first.put("power", "there");
        for (Part part : assembly.parts()) {
            switch (part.family()) {
                case CONTACTOR -> first.put(part.tag(), "rest");
                case PUSH_BUTTON -> first.put(part.tag(), hasBoth(part) ? "up, blocks up" : "up");
                default -> {}
            }
        }
        Deque<Map<String, String>> waiting = new ArrayDeque<>(List.of(first));
        seen.add(first);
        while (!waiting.isEmpty()) {
            Map<String, String> state = waiting.poll();
            own.put(state, new ArrayList<>());
            for (Map<String, String> next : next(state)) {
                if (!isByHand(state, next)) {
                    own.get(state).add(next);
                }
                if (seen.add(next)) {
                    waiting.add(next);
                }
            }
        }
    }

    int states() {
        return seen.size();
    }

    boolean findsShort() {
        return !shorted.isEmpty();
    }

    /** Whether something is shorted as soon as the power is on. */
    boolean isShortedAtOnce() {
        return shorted.contains(first);
    }

    /** Whether there is a state of a kind. */
    boolean finds(Predicate<Map<String, String>> kind) {
        return seen.stream().anyMatch(kind);
    }

    /** Whether nothing moves by itself in a state and nothing is shorted. */
    boolean isSettled(Map<String, String> state) {
        return !shorted.contains(state) && !mustMove.contains(state);
    }

    /** Whether the circuit never goes round in a loop by itself: whoever takes away the states that lead nowhere, again and again, is left with none. */
    boolean comesToRest() {
        Set<Map<String, String>> left = new HashSet<>(seen);
        while (left.removeIf(
                state -> !mustMove.contains(state) || own.get(state).stream().noneMatch(left::contains))) {
            assertThat(left.size()).isLessThan(seen.size());
        }
        return left.isEmpty();
    }

    /** Whether the circuit can come to rest by itself, or to a short circuit, from every state. */
    boolean canRest() {
        Set<Map<String, String>> resting = new HashSet<>();
        boolean more = true;
        while (more) {
            more = false;
            for (Map<String, String> state : seen) {
                boolean rests = !resting.contains(state)
                        && (!mustMove.contains(state) || own.get(state).stream().anyMatch(resting::contains));
                more |= rests && resting.add(state);
            }
        }
        return resting.size() == seen.size();
    }

    private boolean isByHand(Map<String, String> from, Map<String, String> to) {
        return !to.get("power").equals(from.get("power"))
                || assembly.parts().stream()
                        .filter(part -> part.family() == Family.PUSH_BUTTON)
                        .anyMatch(part -> isDown(to, part.tag()) != isDown(from, part.tag()));
    }

    static boolean isDown(Map<String, String> state, String button) {
        return state.get(button).startsWith("down");
    }

    static boolean isIn(Map<String, String> state, String contactor) {
        return Set.of("in", "let go").contains(state.get(contactor));
    }

    private static boolean hasBoth(Part part) {
        return part.contacts().stream().anyMatch(Contact::isNormallyClosed)
                && part.contacts().stream().anyMatch(contact -> !contact.isNormallyClosed());
    }

    private List<Map<String, String>> next(Map<String, String> state) {
        List<Map<String, String>> next = new ArrayList<>();
        Solution solution = solution(state);
        if (!solution.shorts().isEmpty()) {
            shorted.add(state);
            return next;
        }
        next.add(with(state, "power", state.get("power").equals("there") ? "gone" : "there"));
        for (Part part : assembly.parts()) {
            if (part.family() == Family.PUSH_BUTTON) {
                for (String to : button(state.get(part.tag()))) {
                    Map<String, String> moved = with(state, part.tag(), to);
                    next.add(moved);
                    if (!isByHand(state, moved)) {
                        mustMove.add(state);
                    }
                }
            } else if (part.family() == Family.CONTACTOR) {
                for (String to : armature(state.get(part.tag()), part, solution)) {
                    next.add(with(state, part.tag(), to));
                }
                if (mustMove(state.get(part.tag()), part, solution)) {
                    mustMove.add(state);
                }
            }
        }
        return next;
    }

    private static List<String> button(String now) {
        return switch (now) {
            case "up" -> List.of("down");
            case "down" -> List.of("up");
            case "up, blocks up" -> List.of("down, blocks up");
            case "down, blocks up" -> List.of("up, blocks up", "down, blocks between");
            case "down, blocks between" -> List.of("up, blocks between", "down, blocks down");
            case "down, blocks down" -> List.of("up, blocks down");
            case "up, blocks down" -> List.of("down, blocks down", "up, blocks between");
            case "up, blocks between" -> List.of("down, blocks between", "up, blocks up");
            default -> throw new IllegalStateException(now);
        };
    }

    private double share(Part part, Solution solution) {
        int index = assembly.parts().indexOf(part);
        return solution.loadVoltage(network.load(index, 0)).rms()
                / part.loads().get(0).rated().volts();
    }

    /** What it may do; between the lowest and the highest voltage it may feel its coil fed and may not. */
    private List<String> armature(String now, Part part, Solution solution) {
        double share = share(part, solution);
        boolean held = now.equals("in") || now.equals("let go");
        Set<String> next = new LinkedHashSet<>();
        if (share < (held ? 0.75 : 0.85)) {
            next.addAll(armature(now, false));
        }
        if (share >= (held ? 0.20 : 0.65)) {
            next.addAll(armature(now, true));
        }
        return List.copyOf(next);
    }

    /** At either end of its way it need not move where it may and may not feel its coil fed. */
    private boolean mustMove(String now, Part part, Solution solution) {
        double share = share(part, solution);
        return switch (now) {
            case "rest" -> share >= 0.85;
            case "in" -> share < 0.20;
            default -> true;
        };
    }

    private static List<String> armature(String now, boolean fed) {
        return switch (now) {
            case "rest" -> fed ? List.of("fed") : List.of();
            case "fed" -> fed ? List.of("rising") : List.of("rising", "rest");
            case "rising" -> fed ? List.of("in") : List.of("in", "rest");
            case "in" -> fed ? List.of() : List.of("let go");
            case "let go" -> fed ? List.of("falling", "in") : List.of("falling");
            case "falling" -> fed ? List.of("rest", "in") : List.of("rest");
            default -> throw new IllegalStateException(now);
        };
    }

    private Solution solution(Map<String, String> state) {
        BitSet closed = new BitSet();
        BitSet on = new BitSet();
        for (int p = 0; p < assembly.parts().size(); p++) {
            Part part = assembly.parts().get(p);
            for (int c = 0; c < part.contacts().size(); c++) {
                closed.set(network.contact(p, c), isClosed(part, part.contacts().get(c), state));
            }
            for (int s = 0; s < part.sources().size(); s++) {
                on.set(network.source(p, s), state.get("power").equals("there"));
            }
        }
        return network.solve(closed, on);
    }

    private static boolean isClosed(Part part, Contact contact, Map<String, String> state) {
        String now = state.getOrDefault(part.tag(), "rest");
        return switch (now) {
            case "rest", "fed", "up", "up, blocks up", "down, blocks up" -> contact.isNormallyClosed();
            case "in", "let go", "down", "down, blocks down", "up, blocks down" -> !contact.isNormallyClosed();
            default -> false;
        };
    }

    private static Map<String, String> with(Map<String, String> state, String key, String value) {
        Map<String, String> next = new HashMap<>(state);
        next.put(key, value);
        return next;
    }
}
