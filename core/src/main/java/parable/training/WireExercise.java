package parable.training;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.circuit.Practice;
import parable.circuit.ProbePoint;
import parable.circuit.Terminal;
import parable.finding.FindingException;
import parable.parts.Assembly;
import parable.wiring.Wire;
import parable.wiring.WireList;

/** A panel whose power circuit is wired, and a bundle of wires for its control: each is landed by its number, then it is tested. */
final class WireExercise implements Exercise {

    private static final int MOST_TOLD = 5;

    private final Assembly assembly;
    private final List<Wire> bundle;
    private final List<Landed> landed = new ArrayList<>();
    private int tests;
    private int wrong;
    private boolean right;
    private boolean givenUp;

    private record Landed(Terminal from, Terminal to) {}

    private WireExercise(Assembly assembly, List<Wire> bundle) {
        this.assembly = assembly;
        this.bundle = bundle;
    }

    static WireExercise of(Assembly assembly, Practice practice) {
        return new WireExercise(
                assembly,
                WireList.of(assembly, practice).wires().stream()
                        .filter(wire -> wire.rung() > 0)
                        .toList());
    }

    @Override
    public List<String> brief() {
        Map<String, Long> numbers =
                bundle.stream().collect(Collectors.groupingBy(Wire::number, TreeMap::new, Collectors.counting()));
        String strip = strip().entrySet().stream()
                .map(one -> one.getKey() + " is wire " + one.getValue())
                .collect(Collectors.joining(", "));
        return List.of(
                "The control circuit of " + assembly.sheet().name() + " is to be wired. The bundle, by wire number: "
                        + numbers.entrySet().stream()
                                .map(one -> one.getValue() + " × " + one.getKey())
                                .collect(Collectors.joining(", "))
                        + ".",
                strip.isEmpty()
                        ? "All of it is in one place."
                        : "From place to place it goes over the strip: " + strip + ".");
    }

    @Override
    public List<String> manual() {
        return List.of(
                "Land a wire from terminal to terminal: land S0:12 S1:13; lift S0:12 S1:13 takes it off again.",
                "test compares all of it with the drawing. give up ends it.");
    }

    @Override
    public List<MoveOffer> offers() {
        return List.of(
                new MoveOffer("A wire", "Land it", "land {1} {2}"),
                new MoveOffer("A wire", "Take it off", "lift {1} {2}"),
                new MoveOffer("All", "Test", "test"),
                new MoveOffer("All", "Give up", "give up"));
    }

    @Override
    public List<String> move(String text) throws FindingException {
        String[] words = text.strip().split("\\s+");
        switch (words[0]) {
            case "land" -> {
                landed.add(ends(words, text));
                return List.of(landed.size() + " of " + bundle.size() + " landed.");
            }
            case "lift" -> {
                Landed ends = ends(words, text);
                boolean was = landed.remove(ends) || landed.remove(new Landed(ends.to(), ends.from()));
                return List.of(was ? "It is off." : "There is none from there to there.");
            }
            case "test" -> {
                return tested();
            }
            case "give" -> {
                givenUp = true;
                return solution();
            }
            default -> throw new FindingException("a move", text, "land, lift, test or give up");
        }
    }

    private Landed ends(String[] words, String text) throws FindingException {
        if (words.length != 3) {
            throw new FindingException("a wire", text, "two terminals, such as 'land S0:12 S1:13'");
        }
        return new Landed(end(words[1]), end(words[2]));
    }

    private Terminal end(String text) throws FindingException {
        return ProbePoint.read(text)
                .terminal()
                .filter(this::isThere)
                .orElseThrow(() -> new FindingException("a terminal", text, "one of a device, such as S1:13"));
    }

    private boolean isThere(Terminal end) {
        return assembly.part(end.tag())
                        .filter(part -> part.terminals().contains(end.marking()))
                        .isPresent()
                || strip().containsKey(end);
    }

    /** The terminals of the strip, over which it goes from place to place, with the number of the wire on each. */
    private Map<Terminal, String> strip() {
        Map<Terminal, String> strip = new LinkedHashMap<>();
        for (Wire wire : bundle) {
            Stream.of(wire.from(), wire.to())
                    .filter(end -> assembly.part(end.tag()).isEmpty())
                    .forEach(end -> strip.put(end, wire.number()));
        }
        return strip;
    }

    private List<String> tested() {
        tests++;
        Map<Terminal, Set<Terminal>> want = joined(
                bundle.stream().map(wire -> new Landed(wire.from(), wire.to())).toList());
        Map<Terminal, Set<Terminal>> have = joined(landed);
        List<String> faults = new ArrayList<>();
        want.forEach((end, all) -> {
            Set<Terminal> lacking = new LinkedHashSet<>(all);
            lacking.removeAll(have.getOrDefault(end, Set.of(end)));
            lacking.stream()
                    .filter(other -> end.toString().compareTo(other.toString()) < 0)
                    .forEach(other -> faults.add(end + " is not joined to " + other + "."));
        });
        have.forEach((end, all) -> {
            Set<Terminal> much = new LinkedHashSet<>(all);
            much.removeAll(want.getOrDefault(end, Set.of(end)));
            much.stream()
                    .filter(other -> end.toString().compareTo(other.toString()) < 0)
                    .forEach(
                            other -> faults.add(end + " is joined to " + other + ", which the drawing does not have."));
        });
        right = faults.isEmpty();
        wrong += right ? 0 : 1;
        return right
                ? List.of("All of it is as drawn.")
                : faults.stream().limit(MOST_TOLD).toList();
    }

    /** Which ends are joined with which by wires. */
    private static Map<Terminal, Set<Terminal>> joined(List<Landed> wires) {
        Map<Terminal, Set<Terminal>> joined = new HashMap<>();
        for (Landed wire : wires) {
            Set<Terminal> one = joined.getOrDefault(wire.from(), new LinkedHashSet<>(Set.of(wire.from())));
            one.addAll(joined.getOrDefault(wire.to(), Set.of(wire.to())));
            for (Terminal end : one) {
                joined.put(end, one);
            }
        }
        return joined;
    }

    @Override
    public boolean isOver() {
        return right || givenUp;
    }

    @Override
    public Score score() {
        return new Score(right && !givenUp, tests, 0, wrong, 0, List.of());
    }

    @Override
    public BestWay best() {
        return new BestWay(solution(), 0);
    }

    @Override
    public List<String> solution() {
        List<String> moves = new ArrayList<>(bundle.stream()
                .map(wire -> "land " + wire.from() + " " + wire.to())
                .toList());
        moves.add("test");
        return moves;
    }
}
