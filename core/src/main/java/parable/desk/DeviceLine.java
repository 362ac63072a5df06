package parable.desk;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Device;
import parable.circuit.EditException;
import parable.parts.Catalogue;
import parable.parts.PartKind;

/** What a device is for and how it is set, on one line: {@code Stop; blocks=11-12; colour=red; place=door}. */
public final class DeviceLine {

    private static final String PLACE = "place";

    private DeviceLine() {}

    /** The line of a device. */
    public static String of(Device device) {
        StringBuilder words = new StringBuilder(device.label());
        device.settings()
                .forEach((setting, value) ->
                        words.append("; ").append(setting).append('=').append(value));
        return words + (device.place().isEmpty() ? "" : "; " + PLACE + "=" + device.place());
    }

    /**
     * The device as a line has it; tag and kind stay.
     *
     * @throws EditException if the line has something that is no setting, or none of this kind of device
     */
    public static Device read(Device device, String line) throws EditException {
        String[] parts = line.split(";");
        List<String> known =
                Catalogue.kind(device.kind()).map(PartKind::settings).orElse(List.of());
        Map<String, String> settings = new LinkedHashMap<>();
        String place = "";
        for (int i = 1; i < parts.length; i++) {
            String[] sides = parts[i].split("=", 2);
            String name = sides[0].strip();
            if (sides.length < 2 || !known.contains(name) && !name.equals(PLACE)) {
                throw new EditException(
                        device.tag(),
                        "'" + parts[i].strip() + "'",
                        "place=… or one of " + String.join("=…, ", known) + "=…");
            }
            if (name.equals(PLACE)) {
                place = sides[1].strip();
            } else {
                settings.put(name, sides[1].strip());
            }
        }
        Device told = place.equals(device.place()) ? device : device.placed(place);
        return new Device(
                device.tag(),
                device.also(),
                device.kind(),
                parts[0].strip(),
                place,
                told.at(),
                settings,
                device.extras());
    }
}
