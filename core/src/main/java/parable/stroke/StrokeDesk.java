package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.ColourUse;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Places;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.desk.CoilVoltage;
import parable.drafting.NewDevice;
import parable.drafting.TypedRung;
import parable.network.OpposedContactors;
import parable.offer.RungView;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Drive;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartException;

/** Draws whole steps of the trade at one contactor or relay. It works on a sheet of its own. */
final class StrokeDesk {

    private final Assembly before;
    private final String tag;
    private final Conventions conventions;
    private final String voltage;
    private Sheet sheet;

    StrokeDesk(Assembly assembly, String tag, Conventions conventions) {
        before = assembly;
        this.tag = tag;
        this.conventions = conventions;
        voltage = CoilVoltage.of(assembly, conventions.practice());
        sheet = assembly.sheet();
    }

    private EditException noFit(String found, String expected) {
        return new EditException(tag, found, expected);
    }

    private Part part(RungItem.Passage passage) {
        try {
            return before.on(sheet).part(passage.tag()).orElseThrow();
        } catch (PartException impossible) {
            throw new IllegalStateException("a sheet that is drawn by strokes can be fitted out", impossible);
        }
    }

    private boolean isCoil(RungItem.Passage passage, String of) {
        return passage.tag().equals(of)
                && part(passage).loadBetween(passage.from(), passage.to()).isPresent();
    }

    /** Where the coil of a contactor or relay is in the ladder. */
    private Place coil(String of) throws EditException {
        return places((place, passage) -> isCoil(passage, of)).stream()
                .findFirst()
                .orElseThrow(() -> new EditException(of, "no coil in the ladder", "a rung with its coil"));
    }

    private interface Wanted {
        boolean fits(Place place, RungItem.Passage passage);
    }

    private List<Place> places(Wanted wanted) {
        List<Place> found = new ArrayList<>();
        for (int rung = 0; rung < sheet.control().size(); rung++) {
            List<RungItem> items = sheet.control().get(rung).items();
            for (int item = 0; item < items.size(); item++) {
                Place place = new Place(Circuit.CONTROL, rung, item);
                if (items.get(item) instanceof RungItem.Passage passage && wanted.fits(place, passage)) {
                    found.add(place);
                }
            }
        }
        return found;
    }

    /** The rung with the coil and those that begin or end at a point on it. */
    private boolean isOnItsRungs(Place place) throws EditException {
        int coil = coil(tag).rung();
        if (place.rung() == coil) {
            return true;
        }
        List<RungItem.NamedPoint> points = sheet.control().get(coil).points().toList();
        List<RungItem> items = sheet.control().get(place.rung()).items();
        return isInner(items.get(0), points) && isInner(items.get(items.size() - 1), points);
    }

    private static boolean isInner(RungItem end, List<RungItem.NamedPoint> points) {
        return end instanceof RungItem.NamedPoint point && !point.rail() && points.contains(point);
    }

    /** Buttons of which only open contacts are used on the sheet, or only closed ones: a jog button and one that bars another has both. */
    private List<RungItem.Passage> buttons(boolean stops) throws EditException {
        List<RungItem.Passage> found = new ArrayList<>();
        for (Place place : places((any, passage) -> part(passage).family() == Family.PUSH_BUTTON)) {
            RungItem.Passage passage = Structure.passageAt(sheet, place);
            boolean here = stops ? coilPasses(passage) : isOnItsRungs(place);
            if (here && isClosed(passage) == stops && isPure(passage)) {
                found.add(passage);
            }
        }
        return found;
    }

    /** Whether current for the coil has to pass it on the way along its own rung or a rung before that. */
    private boolean coilPasses(RungItem.Passage passage) throws EditException {
        return new RungView(before, coil(tag).rung()).contacts().contains(passage);
    }

    private boolean isClosed(RungItem.Passage passage) {
        return part(passage)
                .contactBetween(passage.from(), passage.to())
                .map(index -> part(passage).contacts().get(index))
                .filter(Contact::isNormallyClosed)
                .isPresent();
    }

