package parable.stroke;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.desk.DeskPreview;
import parable.offer.RungView;
import parable.offer.Spot;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.PartException;

/**
 * A whole step of the trade at a contactor or relay.
 *
 * @param stroke the step
 * @param tag the contactor or relay that it is about
 * @param preview the sheet with it; without a sheet and with the reason as its words if it does not fit there
 */
public record StrokeOffer(TradeStroke stroke, String tag, DeskPreview preview) {

    private static StrokeOffer of(Assembly assembly, String tag, TradeStroke stroke, Conventions conventions) {
        StrokeSheet before = new StrokeSheet(assembly, tag, conventions);
        try {
            Assembly fitted = assembly.on(stroke.on(assembly, tag, conventions));
            Place coil = new StrokeSheet(fitted, tag, conventions).coil();
            return new StrokeOffer(stroke, tag, new DeskPreview(Optional.of(fitted), stroke.does(), coil));
        } catch (EditException noFit) {
            return new StrokeOffer(stroke, tag, new DeskPreview(Optional.empty(), noFit.found(), before.anyPlace()));
        } catch (PartException impossible) {
            throw new IllegalStateException("a sheet that is drawn by strokes can be fitted out", impossible);
        }
    }

    /** All steps at a contactor or relay, those first that fit. */
    public static List<StrokeOffer> all(Assembly assembly, String tag, Conventions conventions) {
        return Stream.of(TradeStroke.values())
                .map(stroke -> of(assembly, tag, stroke, conventions))
                .sorted(Comparator.comparing(offer -> !offer.fits()))
                .toList();
    }

    /** The steps that fit at the contactor or relay for which a place of the ladder is; none where there is no such coil. */
    public static List<StrokeOffer> at(Assembly assembly, Spot spot, Conventions conventions) {
        return coil(assembly, spot).stream()
                .flatMap(tag -> all(assembly, tag, conventions).stream())
                .filter(StrokeOffer::fits)
                .toList();
    }

    /** Whether it can be drawn there. */
    public boolean fits() {
        return preview.sheet().isPresent();
    }

    private static Optional<String> coil(Assembly assembly, Spot spot) {
        if (spot instanceof Spot.NewRung) {
            return Optional.empty();
        }
        return spot.selected()
                .filter(stretch -> stretch.at().circuit() == Circuit.CONTROL)
                .flatMap(stretch -> new RungView(assembly, stretch.at().rung()).load())
                .map(RungItem.Passage::tag)
                .filter(tag -> assembly.part(tag)
                        .filter(part -> part.family() == Family.CONTACTOR || part.family() == Family.CONTROL_RELAY)
                        .isPresent());
    }

    /** Whether its words have one that begins with what is typed; everything begins with nothing. */
    public boolean matches(String typed) {
        return (" " + stroke.words() + " " + stroke.does())
                .toLowerCase(Locale.ROOT)
                .contains(" " + typed.strip().toLowerCase(Locale.ROOT));
    }
}
