package parable.circuit;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Fields of a job file that this version does not know. They are carried along untouched so that a file written by a
 * later version loses nothing by being opened and saved here.
 *
 * @param fields for each unknown field its value as JSON text, in file order
 */
public record Extras(Map<String, String> fields) {

    /** No unknown fields. */
    public static final Extras NONE = new Extras(Map.of());

    public Extras {
        fields = Collections.unmodifiableMap(new LinkedHashMap<>(fields));
    }
}
