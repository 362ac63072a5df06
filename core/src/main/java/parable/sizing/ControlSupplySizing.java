package parable.sizing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.circuit.Practice;
import parable.parts.Assembly;
import parable.parts.Regulation;
import parable.proof.OnTogether;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;

/**
 * A control transformer, its fuses and the wires to the coils.
 *
 * @param inputs what it rests on
 * @param results in the order in which each follows
 */
public record ControlSupplySizing(SizingInputs inputs, List<SizingResult> results) {

    /** The least voltage at the transformer while the last coil pulls in, in per cent. */
    private static final double LEAST_VOLTAGE = 90;

    /** A coil pulls in at so many per cent of its voltage (IEC 60947-4-1, 8.2.1.2). */
    private static final double PULLS_IN = 85;

    /** The capacitance in uF that still lets a coil go is so many times its VA over the square of its voltage, at 50 Hz. */
    private static final double LETS_GO = 500;

    private static final double FREQUENCY_OF_THAT = 50;

    /** Not modified: the list is copied. */
    public ControlSupplySizing {
        results = List.copyOf(results);
    }

    /**
     * Sizes it.
     *
     * @throws SizingException if something makes no sense or is beyond a table
     */
    static ControlSupplySizing of(SizingInputs inputs, RatingTables tables, Map<String, String> overrides)
            throws SizingException {
        Chain chain = new Chain(inputs.about(), tables, overrides);
        double[] load = addLoad(inputs, chain);
        double size = addTransformer(inputs, chain, load);
        Optional<Double> stated = inputs.quantity(ControlQuestion.RATED);
        double rated = stated.orElse(size);
        boolean ofEdited = stated.isEmpty() && chain.isOfEdited("transformer");
        double share = addVoltage(inputs, chain, load, rated);
        TransformerFuses.add(inputs, chain, rated, ofEdited);
        addRun(inputs, chain, share);
        return new ControlSupplySizing(inputs, chain.results());
    }

    /**
     * That of the control transformer of a sheet with all its coils on together, empty if it has none or it makes no sense.
     *
     * @param tag of the transformer
     */
    public static Optional<ControlSupplySizing> drawn(
            Assembly assembly, String tag, Practice practice, RatingTables tables) {
        try {
            for (DrawnControlSupply supply : DrawnControlSupply.all(assembly, OnTogether.everything(assembly))) {
                if (supply.tag().equals(tag)) {
                    return Optional.of(supply.sized(practice, tables));
                }
            }
            return Optional.empty();
        } catch (SizingException senseless) {
            return Optional.empty();
        }
    }

    /** The power and what goes to and fro while the last coil pulls in, in W and var; sealed VA after them. */
    private static double[] addLoad(SizingInputs inputs, Chain chain) throws SizingException {
        double held = inputs.quantity(ControlQuestion.SEALED).orElse(0.0);
        double inrush = inputs.quantity(ControlQuestion.INRUSH).orElse(0.0);
        double cosine = inputs.number(ControlQuestion.SEALED_FACTOR);
        double open = inputs.number(ControlQuestion.INRUSH_FACTOR);
        double watts = held * cosine + inrush * open;
        double vars = held * Math.sqrt(1 - cosine * cosine) + inrush * Math.sqrt(1 - open * open);
        chain.add(ResultDraft.of("control-load", "Control load while the last coil pulls in")
                .from("in together", held, "VA")
                .from("comes in last", inrush, "VA")
                .is(Math.hypot(watts, vars), "VA")
                .by("what is in and what comes in, added as vectors", "IEC 60947-4-1, 8.2.1.2"));
        return new double[] {watts, vars, held};
    }

    private static Regulation regulation(SizingInputs inputs, RatingTable table, double rated) {
        RatingLine line = table.from(rated).orElse(table.most());
        double resistive = inputs.quantity(ControlQuestion.RESISTIVE)
                .orElse(line.number("uR %").orElseThrow());
        double reactive = inputs.quantity(ControlQuestion.REACTIVE)
                .orElse(line.number("uX %").orElseThrow());
        return new Regulation(rated, resistive / 100, reactive / 100);
    }

