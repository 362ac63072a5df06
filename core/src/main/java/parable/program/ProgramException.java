package parable.program;

/** A program that cannot be one: something that is used is not declared, or used as what it is not. */
public final class ProgramException extends Exception {

    private static final long serialVersionUID = 1;

    private final int network;
    private final String found;
    private final String expected;

    /**
     * A fault of a program.
     *
     * @param network the number of the network, 1 for the first; 0 for a fault in the list of variables
     */
    ProgramException(int network, String found, String expected) {
        super((network == 0 ? "variables" : "network " + network) + ": found " + Excerpt.of(found) + ", expected "
                + Excerpt.expected(expected));
        this.network = network;
        this.found = Excerpt.of(found);
        this.expected = expected;
    }

    /** What is used. */
    public String found() {
        return found;
    }

    /** What would be right there. */
    public String expected() {
        return expected;
    }

    /** The number of the network, 1 for the first; 0 for a fault in the list of variables. */
    public int network() {
        return network;
    }
}
