package parable.starters;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.IntFunction;
import parable.circuit.Device;
import parable.circuit.Rung;

/**
 * Draws the protective conductors of a sheet: every motor, every transformer and DC supply, and the metal of every place that devices are in, has its own
 * from the supply.
 */
final class Metalwork {

    private static final String PANEL = "panel";
    private static final String METAL = "metal-part";
    private static final int PHASES = 3;

    /** What somebody operates is in metal of its own, also where the motor is. */
    private static final Set<String> OPERATORS =
            Set.of("push-button", "illuminated-button", "emergency-stop", "selector", "drum-switch");

    private static final Set<String> CONVERTERS = Set.of("control-transformer", "dc-supply");

    private Metalwork() {}

    /**
     * Draws those that are not drawn yet.
     *
     * @param tag what the metal of a place is called, by its number from 1
     */
    static void draw(SheetDraft draft, IntFunction<String> tag, String supply, String motor) {
        String frame = motor + "[PE]";
        int beside = beside(draft, supply);
        if (draft.sheet().power().stream().noneMatch(rung -> rung.text().contains(frame))) {
            draft.power(beside, supply + "[PE] @PE " + frame);
        }
        for (Device device : draft.sheet().devices()) {
            String terminal = device.tag() + "[PE]";
            if (CONVERTERS.contains(device.kind())
                    && draft.sheet().power().stream()
                            .noneMatch(rung -> rung.text().contains(terminal))) {
                beside++;
                draft.power(beside, "@PE " + terminal);
            }
        }
        List<Device> devices = draft.sheet().devices();
        Set<String> places = places(devices);
        devices.stream()
                .filter(device -> device.kind().equals(METAL))
                .map(Device::place)
                .forEach(places::remove);
        int number = (int)
                devices.stream().filter(device -> device.kind().equals(METAL)).count();
        for (String place : places) {
            number++;
            draft.device(METAL, tag.apply(number), label(place), place);
            beside++;
            draft.power(beside, "@PE " + tag.apply(number) + "[PE]");
        }
    }

    /** Behind the columns that begin at the lines of a three-phase supply, else behind all. */
    private static int beside(SheetDraft draft, String supply) {
        List<Rung> power = draft.sheet().power();
        int columns = (int) power.stream()
                .takeWhile(rung -> rung.text().startsWith(supply + "[L"))
                .count();
        return columns < PHASES ? power.size() : columns;
    }

    private static String label(String place) {
        return switch (place) {
            case PANEL -> "Plate";
            case "door" -> "Door";
            default -> "Station";
        };
    }

    /** The panel, and the places that somebody operates something in. */
    private static Set<String> places(List<Device> devices) {
        Set<String> places = new LinkedHashSet<>(List.of(PANEL));
        devices.stream()
                .filter(device -> OPERATORS.contains(device.kind()))
                .map(Device::place)
                .forEach(places::add);
        return places;
    }
}
