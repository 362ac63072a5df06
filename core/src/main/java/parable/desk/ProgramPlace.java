package parable.desk;

/**
 * A place in a program.
 *
 * @param network from 0
 * @param leaf the contact in it, from 0, or {@link #NETWORK} for all of it
 */
public record ProgramPlace(int network, int leaf) {

    /** No contact, but the whole network. */
    public static final int NETWORK = -1;
}