    private boolean isPure(RungItem.Passage passage) throws EditException {
        for (Place place : places((any, other) -> other.tag().equals(passage.tag()))) {
            RungItem.Passage other = Structure.passageAt(sheet, place);
            boolean contact =
                    part(other).contactBetween(other.from(), other.to()).isPresent();
            if (contact && isClosed(other) != isClosed(passage)) {
                return false;
            }
        }
        return true;
    }

    /** Where something is on the sheet as it is now. */
    private Place placeOf(RungItem.Passage passage) {
        return places((place, other) -> other.equals(passage)).get(0);
    }

    Sheet holdIn() throws EditException {
        List<RungItem.Passage> starts = buttons(false);
        if (starts.isEmpty()) {
            throw noFit("no button that starts it", "an open button before its coil");
        }
        if (starts.stream().anyMatch(start -> isHeld(placeOf(start)))) {
            throw noFit("it holds itself in already", "a start that nothing bridges");
        }
        return around(placeOf(starts.get(0)), tag);
    }

    /** Whether a contact of its own is in parallel to a start. */
    private boolean isHeld(Place start) {
        return places((place, passage) -> passage.tag().equals(tag) && !isCoil(passage, tag)).stream()
                .anyMatch(place -> isParallelTo(place, start));
    }

    /** Whether another rung without a load leads from before something to behind it. */
    private boolean isBridged(Place at) {
        List<RungItem> items = sheet.control().get(at.rung()).items();
        return sheet.control().stream()
                .map(Rung::items)
                .filter(others -> others != items)
                .filter(others -> others.stream().noneMatch(this::isLoad))
                .anyMatch(others -> {
                    int one = items.indexOf(others.get(0));
                    int other = items.indexOf(others.get(others.size() - 1));
                    return Math.min(one, other) >= 0
                            && Math.min(one, other) < at.item()
                            && Math.max(one, other) > at.item();
                });
    }

    private boolean isLoad(RungItem item) {
        return item instanceof RungItem.Passage passage && isCoil(passage, passage.tag());
    }

    private boolean isParallelTo(Place place, Place start) {
        List<RungItem> one = sheet.control().get(place.rung()).items();
        List<RungItem> other = sheet.control().get(start.rung()).items();
        return one.get(0).equals(other.get(start.item() - 1))
                && one.get(one.size() - 1).equals(other.get(start.item() + 1));
    }

    Sheet station() throws EditException {
        List<RungItem.Passage> starts =
                buttons(false).stream().filter(start -> isHeld(placeOf(start))).toList();
        List<RungItem.Passage> stops =
                buttons(true).stream().filter(stop -> !isBridged(placeOf(stop))).toList();
        if (starts.isEmpty() || stops.isEmpty()) {
            throw noFit(
                    starts.isEmpty() ? "no start that its own contact holds" : "no stop that nothing leads around",
                    "one station with start and stop first");
        }
        String place = freeStation();
        String stop = fresh("push-button", "Stop", place, Optional.of(ColourUse.STOP));
        String start = fresh("push-button", "Start", place, Optional.of(ColourUse.START));
        sheet = around(placeOf(starts.get(starts.size() - 1)), start);
        return inSeries(placeOf(stops.get(stops.size() - 1)), true, "/" + stop);
    }

    private String freeStation() {
        List<String> there = sheet.devices().stream().map(Device::place).toList();
        int number = 2;
        while (there.contains("Station " + number)) {
            number++;
        }
        return "Station " + number;
    }

