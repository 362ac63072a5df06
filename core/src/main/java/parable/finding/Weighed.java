package parable.finding;

/**
 * A suspect as it is after what was seen.
 *
 * @param suspect what may be wrong
 * @param share how likely it is, all suspects together being 1
 * @param contradicted how many of the readings do not fit it
 */
public record Weighed(Suspect suspect, double share, int contradicted) {

    /** Whether all that was seen fits it. */
    public boolean fits() {
        return contradicted == 0;
    }
}
