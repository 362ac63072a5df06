package parable.circuit;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A device on a sheet: which kind of part it is and how it is set. What the kind can do is known to {@code parts}.
 *
 * @param tag its reference designation without the leading dash, for example {@code K1}; unique on its sheet
 * @param also its tag in the other regional practice, for example {@code 1M}; empty if none was given
 * @param kind the identifier of its kind, for example {@code contactor}
 * @param label what it is for, in the electrician's words; empty if not said
 * @param place where it is mounted, for example {@code door}; empty if not said
 * @param at where it is there, empty if nobody has put it anywhere
 * @param settings what can be set on this kind, each as it is written, for example {@code coil} to {@code 230 V AC}
 * @param extras unknown fields
 */
public record Device(
        String tag,
        String also,
        String kind,
        String label,
        String place,
        Optional<Position> at,
        Map<String, String> settings,
        Extras extras) {

    /** The settings that name other devices. */
    private static final Set<String> REFERENCES = Set.of("between", "motor");

    private static final Pattern TAG = Pattern.compile("[A-Za-z0-9.]+");

    /** Not modified: the settings are copied, their order is kept. */
    public Device {
        Objects.requireNonNull(tag, "tag");
        Objects.requireNonNull(also, "also");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(label, "label");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(at, "at");
        Objects.requireNonNull(extras, "extras");
        settings = Collections.unmodifiableMap(new LinkedHashMap<>(settings));
    }

    /** A device that nobody has put anywhere in its place. */
    public Device(
            String tag,
            String also,
            String kind,
            String label,
            String place,
            Map<String, String> settings,
            Extras extras) {
        this(tag, also, kind, label, place, Optional.empty(), settings, extras);
    }

    /** The setting of this name as written, empty if it is left at the kind's default. */
    public Optional<String> setting(String name) {
        return Optional.ofNullable(settings.get(name));
    }

    /** This device after devices were given other tags, from the old to the new: itself, or those its settings name. */
    Device retagged(Map<String, String> tags) {
        Map<String, String> changed = new LinkedHashMap<>(settings);
        for (String reference : REFERENCES) {
            changed.computeIfPresent(reference, (name, value) -> TAG.matcher(value)
                    .replaceAll(word -> tags.getOrDefault(word.group(), word.group())));
        }
        Device retagged = new Device(tags.getOrDefault(tag, tag), also, kind, label, place, at, changed, extras);
        return retagged.equals(this) ? this : retagged;
    }

    /** This device with another value of a setting; an empty value leaves it at the kind's default. */
    public Device with(String setting, String value) {
        Map<String, String> changed = new LinkedHashMap<>(settings);
        if (value.isEmpty()) {
            changed.remove(setting);
        } else {
            changed.put(setting, value);
        }
        return new Device(tag, also, kind, label, place, at, changed, extras);
    }

    /** The number that a setting begins with, as 25 of {@code 25 A}; empty if it is not given. */
    public Optional<Double> figure(String setting) {
        return setting(setting).map(written -> Double.parseDouble(written.replaceAll("[^0-9.].*", "")));
    }

    /** This device with another label. */
    public Device labelled(String other) {
        return new Device(tag, also, kind, other, place, at, settings, extras);
    }

    /** This device in another place, nowhere in particular there. */
    public Device placed(String other) {
        return new Device(tag, also, kind, label, other, settings, extras);
    }

    /** This device elsewhere in its place. */
    public Device standing(Position there) {
        return new Device(tag, also, kind, label, place, Optional.of(there), settings, extras);
    }

    /** This device with another tag for the other practice. */
    public Device alsoKnownAs(String other) {
        return new Device(tag, other, kind, label, place, at, settings, extras);
    }

    /** The label where there is one, otherwise the tag. */
    public String title() {
        return label.isEmpty() ? tag : label;
    }
}
