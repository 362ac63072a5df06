package parable.starters;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.sizing.MotorQuestion;
import parable.sizing.MotorSizing;
import parable.sizing.SizingException;
import parable.sizing.SizingInputs;
import parable.sizing.SizingResult;

/** What the contactors of a starter are rated, as its sizing has it. */
final class ContactorRating {

    private ContactorRating() {}

    /** Of the one that carries all: {@code 9 A}. Empty for a motor that no table has. */
    static String of(Wish wish, boolean jogged) {
        return sized(wish, "direct", jogged, "contactor");
    }

    /**
     * Of one of a star-delta starter.
     *
     * @param star whether it is that of the star point
     */
    static String ofStarDelta(Wish wish, boolean star) {
        String own = sized(wish, "star-delta", false, "contactor-star");
        return star && !own.isEmpty() ? own : sized(wish, "star-delta", false, "contactor");
    }

    private static String sized(Wish wish, String start, boolean jogged, String key) {
        MotorData motor = wish.motor();
        Map<String, String> drawn = new LinkedHashMap<>();
        drawn.put(MotorQuestion.POWER.key(), motor.power());
        drawn.put(
                MotorQuestion.VOLTAGE.key(),
                motor.voltage().substring(0, motor.voltage().indexOf(' ')) + " V");
        drawn.put(MotorQuestion.NAMEPLATE.key(), motor.current());
        drawn.put(MotorQuestion.START.key(), start);
        drawn.put(MotorQuestion.DUTY.key(), jogged ? "jogging" : "ordinary");
        try {
            SizingInputs inputs =
                    new SizingInputs(motor.label(), wish.practice(), List.of(MotorQuestion.values()), drawn, Map.of());
            return MotorSizing.of(inputs, wish.tables().of(wish.practice()), Map.of())
                    .result(key)
                    .map(SizingResult::value)
                    .map(Power::amperes)
                    .orElse("");
        } catch (SizingException beyondTheTables) {
            return "";
        }
    }
}
