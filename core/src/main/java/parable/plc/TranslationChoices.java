package parable.plc;

import java.util.Map;
import java.util.Objects;

/**
 * What an electrician decides before a sheet is translated.
 *
 * @param sealIn how the program knows that a contactor is in
 * @param transistor whether the outputs are transistors rather than relays
 * @param alarmMillis after how long a mismatch is told, in ms, 1 or more
 * @param copper for a contact such as {@code F2 95-96} whether it stays in the coil's circuit; what is not said is as proposed
 */
public record TranslationChoices(SealIn sealIn, boolean transistor, long alarmMillis, Map<String, Boolean> copper) {

    /**
     * As proposed: auxiliary contact with alarm, relay outputs, what guards stays in copper. The alarm waits longer than relay, contactor, filter and
     * scans take together, and no longer than a finger stays on a button.
     */
    public static final TranslationChoices PROPOSED =
            new TranslationChoices(SealIn.AUXILIARY_WITH_ALARM, false, 150, Map.of());

    /** Not modified: the map is copied. */
    public TranslationChoices {
        Objects.requireNonNull(sealIn, "sealIn");
        copper = Map.copyOf(copper);
        if (alarmMillis < 1) {
            throw new IllegalArgumentException("an alarm comes after 1 ms at least, found " + alarmMillis);
        }
    }
}
