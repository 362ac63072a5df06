package parable.stroke;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Place;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.parts.Family;
import parable.parts.Part;
import parable.starters.DirectCurrentBrake;

/** A brake that sends direct current into two leads of the motor for a set time after its contactor lets go. */
final class BrakeStroke {

    private final StrokeSheet desk;
    private final PowerPoles poles;

    BrakeStroke(StrokeSheet desk) {
        this.desk = desk;
        poles = new PowerPoles(desk);
    }

    Sheet drawn() throws EditException {
        new Barring(desk).requireNoOpponent();
        desk.coil();
        List<String> others = desk
                .places(
                        Circuit.POWER,
                        (place, passage) -> desk.family(passage) == Family.CONTACTOR
                                && !passage.tag().equals(desk.tag()))
                .stream()
                .map(place -> ((RungItem.Passage) desk.item(place)).tag())
                .distinct()
                .toList();
        if (!others.isEmpty()) {
            throw desk.noFit(String.join(" and ", others) + " before the motor too", "a contactor that feeds it alone");
        }
        List<RungItem.Passage> own = poles.three();
        Part motor = motor();
        List<RungItem> leads = leads(own, motor);
        DirectCurrentBrake brake = new DirectCurrentBrake(
                motor.device().figure("voltage").orElse(0.0),
                motor.device().figure("current").orElse(0.0));
        String contactor = desk.fresh("contactor", "Brake", "panel", Optional.empty());
        set(contactor, "poles", "4");
        String first = fuse(brake);
        String second = fuse(brake);
        String rectifier = desk.fresh("rectifier", "Brake rectifier", "panel", Optional.empty());
        set(rectifier, "input", motor.device().setting("voltage").orElse(""));
        String resistor = desk.fresh("resistor", "Brake resistor", "panel", Optional.empty());
        set(resistor, "resistance", brake.resistance());
        set(resistor, "power", brake.power());
        String line1 = poles.beside(own.get(0), false).text();
        String line2 = poles.beside(own.get(1), false).text();
        power(line1 + " " + first + "[1-2] @ " + contactor + "[1-2] @ " + rectifier + "[~1-~2] @ " + contactor
                + "[4-3] @ " + second + "[2-1] " + line2);
        power(rectifier + "[+] @ " + resistor + "[1-2] @ " + contactor + "[5-6] "
                + leads.get(0).text());
        power(rectifier + "[-] @ " + contactor + "[7-8] " + leads.get(1).text());
        control(contactor);
        return new Barring(desk.again()).bar();
    }

    private void set(String tag, String setting, String value) {
        Device device = desk.sheet().device(tag).orElseThrow();
        desk.put(device.with(setting, value));
    }

    private String fuse(DirectCurrentBrake brake) throws EditException {
        String fuse = desk.fresh("fuse", "Brake fuse", "panel", Optional.empty());
        set(fuse, "rated", brake.fuse());
        return fuse;
    }

    /** The one motor with a nameplate that this contactor can feed. */
    private Part motor() throws EditException {
        List<Part> motors = desk.before().parts().stream()
                .filter(part -> part.family() == Family.MOTOR)
                .toList();
        boolean known = motors.size() == 1
                && motors.get(0).device().setting("current").isPresent()
                && motors.get(0).device().setting("voltage").isPresent();
        if (!known) {
            throw desk.noFit(
                    motors.size() == 1 ? "a motor without rated current and voltage" : motors.size() + " motors",
                    "one motor with its nameplate");
        }
        return motors.get(0);
    }

    /** The points before two of the motor's terminals, each on the rung of a pole. */
    private List<RungItem> leads(List<RungItem.Passage> own, Part motor) throws EditException {
        List<RungItem> leads = new ArrayList<>();
        for (RungItem.Passage pole : own.subList(0, 2)) {
            List<RungItem> items =
                    desk.sheet().power().get(poles.place(pole).rung()).items();
            boolean ends = items.get(items.size() - 1) instanceof RungItem.TerminalEnd end
                    && end.terminal().tag().equals(motor.tag())
                    && items.get(items.size() - 2) instanceof RungItem.NamedPoint;
            if (!ends) {
                throw desk.noFit("poles that do not lead straight to " + motor.tag(), "a motor in its lines");
            }
            leads.add(items.get(items.size() - 2));
        }
        return leads;
    }

    private void power(String line) throws EditException {
        Rung rung = desk.typed(line);
        desk.put(new Edit.InsertRung(Circuit.POWER, desk.sheet().power().size(), rung).on(desk.sheet()));
    }

    /** The timer is fed while the contactor is in; when that lets go its rest contact lets the brake in for the time. */
    private void control(String brake) throws EditException {
        String timer = desk.fresh("timer", "Brake time", "panel", Optional.empty());
        set(timer, "function", "off-delay");
        set(timer, "setting", "3 s");
        StrokeSheet.Rails rails = desk.rails();
        String from = rails.line() + " ";
        String to = " " + rails.back();
        desk.rung(from + desk.tag() + " (" + timer + ")" + to + " ; the brake time begins when this lets go");
        desk.rung(from + "/" + desk.tag() + " " + timer + " (" + brake + ")" + to + " ; brake for the set time");
        Place coil = desk.coil();
        desk.inSeries(coil, false, "/" + brake);
    }
}
