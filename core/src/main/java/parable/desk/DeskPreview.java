package parable.desk;

import java.util.Optional;
import parable.circuit.Place;
import parable.circuit.Sheet;
import parable.parts.Assembly;

/**
 * What a typed line would make of a sheet.
 *
 * @param assembly the sheet as it would be, fitted out; empty if the line makes no sense
 * @param words what the line does, or what is wrong with it
 * @param next what is selected once it is done
 */
public record DeskPreview(Optional<Assembly> assembly, String words, Place next) {

    /** The sheet as it would be, empty if the line makes no sense. */
    public Optional<Sheet> sheet() {
        return assembly.map(Assembly::sheet);
    }
}
