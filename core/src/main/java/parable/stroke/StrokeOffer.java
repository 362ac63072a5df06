package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import parable.circuit.Conventions;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.desk.DeskPreview;
import parable.offer.RungView;
import parable.offer.Spot;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.PartException;

/**
 * A whole step of the trade that fits.
 *
 * @param stroke the step
 * @param tag the contactor or relay that it is about
 * @param preview the sheet with it
 */
public record StrokeOffer(TradeStroke stroke, String tag, DeskPreview preview) {

    /**
     * A step at a contactor or relay.
     *
     * @throws EditException if it does not fit there; the message says why
     */
    public static StrokeOffer of(Assembly assembly, String tag, TradeStroke stroke, Conventions conventions)
            throws EditException {
        Sheet drawn = stroke.on(assembly, tag, conventions);
        try {
            Assembly fitted = assembly.on(drawn);
            Place coil = new StrokeSheet(fitted, tag, conventions).coil();
            return new StrokeOffer(stroke, tag, new DeskPreview(Optional.of(fitted), stroke.does(), coil));
        } catch (PartException impossible) {
            throw new IllegalStateException("a sheet that is drawn by strokes can be fitted out", impossible);
        }
    }

    /** The steps that fit at the contactor or relay for which a place of the ladder is; none where there is no such coil. */
    public static List<StrokeOffer> at(Assembly assembly, Spot spot, Conventions conventions) {
        List<StrokeOffer> fitting = new ArrayList<>();
        coil(assembly, spot).ifPresent(tag -> {
            for (TradeStroke stroke : TradeStroke.values()) {
                try {
                    fitting.add(of(assembly, tag, stroke, conventions));
                } catch (EditException noFit) {
                    continue;
                }
            }
        });
        return fitting;
    }

    private static Optional<String> coil(Assembly assembly, Spot spot) {
        if (spot instanceof Spot.NewRung) {
            return Optional.empty();
        }
        return spot.selected()
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
