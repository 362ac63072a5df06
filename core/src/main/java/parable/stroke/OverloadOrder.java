package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.parts.Family;

/** Where the overload relay's contact is: before everything else, or between the coils and the return. What it stopped it goes on stopping. */
final class OverloadOrder {

    private final StrokeSheet desk;

    OverloadOrder(StrokeSheet desk) {
        this.desk = desk;
    }

    /** The contact that opens when the overload relay trips, wherever it is in the coil's way. */
    private RungItem.Passage contact() throws EditException {
        Place coil = desk.coil();
        List<RungItem.Passage> found = new ArrayList<>(desk.contactsBefore(coil));
        returnContact(coil).ifPresent(found::add);
        found.removeIf(passage -> desk.family(passage) != Family.OVERLOAD_RELAY || !desk.isClosedAtRest(passage));
        List<RungItem.Passage> once = found.stream().distinct().toList();
        if (once.size() != 1) {
            throw desk.noFit(
                    once.isEmpty() ? "no overload contact in its way" : once.size() + " overload contacts in its way",
                    "one");
        }
        return once.get(0);
    }

    /** What is alone on the rung between the coil's end and the return. */
    private Optional<RungItem.Passage> returnContact(Place coil) {
        List<RungItem> items = desk.rungs().get(coil.rung()).items();
        RungItem end = items.get(items.size() - 1);
        return desk
                .places((place, passage) ->
                        desk.rungs().get(place.rung()).items().get(0).equals(end))
                .stream()
                .filter(place -> !StrokeSheet.isRail(end))
                .map(place -> (RungItem.Passage) desk.item(place))
                .findFirst();
    }

    private List<Place> coils() {
        return desk.places((place, passage) -> desk.isCommandCoil(passage));
    }

    /** The coils that the contact drops: those behind it, and those whose return goes through it. */
    private List<RungItem.Passage> dropped(RungItem.Passage contact) {
        List<RungItem.Passage> dropped = new ArrayList<>();
        for (Place coil : coils()) {
            boolean behind = desk.contactsBefore(coil).contains(contact);
            if (behind || returnContact(coil).filter(contact::equals).isPresent()) {
                dropped.add((RungItem.Passage) desk.item(coil));
            }
        }
        return dropped;
    }

    Sheet first() throws EditException {
        RungItem.Passage contact = contact();
        List<RungItem.Passage> dropped = dropped(contact);
        Place there = desk.placeOf(contact);
        takeAway(there);
        int head = head(dropped);
        Place first = EmergencyStopFirst.first(desk, head);
        desk.put(Structure.inSeries(desk.sheet(), first, false, contact));
        return changed("it is the first already");
    }

    private Sheet changed(String otherwise) throws EditException {
        boolean same = desk.sheet().control().stream()
                .map(rung -> passages(rung.items()))
                .toList()
                .equals(desk.before().sheet().control().stream()
                        .map(rung -> passages(rung.items()))
                        .toList());
        if (same) {
            throw desk.noFit(otherwise, "a contact that is elsewhere");
        }
        return desk.sheet();
    }

    private static List<RungItem> passages(List<RungItem> items) {
        return items.stream().filter(RungItem.Passage.class::isInstance).toList();
    }

    /** The rung from the rail through which all of these are fed. */
    private int head(List<RungItem.Passage> coils) throws EditException {
        List<Integer> heads = new ArrayList<>();
        for (RungItem.Passage coil : coils) {
            Place place = desk.placeOf(coil);
            List<RungItem.Passage> before = desk.contactsBefore(place);
            RungItem.Passage outermost = before.isEmpty() ? coil : outermost(before);
            heads.add(desk.placeOf(outermost).rung());
        }
        if (heads.stream().distinct().count() != 1) {
            throw desk.noFit(
                    "coils that are fed from rungs of their own", "one rung from the rail that feeds them all");
        }
        return heads.get(0);
    }

    private RungItem.Passage outermost(List<RungItem.Passage> contacts) throws EditException {
        return contacts.stream()
                .filter(contact -> StrokeSheet.isRail(
                        desk.rungs().get(desk.placeOf(contact).rung()).items().get(0)))
                .findFirst()
                .orElseThrow(() -> desk.noFit("no rung from the rail", "one that feeds its coil"));
    }

    Sheet last() throws EditException {
        RungItem.Passage contact = contact();
        List<RungItem.Passage> dropped = dropped(contact);
        takeAway(desk.placeOf(contact));
        for (RungItem.Passage coil : dropped) {
            Place place = desk.placeOf(coil);
            List<RungItem> items = desk.rungs().get(place.rung()).items();
            if (place.item() != items.size() - 2 || !StrokeSheet.isRail(items.get(items.size() - 1))) {
                throw desk.noFit("something behind the coil of " + coil.tag(), "a coil that ends at the return");
            }
        }
        Place first = desk.placeOf(dropped.get(0));
        RungItem rail = desk.item(new Place(first.circuit(), first.rung(), first.item() + 1));
        if (dropped.size() == 1) {
            desk.put(Structure.inSeries(desk.sheet(), first, true, contact));
            return changed("it is the last already");
        }
        RungItem.NamedPoint joint = desk.freePoint();
        for (RungItem.Passage coil : dropped) {
            Place place = desk.placeOf(coil);
            List<RungItem> items =
                    new ArrayList<>(desk.rungs().get(place.rung()).items());
            if (!items.get(place.item() + 1).equals(rail)) {
                throw desk.noFit("coils with returns of their own", "one return that they share");
            }
            items.set(place.item() + 1, joint);
            if (place.rung() == first.rung() && place.item() == first.item()) {
                items.addAll(List.of(contact, rail));
            }
            desk.replace(place.rung(), items, desk.rungs().get(place.rung()).remark());
        }
        return changed("it is the last already");
    }

    /** Takes the contact out; where it was alone on its rung, what ended at that goes on to where that led. */
    private void takeAway(Place at) throws EditException {
        List<RungItem> items = desk.rungs().get(at.rung()).items();
        boolean alone = passages(items).size() == 1;
        RungItem from = items.get(0);
        RungItem to = items.get(items.size() - 1);
        if (alone && StrokeSheet.isRail(from)) {
            throw desk.noFit("an overload contact on a rung of its own", "one in series with what it drops");
        }
        desk.put(Structure.taken(desk.sheet(), at));
        if (alone) {
            desk.put(desk.sheet()
                    .withRungs(
                            Circuit.CONTROL,
                            desk.rungs().stream()
                                    .map(rung -> new Rung(
                                            rung.items().stream()
                                                    .map(item -> item.equals(from) ? to : item)
                                                    .toList(),
                                            rung.remark()))
                                    .toList()));
        }
    }
}
