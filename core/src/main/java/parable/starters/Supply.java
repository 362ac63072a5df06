package parable.starters;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import parable.circuit.Practice;

/** The three-phase supplies that a motor is commonly fed from, with a grounded neutral. Voltages by IEC 60038 and ANSI C84.1. */
public enum Supply implements Choice {
    IEC_400(Practice.IEC, 400, 230, 50),
    IEC_690(Practice.IEC, 690, 400, 50),
    NORTH_AMERICAN_480(Practice.NORTH_AMERICAN, 480, 277, 60),
    NORTH_AMERICAN_208(Practice.NORTH_AMERICAN, 208, 120, 60);

    private final Practice practice;
    private final int volts;
    private final int voltsToNeutral;
    private final int hertz;

    Supply(Practice practice, int volts, int voltsToNeutral, int hertz) {
        this.practice = practice;
        this.volts = volts;
        this.voltsToNeutral = voltsToNeutral;
        this.hertz = hertz;
    }

    /** Those that are usual in a practice, the commonest first. */
    public static List<Supply> in(Practice practice) {
        return Stream.of(values()).filter(supply -> supply.practice == practice).toList();
    }

    /** The practice that it belongs to. */
    public Practice practice() {
        return practice;
    }

    /** The voltage between lines in V. */
    public int volts() {
        return volts;
    }

    /** The voltage between lines as it is written on a device: {@code 400 V AC}. */
    public String voltage() {
        return volts + " V AC";
    }

    /** The frequency as it is written on a device: {@code 50 Hz}. */
    public String frequency() {
        return hertz + " Hz";
    }

    /**
     * The voltage between a line and the neutral as it is written on a device: that of the supply with this voltage between lines, or worked out from it.
     *
     * @param lineVolts between lines, in V
     */
    static String toNeutral(double lineVolts) {
        double volts = Stream.of(values())
                .filter(supply -> supply.volts == lineVolts)
                .mapToDouble(supply -> supply.voltsToNeutral)
                .findFirst()
                .orElse(lineVolts / Math.sqrt(3));
        return String.format(Locale.ROOT, "%.0f V AC", volts);
    }

    @Override
    public String words() {
        return volts + " V, " + hertz + " Hz";
    }

    @Override
    public String why() {
        return "Three phases, " + volts + " V between lines and "
                + toNeutral(volts).replace(" AC", "")
                + " from each to the neutral; the nameplate of the motor must say so too.";
    }
}
