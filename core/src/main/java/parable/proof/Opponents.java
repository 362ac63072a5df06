package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.bench.Action;
import parable.bench.Condition;
import parable.bench.Moment;
import parable.network.OpposedContactors;
import parable.parts.Assembly;
import parable.parts.Verb;
import parable.reach.CircuitMachine;
import parable.reach.Explorer;
import parable.timing.Replay;

/**
 * {@code never-together:ONE:OTHER}: two contactors that the power circuit makes opponents, for their poles together short something, join two
 * supplies or put both kinds of current on a motor, are never in together. {@code by-hand:ONE:OTHER}, where no mechanical interlock is between
 * them: not even if a hand pushes the armature of one.
 */
final class Opponents {

    static final String NEVER = "never-together:";

    private final CircuitMachine machine;
    private final Explorer explorer;
    private final Replay replay;
    private final List<Pair> pairs;

    /** Two opponents, by their positions among the parts. */
    record Pair(int one, int other, boolean barred) {}

    Opponents(Assembly assembly, CircuitMachine machine, Explorer explorer, Replay replay) {
        this.machine = machine;
        this.explorer = explorer;
        this.replay = replay;
        pairs = pairs(assembly, machine);
    }

    /** The opponents of a sheet. */
    static List<Pair> pairs(Assembly assembly, CircuitMachine machine) {
        List<Pair> pairs = new ArrayList<>();
        for (OpposedContactors.Pair pair : OpposedContactors.of(assembly)) {
            int one = machine.index(pair.one());
            int other = machine.index(pair.other());
            pairs.add(new Pair(one, other, machine.isBarredBy(one, other)));
        }
        return pairs;
    }

    /** That they are never in together. */
    List<ClaimQuestion> questions() {
        return pairs.stream().map(this::never).toList();
    }

    /** That not even a hand brings them in together, where nothing bars that. */
    List<Claim> byHand() {
        return pairs.stream().filter(pair -> !pair.barred()).map(this::byHand).toList();
    }

    private ClaimQuestion never(Pair pair) {
        String one = tag(pair.one());
        String other = tag(pair.other());
        return new ClaimQuestion(
                never(machine, pair),
                one + " and " + other + " are never in together.",
                explorer.first(index -> machine.isIn(explorer.states().key(index), pair.one())
                        && machine.isIn(explorer.states().key(index), pair.other())),
                (positions, conduction, settled) ->
                        machine.isIn(positions, pair.one()) && machine.isIn(positions, pair.other()),
                moment -> isIn(moment, one) && isIn(moment, other),
                Replay.When.AT_ANY_INSTANT);
    }

    /** What the claim on a pair is called. */
    static String never(CircuitMachine machine, Pair pair) {
        return NEVER + machine.parts().get(pair.one()).tag() + ":"
                + machine.parts().get(pair.other()).tag();
    }

    private static boolean isIn(Moment moment, String tag) {
        return moment.condition(tag) == Condition.IN;
    }

    private String tag(int part) {
        return machine.parts().get(part).tag();
    }

    private Claim byHand(Pair pair) {
        String one = tag(pair.one());
        String other = tag(pair.other());
        String id = "by-hand:" + one + ":" + other;
        String text = "Not even a hand on an armature brings " + one + " and " + other
                + " in together; only a mechanical interlock sees to that.";
        for (int[] way : new int[][] {{pair.one(), pair.other()}, {pair.other(), pair.one()}}) {
            Optional<Integer> broken = explorer.first(index -> isPushedIn(index, way[0], way[1]));
            if (broken.isPresent()) {
                List<CircuitMachine.Move> hands = explorer.wayTo(broken.get()).stream()
                        .filter(CircuitMachine.Move::byHand)
                        .toList();
                Action push = new Action(Verb.PUSH, tag(way[1]));
                return replay.pushed(
                                hands, push, moment -> moment.shorted() || isIn(moment, one) && isIn(moment, other))
                        .map(refutation -> Claim.failing(id, text, refutation))
                        .orElseGet(() -> Claim.open(id, text, List.of(push.toString())));
            }
        }
        return Claim.holding(
                id, text, explorer.isComplete() ? Verdict.HOLDS_AT_ANY_SPEED : Verdict.UNFINISHED, List.of());
    }

    /** Whether the first is in, with nothing more to happen by itself, so that a hand may push in the other one. */
    private boolean isPushedIn(int index, int in, int pushed) {
        long state = explorer.states().key(index);
        return explorer.isSettled(index)
                && machine.isIn(state, in)
                && machine.value(state, pushed) == machine.component(pushed).rest()
                && machine.hasPower(state);
    }
}
