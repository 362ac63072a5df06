package parable.draw;

import java.util.List;
import parable.circuit.Place;
import parable.circuit.Terminal;

/** One thing on a drawing. */
public sealed interface Mark {

    /** Whether any of it may be seen between two heights; it may say so of a mark that just misses them. */
    boolean reaches(double top, double bottom);

    /**
     * A piece of a wire.
     *
     * @param number the wire number
     * @param points at least two
     */
    record WireLine(String number, List<Point> points) implements Mark {
        public WireLine {
            points = List.copyOf(points);
        }

        /** How far a point is from this piece of wire, in drawing units. */
        double distance(double x, double y) {
            double nearest = Double.POSITIVE_INFINITY;
            for (int i = 0; i + 1 < points.size(); i++) {
                nearest = Math.min(nearest, distance(points.get(i), points.get(i + 1), x, y));
            }
            return nearest;
        }

        private static double distance(Point from, Point to, double x, double y) {
            double dx = to.x() - from.x();
            double dy = to.y() - from.y();
            double square = dx * dx + dy * dy;
            double share = square == 0 ? 0 : ((x - from.x()) * dx + (y - from.y()) * dy) / square;
            double along = Math.max(0, Math.min(1, share));
            return Math.hypot(x - from.x() - along * dx, y - from.y() - along * dy);
        }

        @Override
        public boolean reaches(double top, double bottom) {
            double highest = Double.POSITIVE_INFINITY;
            double lowest = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < points.size(); i++) {
                highest = Math.min(highest, points.get(i).y());
                lowest = Math.max(lowest, points.get(i).y());
            }
            return lowest >= top && highest <= bottom;
        }
    }

    /** Where a terminal is, for pointing at; nothing is drawn there. */
    record TerminalSpot(Terminal terminal, Point at) implements Mark {
        @Override
        public boolean reaches(double top, double bottom) {
            return at.y() >= top && at.y() <= bottom;
        }
    }

    /** Where something on a rung is, for pointing at; nothing is drawn there. */
    record ItemSpot(Place place, Box box) implements Mark {
        @Override
        public boolean reaches(double top, double bottom) {
            return box.y() + box.height() >= top && box.y() <= bottom;
        }
    }

    /** The dot where wires of one node meet; crossing wires without it are not joined. */
    record Junction(String number, Point at) implements Mark {
        @Override
        public boolean reaches(double top, double bottom) {
            return at.y() >= top && at.y() <= bottom;
        }
    }

    /**
     * The symbol of a contact, a load or a supply.
     *
     * @param subject what it stands for
     * @param wire the number of the wire on its first terminal, empty if it has none
     * @param box where it can be pointed at; no wire of another node goes through it
     * @param always the strokes that do not change
     * @param off the strokes drawn while the subject is off
     * @param on the strokes drawn while the subject is on
     */
    record Symbol(Subject subject, String wire, Box box, List<Stroke> always, List<Stroke> off, List<Stroke> on)
            implements Mark {
        public Symbol {
            always = List.copyOf(always);
            off = List.copyOf(off);
            on = List.copyOf(on);
        }

        @Override
        public boolean reaches(double top, double bottom) {
            return box.y() + box.height() >= top && box.y() <= bottom;
        }

        /** This symbol on a wire. */
        Symbol on(String number) {
            return new Symbol(subject, number, box, always, off, on);
        }
    }

    /** Strokes that mean nothing electrical, such as the outline of a device. */
    record Figure(Box box, List<Stroke> strokes) implements Mark {
        public Figure {
            strokes = List.copyOf(strokes);
        }

        @Override
        public boolean reaches(double top, double bottom) {
            return box.y() + box.height() >= top && box.y() <= bottom;
        }
    }

    /** A dashed line that links the poles of one device. */
    record Link(String tag, Point from, Point to) implements Mark {
        @Override
        public boolean reaches(double top, double bottom) {
            return Math.max(from.y(), to.y()) >= top && Math.min(from.y(), to.y()) <= bottom;
        }
    }

    /**
     * A text.
     *
     * @param at its anchor on the base line
     * @param anchor which part of the text is at that point
     */
    record Text(Point at, String text, TextRole role, Anchor anchor) implements Mark {
        @Override
        public boolean reaches(double top, double bottom) {
            return at.y() >= top && at.y() - role.size() <= bottom;
        }
    }

    /**
     * The condition of a device in a word, as it is at the instant that is drawn.
     *
     * @param at its anchor on the base line
     */
    record ConditionSpot(Point at, String tag, Anchor anchor) implements Mark {
        @Override
        public boolean reaches(double top, double bottom) {
            return at.y() >= top && at.y() - TextRole.NOTE.size() <= bottom;
        }
    }

    /** What a text is, which decides how it is set. */
    enum TextRole {
        TAG(13, true),
        WIRE_NUMBER(11, true),
        MARKING(11, false),
        NOTE(11, false),
        HEADING(14, true),
        /** The letter over a column of the ladder; it is written over every page on which the column goes on. */
        COLUMN(11, false);

        private final double size;
        private final boolean bold;

        TextRole(double size, boolean bold) {
            this.size = size;
            this.bold = bold;
        }

        /** The height of the letters in drawing units. */
        public double size() {
            return size;
        }

        /** Whether it is set in bold. */
        public boolean bold() {
            return bold;
        }
    }

    /** Which part of a text is at its point. */
    enum Anchor {
        START,
        MIDDLE,
        END
    }
}
