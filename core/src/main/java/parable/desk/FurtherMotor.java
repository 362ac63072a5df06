package parable.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Practice;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.drafting.NewDevice;
import parable.parts.LeadMarking;
import parable.parts.Part;
import parable.parts.PartException;
import parable.starters.MotorData;
import parable.starters.Supply;

/** A further motor behind lines of the power circuit, with breaker, contactor and overload relay of its own and its protective conductor. */
final class FurtherMotor {

    private static final String PROTECTIVE_EARTH = "PE";
    private static final int LINES = 3;
    private static final int STAGES = 3;

    private final DeskLine desk;
    private final PowerLines lines;
    private final String tag;
    private final Practice practice;
    private Sheet sheet;

    /**
     * A motor behind lines.
     *
     * @param lines with a point or a landing on the side where it is to begin
     * @param tag what it is to be called
     */
    FurtherMotor(DeskLine desk, PowerLines lines, String tag) {
        this.desk = desk;
        this.lines = lines;
        this.tag = tag;
        practice = desk.conventions().practice();
        sheet = lines.sheet();
    }

    /**
     * The sheet with it.
     *
     * @param after whether it begins on the load side of the device that the lines lead through
     * @throws EditException if there are not three lines
     */
    Sheet drawn(boolean after) throws EditException {
        if (lines.count() != LINES) {
            throw new EditException(tag, lines.count() + " lines", "three, for a three-phase motor");
        }
        MotorData data = data();
        List<Part> before = before(data);
        Part motor = part(motor(data));
        List<List<RungItem.NamedPoint>> stages = lines.freePoints(STAGES);
        for (int line = 0; line < LINES; line++) {
            List<RungItem> items = new ArrayList<>(List.of(beginning(line, after)));
            for (int stage = 0; stage < STAGES; stage++) {
                items.add(pole(before.get(stage), line));
                items.add(stages.get(stage).get(line));
            }
            items.add(
                    new RungItem.TerminalEnd(new Terminal(tag, motor.lineLeads().get(line))));
            draw(items);
        }
        protect();
        return sheet;
    }

    private RungItem beginning(int line, boolean after) {
        return lines.items(line).get(lines.at().get(line).item() + (after ? 1 : -1));
    }

    /** What every motor has before it. */
    private List<Part> before(MotorData data) throws EditException {
        Device breaker = with(fresh("circuit-breaker", "Motor breaker"), "rated", data.breaker());
        return List.of(
                part(with(breaker, "curve", practice == Practice.IEC ? "D" : "")),
                part(fresh("contactor", "Motor")),
                part(with(fresh("overload-relay", "Overload"), "setting", data.current())));
    }

    /** As the supply of the sheet is, else as is usual; of its machine nothing is known. Currents are those of the tables of the job. */
    private MotorData data() {
        Supply supply = Supply.in(practice).stream()
                .filter(one -> sheet.devices().stream().anyMatch(device -> device.setting("voltage")
                        .filter(one.voltage()::equals)
                        .isPresent()))
                .findFirst()
                .orElse(Supply.in(practice).get(0));
        String power = practice == Practice.IEC ? "2.2 kW" : "3 hp";
        return MotorData.of(
                "Motor " + tag, "machine", supply, power, desk.before().tables());
    }

    private Device motor(MotorData data) throws EditException {
        sheet = NewDevice.tagged(sheet, tag, Optional.of("three-phase-motor"), desk.voltage());
        return sheet.device(tag)
                .orElseThrow()
                .labelled(data.label())
                .placed(data.place())
                .with("voltage", data.voltage())
                .with("power", data.power())
                .with("current", data.current())
                .with(LeadMarking.SETTING, LeadMarking.of(practice).setting());
    }

    private Device fresh(String kind, String label) throws EditException {
        String free = NewDevice.tagFor(sheet, kind, practice);
        sheet = NewDevice.tagged(sheet, free, Optional.of(kind), desk.voltage());
        return sheet.device(free).orElseThrow().labelled(label);
    }

    private static Device with(Device device, String setting, String value) {
        return value.isEmpty() ? device : device.with(setting, value);
    }

    /** Puts a device on the sheet as it is to be. */
    private Part part(Device device) throws EditException {
        sheet = new Edit.PutDevice(device).on(sheet);
        try {
            return desk.before().on(sheet).part(device.tag()).orElseThrow();
        } catch (PartException senseless) {
            throw new EditException(device.tag(), senseless.getMessage(), "a device that can be fitted out");
        }
    }

    private static RungItem.Passage pole(Part part, int line) {
        List<RungItem.Passage> poles = part.contacts().stream()
                .filter(contact -> contact.pole())
                .map(contact -> new RungItem.Passage(part.tag(), contact.from(), contact.to()))
                .toList();
        return poles.get(line);
    }

    private void draw(List<RungItem> items) {
        List<Rung> rungs = new ArrayList<>(sheet.power());
        rungs.add(new Rung(items, ""));
        sheet = sheet.withRungs(Circuit.POWER, rungs);
    }

    /** Its protective conductor, from where another begins; none on a sheet that has none. */
    private void protect() {
        sheet.power().stream()
                .map(Rung::items)
                .filter(items -> items.stream().anyMatch(FurtherMotor::isProtective))
                .findFirst()
                .ifPresent(items -> draw(List.of(
                        items.stream()
                                .filter(RungItem.NamedPoint.class::isInstance)
                                .findFirst()
                                .orElse(items.get(0)),
                        new RungItem.TerminalEnd(new Terminal(tag, PROTECTIVE_EARTH)))));
    }

    private static boolean isProtective(RungItem item) {
        return item instanceof RungItem.TerminalEnd end
                && end.terminal().marking().equals(PROTECTIVE_EARTH);
    }
}
