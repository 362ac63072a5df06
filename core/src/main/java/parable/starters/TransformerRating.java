package parable.starters;

import java.util.Optional;
import parable.circuit.Device;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.sizing.ControlSupplySizing;
import parable.sizing.SizingResult;

/** A control transformer that is too small for the coils of a drawn starter, made larger with its fuses as its sizing has it. */
final class TransformerRating {

    private final Wish wish;
    private final Tags tags;

    TransformerRating(Wish wish, Tags tags) {
        this.wish = wish;
        this.tags = tags;
    }

    /** The sheet with a transformer that is large enough; itself if it has none or that is. */
    Sheet on(Sheet sheet) {
        Optional<ControlSupplySizing> sized = sized(sheet);
        Optional<SizingResult> voltage = sized.flatMap(one -> one.result("control-voltage"));
        if (voltage.isEmpty() || !voltage.get().fails()) {
            return sheet;
        }
        Sheet larger = set(sheet, tags.transformer(), sized.get(), "transformer", " VA");
        ControlSupplySizing again = sized(larger).orElseThrow();
        Sheet fused = set(larger, tags.fuse(1), again, "primary-fuse", " A");
        fused = set(fused, tags.fuse(2), again, "primary-fuse", " A");
        return set(fused, tags.fuse(3), again, "secondary-fuse", " A");
    }

    private Optional<ControlSupplySizing> sized(Sheet sheet) {
        try {
            return ControlSupplySizing.drawn(
                    Assembly.of(sheet, wish.tables()),
                    tags.transformer(),
                    wish.practice(),
                    wish.tables().of(wish.practice()));
        } catch (PartException unfinished) {
            return Optional.empty();
        }
    }

    private static Sheet set(Sheet sheet, String tag, ControlSupplySizing sized, String key, String unit) {
        String rated = String.valueOf(sized.result(key).orElseThrow().value());
        String written = (rated.endsWith(".0") ? rated.substring(0, rated.length() - 2) : rated) + unit;
        return sheet.withDevices(sheet.devices().stream()
                .map(device -> device.tag().equals(tag) ? larger(device, written) : device)
                .toList());
    }

    private static Device larger(Device device, String written) {
        return device.with("rated", written);
    }
}
