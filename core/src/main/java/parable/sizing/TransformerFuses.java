package parable.sizing;

import java.util.List;
import java.util.Optional;
import parable.circuit.Practice;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;

/** The fuses before and behind a control transformer. */
final class TransformerFuses {

    private static final double INRUSH = 2;
    private static final double PRIMARY_MOST = 5;
    private static final double SECONDARY_USUAL = 1.25;
    private static final double SECONDARY_MOST = 1.67;
    private static final String PLATE = "practice; the transformer's plate decides";

    private TransformerFuses() {}

    /**
     * A fuse.
     *
     * @param amperes from which its size follows
     * @param upwards to the next size upwards, otherwise downwards
     */
    private record Fuse(String key, String name, double amperes, boolean upwards, String how, String source) {}

    /**
     * Adds them.
     *
     * @param rated the power of the transformer, in VA
     * @param ofEdited whether that rests on an edited table
     */
    static void add(SizingInputs inputs, Chain chain, double rated, boolean ofEdited) throws SizingException {
        double primary = rated / inputs.number(ControlQuestion.PRIMARY);
        double secondary = rated / inputs.number(ControlQuestion.SECONDARY);
        chain.add(current("primary-current", "Primary current", rated, primary).follows(ofEdited));
        chain.add(current("secondary-current", "Secondary current", rated, secondary)
                .follows(ofEdited));
        List<Fuse> fuses =
                inputs.practice() == Practice.IEC ? metric(primary, secondary) : american(primary, secondary);
        RatingTable table = chain.table("control-fuse");
        for (Fuse fuse : fuses) {
            Optional<RatingLine> line = fuse.upwards() ? table.from(fuse.amperes()) : table.upTo(fuse.amperes());
            RatingLine chosen = line.orElse(fuse.upwards() ? table.most() : table.least());
            chain.add(ResultDraft.of(fuse.key(), fuse.name())
                    .follows(ofEdited)
                    .from("current", fuse.amperes(), "A")
                    .is(chosen.amount(), "A")
                    .by(fuse.how() + ", to the next size " + (fuse.upwards() ? "upwards" : "downwards"), fuse.source())
                    .read(table, chosen));
        }
    }

    private static ResultDraft current(String key, String name, double rated, double amperes) {
        return ResultDraft.of(key, name)
                .from("rated", rated, "VA")
                .is(amperes, "A")
                .written(Figures.exact(amperes) + " A")
                .by("S / U", "");
    }

    private static List<Fuse> metric(double primary, double secondary) {
        return List.of(
                new Fuse(
                        "primary-fuse",
                        "Primary fuse",
                        INRUSH * primary,
                        true,
                        "2 times the current, for the inrush of the transformer",
                        PLATE),
                new Fuse(
                        "primary-fuse-most",
                        "Primary fuse at most",
                        PRIMARY_MOST * primary,
                        false,
                        "5 times the current",
                        PLATE),
                new Fuse(
                        "secondary-fuse",
                        "Secondary fuse",
                        secondary,
                        false,
                        "the rated current",
                        "IEC 60204-1, 7.2.4 and 7.2.7; the transformer's plate decides"),
                new Fuse(
                        "secondary-fuse-most",
                        "Secondary fuse at most",
                        SECONDARY_USUAL * secondary,
                        false,
                        "1.25 times the current",
                        PLATE));
    }

    private static List<Fuse> american(double primary, double secondary) {
        return List.of(
                new Fuse(
                        "primary-fuse",
                        "Primary fuse at most",
                        PRIMARY_MOST * primary,
                        false,
                        "500 %, with a fuse behind it too",
                        "NFPA 70, 430.72(C)(4)"),
                new Fuse(
                        "secondary-fuse",
                        "Secondary fuse by 125 %",
                        SECONDARY_USUAL * secondary,
                        false,
                        "125 %",
                        "NFPA 70, table 450.3(B)"),
                new Fuse(
                        "secondary-fuse-most",
                        "Secondary fuse below 9 A at most",
                        SECONDARY_MOST * secondary,
                        false,
                        "167 %",
                        "NFPA 70, table 450.3(B)"));
    }

    /** How many times the current of a side a fuse on it may be rated at most. */
    static double most(Practice practice, boolean primary) {
        if (primary) {
            return PRIMARY_MOST;
        }
        return practice == Practice.IEC ? SECONDARY_USUAL : SECONDARY_MOST;
    }
}
