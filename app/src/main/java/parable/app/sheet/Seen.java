package parable.app.sheet;

import java.util.List;
import parable.bench.Condition;
import parable.draw.Box;
import parable.draw.Mark;
import parable.draw.Point;
import parable.network.NodeState;

/** A mark of a drawing with all that decides how it looks at one instant; equal ones look the same. */
sealed interface Seen {

    /** The mark that is seen. */
    Mark mark();

    /** A box in drawing units that nothing of it reaches beyond by more than {@link SheetPicture#MARGIN}. */
    Box extent();

    /** No letter is wider than high. */
    private static Box lettered(Point at, Mark.Anchor anchor, double size, int letters) {
        double length = size * letters;
        double left =
                switch (anchor) {
                    case START -> at.x();
                    case MIDDLE -> at.x() - length / 2;
                    case END -> at.x() - length;
                };
        return new Box(left, at.y() - size, length, size);
    }

    /** A piece of wire, and how its node is. */
    record OnWire(Mark.WireLine mark, NodeState state) implements Seen {
        @Override
        public Box extent() {
            return Box.over(mark.points());
        }
    }

    /** A junction, and how its node is. */
    record OnJunction(Mark.Junction mark, NodeState state) implements Seen {
        @Override
        public Box extent() {
            return Box.over(List.of(mark.at()));
        }
    }

    /**
     * A symbol.
     *
     * @param on whether it is drawn as on
     * @param state how the wire on its first terminal is
     * @param faulty whether it is flagged
     */
    record OfSymbol(Mark.Symbol mark, boolean on, NodeState state, boolean faulty) implements Seen {
        @Override
        public Box extent() {
            return mark.box();
        }
    }

    /**
     * A text.
     *
     * @param discs what is on discs beside it
     */
    record OfLabel(Mark.Text mark, List<String> discs) implements Seen {
        @Override
        public Box extent() {
            return lettered(
                    mark.at(), mark.anchor(), mark.role().size(), mark.text().length() + 3 * discs.size());
        }
    }

    /** The word of a device's condition. */
    record OfCondition(Mark.ConditionSpot mark, Condition condition) implements Seen {
        @Override
        public Box extent() {
            return lettered(
                    mark.at(),
                    mark.anchor(),
                    Mark.TextRole.NOTE.size(),
                    condition.word().length());
        }
    }

    /** A link between the poles of a device. */
    record OfLink(Mark.Link mark) implements Seen {
        @Override
        public Box extent() {
            return Box.over(List.of(mark.from(), mark.to()));
        }
    }

    /** What means nothing electrical. */
    record OfFigure(Mark.Figure mark) implements Seen {
        @Override
        public Box extent() {
            return mark.box();
        }
    }
}
