package parable.sizing;

import parable.ratings.RatingLine;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;

/**
 * The breaker of a motor of whose machine nothing is known yet, with a relay for overload behind it. Once the start is known {@link MotorSizing} decides by
 * the curve; what is chosen here is within its limits for a start of usual length.
 */
public final class FirstBreaker {

    /** A breaker that opens at once above ten times its rating lets the start of 6.5 to 8 times the motor's current pass with so much room. */
    private static final double ROOM_FOR_START = 1.4;

    private FirstBreaker() {}

    /**
     * By IEC practice the smallest that the start does not open, by North American practice the largest that does not exceed what the current allows.
     *
     * @param tables of the practice
     * @param amperes the motor's rated current, in A
     * @return its rated current as the table has it, such as {@code 10 A}
     */
    public static String of(RatingTables tables, double amperes) {
        RatingTable table = tables.table("breaker");
        RatingLine line =
                switch (tables.practice()) {
                    case IEC -> table.from(ROOM_FOR_START * amperes).orElse(table.most());
                    case NORTH_AMERICAN -> table.upTo(MotorProtection.INVERSE_TIME * amperes)
                            .orElse(table.least());
                };
        return line.key() + " A";
    }
}
