package parable.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.drafting.NewDevice;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;
import parable.parts.PartException;

/** A device that is put into lines of the power circuit: {@code K2}, or {@code Q2:isolator} for one that is not on the sheet yet. */
final class PowerDevice {

    private static final Pattern NAMED = Pattern.compile("([A-Za-z0-9.]+)(?::([a-z-]+))?");

    /** What senses the current of a motor's three lines: with one of them empty it trips. */
    private static final List<String> THREE_LINES_ONLY = List.of("overload-relay", "motor-protective-breaker");

    private static final int THREE = 3;
    private static final String THREE_PHASE_MOTOR = "three-phase-motor";

    private final DeskLine desk;
    private final PowerLines lines;
    private final String tag;
    private final Optional<String> kind;
    private Sheet sheet;

    private PowerDevice(DeskLine desk, PowerLines lines, String tag, Optional<String> kind) {
        this.desk = desk;
        this.lines = lines;
        this.tag = tag;
        this.kind = kind;
        sheet = lines.sheet();
    }

    /** What a line of the desk names for lines; empty if it is no single device, as a pole with its terminals is not. */
    static Optional<PowerDevice> named(DeskLine desk, PowerLines lines) {
        Matcher named = NAMED.matcher(desk.text().strip());
        return named.matches()
                ? Optional.of(new PowerDevice(desk, lines, named.group(1), Optional.ofNullable(named.group(2))))
                : Optional.empty();
    }

    /**
     * The sheet after the stroke of the desk with it.
     *
     * @throws EditException if it has not as many free poles as there are lines
     */
    Sheet put() throws EditException {
        if (isMotor()) {
            return furtherMotor();
        }
        List<RungItem.Passage> poles = poles();
        PowerLines there = new PowerLines(sheet, lines.at());
        return switch (desk.stroke()) {
            case BEFORE -> there.inSeries(false, poles);
            case AFTER -> there.inSeries(true, poles);
            case AROUND -> there.around(end(), poles);
            case EXCHANGE, RUNG, NEW_RUNG, BRANCH -> there.exchanged(poles);
        };
    }

    /** It begins on the wires, and is not put into them. */
    private Sheet furtherMotor() throws EditException {
        boolean beside = desk.stroke() == DeskStroke.BEFORE || desk.stroke() == DeskStroke.AFTER;
        if (!beside || !kind.orElse(THREE_PHASE_MOTOR).equals(THREE_PHASE_MOTOR)) {
            throw new EditException(
                    tag,
                    kind.orElse("a motor"),
                    "a three-phase motor before or behind a device, or a device with poles");
        }
        boolean after = desk.stroke() == DeskStroke.AFTER;
        return new FurtherMotor(desk, lines.pointed(after), tag).drawn(after);
    }

    private Place end() {
        Stretch stretch = desk.selected().orElseThrow();
        return new Place(Circuit.POWER, stretch.at().rung(), stretch.last());
    }

    private boolean isMotor() throws EditException {
        return isNew()
                && part(NewDevice.tagged(sheet, tag, kind, desk.voltage()), tag).family() == Family.MOTOR;
    }

    private List<RungItem.Passage> poles() throws EditException {
        if (isNew()) {
            sheet = NewDevice.tagged(sheet, tag, kind, desk.voltage());
            if (kind().equals("fuse")) {
                return fuses();
            }
            sheet = new Edit.PutDevice(suited(device())).on(sheet);
        }
        List<Contact> free = free();
        requireAPoleALine(free.size());
        List<RungItem.Passage> poles = new ArrayList<>();
        for (int line = 0; line < lines.count(); line++) {
            poles.add(pole(tag, free.get(line), line));
        }
        return poles;
    }

    private Device device() {
        return sheet.device(tag).orElseThrow();
    }

    private String kind() {
        return device().kind();
    }

    private boolean isNew() {
        return sheet.device(tag).isEmpty();
    }

