package parable.check;

import parable.parts.Part;

/**
 * What a contactor must be rated that jogs a motor, or turns it round while it runs: it makes and breaks the starting current each time (utilization category AC-4,
 * IEC 60947-4-1, table 1).
 */
public final class HeavyDuty {

    /** Practice: contacts that are rated for twice the current, or for a motor of twice the power, last as long as a machine is used. */
    public static final double TIMES = 2;

    private HeavyDuty() {}

    /** Whether its plate says that a contactor is made for it. */
    public static boolean isMadeFor(Part contactor) {
        return contactor.device().setting("category").filter("AC-4"::equals).isPresent();
    }

    /**
     * The least rating of such a contactor, in A.
     *
     * @param amperes what the motor takes through it at rated load, in A
     */
    public static double leastRating(Part contactor, double amperes) {
        return isMadeFor(contactor) ? amperes : TIMES * amperes;
    }
}
