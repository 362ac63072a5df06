package parable.stroke;

import parable.circuit.Conventions;
import parable.circuit.EditException;
import parable.circuit.Sheet;
import parable.parts.Assembly;

/** A whole step of the trade, made at a contactor or relay of a sheet. */
public enum TradeStroke {
    /** The closed way past the start: its own contact in parallel to every start. */
    HOLD_IN("Hold itself in", "its own contact in parallel to the start"),
    /** A stop in series and a start in parallel in one more place. */
    STATION("One more station", "a stop in series and a start in parallel, in another place"),
    /** A closed contact of each before the coil of the other. */
    BAR("Bar each other", "a closed contact of each before the coil of the other, and a mechanical interlock"),
    /** A closed end switch before its coil. */
    END_SWITCH("End switch that stops", "a switch on the machine, closed until it is reached, before its coil"),
    /** A lamp that is lit while it is in. */
    LAMP_RUNNING("Lamp: running", "lit while it is in"),
    /** A lamp that is lit while it is out. */
    LAMP_STOPPED("Lamp: stopped", "lit while it is out"),
    /** A lamp that is lit while an overload relay has tripped. */
    LAMP_TRIPPED("Lamp: tripped", "lit while the overload relay has tripped");

    private final String words;
    private final String does;

    TradeStroke(String words, String does) {
        this.words = words;
        this.does = does;
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
        StrokeDesk desk = new StrokeDesk(assembly, tag, conventions);
        return switch (this) {
            case HOLD_IN -> desk.holdIn();
            case STATION -> desk.station();
            case BAR -> desk.bar();
            case END_SWITCH -> desk.endSwitch();
            case LAMP_RUNNING -> desk.lamp(true);
            case LAMP_STOPPED -> desk.lamp(false);
            case LAMP_TRIPPED -> desk.lampTripped();
        };
    }
}
