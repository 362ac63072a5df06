package parable.draw;

/** Where the ladder of a sheet is drawn. */
public enum Arrangement {
    /** To the right of the power circuit, as on paper. */
    BESIDE,
    /** Below the power circuit, where there is no room beside it. */
    BELOW
}
