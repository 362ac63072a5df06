package parable.proof;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import parable.bench.Pace;
import parable.bench.Progress;
import parable.parts.Assembly;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.reach.CircuitMachine;
import parable.reach.Component;
import parable.reach.Effects;
import parable.reach.Quiescence;
import parable.timing.Refutation;
import parable.timing.Replay;

/** Goes through two machines together, pair by pair of rests, breadth first, so that the first difference is a shortest one. */
final class Comparing {

    private static final int MOST_PAIRS = 2_000_000;
    private static final int LOOK_UP = 0x3f;
    private static final long BEGIN = 2_000_000;
    private static final long SETTLES = 500_000;
    private static final long RUNS_OUT = 12_000_000;

    private final Assembly[] sheets;
    private final CircuitMachine[] machines;
    private final Quiescence[] rests;
    private final Progress progress;
    private final List<Pair> pairs = new ArrayList<>();
    private final Set<Known> seen = new HashSet<>();
    private Optional<String> forgotten = Optional.empty();
    private Optional<String> raceFirst = Optional.empty();
    private int races;
    private final Set<String> shared = new TreeSet<>();
    private final List<Map<Long, Effects>> outcomes = List.of(new HashMap<>(), new HashMap<>());

    private record Two(long one, long other) {}

    /** A pair of rests, and whether a timer of the one still knows its time that the other has forgotten with its supply. */
    private record Known(Two states, boolean forgotten) {}

    /** A pair of rests and how it was come to. */
    private record Pair(Known known, int parent, Optional<Deed> deed) {
        Two states() {
            return known.states();
        }
    }

    /** Something done to both: hands of either machine, or a timer that runs out. */
    private record Deed(
            String words,
            List<CircuitMachine.Move> one,
            List<CircuitMachine.Move> other,
            boolean isTimer,
            boolean power) {}

    Comparing(Assembly one, Assembly other, Progress progress) {
        sheets = new Assembly[] {one, other};
        machines =
                new CircuitMachine[] {CircuitMachine.untimed(one, List.of()), CircuitMachine.untimed(other, List.of())};
        rests = new Quiescence[] {new Quiescence(machines[0]), new Quiescence(machines[1])};
        this.progress = progress;
        one.parts().stream()
                .filter(part -> other.part(part.tag())
                        .filter(same -> same.family() == part.family())
                        .isPresent())
                .map(Part::tag)
                .forEach(shared::add);
    }

    Equivalence compared() {
        if (!machines[0].isSmallEnough() || !machines[1].isSmallEnough()) {
            return new Equivalence(Equivalence.Answer.UNFINISHED, 0, List.of(), Optional.empty());
        }
        Optional<Equivalence.Difference> first =
                meet(new Two(machines[0].initial(), machines[1].initial()), -1, Optional.empty());
        for (int i = 0; i < pairs.size() && first.isEmpty(); i++) {
            if (pairs.size() > MOST_PAIRS || (i & LOOK_UP) == LOOK_UP && progress.isCancelled(pairs.size())) {
                return result(Equivalence.Answer.UNFINISHED, Optional.empty());
            }
            first = visit(i);
        }
        return result(first.isEmpty() ? Equivalence.Answer.EQUIVALENT : Equivalence.Answer.DIFFERENT, first);
    }

    private Equivalence result(Equivalence.Answer verdict, Optional<Equivalence.Difference> difference) {
        List<String> nature = new ArrayList<>();
        forgotten.ifPresent(words -> nature.add("After a loss of the supply relays may go on by themselves, or with a"
                + " timer that still knows its time; the program has forgotten everything and begins anew. For example "
                + words + ". Which of them you want is for you to decide."));
        raceFirst.ifPresent(words ->
                nature.add("Where contacts of the one sheet race, which of them is the quicker decides; the other takes"
                        + " one of the same ways. Found " + (races == 1 ? "once" : races + " times")
                        + ", for example when " + words
                        + "."));
        return new Equivalence(verdict, pairs.size(), nature, difference);
    }

    private Optional<Equivalence.Difference> visit(int index) {
        Two at = pairs.get(index).states();
        for (Deed deed : deeds(at)) {
            Two next = new Two(after(0, at.one(), deed.one()), after(1, at.other(), deed.other()));
            Optional<Equivalence.Difference> difference = meet(next, index, Optional.of(deed));
            if (difference.isPresent()) {
                return difference;
            }
        }
        return Optional.empty();
    }

    private long after(int which, long state, List<CircuitMachine.Move> moves) {
        long after = state;
        for (CircuitMachine.Move move : moves) {
            after = machines[which].with(after, move);
        }
        return after;
    }

