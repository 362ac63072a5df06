package parable.logbook;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** Readings as they are typed beside an entry: {@code run-up=4.2 s; current L1 = 6.1 A}. */
public final class TypedReadings {

    private TypedReadings() {}

    /**
     * The values by what was read, in the order they are typed; the map cannot be changed.
     *
     * @param typed names with an equals sign and a value, separated by semicolons; what has no name or no value is left out
     */
    public static Map<String, String> read(String typed) {
        Map<String, String> read = new LinkedHashMap<>();
        for (String one : typed.split(";")) {
            String[] sides = one.split("=", 2);
            if (sides.length == 2 && !sides[0].isBlank() && !sides[1].isBlank()) {
                read.put(sides[0].strip(), sides[1].strip());
            }
        }
        return Collections.unmodifiableMap(read);
    }
}
