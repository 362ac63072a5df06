package parable.sizing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.ratings.RatingLine;
import parable.ratings.RatingTables;

/**
 * One motor from its nameplate to all its ratings.
 *
 * @param inputs what it rests on
 * @param results in the order in which each follows from those before
 * @param notes what is to be said beside them, a sentence each
 * @param start how it starts, for the plots
 */
public record MotorSizing(SizingInputs inputs, List<SizingResult> results, List<String> notes, MotorStart start) {

    /** Copper in PVC (IEC 60364-4-43, table 43A). */
    private static final double WITHSTAND = 115;

    /** Not modified: the lists are copied. */
    public MotorSizing {
        results = List.copyOf(results);
        notes = List.copyOf(notes);
    }

    /**
     * Sizes a motor.
     *
     * @param inputs what it rests on
     * @param tables of the practice of the inputs
     * @param overrides what is put in the place of results, by their keys
     * @throws SizingException if something makes no sense or is beyond a table
     */
    public static MotorSizing of(SizingInputs inputs, RatingTables tables, Map<String, String> overrides)
            throws SizingException {
        if (inputs.is(MotorQuestion.START, "star-delta") && !inputs.is(MotorQuestion.FEED, "three-phase")) {
            throw new SizingException(
                    inputs.place(MotorQuestion.START), "star-delta", "direct for a motor that has no three phases");
        }
        Chain chain = new Chain(inputs.about(), tables, overrides);
        FullLoadCurrent.Currents currents = FullLoadCurrent.add(inputs, chain);
        double current = currents.ofTable();
        double set = OverloadChoice.add(inputs, chain, currents.ofMotor());
        MotorStart start = MotorStart.add(inputs, chain, current);
        if (start.runUp().isPresent()) {
            MotorStart.addClass(inputs, chain, start.runUp().get(), set);
        }
        ContactorSize.add(inputs, chain, current);
        ContactorSize.addLife(inputs, chain, current);
        double device = MotorProtection.add(inputs, chain, current, start);
        RatingLine wire = ConductorSize.add(inputs, chain, current);
        ConductorSize.protective(inputs, chain, wire, device);
        VoltageDrop.add(inputs, chain, wire, start.amperes());
        addWithstand(inputs, chain);
        List<String> unused = chain.unused();
        if (!unused.isEmpty()) {
            throw new SizingException(
                    inputs.about() + ", " + unused.get(0),
                    overrides.get(unused.get(0)),
                    "one of the inputs or results: "
                            + String.join(
                                    ", ",
                                    chain.results().stream()
                                            .map(SizingResult::key)
                                            .toList()));
        }
        return new MotorSizing(inputs, chain.results(), chain.notes(), start);
    }

    private static void addWithstand(SizingInputs inputs, Chain chain) throws SizingException {
        Optional<Double> through = inputs.quantity(MotorQuestion.LET_THROUGH);
        if (through.isPresent()) {
            chain.add(ResultDraft.of("withstand", "Wire that bears the short circuit, at least")
                    .from("I²t " + inputs.word(MotorQuestion.LET_THROUGH))
                    .is(withstand(through.get()), "mm²")
                    .by("√(I²t) / k, k = 115", "IEC 60364-4-43, 434.5.2"));
        }
    }

    /** The cross-section in mm2 that bears an I2t in A2s: copper in PVC. */
    static double withstand(double squareAmpereSeconds) {
        return Math.sqrt(squareAmpereSeconds) / WITHSTAND;
    }

    /** Whether the number of a result rests on an edited table. */
    boolean isOfEdited(String key) {
        return result(key)
                .filter(one -> one.ofEditedTable() && !one.overridden())
                .isPresent();
    }

    /** A result by its key, empty where there is none. */
    public Optional<SizingResult> result(String key) {
        return results.stream().filter(one -> one.key().equals(key)).findFirst();
    }
}
