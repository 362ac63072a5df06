package parable.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import parable.circuit.Device;
import parable.circuit.Sheet;
import parable.circuit.Stated;

/**
 * Something of a drawing that is not as it is sized.
 *
 * @param sort whether it is wrong or only not said
 * @param tag the device that it is about
 * @param what it is, such as {@code overload setting}
 * @param drawn as it is drawn, such as {@code 6 A}; empty if nothing is said
 * @param sized as it is sized
 * @param why in one sentence
 * @param takeOver what puts the one in the place of the other
 */
public record DrawingDifference(
        Sort sort, String tag, String what, String drawn, String sized, String why, TakeOver takeOver) {

    public DrawingDifference {
        Objects.requireNonNull(sort, "sort");
        Objects.requireNonNull(takeOver, "takeOver");
    }

    /** How a drawing is not as it is sized. */
    public enum Sort {
        /** What is drawn does not keep its limit. */
        DIFFERS,
        /** The drawing says nothing. */
        NOT_SAID
    }

    /** What takes a sizing over into the drawing. */
    public sealed interface TakeOver {

        /** The sheet after it. */
        Sheet on(Sheet sheet);

        /** A setting of a device. */
        record OfDevice(String tag, String setting, String value) implements TakeOver {
            @Override
            public Sheet on(Sheet sheet) {
                List<Device> devices = sheet.devices().stream()
                        .map(device -> device.tag().equals(tag) ? device.with(setting, value) : device)
                        .toList();
                return sheet.withDevices(devices);
            }
        }

        /** A statement, which the wire list goes by. */
        record OfStatement(Stated statement) implements TakeOver {
            @Override
            public Sheet on(Sheet sheet) {
                List<Stated> others = new ArrayList<>(sheet.stated());
                others.removeIf(one -> one.isOf(statement.about(), statement.quantity()));
                others.add(statement);
                return sheet.withStated(others);
            }
        }
    }

    /** As it is read aloud. */
    public String words() {
        return drawn.isEmpty()
                ? tag + ": no " + what + " is drawn, sized " + sized + ". " + why
                : tag + ": " + what + " is drawn " + drawn + ", sized " + sized + ". " + why;
    }
}
