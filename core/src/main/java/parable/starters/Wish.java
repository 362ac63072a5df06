package parable.starters;

import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import parable.circuit.Conventions;
import parable.circuit.Practice;
import parable.ratings.JobTables;

/**
 * What somebody wants of a starter. It cannot be changed; what is not said is as the practice has it.
 *
 * @param name the name of the sheet
 * @param conventions the regional practice, and the colours of buttons and lamps
 * @param tables what is rated is read from these
 * @param motor the motor
 * @param stations the places that have a start and a stop button, the first on the door
 * @param lamps the lamps on the door
 * @param choices the answers that differ from the practice's own, by question
 */
public record Wish(
        String name,
        Conventions conventions,
        JobTables tables,
        MotorData motor,
        List<String> stations,
        Set<Lamp> lamps,
        Map<Class<? extends Choice>, Choice> choices) {

    /** Not modified: the collections are copied. */
    public Wish {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(conventions, "conventions");
        Objects.requireNonNull(tables, "tables");
        Objects.requireNonNull(motor, "motor");
        stations = List.copyOf(stations);
        lamps = Collections.unmodifiableSet(lamps.isEmpty() ? EnumSet.noneOf(Lamp.class) : EnumSet.copyOf(lamps));
        choices = Collections.unmodifiableMap(new LinkedHashMap<>(choices));
        if (stations.isEmpty()) {
            throw new IllegalArgumentException(name + ": a starter has at least one station");
        }
    }

    /** A direct-on-line starter with start and stop on its door. */
    public static Wish of(String name, Practice practice, MotorData motor) {
        return new Wish(name, Conventions.of(practice), JobTables.SHIPPED, motor, List.of("door"), Set.of(), Map.of());
    }

    /** The regional practice. */
    public Practice practice() {
        return conventions.practice();
    }

    /** This wish with another answer to one question. */
    public Wish with(Choice choice) {
        Map<Class<? extends Choice>, Choice> changed = new LinkedHashMap<>(choices);
        changed.put(choice.getClass(), choice);
        return new Wish(name, conventions, tables, motor, stations, lamps, changed);
    }

    /** This wish with start and stop in these places. */
    public Wish from(String... places) {
        return new Wish(name, conventions, tables, motor, List.of(places), lamps, choices);
    }

    /** This wish with these lamps on the door. */
    public Wish showing(Lamp... some) {
        return new Wish(name, conventions, tables, motor, stations, Set.of(some), choices);
    }

    /** The answer to a question. */
    <C extends Enum<C> & Choice> C choice(Class<C> question) {
        Choice chosen = choices.get(question);
        return chosen == null ? question.cast(Question.byDefault(question, practice())) : question.cast(chosen);
    }

    /** The answer to one of the questions. */
    public Choice answer(Question question) {
        Choice first = question.answers().get(0);
        Choice chosen = choices.get(first.getClass());
        return chosen == null ? Question.byDefault(first.getClass(), practice()) : chosen;
    }

    /** Whether this is the answer to its question. */
    <C extends Enum<C> & Choice> boolean has(C answer) {
        return choice(answer.getDeclaringClass()) == answer;
    }

    /** Of what is special two go together: jogging by a selector in two directions, and a warning before each start of a star-delta. */
    private boolean isDrawnTogether(List<String> asked) {
        boolean jogsBothWays = has(Jogging.SELECTOR)
                && (has(Directions.STOP_FIRST) || has(Directions.BUTTON_INTERLOCK))
                && !has(EndSwitches.TURN_ROUND);
        boolean warnsBeforeStar = !has(Running.DIRECT) && has(Warning.FROM_START);
        return asked.size() == 2 && (jogsBothWays || warnsBeforeStar);
    }

    /** Why the library has no starter like this, empty if it has. */
    public Optional<String> conflict() {
        List<String> specials = List.of(
                has(Running.DIRECT) ? "" : "star-delta",
                has(Directions.ONE) ? "" : "two directions",
                has(Jogging.NONE) ? "" : "jogging",
                has(Braking.NONE) ? "" : "a brake",
                has(Warning.NONE) ? "" : "a warning before the start",
                has(Starting.START_STOP) ? "" : "a maintained start",
                has(ControlSupply.DC_24_WITH_RELAY) ? "a relay between two supplies" : "");
        List<String> asked =
                specials.stream().filter(special -> !special.isEmpty()).toList();
        if (asked.size() > 1 && !isDrawnTogether(asked)) {
            return Optional.of("The library has no starter with " + String.join(" and ", asked)
                    + " in one: begin with one of them and draw the rest.");
        }
        if (lamps.contains(Lamp.EMERGENCY_STOP) && has(EmergencyStop.NONE)) {
            return Optional.of("A lamp for the E-stop belongs to a starter with an E-stop.");
        }
        boolean coilsToNeutral = has(ControlSupply.LINE_TO_NEUTRAL) || has(ControlSupply.DC_24_WITH_RELAY);
        String toNeutral = motor.voltageToNeutral();
        if (coilsToNeutral && Double.parseDouble(toNeutral.substring(0, toNeutral.indexOf(' '))) > mostControlVolts()) {
            return Optional.of("A coil between line and neutral would have " + toNeutral + " here, and "
                    + mostControlVolts() + " V is the most that the practice allows: take a transformer, or 24 V DC.");
        }
        return !has(EndSwitches.NONE) && has(Directions.ONE)
                ? Optional.of("End switches belong to a starter with two directions.")
                : Optional.empty();
    }

    /** Of a control circuit, in V (IEC 60204-1, 9.1.2, at 50 and 60 Hz; NFPA 79, 9.1.2). */
    private int mostControlVolts() {
        return switch (practice()) {
            case NORTH_AMERICAN -> 120;
            case IEC -> motor.frequency().startsWith("60") ? 277 : 240;
        };
    }
}
