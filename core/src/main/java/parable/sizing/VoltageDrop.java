package parable.sizing;

import java.util.Locale;
import parable.circuit.Practice;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;

/** The voltage that is lost on the way to the motor. */
final class VoltageDrop {

    /** Of warm copper, in ohm mm2/m. */
    static final double WARM_COPPER = 0.0225;

    /** Of cold copper, in ohm mm2/m. */
    static final double COLD_COPPER = 0.0185;

    /** Of a cable, in ohm/m. */
    static final double REACTANCE = 0.08e-3;

    private static final double METRES_OF_1000_FEET = 304.8;

    private VoltageDrop() {}

    /**
     * The drop in V.
     *
     * @param conductors sqrt3 for three phases, 2 for there and back
     * @param amperes what flows, in A
     * @param metres the length of the run, in m
     * @param squareMillimetres the cross-section, in mm2
     * @param powerFactor of what flows
     */
    static double volts(
            double conductors, double amperes, double metres, double squareMillimetres, double powerFactor) {
        double sine = Math.sqrt(1 - powerFactor * powerFactor);
        return conductors * amperes * metres * (WARM_COPPER / squareMillimetres * powerFactor + REACTANCE * sine);
    }

    /** Adds {@code drop} and {@code start-drop}, each in V and in per cent. */
    static void add(SizingInputs inputs, Chain chain, RatingLine wire, double starting) throws SizingException {
        double current = chain.result("current").orElseThrow().value();
        one(
                inputs,
                chain,
                wire,
                new Case(
                        "drop",
                        "Voltage drop while it runs",
                        current,
                        "current",
                        MotorQuestion.POWER_FACTOR,
                        MotorQuestion.DROP_LIMIT));
        one(
                inputs,
                chain,
                wire,
                new Case(
                        "start-drop",
                        "Voltage drop at the start",
                        starting,
                        "start-current-of-the-line",
                        MotorQuestion.START_POWER_FACTOR,
                        MotorQuestion.START_DROP_LIMIT));
    }

    private record Case(
            String key, String name, double amperes, String from, MotorQuestion factor, MotorQuestion limit) {}

    private static void one(SizingInputs inputs, Chain chain, RatingLine wire, Case one) throws SizingException {
        double volts = volts(inputs, wire, one.amperes(), one.factor());
        double supply = FullLoadCurrent.supplyVolts(inputs);
        ResultDraft draft = ResultDraft.of(one.key(), one.name())
                .from("current", one.amperes(), "A")
                .follows(chain, one.from(), "wire")
                .from("length " + inputs.word(MotorQuestion.LENGTH))
                .from("wire " + ConductorSize.name(inputs.practice(), wire))
                .is(volts, "V");
        if (inputs.practice() == Practice.IEC) {
            draft.from("power factor " + inputs.word(one.factor()))
                    .by(
                            conductorsWritten(inputs) + " I L (ρ/S cosφ + x sinφ), ρ = 0.0225 Ω mm²/m, x = 0.08 mΩ/m",
                            "warm copper");
        } else {
            draft.by(conductorsWritten(inputs) + " I L Z, Z the effective impedance at a power factor of 0.85", "")
                    .read(chain.table("wire"), wire);
        }
        double lost = chain.add(draft);
        double share = 100 * lost / supply;
        double most = inputs.number(one.limit());
        String allowed = "at most " + Figures.written(most) + " % of " + Figures.written(supply) + " V";
        draft.written(Figures.written(lost) + " V, " + Figures.written(share) + " %")
                .limit(
                        share <= most,
                        share <= most
                                ? allowed.substring(0, 1).toUpperCase(Locale.ROOT) + allowed.substring(1) + "."
                                : "It may be " + allowed + advice(inputs, chain, one, most * supply / 100));
        chain.add(draft, chain.override(one.key()).isPresent());
    }

    private static String advice(SizingInputs inputs, Chain chain, Case one, double most) throws SizingException {
        RatingTable table = chain.table("wire");
        for (RatingLine line : table.lines()) {
            if (volts(inputs, line, one.amperes(), one.factor()) <= most) {
                return "; " + ConductorSize.name(inputs.practice(), line) + " keeps it.";
            }
        }
        return "; no size of the table keeps it.";
    }

    private static double volts(SizingInputs inputs, RatingLine wire, double amperes, MotorQuestion factor) {
        double metres = inputs.number(MotorQuestion.LENGTH);
        return inputs.practice() == Practice.IEC
                ? volts(conductors(inputs), amperes, metres, wire.amount(), inputs.number(factor))
                : conductors(inputs)
                        * amperes
                        * wire.number("ohm a 1000 ft").orElseThrow()
                        * metres
                        / METRES_OF_1000_FEET;
    }

    private static double conductors(SizingInputs inputs) {
        return inputs.is(MotorQuestion.FEED, "three-phase") ? Math.sqrt(3) : 2;
    }

    private static String conductorsWritten(SizingInputs inputs) {
        return inputs.is(MotorQuestion.FEED, "three-phase") ? "√3" : "2";
    }
}