    Sheet bar() throws EditException {
        String other = OpposedContactors.of(before).stream()
                .filter(pair -> pair.one().equals(tag) || pair.other().equals(tag))
                .map(pair -> pair.one().equals(tag) ? pair.other() : pair.one())
                .findFirst()
                .orElseThrow(() -> noFit("no opponent", "another contactor that must not be in with it"));
        boolean whole = true;
        for (String[] pair : new String[][] {{tag, other}, {other, tag}}) {
            Place coil = coil(pair[0]);
            boolean barred = places((place, passage) ->
                            passage.tag().equals(pair[1]) && place.rung() == coil.rung() && !isCoil(passage, pair[1]))
                    .stream()
                    .anyMatch(place -> place.item() < coil.item());
            if (!barred) {
                whole = false;
                sheet = inSeries(coil, false, "/" + pair[1]);
            }
        }
        boolean mechanical = before.parts().stream()
                .anyMatch(part -> part.drive() instanceof Drive.Interlocking between
                        && List.of(between.one(), between.other()).containsAll(List.of(tag, other)));
        if (whole && mechanical) {
            throw noFit("they bar each other already", "one that bars nothing yet");
        }
        if (!mechanical) {
            sheet = NewDevice.on(sheet, "mechanical-interlock", voltage, conventions.practice());
            Device interlock = sheet.devices().get(sheet.devices().size() - 1);
            sheet = new Edit.PutDevice(interlock.with("between", tag + " " + other)).on(sheet);
        }
        return sheet;
    }

    Sheet endSwitch() throws EditException {
        Place coil = coil(tag);
        String end = fresh("limit-switch", "End switch", "machine", Optional.empty());
        return inSeries(coil, false, "/" + end);
    }

    /** A lamp on a rung of its own. */
    Sheet lamp(boolean running) throws EditException {
        coil(tag);
        String lamp = fresh(
                "pilot-lamp",
                running ? "Running" : "Stopped",
                Places.DOOR,
                Optional.of(running ? ColourUse.RUNNING : ColourUse.STOPPED));
        return rung((running ? "" : "/") + tag + " (" + lamp + ")", running ? "running" : "stopped");
    }

    Sheet lampTripped() throws EditException {
        List<String> overloads = new RungView(before, coil(tag).rung())
                .contacts().stream()
                        .filter(passage -> part(passage).family() == Family.OVERLOAD_RELAY)
                        .map(RungItem.Passage::tag)
                        .distinct()
                        .toList();
        if (overloads.size() != 1) {
            throw noFit(
                    overloads.isEmpty() ? "no overload relay in its way" : String.join(" and ", overloads),
                    "one whose trip the lamp is to tell");
        }
        String lamp = fresh("pilot-lamp", "Tripped", Places.DOOR, Optional.of(ColourUse.TRIPPED));
        return rung(overloads.get(0) + " (" + lamp + ")", "tripped");
    }

    private Sheet rung(String words, String remark) throws EditException {
        if (sheet.rails().size() < 2) {
            throw noFit("no two rails", "a ladder");
        }
        String line = sheet.rails().get(0).name() + " " + words + " "
                + sheet.rails().get(1).name() + " ; " + remark;
        TypedRung typed = TypedRung.read(line, sheet, voltage);
        return new Edit.InsertRung(Circuit.CONTROL, sheet.control().size(), typed.rung()).on(typed.sheet());
    }

    private Sheet around(Place at, String word) throws EditException {
        TypedRung typed = one(word);
        return Structure.around(typed.sheet(), at, at.item(), (RungItem.Passage)
                typed.rung().items().get(1));
    }

    private Sheet inSeries(Place at, boolean after, String word) throws EditException {
        TypedRung typed = one(word);
        return Structure.inSeries(typed.sheet(), at, after, (RungItem.Passage)
                typed.rung().items().get(1));
    }

    private TypedRung one(String word) throws EditException {
        String free = "@" + Structure.freeNumber(sheet);
        return TypedRung.read(free + " " + word + " " + free, sheet, voltage);
    }

    /** Puts a new device on the sheet; returns its tag. */
    private String fresh(String kind, String label, String place, Optional<ColourUse> use) throws EditException {
        String free = NewDevice.tagFor(sheet, kind, conventions.practice());
        sheet = NewDevice.named(sheet, kind, label, use, voltage, conventions);
        sheet = new Edit.PutDevice(sheet.device(free).orElseThrow().placed(place)).on(sheet);
        return free;
    }
}
