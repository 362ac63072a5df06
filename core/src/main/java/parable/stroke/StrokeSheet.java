package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import parable.circuit.Circuit;
import parable.circuit.ColourUse;
import parable.circuit.Conventions;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.desk.CoilVoltage;
import parable.drafting.NewDevice;
import parable.drafting.TypedRung;
import parable.offer.RungView;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartException;

/** A sheet on which a stroke is drawn at one contactor or relay: what it finds there, and what it puts on it. */
final class StrokeSheet {

    private final Assembly before;
    private final String tag;
    private final Conventions conventions;
    private final String voltage;
    private Sheet sheet;
    private Assembly fitted;

    StrokeSheet(Assembly assembly, String tag, Conventions conventions) {
        before = assembly;
        this.tag = tag;
        this.conventions = conventions;
        voltage = CoilVoltage.of(assembly, conventions.practice());
        sheet = assembly.sheet();
        fitted = assembly;
    }

    /** The contactor or relay that the stroke is about. */
    String tag() {
        return tag;
    }

    /** As it was before the stroke. */
    Assembly before() {
        return before;
    }

    /** As it is drawn so far. */
    Sheet sheet() {
        return sheet;
    }

    /** As it is drawn so far, as a sheet on which another stroke begins. */
    StrokeSheet again() {
        return new StrokeSheet(assembly(), tag, conventions);
    }

    void put(Sheet changed) {
        sheet = changed;
    }

    EditException noFit(String found, String expected) {
        return new EditException(tag, found, expected);
    }

    private Assembly assembly() {
        if (fitted.sheet() == sheet) {
            return fitted;
        }
        try {
            fitted = before.on(sheet);
            return fitted;
        } catch (PartException impossible) {
            throw new IllegalStateException("a sheet that is drawn by strokes can be fitted out", impossible);
        }
    }

    Part part(RungItem.Passage passage) {
        return assembly().part(passage.tag()).orElseThrow();
    }

    Family family(RungItem.Passage passage) {
        return part(passage).family();
    }

    List<Rung> rungs() {
        return sheet.control();
    }

    boolean isLoad(RungItem.Passage passage) {
        return part(passage).loadBetween(passage.from(), passage.to()).isPresent();
    }

    boolean isCoil(RungItem.Passage passage, String of) {
        return passage.tag().equals(of) && isLoad(passage);
    }

    /** Whether it is the coil of something that acts on others: a contactor, relay or timer. */
    boolean isCommandCoil(RungItem.Passage passage) {
        Family family = family(passage);
        return isLoad(passage)
                && (family == Family.CONTACTOR || family == Family.CONTROL_RELAY || family == Family.TIMER);
    }

    /** Where the coil of a contactor or relay is in the ladder. */
    Place coil(String of) throws EditException {
        return places((place, passage) -> isCoil(passage, of)).stream()
                .findFirst()
                .orElseThrow(() -> new EditException(of, "no coil in the ladder", "a rung with its coil"));
    }

    Place coil() throws EditException {
        return coil(tag);
    }

    /** Where the coil is, or the beginning of the ladder if it has none. */
    Place anyPlace() {
        return places((place, passage) -> isCoil(passage, tag)).stream()
                .findFirst()
                .orElse(new Place(Circuit.CONTROL, 0, 1));
    }

    /** What a search in the ladder wants. */
    interface Wanted {
        boolean fits(Place place, RungItem.Passage passage);
    }

    List<Place> places(Wanted wanted) {
        return places(Circuit.CONTROL, wanted);
    }

    List<Place> places(Circuit circuit, Wanted wanted) {
        List<Place> found = new ArrayList<>();
        List<Rung> rungs = sheet.rungs(circuit);
        for (int rung = 0; rung < rungs.size(); rung++) {
            List<RungItem> items = rungs.get(rung).items();
            for (int item = 0; item < items.size(); item++) {
                Place place = new Place(circuit, rung, item);
                if (items.get(item) instanceof RungItem.Passage passage && wanted.fits(place, passage)) {
                    found.add(place);
                }
            }
        }
        return found;
    }

    /** Where something is on the sheet as it is now. */
    Place placeOf(RungItem.Passage passage) {
        return places((place, other) -> other.equals(passage)).get(0);
    }

    RungItem item(Place place) {
        return sheet.rungs(place.circuit()).get(place.rung()).items().get(place.item());
    }

    /** The contacts that current for a coil has to pass. */
    List<RungItem.Passage> contactsBefore(Place coil) {
        return new RungView(assembly(), coil.rung()).contacts();
    }

    /**
     * The two rails between which the coil is, so that what is put beside it is on the same supply.
     *
     * @param line that from which the current comes
     * @param back that to which it returns
     */
    record Rails(String line, String back) {}

