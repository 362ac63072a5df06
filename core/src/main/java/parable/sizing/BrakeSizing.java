package parable.sizing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import parable.ratings.RatingTables;

/**
 * A brake with direct current through two phases of the motor in series.
 *
 * @param inputs what it rests on
 * @param results in the order in which each follows
 */
public record BrakeSizing(SizingInputs inputs, List<SizingResult> results) {

    private static final double LEAST_TIMES = 1.5;
    private static final double MOST_TIMES = 2.5;

    /** The mean of a rectified sine wave over its r.m.s. value, bridge on one phase, and on three. */
    private static final double ONE_PHASE = 0.9;

    private static final double THREE_PHASES = 1.35;

    /** The alternating current of a bridge on one phase over the direct current. */
    private static final double FORM_FACTOR = 1.11;

    private static final double HOUR = 3600;

    /** Not modified: the list is copied. */
    public BrakeSizing {
        results = List.copyOf(results);
    }

    /**
     * Sizes it.
     *
     * @param inputs answers to all of {@link BrakeQuestion}, with current and ohms
     * @throws SizingException if something makes no sense
     */
    public static BrakeSizing of(SizingInputs inputs, RatingTables tables, Map<String, String> overrides)
            throws SizingException {
        Chain chain = new Chain(inputs.about(), tables, overrides);
        double rated = needed(inputs, BrakeQuestion.AMPERES);
        double ohms = needed(inputs, BrakeQuestion.OHMS);
        double times = inputs.number(BrakeQuestion.TIMES);
        boolean usual = times >= LEAST_TIMES && times <= MOST_TIMES;
        double current = chain.add(ResultDraft.of("brake-current", "Braking current")
                .from("In", rated, "A")
                .is(times * rated, "A")
                .by("so many times the rated current", "practice, 1.5 to 2.5 times")
                .limit(
                        usual,
                        usual
                                ? "1.5 to 2.5 times In."
                                : "It is to be 1.5 to 2.5 times In, which is " + Figures.written(LEAST_TIMES * rated)
                                        + " to " + Figures.written(MOST_TIMES * rated) + " A."));
        double volts = chain.add(ResultDraft.of("brake-voltage", "Direct voltage")
                .from("ohms", ohms, "Ω")
                .is(current * ohms, "V")
                .by("I R, R between two leads", "Ohm's law"));
        double alternating =
                chain.add(ResultDraft.of("brake-transformer-voltage", "Transformer for a bridge on one phase")
                        .from("direct voltage", volts, "V")
                        .is(volts / ONE_PHASE, "V")
                        .by("U / 0.9", "mean of a rectified sine wave"));
        chain.add(
                ResultDraft.of("brake-transformer", "Power of that transformer")
                        .is(alternating * FORM_FACTOR * current, "VA")
                        .by(
                                "U × 1.11 I",
                                "form factor of a rectified sine wave; less where it works for seconds only, by its data sheet"));
        chain.add(ResultDraft.of("brake-transformer-voltage-3", "Transformer for a bridge on three phases")
                .is(volts / THREE_PHASES, "V")
                .by("U / 1.35", "mean of a rectified system of three phases"));
        addResistor(inputs, chain, current, volts);
        return new BrakeSizing(inputs, chain.results());
    }

    private static double needed(SizingInputs inputs, SizingQuestion question) throws SizingException {
        return inputs.quantity(question)
                .orElseThrow(() -> new SizingException(inputs.place(question), "", question.expected()));
    }

    private static void addResistor(SizingInputs inputs, Chain chain, double current, double volts)
            throws SizingException {
        Optional<Double> supply = inputs.quantity(BrakeQuestion.SUPPLY);
        if (supply.isEmpty()) {
            return;
        }
        double seconds = inputs.number(BrakeQuestion.SECONDS);
        boolean enough = supply.get() > volts;
        double ohms = chain.add(ResultDraft.of("brake-resistor", "Resistor before the motor")
                .from("supply", supply.get(), "V")
                .is(Math.max(0, (supply.get() - volts) / current), "ohm")
                .by("(Us - U) / I", "Ohm's law")
                .limit(
                        enough,
                        enough
                                ? "The supply has more than the " + Figures.written(volts) + " V that are needed."
                                : "The supply has less than the " + Figures.written(volts) + " V that are needed."));
        double watts = chain.add(ResultDraft.of("brake-resistor-power", "What it turns to heat while it brakes")
                .is(current * current * ohms, "W")
                .by("I² R", "Joule's law"));
        double joules = chain.add(ResultDraft.of("brake-energy", "Energy of a stop")
                .from("time " + inputs.word(BrakeQuestion.SECONDS))
                .is(watts * seconds, "J")
                .by("P t", "Joule's law"));
        chain.add(ResultDraft.of("brake-resistor-mean", "Resistor rated for, as a mean of the hour")
                .from("stops " + inputs.word(BrakeQuestion.STOPS))
                .is(joules * inputs.number(BrakeQuestion.STOPS) / HOUR, "W")
                .by(
                        "energy × stops / 3,600 s; the energy of one stop must be borne too, by its data sheet",
                        "mean heat"));
    }

    /** A result by its key, empty where there is none. */
    public Optional<SizingResult> result(String key) {
        return results.stream().filter(one -> one.key().equals(key)).findFirst();
    }
}
