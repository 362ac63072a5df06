package parable.circuit;

import java.util.Objects;

/** One thing on a rung, in the order from the line side to the return side. */
public sealed interface RungItem {

    /** The item as it is written in the compact notation. */
    String text();

    /**
     * A point that has a name: a rail such as {@code L}, or a wire number such as {@code @7}. Points of one name on one
     * sheet are one node, wherever they are written.
     *
     * @param name the rail's name or the wire number, without the {@code @}
     * @param rail true if it is one of the sheet's rails
     */
    record NamedPoint(String name, boolean rail) implements RungItem {
        public NamedPoint {
            Objects.requireNonNull(name, "name");
        }

        @Override
        public String text() {
            return rail ? name : "@" + name;
        }
    }

    /**
     * A device passed through from one terminal to another: a contact, a pole, a coil, a lamp.
     *
     * @param tag the device's tag
     * @param from the marking on the line side
     * @param to the marking on the return side
     */
    record Passage(String tag, String from, String to) implements RungItem {
        public Passage {
            Objects.requireNonNull(tag, "tag");
            Objects.requireNonNull(from, "from");
            Objects.requireNonNull(to, "to");
        }

        /** The terminal on the line side. */
        public Terminal lineSide() {
            return new Terminal(tag, from);
        }

        /** The terminal on the return side. */
        public Terminal returnSide() {
            return new Terminal(tag, to);
        }

        @Override
        public String text() {
            return tag + "[" + from + "-" + to + "]";
        }
    }

    /**
     * A rung's first or last item where the rung begins or ends on a device's terminal, for example {@code M1[U1]}.
     *
     * @param terminal the terminal it lands on
     */
    record TerminalEnd(Terminal terminal) implements RungItem {
        public TerminalEnd {
            Objects.requireNonNull(terminal, "terminal");
        }

        @Override
        public String text() {
            return terminal.tag() + "[" + terminal.marking() + "]";
        }
    }
}
