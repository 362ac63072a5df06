package parable.circuit;

/**
 * What a job has agreed on that decides nothing of what its circuits do.
 *
 * @param practice how symbols look and devices are tagged
 * @param colours which colours operators and lamps may have
 */
public record Conventions(Practice practice, ColourCode colours) {

    /** What is usual in a practice. */
    public static Conventions of(Practice practice) {
        return new Conventions(practice, ColourCode.of(practice));
    }

    /** Those of another practice; colours that somebody has decided on stay. */
    public Conventions in(Practice other) {
        return isUsual() ? of(other) : new Conventions(other, colours);
    }

    /** Whether the colours are the practice's usual ones. */
    public boolean isUsual() {
        return colours.equals(ColourCode.of(practice));
    }

    /** The same with other colours. */
    public Conventions with(ColourCode others) {
        return new Conventions(practice, others);
    }
}
