package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.ColourUse;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Places;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.parts.Family;

/**
 * A relay between the start and the contactor: start pulls the relay in, and the relay the contactor. So a jog button can run the motor past the
 * relay, and a warning can come before it.
 */
final class StartCommand {

    private final StrokeSheet desk;
    private final RungItem.Passage start;

    StartCommand(StrokeSheet desk) throws EditException {
        this.desk = desk;
        Buttons buttons = new Buttons(desk);
        List<RungItem.Passage> held = buttons.heldStarts();
        if (held.isEmpty()) {
            throw desk.noFit("no start that its own contact holds", "a start and a contact that holds it in");
        }
        if (held.size() < buttons.starts().size()) {
            throw desk.noFit("a button that jogs already", "buttons that all start it");
        }
        start = held.get(0);
        boolean own = desk.placeOf(start).rung() == desk.coil().rung();
        if (!own || desk.placeOf(start).item() > desk.coil().item()) {
            throw desk.noFit(start.tag() + " on another rung", "a start before its coil, on the coil's own rung");
        }
    }

    Sheet jog() throws EditException {
        String relay = desk.fresh("control-relay", "Run", "panel", Optional.empty());
        String jog = desk.fresh("push-button", "Jog", Places.DOOR, Optional.of(ColourUse.OTHER));
        RungItem before = point(-1);
        RungItem after = point(1);
        RungItem.NamedPoint to = behind(relay, before, relay);
        for (int rung = 0; rung < desk.rungs().size(); rung++) {
            List<RungItem> items = desk.rungs().get(rung).items();
            boolean holds = desk.isParallel(rung, startPlace())
                    && items.stream()
                            .anyMatch(item -> item instanceof RungItem.Passage passage
                                    && passage.tag().equals(desk.tag()));
            if (holds) {
                desk.inSeries(new Place(startPlace().circuit(), rung, lastPassage(items)), true, relay);
            }
        }
        desk.rung(
                lowest(before, after) + 1, before.text() + " " + jog + " " + to.text() + " ; jogs while it is pressed");
        return desk.sheet();
    }

    Sheet warning() throws EditException {
        boolean delayed =
                desk.contactsBefore(desk.coil()).stream().anyMatch(passage -> desk.family(passage) == Family.TIMER);
        if (delayed) {
            throw desk.noFit("a timer before its coil already", "a start that it follows at once");
        }
        String relay = desk.fresh("control-relay", "Start commanded", "panel", Optional.empty());
        String timer = desk.fresh("timer", "Warning time", "panel", Optional.empty());
        desk.put(desk.sheet()
                .device(timer)
                .orElseThrow()
                .with("function", "on-delay")
                .with("setting", "3 s"));
        String horn = desk.fresh("horn", "Warning horn", "machine", Optional.empty());
        RungItem after = point(1);
        RungItem back = back();
        behind(relay, after, timer);
        for (Place place : desk.places((place, passage) -> passage.tag().equals(desk.tag())
                && !desk.isLoad(passage)
                && desk.isParallel(place.rung(), startPlace()))) {
            List<RungItem> items =
                    new ArrayList<>(desk.rungs().get(place.rung()).items());
            items.set(place.item(), desk.passage(relay));
            desk.replace(place.rung(), items, "the start command is held");
        }
        desk.rung(startPlace().rung() + 1, after.text() + " (" + timer + ") " + back.text() + " ; the warning time");
        StrokeSheet.Rails rails = desk.rails();
        desk.rung(rails.line() + " " + relay + " /" + desk.tag() + " (" + horn + ") " + rails.back()
                + " ; sounds until the motor runs");
        return desk.sheet();
    }

    private static int lastPassage(List<RungItem> items) {
        int last = 0;
        for (int i = 0; i < items.size(); i++) {
            last = items.get(i) instanceof RungItem.Passage ? i : last;
        }
        return last;
    }

    /** The lowest of the rungs from one point to another. */
    private int lowest(RungItem from, RungItem to) {
        int lowest = startPlace().rung();
        for (int rung = 0; rung < desk.rungs().size(); rung++) {
            List<RungItem> items = desk.rungs().get(rung).items();
            boolean between =
                    items.get(0).equals(from) && items.get(items.size() - 1).equals(to);
            lowest = between ? Math.max(lowest, rung) : lowest;
        }
        return lowest;
    }

    private Place startPlace() {
        return desk.placeOf(start);
    }

    private RungItem point(int offset) {
        Place place = startPlace();
        return desk.item(new Place(place.circuit(), place.rung(), place.item() + offset));
    }

    /** Where the contactor's current goes back, so that whatever drops the contactor there drops the relay too. */
    private RungItem back() throws EditException {
        desk.put(Structure.pointAfter(desk.sheet(), desk.coil()));
        Place coil = desk.coil();
        return desk.item(new Place(coil.circuit(), coil.rung(), coil.item() + 1));
    }

    /**
     * Lets the start pull a relay in, and what was behind the start follow on a rung of its own, behind an open contact.
     *
     * @param relay whose coil takes the place of what was behind the start
     * @param from where the rung of its own begins
     * @param contact the device whose contact it begins with
     * @return the point behind that contact
     */
    private RungItem.NamedPoint behind(String relay, RungItem from, String contact) throws EditException {
        RungItem back = back();
        Place place = startPlace();
        Rung rung = desk.rungs().get(place.rung());
        RungItem after = point(1);
        RungItem.NamedPoint to = desk.freePoint();
        desk.change(other -> isBeyond(other, after) ? moved(other, after, to) : other);
        List<RungItem> head = new ArrayList<>(rung.items().subList(0, place.item() + 2));
        head.addAll(List.of(desk.passage("(" + relay + ")"), back));
        desk.replace(place.rung(), head, "the start command");
        List<RungItem> follows = new ArrayList<>(List.of(from, desk.passage(contact), to));
        follows.addAll(rung.items().subList(place.item() + 2, rung.items().size()));
        int below = lowest(point(-1), after) + 1;
        desk.put(new Edit.InsertRung(place.circuit(), below, new Rung(follows, rung.remark())).on(desk.sheet()));
        return to;
    }

    /** Whether a rung hangs on the point behind the start and is no way around the start. */
    private boolean isBeyond(Rung rung, RungItem after) {
        List<RungItem> items = rung.items();
        boolean around =
                items.get(0).equals(point(-1)) && items.get(items.size() - 1).equals(after);
        return !around && items.contains(after) && !items.contains(start);
    }

    private static Rung moved(Rung rung, RungItem from, RungItem to) {
        return new Rung(
                rung.items().stream().map(item -> item.equals(from) ? to : item).toList(), rung.remark());
    }
}
