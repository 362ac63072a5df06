package parable.offer;

import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.desk.CoilVoltage;
import parable.desk.DeskLine;
import parable.desk.DeskPreview;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.parts.PartException;

/** Takes something from its place on the ladder and puts it at another; the gap that it leaves closes. */
public final class Rehanging {

    private final Assembly assembly;
    private final Conventions conventions;

    /** Moves on a sheet. */
    public Rehanging(Assembly assembly, Conventions conventions) {
        this.assembly = assembly;
        this.conventions = conventions;
    }

    /**
     * What a move would make of the sheet; empty if it would change nothing, or nothing can go there.
     *
     * @param from where it is now
     */
    public Optional<DeskPreview> moved(Place from, Spot to) {
        try {
            RungItem.Passage passage = Structure.passageAt(assembly.sheet(), from);
            Sheet without = Structure.taken(assembly.sheet(), from);
            Optional<Spot> there = to instanceof Spot.NewRung fresh
                    ? Optional.of(lower(fresh, from, without))
                    : beside(to, passage, without);
            return there.flatMap(spot -> put(without, spot, passage));
        } catch (EditException nothingThere) {
            return Optional.empty();
        }
    }

    /**
     * What a copy would make of the sheet: another contact of the same device, of the same kind, at another place. Empty where the device has none and can
     * get none, and for a coil, of which there is only one.
     *
     * @param from what is copied
     */
    public Optional<DeskPreview> copied(Place from, Spot to) {
        try {
            RungItem.Passage passage = Structure.passageAt(assembly.sheet(), from);
            Part part = assembly.part(passage.tag()).orElseThrow();
            return part.contactBetween(passage.from(), passage.to())
                    .map(part.contacts()::get)
                    .map(contact -> (contact.isNormallyClosed() ? "/" : "") + part.tag())
                    .flatMap(word -> put(assembly, to, word));
        } catch (EditException nothingThere) {
            return Optional.empty();
        }
    }

    /** A rung that held nothing else is gone, and those below it have come up. */
    private Spot lower(Spot.NewRung fresh, Place from, Sheet without) {
        boolean gone = without.control().size() < assembly.sheet().control().size();
        return gone && fresh.rung() > from.rung() ? new Spot.NewRung(fresh.rung() - 1) : fresh;
    }

    /** The same spot on the sheet without what is moved; empty if it is beside just that. */
    private Optional<Spot> beside(Spot to, RungItem.Passage moved, Sheet without) throws EditException {
        Place at = to.selected().orElseThrow().at();
        RungItem.Passage neighbour = Structure.passageAt(assembly.sheet(), at);
        if (neighbour.equals(moved)) {
            return Optional.empty();
        }
        return placeOf(without, neighbour).map(place -> {
            if (to instanceof Spot.InSeries series) {
                return new Spot.InSeries(place, series.after());
            }
            return to instanceof Spot.Around ? new Spot.Around(place, place.item()) : new Spot.ToReturn(place);
        });
    }

    private static Optional<Place> placeOf(Sheet sheet, RungItem.Passage passage) {
        for (int rung = 0; rung < sheet.control().size(); rung++) {
            List<RungItem> items = sheet.control().get(rung).items();
            int item = items.indexOf(passage);
            if (item >= 0) {
                return Optional.of(new Place(Circuit.CONTROL, rung, item));
            }
        }
        return Optional.empty();
    }

    private Optional<DeskPreview> put(Sheet without, Spot spot, RungItem.Passage passage) {
        try {
            return put(assembly.on(without), spot, passage.text());
        } catch (PartException impossible) {
            return Optional.empty();
        }
    }

    private Optional<DeskPreview> put(Assembly before, Spot spot, String word) {
        Sheet sheet = before.sheet();
        String line = spot instanceof Spot.NewRung
                ? sheet.rails().get(0).name() + " " + word + " "
                        + sheet.rails().get(1).name()
                : word;
        DeskPreview preview = new DeskLine(
                        before,
                        conventions,
                        CoilVoltage.of(before, conventions.practice()),
                        spot.selected(),
                        spot.stroke(),
                        line)
                .preview();
        return Optional.of(preview).filter(made -> made.sheet()
                .filter(changed -> !changed.control().equals(assembly.sheet().control()))
                .isPresent());
    }
}
