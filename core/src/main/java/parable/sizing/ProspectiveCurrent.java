package parable.sizing;

import java.util.List;
import java.util.Optional;
import parable.circuit.Practice;
import parable.ratings.RatingLine;

/** What flows at a short circuit behind the transformer of the supply, at its terminals and at the panel (IEC 60909-0, without motors). */
final class ProspectiveCurrent {

    private static final double IEC_VOLTS = 400;
    private static final double NORTH_AMERICAN_VOLTS = 480;

    private ProspectiveCurrent() {}

    static double volts(Practice practice) {
        return practice == Practice.IEC ? IEC_VOLTS : NORTH_AMERICAN_VOLTS;
    }

    /**
     * The current in A at the end of a run.
     *
     * @param volts between the lines
     * @param source resistance and reactance of the transformer, in ohm
     * @param metres the length of the run, in m
     * @param square its cross-section in mm2
     * @param copper the resistivity, in ohm mm2/m
     */
    static double amperes(double volts, double[] source, double metres, double square, double copper) {
        double resistance = source[0] + copper * metres / square;
        double reactance = source[1] + VoltageDrop.REACTANCE * metres;
        return volts / Math.sqrt(3) / Math.hypot(resistance, reactance);
    }

    /** Resistance and reactance of the transformer of the supply, in ohm. */
    static double[] source(SizingInputs inputs) {
        double volts = volts(inputs.practice());
        double ohms = volts
                * volts
                / (1000 * inputs.number(JobQuestion.SUPPLY_POWER))
                * inputs.number(JobQuestion.SUPPLY_IMPEDANCE)
                / 100;
        double ratio = inputs.number(JobQuestion.SUPPLY_RATIO);
        return new double[] {ratio * ohms, Math.sqrt(1 - ratio * ratio) * ohms};
    }

    /** Adds the currents; those at the panel only with a wire. */
    static void add(SizingInputs inputs, Chain chain, Optional<RatingLine> wire) throws SizingException {
        double volts = volts(inputs.practice());
        double watts = 1000 * inputs.number(JobQuestion.SUPPLY_POWER);
        double impedance = inputs.number(JobQuestion.SUPPLY_IMPEDANCE) / 100;
        double ratio = inputs.number(JobQuestion.SUPPLY_RATIO);
        double rated = chain.add(ResultDraft.of("supply-current", "Rated current of the supply")
                .from("transformer " + inputs.word(JobQuestion.SUPPLY_POWER))
                .is(watts / (Math.sqrt(3) * volts), "A")
                .by("S / (√3 U)", ""));
        double there = chain.add(ResultDraft.of("supply-short-circuit", "Short-circuit current at the transformer")
                .from("uk " + inputs.word(JobQuestion.SUPPLY_IMPEDANCE))
                .is(rated / impedance, "A")
                .by("In / uk", "IEC 60909-0"));
        if (wire.isEmpty()) {
            return;
        }
        double ohms = volts / Math.sqrt(3) / there;
        double[] source = {ratio * ohms, Math.sqrt(1 - ratio * ratio) * ohms};
        double metres = inputs.number(JobQuestion.FEEDER_LENGTH);
        double square = squareMillimetres(inputs.practice(), wire.get());
        chain.add(ResultDraft.of("panel-short-circuit", "Largest short-circuit current at the panel")
                .follows(chain, "feeder-wire")
                .from("feeder " + inputs.word(JobQuestion.FEEDER_LENGTH))
                .from("wire " + ConductorSize.name(inputs.practice(), wire.get()))
                .is(amperes(volts, source, metres, square, VoltageDrop.COLD_COPPER), "A")
                .by(
                        "U / (√3 Z), the run cold with 0.0185 Ω mm²/m and 0.08 mΩ/m",
                        "IEC 60909-0; devices must break as much"));
        chain.add(ResultDraft.of("panel-short-circuit-least", "Smallest short-circuit current at the panel")
                .follows(chain, "feeder-wire")
                .is(amperes(volts, source, metres, square, VoltageDrop.WARM_COPPER), "A")
                .by(
                        "U / (√3 Z), the run warm with 0.0225 Ω mm²/m",
                        "IEC 60909-0; it decides whether a device still opens at once"));
    }

    /** The cross-section that a size such as {@code 4 mm² (23 A)} says, in mm2. */
    static double squareMillimetresOf(Practice practice, String written) {
        String size = written.substring(0, written.indexOf(" ("));
        return practice == Practice.IEC
                ? Double.parseDouble(size.substring(0, size.indexOf(' ')))
                : squareMillimetres(practice, new RatingLine(List.of("AWG"), List.of(size)));
    }

    /** The cross-section of a row of the table of wires, in mm2; that of a gauge by ASTM B258. */
    static double squareMillimetres(Practice practice, RatingLine wire) {
        if (practice == Practice.IEC) {
            return wire.amount();
        }
        String size = wire.key();
        double number = Double.parseDouble(size.substring(0, size.indexOf(size.contains("/") ? '/' : ' ')));
        if (size.endsWith("kcmil")) {
            return number * 0.5067;
        }
        double gauge = size.contains("/") ? 1 - number : number;
        double millimetres = 0.127 * Math.pow(92, (36 - gauge) / 39);
        return Math.PI / 4 * millimetres * millimetres;
    }
}