    /** Lets both settle and pairs the rests in which they look the same. */
    private Optional<Equivalence.Difference> meet(Two moved, int parent, Optional<Deed> deed) {
        Quiescence.Rests one = rests[0].from(moved.one());
        Quiescence.Rests other = rests[1].from(moved.other());
        if (other.shorted() && !one.shorted()) {
            return Optional.of(difference(parent, deed, words(0, one), "something is shorted"));
        }
        if (other.restless() && !one.restless()) {
            return Optional.of(difference(parent, deed, words(0, one), "it may never come to rest"));
        }
        Set<Effects> shown = new LinkedHashSet<>();
        for (long state : other.states()) {
            Effects looks = outcome(1, state);
            shown.add(looks);
            boolean matched = false;
            for (long relay : one.states()) {
                if (outcome(0, relay).equals(looks)) {
                    matched = true;
                    add(new Two(relay, state), parent, deed);
                }
            }
            if (!matched) {
                if (!isForgetting(one, looks, parent, deed)) {
                    return Optional.of(difference(parent, deed, words(0, one), looks.words()));
                }
                forgotten = forgotten.or(
                        () -> Optional.of("on the one sheet " + words(0, one) + ", on the other " + looks.words()));
            }
        }
        long ways =
                one.states().stream().map(state -> outcome(0, state)).distinct().count();
        if (ways > shown.size() && !shown.isEmpty()) {
            races++;
            raceFirst = raceFirst.or(() -> Optional.of(deed.map(Deed::words).orElse("the power comes on")));
        }
        return Optional.empty();
    }

    /**
     * A controller that has lost its supply begins anew: what it lacks then, and for as long as a timer of the other goes on, is no mistake as long as
     * it only lacks something.
     */
    private boolean isForgetting(Quiescence.Rests one, Effects looks, int parent, Optional<Deed> deed) {
        boolean lessOnly = one.states().stream()
                .map(state -> outcome(0, state))
                .anyMatch(relay ->
                        relay.motors().containsAll(looks.motors()) && relay.in().containsAll(looks.in()));
        boolean forgets =
                machines[1].programmed().isPresent() && machines[0].programmed().isEmpty();
        return lessOnly && forgets && isForgetting(parent, deed);
    }

    private boolean isForgetting(int parent, Optional<Deed> deed) {
        return deed.filter(Deed::power).isPresent()
                || parent >= 0 && pairs.get(parent).known().forgotten();
    }

    private void add(Two states, int parent, Optional<Deed> deed) {
        Known known = new Known(states, isForgetting(parent, deed) && timesAlone(states));
        if (seen.add(known)) {
            pairs.add(new Pair(known, parent, deed));
        }
    }

    /** Whether a timer of the one goes on that does not of the other. */
    private boolean timesAlone(Two states) {
        return !rests[1].timers(states.other())
                .keySet()
                .containsAll(rests[0].timers(states.one()).keySet());
    }

    /** What both sheets have in common of what a state shows. */
    private Effects outcome(int which, long state) {
        return outcomes.get(which).computeIfAbsent(state, any -> {
            Effects all = machines[which].outcome(state);
            return new Effects(
                    all.motors(),
                    all.in().stream().filter(this::isCompared).sorted().toList(),
                    all.lit().stream().filter(this::isShared).sorted().toList());
        });
    }

    private boolean isShared(String signal) {
        return shared.contains(signal) || shared.stream().map(Effects::lampIn).anyMatch(signal::equals);
    }

    private boolean isCompared(String tag) {
        return shared.contains(tag)
                && sheets[0]
                        .part(tag)
                        .filter(part -> part.family() == Family.CONTACTOR)
                        .isPresent();
    }

    private String words(int which, Quiescence.Rests some) {
        List<String> words = new ArrayList<>();
        some.states().stream()
                .map(state -> outcome(which, state).words())
                .distinct()
                .forEach(words::add);
        if (some.shorted()) {
            words.add("something is shorted");
        }
        return words.isEmpty() ? "it never comes to rest" : String.join(", or ", words);
    }

    /** Everything that may be done to both: each hand alone, two at once, the supply, and each timer that runs. */
    private List<Deed> deeds(Two at) {
        List<Deed> hands = new ArrayList<>();
        for (String tag : shared) {
            hands(at, tag).forEach(hands::add);
        }
        CircuitMachine.Move power = new CircuitMachine.Move(
                CircuitMachine.POWER, machines[0].hasPower(at.one()) ? 1 : CircuitMachine.ALL_THERE, true);
        List<Deed> deeds = new ArrayList<>(hands);
        deeds.add(new Deed(
                machines[0].hasPower(at.one()) ? "the supply fails" : "the supply returns",
                List.of(power),
                List.of(power),
                false,
                true));
        timers(at).forEach(deeds::add);
        for (int i = 0; i < hands.size(); i++) {
            for (int j = i + 1; j < hands.size(); j++) {
                deeds.add(new Deed(
                        hands.get(i).words() + " and in the same instant "
                                + hands.get(j).words(),
                        joined(hands.get(i).one(), hands.get(j).one()),
                        joined(hands.get(i).other(), hands.get(j).other()),
                        false,
                        false));
            }
        }
        return deeds;
    }

