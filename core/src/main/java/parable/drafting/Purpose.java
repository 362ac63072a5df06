package parable.drafting;

import java.util.List;
import java.util.Optional;
import parable.circuit.ColourCode;
import parable.circuit.ColourUse;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.parts.Catalogue;
import parable.parts.Contact;
import parable.parts.Part;
import parable.parts.SettingException;

/** What new buttons are for, told by the contacts that are used of them: one that only opens stops, one that only closes starts. */
public final class Purpose {

    private final ColourCode colours;

    /**
     * The purposes on the sheets of a job.
     *
     * @param colours which colours its buttons may have
     */
    public Purpose(ColourCode colours) {
        this.colours = colours;
    }

    /**
     * The sheet with those buttons named and coloured of which contacts are used for the first time, unless somebody has named them.
     *
     * @param before the sheet before that
     * @param after the sheet with the rungs that use them
     */
    public Sheet told(Sheet before, Sheet after) {
        Sheet told = after;
        for (Device device : after.devices()) {
            boolean plain = device.kind().equals("push-button")
                    && device.label().isEmpty()
                    && use(before, device).isEmpty();
            if (plain) {
                Device named = use(told, device).map(use -> named(device, use)).orElse(device);
                told = new Edit.PutDevice(named).on(told);
            }
        }
        return told;
    }

    private Device named(Device device, ColourUse use) {
        Device named = device.labelled(use == ColourUse.STOP ? "Stop" : "Start");
        boolean coloured = device.setting("colour").isPresent();
        return coloured
                ? named
                : colours.colours(use).stream()
                        .findFirst()
                        .map(colour -> named.with("colour", colour))
                        .orElse(named);
    }

    /** Empty where none of its contacts is used, and where it opens one way and closes another, as a jog button does. */
    private static Optional<ColourUse> use(Sheet sheet, Device device) {
        List<Boolean> closed = sheet.control().stream()
                .flatMap(rung -> rung.items().stream())
                .filter(RungItem.Passage.class::isInstance)
                .map(RungItem.Passage.class::cast)
                .filter(passage -> passage.tag().equals(device.tag()))
                .map(passage -> isClosedAtRest(device, passage))
                .distinct()
                .toList();
        return closed.size() == 1 ? Optional.of(closed.get(0) ? ColourUse.STOP : ColourUse.START) : Optional.empty();
    }

    private static boolean isClosedAtRest(Device device, RungItem.Passage passage) {
        try {
            Part part = Catalogue.kind(device.kind()).orElseThrow().fit(device);
            return part.contactBetween(passage.from(), passage.to())
                    .map(part.contacts()::get)
                    .filter(Contact::isNormallyClosed)
                    .isPresent();
        } catch (SettingException impossible) {
            throw new IllegalStateException("a device was put on a sheet that cannot be fitted", impossible);
        }
    }
}
