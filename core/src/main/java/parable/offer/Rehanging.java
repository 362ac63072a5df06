package parable.offer;

import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.desk.CoilVoltage;
import parable.desk.DeskEdit;
import parable.desk.DeskLine;
import parable.desk.DeskPreview;
import parable.desk.Stretch;
import parable.parts.Assembly;
import parable.parts.Part;
import parable.parts.PartException;

/** Takes something from its place and puts it at another of the same circuit; the gap that it leaves closes. In the power circuit it goes from all lines and into all. */
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
            if (from.circuit() != circuit(to)) {
                return Optional.empty();
            }
            Sheet without = DeskEdit.taken(assembly.sheet(), new Stretch(from, from.item()))
                    .sheet();
            Optional<Spot> there = to instanceof Spot.NewRung fresh
                    ? Optional.of(lower(fresh, from, without))
                    : beside(to, passage, without);
            String word = from.circuit() == Circuit.POWER ? passage.tag() : passage.text();
            return there.flatMap(spot -> put(without, spot, word));
        } catch (EditException nothingThere) {
            return Optional.empty();
        }
    }

    private static Circuit circuit(Spot spot) {
        return spot instanceof Spot.NewRung
                ? Circuit.CONTROL
                : spot.selected().orElseThrow().at().circuit();
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
            if (from.circuit() == Circuit.POWER || circuit(to) == Circuit.POWER) {
                return Optional.empty();
            }
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
        boolean same = at.circuit() == Circuit.POWER && neighbour.tag().equals(moved.tag());
        if (same || neighbour.equals(moved)) {
            return Optional.empty();
        }
        return placeOf(without, at.circuit(), neighbour).map(place -> {
            if (to instanceof Spot.InSeries series) {
                return new Spot.InSeries(place, series.after());
            }
            return to instanceof Spot.Around ? new Spot.Around(place, place.item()) : new Spot.ToReturn(place);
        });
    }

    private static Optional<Place> placeOf(Sheet sheet, Circuit circuit, RungItem.Passage passage) {
        List<Rung> rungs = sheet.rungs(circuit);
        for (int rung = 0; rung < rungs.size(); rung++) {
            int item = rungs.get(rung).items().indexOf(passage);
            if (item >= 0) {
                return Optional.of(new Place(circuit, rung, item));
            }
        }
        return Optional.empty();
    }

    private Optional<DeskPreview> put(Sheet without, Spot spot, String word) {
        try {
            return put(assembly.on(without), spot, word);
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
                .filter(changed -> !changed.control().equals(assembly.sheet().control())
                        || !changed.power().equals(assembly.sheet().power()))
                .isPresent());
    }
}