    private static List<CircuitMachine.Move> joined(List<CircuitMachine.Move> some, List<CircuitMachine.Move> others) {
        return Stream.concat(some.stream(), others.stream()).toList();
    }

    private List<Deed> hands(Two at, String tag) {
        Part part = sheets[0].part(tag).orElseThrow();
        List<Deed> deeds = new ArrayList<>();
        if (part.family() == Family.CONTROLLER) {
            return deeds;
        }
        int first = machines[0].index(tag);
        int second = machines[1].index(tag);
        boolean moves = isByHand(0, first) && isByHand(1, second);
        for (int position : moves ? positions(first) : List.<Integer>of()) {
            boolean elsewhere = at(0, at.one(), first) != position;
            if (elsewhere) {
                deeds.add(new Deed(
                        words(part, position),
                        List.of(move(0, at.one(), first, position)),
                        List.of(move(1, at.other(), second, position)),
                        false,
                        false));
            }
        }
        return deeds;
    }

    private boolean isByHand(int which, int part) {
        boolean moves = IntStream.of(machines[which].moving()).anyMatch(one -> one == part);
        return moves
                && (machines[which].component(part) instanceof Component.Hand
                        || machines[which].component(part) instanceof Component.Button);
    }

    private List<Integer> positions(int part) {
        return machines[0].component(part) instanceof Component.Hand hand ? hand.positions() : List.of(0, 1);
    }

    private int at(int which, long state, int part) {
        int value = machines[which].value(state, part);
        return machines[which].component(part) instanceof Component.Button ? value & 1 : value;
    }

    private CircuitMachine.Move move(int which, long state, int part, int position) {
        return machines[which].component(part) instanceof Component.Button
                ? machines[which].toggle(state, part)
                : new CircuitMachine.Move(part, position, true);
    }

    private String words(Part part, int position) {
        if (part.family() == Family.PUSH_BUTTON) {
            return part.tag() + (position == 1 ? " is pressed" : " is let go");
        }
        if (part.drive() instanceof Drive.BySpeed) {
            return part.tag() + (position == 1 ? " finds its motor turning" : " finds its motor at rest");
        }
        return machines[0].words(new CircuitMachine.Move(machines[0].index(part.tag()), position, true));
    }

    private List<Deed> timers(Two at) {
        Map<String, List<CircuitMachine.Move>> one = rests[0].timers(at.one());
        Map<String, List<CircuitMachine.Move>> other = rests[1].timers(at.other());
        Set<String> tags = new TreeSet<>(one.keySet());
        tags.addAll(other.keySet());
        return tags.stream()
                .map(tag -> new Deed(
                        tag + " has run its time",
                        one.getOrDefault(tag, List.of()).stream().limit(1).toList(),
                        other.getOrDefault(tag, List.of()).stream().limit(1).toList(),
                        true,
                        false))
                .toList();
    }

    private Equivalence.Difference difference(int parent, Optional<Deed> last, String one, String other) {
        Deque<Deed> way = new ArrayDeque<>();
        last.ifPresent(way::add);
        for (int at = parent; at >= 0; at = pairs.get(at).parent()) {
            pairs.get(at).deed().ifPresent(way::addFirst);
        }
        List<Deed> deeds = List.copyOf(way);
        return new Equivalence.Difference(
                deeds.stream().map(Deed::words).toList(), one, other, shown(0, deeds), shown(1, deeds));
    }

    private Refutation shown(int which, List<Deed> deeds) {
        List<CircuitMachine.Move> hands = new ArrayList<>();
        List<Long> times = new ArrayList<>();
        long time = BEGIN;
        for (Deed deed : deeds) {
            for (CircuitMachine.Move move :
                    deed.isTimer() ? List.<CircuitMachine.Move>of() : which == 0 ? deed.one() : deed.other()) {
                hands.add(move);
                times.add(time);
            }
            time += deed.isTimer() ? RUNS_OUT : SETTLES;
        }
        Replay replay = new Replay(sheets[which], List.of());
        return replay.shown(replay.play(hands, times, Pace.NOMINAL, time), time, Pace.NOMINAL);
    }
}
