package parable.offer;

import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Place;
import parable.desk.DeskStroke;
import parable.desk.Stretch;

/** A place of the ladder where something can go, or of the power circuit: there it goes into all lines that lead through the same device. */
public sealed interface Spot {

    /** What is done there with a word that is chosen or typed. */
    DeskStroke stroke();

    /** What has to be selected for it, empty if nothing has. */
    Optional<Stretch> selected();

    /** In a few words: {@code In series on rung 1}. */
    String words();

    /**
     * In series, on the wire at one side of something on a rung.
     *
     * @param at what is beside it
     * @param after whether it is on the return side of that
     */
    record InSeries(Place at, boolean after) implements Spot {
        @Override
        public DeskStroke stroke() {
            return after ? DeskStroke.AFTER : DeskStroke.BEFORE;
        }

        @Override
        public Optional<Stretch> selected() {
            return Optional.of(new Stretch(at, at.item()));
        }

        @Override
        public String words() {
            return at.circuit() == Circuit.POWER ? "In series in the lines" : "In series on rung " + (at.rung() + 1);
        }
    }

    /**
     * In parallel to a stretch of a rung.
     *
     * @param from where the stretch begins
     * @param last the position on the rung of its end
     */
    record Around(Place from, int last) implements Spot {
        @Override
        public DeskStroke stroke() {
            return DeskStroke.AROUND;
        }

        @Override
        public Optional<Stretch> selected() {
            return Optional.of(new Stretch(from, last));
        }

        @Override
        public String words() {
            return from.circuit() == Circuit.POWER
                    ? "In parallel in the lines"
                    : "In parallel on rung " + (from.rung() + 1);
        }
    }

    /** A branch from behind something to the return. */
    record ToReturn(Place at) implements Spot {
        @Override
        public DeskStroke stroke() {
            return DeskStroke.BRANCH;
        }

        @Override
        public Optional<Stretch> selected() {
            return Optional.of(new Stretch(at, at.item()));
        }

        @Override
        public String words() {
            return "A branch to the return from rung " + (at.rung() + 1);
        }
    }

    /** In the place of something. */
    record Exchange(Place at) implements Spot {
        @Override
        public DeskStroke stroke() {
            return DeskStroke.EXCHANGE;
        }

        @Override
        public Optional<Stretch> selected() {
            return Optional.of(new Stretch(at, at.item()));
        }

        @Override
        public String words() {
            return at.circuit() == Circuit.POWER
                    ? "In its place in the lines"
                    : "In its place on rung " + (at.rung() + 1);
        }
    }

    /**
     * A new rung of the ladder.
     *
     * @param rung the position that it gets, 0 for the first
     */
    record NewRung(int rung) implements Spot {
        @Override
        public DeskStroke stroke() {
            return DeskStroke.NEW_RUNG;
        }

        @Override
        public Optional<Stretch> selected() {
            return rung == 0 ? Optional.empty() : Optional.of(new Stretch(new Place(Circuit.CONTROL, rung - 1, 1), 1));
        }

        @Override
        public String words() {
            return "A new rung " + (rung + 1);
        }
    }
}