    /**
     * The rails of the coil.
     *
     * @throws EditException if there is no coil, or it is not between two rails
     */
    Rails rails() throws EditException {
        List<RungItem> own = rungs().get(coil().rung()).items();
        List<RungItem> outermost = contactsBefore(coil()).stream()
                .map(contact -> rungs().get(placeOf(contact).rung()).items())
                .filter(items -> isRail(items.get(0)))
                .findFirst()
                .orElse(own);
        RungItem end = own.get(own.size() - 1);
        List<RungItem> last = rungs().stream()
                .map(Rung::items)
                .filter(items -> items.get(0).equals(end) && isRail(items.get(items.size() - 1)))
                .findFirst()
                .orElse(own);
        RungItem back = isRail(end) ? end : last.get(last.size() - 1);
        if (!isRail(outermost.get(0)) || !isRail(back)) {
            throw noFit("no rung between two rails", "a coil in a ladder");
        }
        return new Rails(outermost.get(0).text(), back.text());
    }

    static boolean isRail(RungItem item) {
        return item instanceof RungItem.NamedPoint point && point.rail();
    }

    boolean isClosedAtRest(RungItem.Passage passage) {
        return part(passage)
                .contactBetween(passage.from(), passage.to())
                .map(index -> part(passage).contacts().get(index))
                .filter(Contact::isNormallyClosed)
                .isPresent();
    }

    /** Whether a contact of its own is in parallel to a start. */
    boolean isHeld(Place start) {
        return places((place, passage) -> passage.tag().equals(tag) && !isCoil(passage, tag)).stream()
                .anyMatch(place -> isParallel(place.rung(), start));
    }

    /** Whether a rung leads from right before a place to right behind it. */
    boolean isParallel(int rung, Place at) {
        List<RungItem> one = rungs().get(rung).items();
        List<RungItem> other = rungs().get(at.rung()).items();
        return rung != at.rung()
                && one.get(0).equals(other.get(at.item() - 1))
                && one.get(one.size() - 1).equals(other.get(at.item() + 1));
    }

    /** The contact that is written as a word of the line, such as {@code /K3}, on the sheet with what it needs. */
    RungItem.Passage passage(String word) throws EditException {
        String free = "@" + Structure.freeNumber(sheet);
        TypedRung typed = TypedRung.read(free + " " + word + " " + free, sheet, voltage);
        sheet = typed.sheet();
        return (RungItem.Passage) typed.rung().items().get(1);
    }

    void around(Place at, String word) throws EditException {
        RungItem.Passage passage = passage(word);
        sheet = Structure.around(sheet, at, at.item(), passage);
    }

    void inSeries(Place at, boolean after, String word) throws EditException {
        RungItem.Passage passage = passage(word);
        sheet = Structure.inSeries(sheet, at, after, passage);
    }

    /** Puts a rung that is typed behind the others; it begins and ends at points or rails. */
    void rung(String line) throws EditException {
        rung(rungs().size(), line);
    }

    void rung(int at, String line) throws EditException {
        TypedRung typed = TypedRung.read(line, sheet, voltage);
        sheet = new Edit.InsertRung(Circuit.CONTROL, at, typed.rung()).on(typed.sheet());
    }

    /** A rung as it is typed, for which the sheet gets what it needs. */
    Rung typed(String line) throws EditException {
        TypedRung typed = TypedRung.read(line, sheet, voltage);
        sheet = typed.sheet();
        return typed.rung();
    }

    void replace(int rung, List<RungItem> items, String remark) throws EditException {
        sheet = new Edit.ReplaceRung(Circuit.CONTROL, rung, new Rung(items, remark)).on(sheet);
    }

    /** Changes what rungs of the ladder are made of. */
    void change(UnaryOperator<Rung> change) {
        sheet = sheet.withRungs(Circuit.CONTROL, rungs().stream().map(change).toList());
    }

    /** A number that no wire has yet. */
    RungItem.NamedPoint freePoint() {
        return new RungItem.NamedPoint(Structure.freeNumber(sheet), false);
    }

    /** Puts a new device on the sheet; returns its tag. */
    String fresh(String kind, String label, String place, Optional<ColourUse> use) throws EditException {
        String free = NewDevice.tagFor(sheet, kind, conventions.practice());
        sheet = NewDevice.named(sheet, kind, label, use, voltage, conventions);
        sheet = new Edit.PutDevice(sheet.device(free).orElseThrow().placed(place)).on(sheet);
        return free;
    }

    void put(Device device) {
        sheet = new Edit.PutDevice(device).on(sheet);
    }
}
