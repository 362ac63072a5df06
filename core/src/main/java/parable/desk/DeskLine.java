package parable.desk;

import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Conventions;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rail;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Structure;
import parable.drafting.Purpose;
import parable.drafting.TypedRung;
import parable.parts.Assembly;
import parable.parts.PartException;

/**
 * A line that is typed at the desk, with what it is typed for. It is a rung, a device, {@code power} with the word of a power circuit, or a command such as
 * {@code rename K1 K5}.
 *
 * @param before the sheet as it is
 * @param conventions the job's: how devices are tagged and coloured
 * @param voltage that of coils and lamps that are put on the sheet, such as {@code 230 V AC}
 * @param selected what is selected on the sheet, empty if nothing is
 * @param stroke what is done with the line
 * @param text the line; blank if nothing is typed yet
 */
public record DeskLine(
        Assembly before,
        Conventions conventions,
        String voltage,
        Optional<Stretch> selected,
        DeskStroke stroke,
        String text) {

    private static final String POWER = "power ";
    private static final Place FIRST = new Place(Circuit.CONTROL, 0, 0);
    private static final Place FIRST_DEVICE = new Place(Circuit.CONTROL, 0, 1);

    /** What it would make of the sheet. */
    public DeskPreview preview() {
        if (text.isBlank()) {
            return refused(hint());
        }
        try {
            Optional<DeskCommand> command = DeskCommand.read(text, sheet(), place());
            if (command.isPresent()) {
                return carriedOut(command.get());
            }
            Assembly changed = before.on(new Purpose(conventions.colours()).told(sheet(), changed()));
            return new DeskPreview(Optional.of(changed), said(changed.sheet()), placeAfterwards(changed.sheet()));
        } catch (EditException | PartException senseless) {
            return refused(senseless.getMessage());
        }
    }

    /** Whether the device or rung that is typed can be put there, for all that the drawing alone tells. */
    public boolean isPossible() {
        try {
            changed();
            return true;
        } catch (EditException impossible) {
            return false;
        }
    }

    private DeskPreview refused(String words) {
        return new DeskPreview(Optional.empty(), words, place().orElse(FIRST_DEVICE));
    }

    private DeskPreview carriedOut(DeskCommand command) throws PartException {
        Place next = command.goTo().or(this::place).orElseGet(() -> placeAfterwards(command.sheet()));
        return new DeskPreview(Optional.of(before.on(command.sheet())), command.words(), next);
    }

    private Sheet sheet() {
        return before.sheet();
    }

    private Optional<Place> place() {
        return selected.map(Stretch::at);
    }

    private String hint() {
        return stroke.takesRung()
                ? "Type a rung: L /F2 /S0 S1 (K1) N. A slash is closed at rest, brackets are a coil, @5 is wire 5. Or: find K1,"
                        + " rename K1 K5, wire 6 12, renumber."
                : "Type a device: S1, /S1 closed at rest, (K1) its coil; or choose one below.";
    }

    /** The rung that the line makes, as it will be written. */
    private String said(Sheet changed) {
        if (sheet().power().isEmpty() && !changed.power().isEmpty()) {
            return "Puts supply, breaker, contactors, overload and motor on the sheet, and the rails of the ladder.";
        }
        Place at = place().orElse(FIRST);
        if (at.circuit() == Circuit.POWER && !stroke.takesRung()) {
            return saidOfLines(changed, at);
        }
        int rung = stroke == DeskStroke.NEW_RUNG ? newRungAt() : at.rung();
        List<Rung> rungs = changed.rungs(at.circuit());
        int shown = stroke == DeskStroke.AROUND || stroke == DeskStroke.BRANCH ? rung + 1 : rung;
        return rungs.get(Math.min(shown, rungs.size() - 1)).text();
    }

    private String saidOfLines(Sheet changed, Place at) {
        int lines = PowerLines.at(sheet(), at).map(PowerLines::count).orElse(1);
        int further = changed.power().size() - sheet().power().size();
        Rung first = changed.power().get(further > 0 ? sheet().power().size() : at.rung());
        return (lines > 1 ? "In " + lines + " lines at once: " : "") + first.text();
    }

    private Place placeAfterwards(Sheet changed) {
        Place at = place().orElse(FIRST_DEVICE);
        if (at.circuit() == Circuit.POWER
                && changed.power().size() > sheet().power().size()
                && !stroke.takesRung()) {
            return new Place(Circuit.POWER, sheet().power().size(), 1);
        }
        return switch (stroke) {
            case RUNG, EXCHANGE, AROUND, BEFORE -> at;
            case NEW_RUNG -> new Place(at.circuit(), newRungAt(), 1);
            case AFTER -> new Place(at.circuit(), at.rung(), at.item() + 2);
            case BRANCH -> new Place(at.circuit(), at.rung() + 1, 1);
        };
    }

    private int newRungAt() {
        return place().map(at -> at.rung() + 1).orElse(sheet().control().size());
    }

    private Sheet changed() throws EditException {
        if (text.strip().startsWith(POWER)) {
            return PowerCircuit.ofWord(text.strip().substring(POWER.length())).on(sheet(), conventions.practice());
        }
        if (stroke == DeskStroke.RUNG && selected.isPresent()) {
            Place at = selected.get().at();
            return withRung(new Edit.TakeRung(at.circuit(), at.rung()).on(sheet()), at.circuit(), at.rung());
        }
        if (stroke.takesRung()) {
            return withRung(sheet(), place().map(Place::circuit).orElse(Circuit.CONTROL), newRungAt());
        }
        return withDevice(place().orElseThrow(DeskLine::nothingSelected));
    }

    private Sheet withRung(Sheet sheet, Circuit circuit, int at) throws EditException {
        TypedRung typed = TypedRung.read(text, sheet, voltage);
        return new Edit.InsertRung(circuit, at, typed.rung()).on(typed.sheet());
    }

    private static EditException nothingSelected() {
        return new EditException("the drawing", "nothing selected", "a contact or coil to begin from");
    }

    private Sheet withDevice(Place at) throws EditException {
        if (stroke == DeskStroke.BRANCH) {
            return branched(at);
        }
        Place first = selected.orElseThrow().first();
        Optional<PowerDevice> intoLines = PowerLines.at(sheet(), stroke == DeskStroke.AROUND ? first : at)
                .flatMap(lines -> PowerDevice.named(this, lines));
        if (intoLines.isPresent()) {
            return intoLines.get().put();
        }
        String free = "@" + Structure.freeNumber(sheet());
        TypedRung typed = TypedRung.read(free + " " + text + " " + free, sheet(), voltage);
        List<RungItem> items = typed.rung().items();
        if (items.size() != 3 || !(items.get(1) instanceof RungItem.Passage passage)) {
            throw new EditException("the line", "'" + text.strip() + "'", "one device, such as S1, /S1 or (K1)");
        }
        return switch (stroke) {
            case BEFORE -> Structure.inSeries(typed.sheet(), at, false, passage);
            case AFTER -> Structure.inSeries(typed.sheet(), at, true, passage);
            case AROUND -> Structure.around(
                    typed.sheet(),
                    selected.orElseThrow().first(),
                    selected.orElseThrow().last(),
                    passage);
            case EXCHANGE, RUNG, NEW_RUNG, BRANCH -> Structure.exchanged(typed.sheet(), at, passage);
        };
    }

    /** A rung from the point behind the selected device to the return rail. */
    private Sheet branched(Place at) throws EditException {
        Sheet named = Structure.pointAfter(sheet(), at);
        RungItem from = named.rungs(at.circuit()).get(at.rung()).items().get(at.item() + 1);
        String rail = sheet().rails().stream()
                .skip(1)
                .map(Rail::name)
                .findFirst()
                .orElseThrow(() -> new EditException(sheet().name(), "no return rail", "a ladder with two rails"));
        TypedRung typed = TypedRung.read(from.text() + " " + text + " " + rail, named, voltage);
        return new Edit.InsertRung(at.circuit(), at.rung() + 1, typed.rung()).on(typed.sheet());
    }
}
