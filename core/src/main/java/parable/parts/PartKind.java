package parable.parts;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import parable.circuit.Device;
import parable.ratings.JobTables;

/**
 * A kind of device that a sheet can use.
 *
 * @param id how job files call it, for example {@code contactor}
 * @param family what an electrician takes it for
 * @param settings the names of what can be set on a device of this kind
 * @param fitting makes the part of a device of this kind
 */
public record PartKind(String id, Family family, List<String> settings, Fitter fitting) {

    /** Fits out one device. */
    @FunctionalInterface
    interface Fitter {
        Part fit(PartBuilder part, Settings settings) throws SettingException;
    }

    public PartKind {
        settings = List.copyOf(settings);
    }

    /**
     * What can be set on a device of this kind, in the order of {@link #settings()}; what another setting of it rules out is not among them.
     *
     * @throws SettingException if one of its settings says nothing sensible
     */
    public List<SettingForm> forms(Device device) throws SettingException {
        Map<String, SettingForm> forms = new LinkedHashMap<>();
        fitting.fit(
                new PartBuilder(device, family),
                new Settings(
                        device,
                        JobTables.SHIPPED,
                        form -> forms.putIfAbsent(form.get().name(), form.get())));
        return forms.values().stream()
                .filter(form -> settings.contains(form.name()))
                .sorted(Comparator.comparingInt(form -> settings.indexOf(form.name())))
                .toList();
    }

    /**
     * The part that this device is, by the tables that ship.
     *
     * @throws SettingException if one of its settings says nothing sensible
     */
    public Part fit(Device device) throws SettingException {
        return fit(device, JobTables.SHIPPED);
    }

    /**
     * The part that this device is.
     *
     * @param tables what its settings leave open is read from these
     * @throws SettingException if one of its settings says nothing sensible
     */
    public Part fit(Device device, JobTables tables) throws SettingException {
        return fitting.fit(new PartBuilder(device, family), new Settings(device, tables));
    }
}
