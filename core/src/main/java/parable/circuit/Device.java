package parable.circuit;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * A device on a sheet: which kind of part it is and how it is set. What the kind can do is known to {@code parts}.
 *
 * @param tag its reference designation without the leading dash, for example {@code K1}; unique on its sheet
 * @param kind the identifier of its kind, for example {@code contactor}
 * @param label what it is for, in the electrician's words; empty if not said
 * @param place where it is mounted, for example {@code door}; empty if not said
 * @param settings what can be set on this kind, each as it is written, for example {@code coil} to {@code 230 V AC}
 * @param extras unknown fields
 */
public record Device(String tag, String kind, String label, String place, Map<String, String> settings, Extras extras) {

    /** The settings that name other devices. */
    private static final Set<String> REFERENCES = Set.of("between", "motor");

    /** Not modified: the settings are copied, their order is kept. */
    public Device {
        Objects.requireNonNull(tag, "tag");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(label, "label");
        Objects.requireNonNull(place, "place");
        Objects.requireNonNull(extras, "extras");
        settings = Collections.unmodifiableMap(new LinkedHashMap<>(settings));
    }

    /** The setting of this name as written, empty if it is left at the kind's default. */
    public Optional<String> setting(String name) {
        return Optional.ofNullable(settings.get(name));
    }

    /** This device after some device was given another tag: itself, or one whose settings name it. */
    Device renamed(String from, String to) {
        Map<String, String> changed = new LinkedHashMap<>();
        settings.forEach((name, value) -> changed.put(
                name,
                REFERENCES.contains(name)
                        ? value.replaceAll("(?<![A-Za-z0-9.])" + from + "(?![A-Za-z0-9.])", to)
                        : value));
        return new Device(tag.equals(from) ? to : tag, kind, label, place, changed, extras);
    }

    /** This device with another value of a setting; an empty value leaves it at the kind's default. */
    public Device with(String setting, String value) {
        Map<String, String> changed = new LinkedHashMap<>(settings);
        if (value.isEmpty()) {
            changed.remove(setting);
        } else {
            changed.put(setting, value);
        }
        return new Device(tag, kind, label, place, changed, extras);
    }

    /** This device with another label. */
    public Device labelled(String other) {
        return new Device(tag, kind, other, place, settings, extras);
    }

    /** This device in another place. */
    public Device placed(String other) {
        return new Device(tag, kind, label, other, settings, extras);
    }

    /** The label where there is one, otherwise the tag. */
    public String title() {
        return label.isEmpty() ? tag : label;
    }
}
