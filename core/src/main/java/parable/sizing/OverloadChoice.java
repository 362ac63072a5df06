package parable.sizing;

import parable.circuit.Practice;

/** What the overload relay is set to, and whether its class lets the motor start. */
final class OverloadChoice {

    private static final double MOST = 1.15;
    private static final double MOST_OF_STURDY = 1.25;
    private static final double STURDY = 1.15;

    private OverloadChoice() {}

    /** Whether the relay is in the winding of a delta: there it is unless somebody says otherwise. */
    static boolean isInWinding(SizingInputs inputs) {
        return inputs.is(MotorQuestion.START, "star-delta")
                && !inputs.said(MotorQuestion.RELAY).filter("line"::equals).isPresent();
    }

    /** Adds {@code overload} and what it may be set to at most. */
    static double add(SizingInputs inputs, Chain chain, double motorCurrent) throws SizingException {
        boolean winding = isInWinding(inputs);
        double there = winding ? motorCurrent / Math.sqrt(3) : motorCurrent;
        double most = most(inputs) * there;
        boolean iec = inputs.practice() == Practice.IEC;
        String where = winding ? " / √3, for it is in the winding of the delta" : "";
        String from = iec ? "current" : "motor-current";
        ResultDraft setting = ResultDraft.of("overload", "Overload relay set to")
                .follows(chain, from)
                .from("current", motorCurrent, "A")
                .is(there, "A")
                .by(
                        iec ? "1.00 In" + where : "the nameplate" + where,
                        iec ? "IEC 60947-4-1, 5.7; IEC 60204-1, 7.3" : "NFPA 70, 430.32(A)(1)");
        double set = chain.add(setting);
        boolean kept = set <= most * 1.001;
        boolean burns = set < 0.95 * there;
        setting.limit(
                kept && !burns,
                burns
                        ? "It trips below the motor's own current of " + Figures.written(there) + " A."
                        : (kept ? "At most " : "It may be at most ") + Figures.written(most) + " A.");
        chain.add(setting, chain.override("overload").isPresent());
        if (!iec) {
            boolean sturdy = isSturdy(inputs);
            chain.add(ResultDraft.of("overload-most", "Overload relay at most")
                    .follows(chain, from)
                    .from("current of the motor", motorCurrent, "A")
                    .is(most, "A")
                    .by(
                            (sturdy
                                            ? "1.25 times: service factor 1.15 or more, or a rise of 40 °C"
                                            : "1.15 times: no service factor of 1.15 and no rise of 40 °C is stated")
                                    + where,
                            "NFPA 70, 430.32(A)(1)"));
        }
        return set;
    }

    private static double most(SizingInputs inputs) {
        double american = isSturdy(inputs) ? MOST_OF_STURDY : MOST;
        return inputs.practice() == Practice.IEC ? 1 : american;
    }

    private static boolean isSturdy(SizingInputs inputs) {
        return inputs.number(MotorQuestion.SERVICE_FACTOR) >= STURDY || inputs.is(MotorQuestion.RISE, "40 °C");
    }
}
