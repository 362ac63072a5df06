package parable.check;

import java.util.List;
import java.util.Optional;
import parable.circuit.Device;
import parable.circuit.Sheet;
import parable.parts.Drive;
import parable.parts.Nameplate;
import parable.parts.Part;

/** Repairs that only set something on a device, or choose another one in its place. */
final class SettingRepair {

    private SettingRepair() {}

    /** The repair of a finding by a setting, empty if there is none. */
    static Optional<Repair> of(Sheet sheet, List<Part> parts, Finding finding) {
        return switch (finding.code()) {
            case OverloadPhaseRule.CODE -> {
                String release = finding.where().get(0);
                yield Optional.of(new Repair(
                        "Takes a release for " + release + " that feels a lost line.",
                        with(sheet, release, "phase-loss", "sensitive")));
            }
            case "suppressor-missing" -> {
                String relay = finding.where().get(0);
                yield Optional.of(new Repair(
                        "Fits a diode across the coil of " + relay + ", its cathode at the plus.",
                        with(sheet, relay, "suppressor", "diode")));
            }
            case "star-too-short" -> longerStar(sheet, parts);
            default -> Optional.empty();
        };
    }

    /** Twice the star time, where the sheet has one timer. */
    private static Optional<Repair> longerStar(Sheet sheet, List<Part> parts) {
        List<Part> timers = parts.stream()
                .filter(part -> part.drive() instanceof Drive.ByTimer)
                .toList();
        if (timers.size() != 1) {
            return Optional.empty();
        }
        Device timer = timers.get(0).device();
        double seconds = ((Drive.ByTimer) timers.get(0).drive())
                        .program()
                        .fed()
                        .get(0)
                        .after()
                        .nominal()
                / 1e6;
        String twice = Nameplate.figure(2 * seconds) + " s";
        return Optional.of(new Repair(
                "Gives the motor " + twice + " in star instead of " + Nameplate.figure(seconds) + " s.",
                with(sheet, timer.tag(), "setting", twice)));
    }

    private static Sheet with(Sheet sheet, String tag, String setting, String value) {
        return sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals(tag) ? device.with(setting, value) : device)
                .toList());
    }
}
