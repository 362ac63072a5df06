package parable.offer;

import java.util.Locale;
import java.util.Optional;
import parable.circuit.Device;
import parable.desk.DeskLine;
import parable.desk.DeskPreview;

/**
 * Something that can be put at a place.
 *
 * @param tag the device: {@code S1}
 * @param words what it does there: {@code stops, closed at rest}
 * @param shape which symbol it is
 * @param added the device, if it would be new on the sheet
 * @param line what would be typed for it, on the sheet with that device
 */
public record Offer(String tag, String words, Shape shape, Optional<Device> added, DeskLine line) {

    /** Which of a device's symbols it is. */
    public enum Shape {
        OPEN_CONTACT,
        CLOSED_CONTACT,
        LOAD,
        /** A pole, in each of the lines. */
        POLE,
        MOTOR
    }

    /** The sheet as it would be. */
    public DeskPreview preview() {
        return line.preview();
    }

    /** Whether it has what is typed in its tag or words; everything has nothing. */
    public boolean matches(String typed) {
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        return tag.toLowerCase(Locale.ROOT).startsWith(wanted)
                || (" " + words.toLowerCase(Locale.ROOT)).contains(" " + wanted);
    }

    /** The device it is of. */
    public Device device() {
        return added.orElseGet(() -> line.before().sheet().device(tag).orElseThrow());
    }
}
