package parable.stroke;

import parable.circuit.Conventions;
import parable.circuit.EditException;
import parable.circuit.Sheet;
import parable.parts.Assembly;

/** A whole step of the trade, made at a contactor or relay of a sheet. */
public enum TradeStroke {
    /** The closed way past the start: its own contact in parallel to every start. */
    HOLD_IN("Hold itself in", "its own contact in parallel to the start", desk -> new StartAndStop(desk).holdIn()),
    /** A stop in series and a start in parallel in one more place. */
    STATION("One more station", "a stop in series and a start in parallel, in another place", desk -> new StartAndStop(
                    desk)
            .station()),
    /** A start that holds nothing in. */
    JOG(
            "Jog",
            "a button that runs it while it is pressed, and a relay that the start holds instead",
            desk -> new StartCommand(desk).jog()),
    /** A horn that sounds before the motor follows. */
    WARNING(
            "Warning before start",
            "start sounds a horn for a set time, and then it follows; stop cancels",
            desk -> new StartCommand(desk).warning()),
    /** A second contactor that exchanges two lines. */
    SECOND_DIRECTION(
            "Second direction",
            "a contactor with two lines exchanged, a start for it, and bars between the two",
            desk -> new SecondDirection(desk).drawn()),
    /** Direct current into two leads after it lets go. */
    BRAKE(
            "Brake with direct current",
            "contactor, rectifier, timer, and resistor and fuses for twice the rated current, 3 s in two minutes",
            desk -> new BrakeStroke(desk).drawn()),
    /** A closed contact of each before the coil of the other. */
    BAR(
            "Bar each other",
            "a closed contact of each before the coil of the other, and a mechanical interlock",
            desk -> new Barring(desk).bar()),
    /** A closed end switch before its coil. */
    END_SWITCH(
            "End switch that stops",
            "a switch on the machine, closed until it is reached, before its coil",
            desk -> new StartAndStop(desk).endSwitch()),
    /** A latching stop before every coil of the sheet. */
    EMERGENCY_STOP(
            "E-stop before everything",
            "a contact of it in each rung that leads to a coil of a contactor, relay or timer, that of a brake too",
            desk -> new EmergencyStopFirst(desk).drawn()),
    /** The overload relay's contact at the beginning of the way. */
    OVERLOAD_FIRST(
            "Overload contact first", "before everything that it stops", desk -> new OverloadOrder(desk).first()),
    /** The overload relay's contact at the end of the way. */
    OVERLOAD_LAST(
            "Overload contact last", "between the coils that it stops and the return", desk -> new OverloadOrder(desk)
                    .last()),
    /** A lamp that is lit while it is in. */
    LAMP_RUNNING("Lamp: running", "lit while it is in", desk -> new Lamps(desk).running()),
    /** A lamp that is lit while it is out. */
    LAMP_STOPPED("Lamp: stopped", "lit while it is out", desk -> new Lamps(desk).stopped()),
    /** A lamp that is lit while an overload relay has tripped. */
    LAMP_TRIPPED("Lamp: tripped", "lit while the overload relay has tripped", desk -> new Lamps(desk).tripped()),
    /** A lamp that is lit while the emergency stop is pressed. */
    LAMP_EMERGENCY_STOP(
            "Lamp: E-stop pressed", "lit while the E-stop is pressed", desk -> new Lamps(desk).emergencyStop()),
    /** A lamp that is lit while there is control voltage. */
    LAMP_CONTROL_ON("Lamp: control on", "lit while there is control voltage", desk -> new Lamps(desk).controlOn());

    /** What a stroke draws. */
    private interface Drawn {
        Sheet on(StrokeSheet desk) throws EditException;
    }

    private final String words;
    private final String does;
    private final Drawn drawn;

    TradeStroke(String words, String does, Drawn drawn) {
        this.words = words;
        this.does = does;
        this.drawn = drawn;
    }

    /** What it is called. */
    public String words() {
        return words;
    }

    /** What it puts on the sheet. */
    public String does() {
        return does;
    }

    /**
     * The sheet after the stroke.
     *
     * @param tag the contactor or relay that it is about
     * @param conventions how new devices are tagged and coloured
     * @throws EditException if it does not fit there; the message says why
     */
    public Sheet on(Assembly assembly, String tag, Conventions conventions) throws EditException {
        return drawn.on(new StrokeSheet(assembly, tag, conventions));
    }
}
