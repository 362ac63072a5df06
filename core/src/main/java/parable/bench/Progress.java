package parable.bench;

/** Follows long work, and may end it. */
@FunctionalInterface
public interface Progress {

    /** Nobody looks, and nobody ends it. */
    Progress UNWATCHED = done -> false;

    /**
     * Told now and then how far the work is, from any thread.
     *
     * @param done so many states, or so many faults, so far; 0 if it is only asked whether to end
     * @return whether the work is to end here
     */
    boolean isCancelled(int done);
}
