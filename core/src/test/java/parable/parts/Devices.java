package parable.parts;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Device;
import parable.circuit.Duty;
import parable.circuit.Extras;
import parable.circuit.Sheet;

/** Sheets with one device on them. */
final class Devices {

    private Devices() {}

    /**
     * A sheet with K1 alone.
     *
     * @param settings such as {@code coil: 24 V DC; aux: 13-14}, null where a table has none
     */
    static Assembly fitted(String kind, String settings) throws PartException {
        Map<String, String> written = new LinkedHashMap<>();
        for (String setting : settings == null ? new String[0] : settings.split(";")) {
            String[] sides = setting.strip().split(" ?: ?", 2);
            written.put(sides[0], sides[1]);
        }
        Device device = new Device("K1", "", kind, "", "", written, Extras.NONE);
        return Assembly.of(
                new Sheet("Try", Duty.MAINTAINED, List.of(), List.of(device), List.of(), List.of(), Extras.NONE));
    }
}
