package parable.program;

import java.util.function.UnaryOperator;

/** What a network of a ladder program ends on. */
public sealed interface NetworkEnd {

    /** The name of the variable that it writes. */
    String variable();

    /** The same with other names for its variables and blocks. */
    NetworkEnd renamed(UnaryOperator<String> naming);

    /** A coil instruction. */
    record Coil(String variable, Kind kind) implements NetworkEnd {

        /** What a coil does with its bit. */
        public enum Kind {
            /** 1 while the network lets pass, 0 while it does not. */
            NORMAL,
            /** The contrary. */
            NEGATED,
            /** 1 once the network lets pass; it stays so. */
            SET,
            /** 0 once the network lets pass; it stays so. */
            RESET
        }

        @Override
        public NetworkEnd renamed(UnaryOperator<String> naming) {
            return new Coil(naming.apply(variable), kind);
        }
    }

    /**
     * A timer.
     *
     * @param millis the preset time in ms, not negative
     */
    record Timer(String variable, long millis) implements NetworkEnd {
        @Override
        public NetworkEnd renamed(UnaryOperator<String> naming) {
            return new Timer(naming.apply(variable), millis);
        }
    }

    /**
     * An up counter.
     *
     * @param reset what sets it back to 0
     * @param preset the number from which its output is 1, 1 to 32767
     */
    record Counter(String variable, Logic reset, int preset) implements NetworkEnd {
        @Override
        public NetworkEnd renamed(UnaryOperator<String> naming) {
            return new Counter(naming.apply(variable), reset.renamed(naming), preset);
        }
    }

    /** An edge, rising or falling by the type of the variable. */
    record Edge(String variable) implements NetworkEnd {
        @Override
        public NetworkEnd renamed(UnaryOperator<String> naming) {
            return new Edge(naming.apply(variable));
        }
    }
}
