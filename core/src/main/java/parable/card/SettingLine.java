package parable.card;

import java.util.List;
import java.util.Map;
import parable.circuit.Device;
import parable.parts.Catalogue;
import parable.parts.PartKind;
import parable.parts.SettingException;
import parable.parts.SettingForm;

/**
 * One setting of a device, in the trade's words.
 *
 * @param form what can be written
 * @param words what it is called: {@code Coil voltage}
 * @param written what is written, empty while the default holds
 */
public record SettingLine(SettingForm form, String words, String written) {

    private static final Map<String, String> WORDS = Map.ofEntries(
            Map.entry("aux", "Auxiliary contacts"),
            Map.entry("base", "Base"),
            Map.entry("between", "Bars each other"),
            Map.entry("blocks", "Contacts"),
            Map.entry("category", "Duty"),
            Map.entry("changeovers", "Changeover contacts"),
            Map.entry("class", "Trip class"),
            Map.entry("coil", "Coil voltage"),
            Map.entry("colour", "Colour"),
            Map.entry("current", "Rated current"),
            Map.entry("curve", "Curve"),
            Map.entry("dead-time", "Pause between"),
            Map.entry("drives", "Drives"),
            Map.entry("drop-out", "Drops out at"),
            Map.entry("field", "Field"),
            Map.entry("filter", "Input filter"),
            Map.entry("frequency", "Frequency"),
            Map.entry("function", "Works as"),
            Map.entry("group", "Outputs to a common"),
            Map.entry("holding", "Holding power"),
            Map.entry("input", "Input"),
            Map.entry("inputs", "Inputs"),
            Map.entry("inrush", "Inrush power"),
            Map.entry("lamp", "Lamp voltage"),
            Map.entry("lead-marking", "Leads marked"),
            Map.entry("leads", "Leads"),
            Map.entry("load", "Load"),
            Map.entry("minus", "Minus"),
            Map.entry("motor", "On the shaft of"),
            Map.entry("ohms", "Coil resistance"),
            Map.entry("output", "Output"),
            Map.entry("outputs", "Outputs"),
            Map.entry("phase-loss", "To a lost phase"),
            Map.entry("poles", "Poles"),
            Map.entry("positions", "Positions"),
            Map.entry("power", "Power"),
            Map.entry("primary", "Primary"),
            Map.entry("pull-in", "Pulls in at"),
            Map.entry("rated", "Rated current"),
            Map.entry("reading", "Inputs read"),
            Map.entry("release", "Release"),
            Map.entry("release-voltage", "Release voltage"),
            Map.entry("reset", "Reset"),
            Map.entry("resistance", "Resistance"),
            Map.entry("rest", "At rest in"),
            Map.entry("rotor", "Rotor"),
            Map.entry("run-up", "Runs up in"),
            Map.entry("scan", "Scan"),
            Map.entry("secondary", "Secondary"),
            Map.entry("secondary-side", "Secondary side"),
            Map.entry("setting", "Set to"),
            Map.entry("spring", "Springs back"),
            Map.entry("supply", "Supply"),
            Map.entry("suppressor", "Across the coil"),
            Map.entry("trip", "Signal when tripped"),
            Map.entry("voltage", "Voltage"),
            Map.entry("control-transformer rated", "Rated power"),
            Map.entry("horn rated", "Rated voltage"),
            Map.entry("timer setting", "Time"),
            Map.entry("overload-relay setting", "Set current"),
            Map.entry("motor-protective-breaker setting", "Set current"));

    /** The settings of a device in their order; none if it is of no kind there is, or one of them says nothing sensible. */
    public static List<SettingLine> of(Device device) {
        return Catalogue.kind(device.kind()).map(kind -> of(kind, device)).orElse(List.of());
    }

    private static List<SettingLine> of(PartKind kind, Device device) {
        try {
            return kind.forms(device).stream()
                    .map(form -> new SettingLine(
                            form,
                            words(kind.id(), form.name()),
                            device.setting(form.name()).orElse("")))
                    .toList();
        } catch (SettingException senseless) {
            return List.of();
        }
    }

    private static String words(String kind, String setting) {
        return WORDS.getOrDefault(kind + " " + setting, WORDS.getOrDefault(setting, setting));
    }

    /** What is to be typed, in words: {@code a number of A from 0.1 to 1000}. */
    public String expected() {
        if (form instanceof SettingForm.Quantity quantity) {
            return "from " + plain(quantity.lowest()) + " to " + plain(quantity.highest())
                    + (quantity.unit().isEmpty() ? "" : " " + quantity.unit());
        }
        return form instanceof SettingForm.OneOf choice
                ? "one of " + String.join(", ", choice.words())
                : ((SettingForm.Written) form).expected();
    }

    /** What is typed with the unit that it lacks: {@code 8} becomes {@code 8 s} where seconds are set. */
    public String completed(String typed) {
        String stripped = typed.strip();
        boolean lacks = form instanceof SettingForm.Quantity quantity
                && !quantity.unit().isEmpty()
                && stripped.matches("\\d+(\\.\\d+)?");
        return lacks ? stripped + " " + ((SettingForm.Quantity) form).unit() : stripped;
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }
}
