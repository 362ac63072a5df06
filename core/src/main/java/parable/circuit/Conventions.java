package parable.circuit;

/**
 * What a job has agreed on that decides nothing of what its circuits do.
 *
 * @param practice how symbols look and devices are tagged
 * @param colours which colours operators and lamps may have
 * @param title what is at the foot of each page
 */
public record Conventions(Practice practice, ColourCode colours, TitleBlock title) {

    /** What is usual in a practice. */
    public static Conventions of(Practice practice) {
        return new Conventions(practice, ColourCode.of(practice), TitleBlock.BLANK);
    }

    /** Those of another practice; colours that somebody has decided on stay. */
    public Conventions in(Practice other) {
        return new Conventions(other, isUsual() ? ColourCode.of(other) : colours, title);
    }

    /** Whether the colours are the practice's usual ones. */
    public boolean isUsual() {
        return colours.equals(ColourCode.of(practice));
    }

    /** The same with other colours. */
    public Conventions with(ColourCode others) {
        return new Conventions(practice, others, title);
    }

    /** The same with another title block. */
    public Conventions with(TitleBlock other) {
        return new Conventions(practice, colours, other);
    }
}
