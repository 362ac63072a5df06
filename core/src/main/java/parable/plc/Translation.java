package parable.plc;

import java.util.List;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.ControllerField;

/**
 * A relay sheet as the sheet of a controller that does the same.
 *
 * @param sheet the new sheet, with program and field wiring
 * @param splits what became of each contact and device that had a choice, and why
 */
public record Translation(Sheet sheet, List<Split> splits) {

    /** Not modified: the list is copied. */
    public Translation {
        splits = List.copyOf(splits);
    }

    /**
     * Translates a sheet. Buttons, switches and contacts of contactors go to inputs, contactors and lamps to outputs, control relays and timers
     * into the program. Overload contacts, E-stops and the interlocks between contactors stay in the circuits of the coils and are told to the
     * program as well, unless the choices say otherwise. The power circuit stays.
     *
     * @param assembly not modified
     * @param practice the regional practice, for the tags of new devices
     * @throws TranslationException if the ladder has something that cannot be translated
     */
    public static Translation of(Assembly assembly, Practice practice, TranslationChoices choices)
            throws TranslationException {
        if (ControllerField.of(assembly).isPresent()) {
            throw new TranslationException(
                    assembly.sheet().name(), "a controller on the sheet already", "a sheet of relays alone");
        }
        return new Translator(assembly, practice, choices).translation();
    }
}
