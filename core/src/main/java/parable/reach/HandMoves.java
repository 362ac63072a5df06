package parable.reach;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.LongConsumer;
import java.util.stream.IntStream;

/** What hands and the world do to a circuit: buttons, selectors, switches of the machine, and supplies that fail and return. */
final class HandMoves {

    private static final int[] NOWHERE = {};

    private final MovingParts parts;
    private final StateBits bits;
    private final int outages;
    private final int[][] positions;
    private final int[] byHand;

    /** For a part that a hand moves between two positions the bit that tells them apart, 0 for all others. */
    private final long[] flips;

    /**
     * The moves of a circuit.
     *
     * @param outages how many things may be taken away, one at a time
     */
    HandMoves(MovingParts parts, StateBits bits, int outages) {
        this.parts = parts;
        this.bits = bits;
        this.outages = outages;
        int count = parts.parts.size();
        positions = new int[count][];
        Arrays.fill(positions, NOWHERE);
        for (int p : parts.moving) {
            if (parts.components.get(p) instanceof Component.Hand hand) {
                positions[p] =
                        hand.positions().stream().mapToInt(Integer::intValue).toArray();
            }
        }
        byHand = IntStream.of(parts.moving)
                .filter(p -> parts.button[p] || positions[p].length > 0)
                .toArray();
        flips = new long[count];
        for (int p : byHand) {
            flips[p] = Arrays.equals(positions[p], new int[] {0, 1}) ? bits.flip(p) : 0;
        }
    }

    /** A button pressed, or let go. */
    CircuitMachine.Move toggle(long state, int part) {
        int value = bits.value(state, part);
        boolean blocks = parts.components.get(part) instanceof Component.Button;
        return new CircuitMachine.Move(part, blocks ? Component.Button.toggled(value) : 1 - value, true);
    }

    /** As {@link CircuitMachine#handMoves}. */
    List<CircuitMachine.Move> moves(long state) {
        List<CircuitMachine.Move> moves = new ArrayList<>();
        for (int p : byHand) {
            if (parts.button[p]) {
                moves.add(toggle(state, p));
            }
            for (int position : positions[p]) {
                if (position != bits.value(state, p)) {
                    moves.add(new CircuitMachine.Move(p, position, true));
                }
            }
        }
        for (int outage : outagesFrom(state)) {
            moves.add(new CircuitMachine.Move(CircuitMachine.POWER, outage, true));
        }
        return moves;
    }

    private int[] outagesFrom(long state) {
        return bits.outage(state) == CircuitMachine.ALL_THERE
                ? IntStream.rangeClosed(1, outages).toArray()
                : new int[] {CircuitMachine.ALL_THERE};
    }

    /** As {@link CircuitMachine#eachByHand}. */
    void each(long state, LongConsumer step) {
        for (int p : byHand) {
            if (flips[p] != 0) {
                step.accept(state ^ flips[p]);
                continue;
            }
            int value = bits.valueOfMoving(state, p);
            if (parts.button[p]) {
                step.accept(bits.with(state, p, Component.Button.toggled(value)));
            }
            for (int position : positions[p]) {
                if (position != value) {
                    step.accept(bits.with(state, p, position));
                }
            }
        }
        if (bits.outage(state) != CircuitMachine.ALL_THERE) {
            step.accept(bits.without(state, CircuitMachine.ALL_THERE));
        } else {
            for (int outage = 1; outage <= outages; outage++) {
                step.accept(bits.without(state, outage));
            }
        }
    }
}
