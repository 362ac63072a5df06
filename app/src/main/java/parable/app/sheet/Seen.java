package parable.app.sheet;

import java.util.List;
import parable.bench.Condition;
import parable.draw.Mark;
import parable.network.NodeState;

/** A mark of a drawing with all that decides how it looks at one instant; equal ones look the same. */
sealed interface Seen {

    /** The mark that is seen. */
    Mark mark();

    /** A piece of wire or a junction, and how its node is. */
    record OnWire(Mark mark, NodeState state) implements Seen {}

    /**
     * A symbol.
     *
     * @param on whether it is drawn as on
     * @param state how the wire on its first terminal is
     * @param faulty whether it is flagged
     */
    record OfSymbol(Mark.Symbol mark, boolean on, NodeState state, boolean faulty) implements Seen {}

    /**
     * A text.
     *
     * @param numbers what stands on discs beside it
     */
    record OfLabel(Mark.Label mark, List<Integer> numbers) implements Seen {}

    /** The word of a device's condition. */
    record OfCondition(Mark.Condition mark, Condition condition) implements Seen {}

    /** What always looks the same. */
    record Plain(Mark mark) implements Seen {}
}