    private List<Contact> free() throws EditException {
        return part(sheet, tag).contacts().stream()
                .filter(contact -> contact.pole() && !isDrawn(contact))
                .toList();
    }

    private void requireAPoleALine(int free) throws EditException {
        if (free < lines.count()) {
            throw new EditException(
                    tag, free + " free poles", lines.count() + ", for it goes into as many lines at once");
        }
        if (THREE_LINES_ONLY.contains(kind()) && lines.count() != THREE) {
            throw new EditException(
                    tag, lines.count() + " lines", "three: with a pole that carries nothing it would trip");
        }
    }

    /** A fuse for each line. */
    private List<RungItem.Passage> fuses() throws EditException {
        List<RungItem.Passage> fuses = new ArrayList<>(List.of(new RungItem.Passage(tag, "1", "2")));
        String letters = tag.replaceAll("[0-9.]+$", "");
        for (int number = 1; fuses.size() < lines.count(); number++) {
            if (sheet.device(letters + number).isEmpty()) {
                sheet = NewDevice.tagged(sheet, letters + number, Optional.of("fuse"), desk.voltage());
                fuses.add(new RungItem.Passage(letters + number, "1", "2"));
            }
        }
        return fuses;
    }

    /** As many poles as lines, and the dial at the current of the motor behind it. */
    private Device suited(Device device) {
        Device suited = hasPolesByLines(device) ? device.with("poles", Integer.toString(lines.count())) : device;
        return motorCurrent()
                .filter(any -> THREE_LINES_ONLY.contains(device.kind()))
                .map(current -> suited.with("setting", current))
                .orElse(suited);
    }

    private boolean hasPolesByLines(Device device) {
        return switch (device.kind()) {
            case "circuit-breaker", "isolator" -> lines.count() != THREE;
            case "contactor" -> lines.count() > THREE;
            default -> false;
        };
    }

    /**
     * What the nameplate of the motor says that the first line ends on; empty if it ends on none, or the nameplate does not say it. Where a line goes on through a winding, as with six leads, a relay may carry less than the
     * line does, and its dial is left to sizing.
     */
    private Optional<String> motorCurrent() {
        return lines.items(0).stream()
                .filter(RungItem.TerminalEnd.class::isInstance)
                .map(end -> ((RungItem.TerminalEnd) end).terminal().tag())
                .flatMap(one -> desk.before().part(one).stream())
                .filter(part -> part.family() == Family.MOTOR)
                .flatMap(part -> part.device().setting("current").stream())
                .findFirst();
    }

    /** A pole in the direction of the one beside it. */
    private RungItem.Passage pole(String of, Contact contact, int line) {
        RungItem.Passage beside = lines.pole(line);
        boolean backwards = desk.before().part(beside.tag()).stream()
                .flatMap(part -> part.contacts().stream())
                .anyMatch(one -> one.from().equals(beside.to()) && one.to().equals(beside.from()));
        return backwards
                ? new RungItem.Passage(of, contact.to(), contact.from())
                : new RungItem.Passage(of, contact.from(), contact.to());
    }

    private boolean isDrawn(Contact contact) {
        return sheet.rungs(Circuit.POWER).stream()
                .flatMap(rung -> rung.items().stream())
                .anyMatch(item -> item instanceof RungItem.Passage passage
                        && passage.tag().equals(tag)
                        && (passage.from().equals(contact.from())
                                || passage.from().equals(contact.to())));
    }

    private Part part(Sheet on, String of) throws EditException {
        try {
            return desk.before().on(bare(on)).part(of).orElseThrow();
        } catch (PartException senseless) {
            throw new EditException(of, senseless.getMessage(), "a device that can be fitted out");
        }
    }

    /** The devices alone: the rungs are as they were, and are not what is asked about. */
    private static Sheet bare(Sheet sheet) {
        return sheet.withRungs(Circuit.POWER, List.of()).withRungs(Circuit.CONTROL, List.of());
    }
}
