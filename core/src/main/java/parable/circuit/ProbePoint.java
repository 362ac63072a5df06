package parable.circuit;

import java.util.Optional;

/** Where a probe of a meter is put: on a terminal, written {@code K1:13}, or on any terminal of a wire, written as its number. */
public sealed interface ProbePoint {

    /** As it is written. */
    String text();

    /** As it is said: {@code K1 13}, or {@code wire 5}. */
    String words();

    /** The terminal; empty if any of a wire will do. */
    Optional<Terminal> terminal();

    /** A terminal. */
    record OnTerminal(Terminal at) implements ProbePoint {
        @Override
        public String text() {
            return at.toString();
        }

        @Override
        public String words() {
            return at.tag() + " " + at.marking();
        }

        @Override
        public Optional<Terminal> terminal() {
            return Optional.of(at);
        }
    }

    /** A wire, by its number. */
    record OnWire(String number) implements ProbePoint {
        @Override
        public String text() {
            return number;
        }

        @Override
        public String words() {
            return "wire " + number;
        }

        @Override
        public Optional<Terminal> terminal() {
            return Optional.empty();
        }
    }

    /** Reads what is written; whether a sheet has it is not asked. A text with a colon is a terminal, any other a wire. */
    static ProbePoint read(String text) {
        int colon = text.indexOf(':');
        return colon < 0
                ? new OnWire(text)
                : new OnTerminal(new Terminal(text.substring(0, colon), text.substring(colon + 1)));
    }
}
