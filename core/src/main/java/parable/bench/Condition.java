package parable.bench;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import parable.parts.Family;

/** What an electrician says of a device by looking at it. Every device is in exactly one condition at any instant. */
public enum Condition {
    IN(Family.CONTACTOR, Family.CONTROL_RELAY, Family.TIMER, Family.SOLENOID),
    OUT(Family.CONTACTOR, Family.CONTROL_RELAY, Family.TIMER, Family.SOLENOID),
    LIT(Family.PILOT_LAMP),
    DIM(Family.PILOT_LAMP),
    DARK(Family.PILOT_LAMP),
    TRIPPED(Family.OVERLOAD_RELAY, Family.BREAKER),
    HEALTHY(Family.OVERLOAD_RELAY),
    CLOSED(Family.BREAKER, Family.ISOLATOR, Family.FUSE),
    OPEN(Family.BREAKER, Family.ISOLATOR, Family.FUSE),
    BLOWN(Family.FUSE),
    PRESSED(Family.PUSH_BUTTON),
    HIT(Family.EMERGENCY_STOP),
    ACTUATED(Family.MACHINE_SWITCH),
    RELEASED(Family.PUSH_BUTTON, Family.EMERGENCY_STOP, Family.MACHINE_SWITCH),
    AT_REST(Family.SELECTOR, Family.DRUM_SWITCH),
    TURNED(Family.SELECTOR, Family.DRUM_SWITCH),
    STOPPED(Family.MOTOR),
    FORWARD(Family.MOTOR),
    REVERSE(Family.MOTOR),
    SINGLE_PHASED(Family.MOTOR),
    LOCKED(Family.MOTOR),
    COASTING(Family.MOTOR),
    BRAKED(Family.MOTOR),
    SOUNDING(Family.HORN),
    SILENT(Family.HORN),
    FITTED(Family.RESISTOR, Family.INTERLOCK, Family.METALWORK),
    PRESENT(Family.SUPPLY, Family.CONVERTER),
    LOST(Family.SUPPLY, Family.CONVERTER),
    RUNNING(Family.CONTROLLER),
    HALTED(Family.CONTROLLER);

    private static final Set<Condition> AT_REST_OR_AWAY =
            EnumSet.of(OUT, DARK, HEALTHY, OPEN, RELEASED, AT_REST, STOPPED, SILENT, FITTED, LOST, HALTED);

    private final List<Family> families;

    Condition(Family... families) {
        this.families = List.of(families);
    }

    /** The condition in a script and beside a device: {@code single-phased}. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether the device does or undergoes something: is in, lit, pressed, tripped, turning. */
    public boolean isActive() {
        return !AT_REST_OR_AWAY.contains(this);
    }

    /** Whether a device of this family can be in this condition. */
    public boolean fits(Family family) {
        return families.contains(family);
    }

    /** The conditions that a device of this family can be in. */
    public static List<Condition> of(Family family) {
        return Arrays.stream(values())
                .filter(condition -> condition.fits(family))
                .toList();
    }

    /** The condition of this word, empty if there is none. */
    public static Optional<Condition> ofWord(String word) {
        return Arrays.stream(values())
                .filter(condition -> condition.word().equals(word))
                .findFirst();
    }
}