    private static double addTransformer(SizingInputs inputs, Chain chain, double[] load) throws SizingException {
        RatingTable table = chain.table("control-transformer");
        RatingLine line = table.first(one -> one.amount() >= load[2]
                        && 100 * regulation(inputs, table, one.amount()).share(load[0], load[1]) >= LEAST_VOLTAGE)
                .orElse(table.most());
        return chain.add(ResultDraft.of("transformer", "Control transformer")
                .from("control load", Math.hypot(load[0], load[1]), "VA")
                .is(line.amount(), "VA")
                .by("the smallest that keeps 90 % of its voltage and carries what is in", "IEC 61558-2-2")
                .read(table, line));
    }

    private static double addVoltage(SizingInputs inputs, Chain chain, double[] load, double rated)
            throws SizingException {
        RatingTable table = chain.table("control-transformer");
        Regulation regulation = regulation(inputs, table, rated);
        double percent = 100 * regulation.share(load[0], load[1]);
        boolean kept = percent >= LEAST_VOLTAGE;
        return chain.add(ResultDraft.of(
                                "control-voltage",
                                "Voltage of " + Figures.written(rated) + " VA while the last coil pulls in")
                        .follows(chain, "transformer")
                        .from("uR", 100 * regulation.resistive(), "%")
                        .from("uX", 100 * regulation.reactive(), "%")
                        .is(percent, "%")
                        .by("100 (1 - S / Sn (uR cosφ + uX sinφ))", "")
                        .read(table, table.from(rated).orElse(table.most()))
                        .limit(
                                kept,
                                (kept ? "At least " : "It takes at least ") + Figures.written(LEAST_VOLTAGE) + " %."))
                / 100;
    }

    private static void addRun(SizingInputs inputs, Chain chain, double share) throws SizingException {
        double volts = inputs.number(ControlQuestion.SECONDARY);
        double metres = inputs.number(ControlQuestion.LENGTH);
        double square = inputs.number(ControlQuestion.WIRE);
        double inrush = inputs.quantity(ControlQuestion.INRUSH).orElse(0.0);
        double current = inrush / volts;
        double lost = VoltageDrop.volts(2, current, metres, square, inputs.number(ControlQuestion.INRUSH_FACTOR));
        double percent = 100 * share - 100 * lost / volts;
        boolean kept = percent >= PULLS_IN;
        chain.add(ResultDraft.of("coil-voltage", "Voltage at the coil while it pulls in")
                .follows(chain, "control-voltage")
                .from("length " + inputs.word(ControlQuestion.LENGTH))
                .from("wire " + inputs.word(ControlQuestion.WIRE))
                .from("lost on the way", lost, "V")
                .is(percent, "%")
                .by("that of the transformer less 2 I L (ρ/S cosφ + x sinφ)", "IEC 60947-4-1, 8.2.1.2")
                .limit(
                        kept,
                        (kept ? "At least " : "It takes at least ") + Figures.written(PULLS_IN) + " % to pull in."));
        double hold = inputs.quantity(ControlQuestion.HOLDING).orElse(0.0);
        if (hold > 0) {
            double most =
                    LETS_GO * hold / (volts * volts) * FREQUENCY_OF_THAT / inputs.number(ControlQuestion.FREQUENCY);
            double critical = 1000 * most / inputs.number(ControlQuestion.CAPACITANCE);
            boolean shorter = metres <= critical;
            chain.add(ResultDraft.of("critical-length", "Length from which the cable itself can hold a coil in")
                    .from("holding", hold, "VA")
                    .from("capacitance " + inputs.word(ControlQuestion.CAPACITANCE))
                    .is(critical, "m")
                    .by(
                            "500 S / U² µF let it go at 50 Hz, over the capacitance of each km",
                            "practice, for alternating current")
                    .limit(
                            shorter,
                            (shorter ? "The run is shorter: " : "The run is longer, so the coil may stay in: ")
                                    + inputs.word(ControlQuestion.LENGTH) + "."));
        }
    }

    /** A result by its key, empty where there is none. */
    public Optional<SizingResult> result(String key) {
        return results.stream().filter(one -> one.key().equals(key)).findFirst();
    }
}
