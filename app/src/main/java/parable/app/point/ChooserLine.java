package parable.app.point;

import java.util.Optional;
import parable.desk.DeskPreview;
import parable.offer.Offer;
import parable.stroke.StrokeOffer;

/**
 * A line of the chooser: something that can be put at the place, or a whole step of the trade at the coil that the place is for.
 *
 * @param tag the device
 * @param words what it does there
 * @param preview the sheet with it
 * @param offer what would be put at the place, empty for a whole step
 */
public record ChooserLine(String tag, String words, DeskPreview preview, Optional<Offer> offer) {

    static ChooserLine of(Offer offer) {
        String words = offer.words() + offer.added().map(any -> ", new").orElse("");
        return new ChooserLine(offer.tag(), words, offer.preview(), Optional.of(offer));
    }

    static ChooserLine of(StrokeOffer step) {
        String words = step.stroke().words()
                + (step.fits() ? "" : ": " + step.preview().words());
        return new ChooserLine(step.tag(), words, step.preview(), Optional.empty());
    }

    /** Whether it can be taken; what cannot says why. */
    boolean fits() {
        return preview.sheet().isPresent();
    }
}
