package parable.reach;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import parable.Examples;
import parable.bench.Action;
import parable.bench.Bench;
import parable.bench.Condition;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.Verb;

/** A state as bits: what moves has its own, a move changes them and no others; and what a state says of motors is what the bench says. */
class StateBitsTest {

    private static final int STEPS = 400;

    private static CircuitMachine machine(String sheet) {
        return new CircuitMachine(Examples.fitted(Examples.ofLibrary(sheet)), List.of());
    }

    @ParameterizedTest
    @ValueSource(strings = {"Wash pump", "Mill", "Press platen", "Travel turned round", "Compressor"})
    void aMoveChangesWhatItMovesAndNothingElse(String sheet) {
        CircuitMachine machine = machine(sheet);
        assertThat(machine.isSmallEnough()).isTrue();
        Random random = new Random(sheet.hashCode());
        long state = machine.initial();
        Set<Integer> moved = new HashSet<>();
        for (int step = 0; step < STEPS; step++) {
            List<CircuitMachine.Move> moves = new ArrayList<>(machine.handMoves(state));
            moves.addAll(machine.ownMoves(state, machine.conduction(state)));
            CircuitMachine.Move move = moves.get(random.nextInt(moves.size()));
            long after = machine.with(state, move);

            assertThat(after).as(machine.words(move)).isNotEqualTo(state);
            for (int part : machine.moving()) {
                int expected = part == move.part() ? move.value() : machine.value(state, part);
                assertThat(machine.value(after, part)).as(machine.words(move)).isEqualTo(expected);
            }
            int outage = move.part() == CircuitMachine.POWER ? move.value() : machine.outage(state);
            assertThat(machine.outage(after)).isEqualTo(outage);
            moved.add(move.part());
            state = after;
        }
        assertThat(moved)
                .as("buttons, coils and the supply")
                .hasSizeGreaterThan(3)
                .contains(CircuitMachine.POWER);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Wash pump", "Press platen", "Travel turned round"})
    void theStepsHandedOverAreThoseListed(String sheet) {
        CircuitMachine machine = machine(sheet);
        Random random = new Random(7);
        long state = machine.initial();
        for (int step = 0; step < STEPS; step++) {
            long from = state;
            Conduction conduction = machine.conduction(state);
            Set<Long> own = new HashSet<>();
            machine.eachOwn(state, conduction, own::add);
            Set<Long> byHand = new HashSet<>();
            machine.eachByHand(state, byHand::add);

            assertThat(own)
                    .isEqualTo(new HashSet<>(machine.ownMoves(state, conduction).stream()
                            .map(move -> machine.with(from, move))
                            .toList()));
            assertThat(byHand)
                    .isEqualTo(new HashSet<>(machine.handMoves(state).stream()
                            .map(move -> machine.with(from, move))
                            .toList()));
            List<Long> all = new ArrayList<>(own);
            all.addAll(byHand);
            state = all.get(random.nextInt(all.size()));
        }
    }

    /** Buttons pressed one after the other on the bench and in the states, each time until nothing moves: the same motors run, the same contactors are in. */
    @ParameterizedTest
    @ValueSource(strings = {"Wash pump", "Press platen", "Three stations"})
    void atRestAStateSaysWhatTheBenchSays(String sheet) throws Exception {
        Assembly assembly = Examples.fitted(Examples.ofLibrary(sheet));
        CircuitMachine machine = new CircuitMachine(assembly, List.of());
        Bench bench = Bench.of(assembly);
        for (Part part : assembly.parts()) {
            if (part.family() == Family.BREAKER) {
                bench.act(new Action(Verb.CLOSE, part.tag()));
            }
        }
        bench.runUntil(1_000_000);
        List<Part> buttons = assembly.parts().stream()
                .filter(part -> part.family() == Family.PUSH_BUTTON)
                .toList();
        Random random = new Random(sheet.hashCode());
        long state = settled(machine, machine.initial());
        for (int step = 0; step < 30; step++) {
            Part button = buttons.get(random.nextInt(buttons.size()));
            boolean pressed = bench.moment().actuated(button.tag());
            bench.act(new Action(pressed ? Verb.RELEASE : Verb.PRESS, button.tag()));
            bench.runUntil(bench.now() + 20_000_000);
            state = settled(machine, machine.with(state, machine.toggle(state, machine.index(button.tag()))));

            Effects effects = machine.outcome(state);
            for (Part part : assembly.parts()) {
                if (part.family() == Family.CONTACTOR) {
                    assertThat(effects.in().contains(part.tag()))
                            .as("%s after %s steps", part.tag(), step)
                            .isEqualTo(bench.moment().condition(part.tag()) == Condition.IN);
                }
                if (part.family() == Family.MOTOR) {
                    boolean runs = bench.moment().condition(part.tag()) == Condition.FORWARD
                            || bench.moment().condition(part.tag()) == Condition.REVERSE;
                    assertThat(effects.motors().stream().anyMatch(words -> words.startsWith(part.tag() + " runs")))
                            .as("%s after %s steps: %s", part.tag(), step, effects.motors())
                            .isEqualTo(runs);
                }
            }
        }
    }

    /** The first of its own moves again and again, until there is none. */
    private static long settled(CircuitMachine machine, long from) {
        long state = from;
        for (int step = 0; step < 1_000; step++) {
            List<CircuitMachine.Move> own = machine.ownMoves(state, machine.conduction(state));
            if (own.isEmpty()) {
                return state;
            }
            state = machine.with(state, own.get(0));
        }
        throw new AssertionError("it does not come to rest");
    }
}
