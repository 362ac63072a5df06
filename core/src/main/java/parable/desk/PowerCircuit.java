package parable.desk;

import java.util.Locale;
import parable.circuit.Circuit;
import parable.circuit.Device;
import parable.circuit.Edit;
import parable.circuit.EditException;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.starters.Braking;
import parable.starters.Choice;
import parable.starters.ControlSupply;
import parable.starters.Directions;
import parable.starters.MotorData;
import parable.starters.Running;
import parable.starters.Starter;
import parable.starters.Wish;

/** A power circuit that is put on an empty sheet at a stroke, to be taken apart at will. */
public enum PowerCircuit {
    DIRECT("Power: direct on line", Running.DIRECT),
    REVERSING("Power: reversing", Directions.STOP_FIRST),
    STAR_DELTA("Power: star-delta", Running.STAR_DELTA_DIRECT),
    BRAKE("Power: with DC brake", Braking.UNTIL_STANDSTILL);

    private final String words;
    private final Choice choice;

    PowerCircuit(String words, Choice choice) {
        this.words = words;
        this.choice = choice;
    }

    /** What is on its button. */
    public String words() {
        return words;
    }

    /** The word for it in the line, after {@code power}: {@code star-delta}. */
    String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The power circuit of this word.
     *
     * @throws EditException if there is none
     */
    static PowerCircuit ofWord(String word) throws EditException {
        for (PowerCircuit circuit : values()) {
            if (circuit.word().equals(word.strip())) {
                return circuit;
            }
        }
        throw new EditException("power", "'" + word + "'", "direct, reversing, star-delta or brake");
    }

    /**
     * The sheet with this power circuit and the supply of its ladder, as the library draws them.
     *
     * @throws EditException if the sheet has a power circuit already
     */
    public Sheet on(Sheet sheet, Practice practice) throws EditException {
        if (!sheet.power().isEmpty()) {
            throw new EditException(sheet.name(), "a power circuit", "none before one is put on it");
        }
        MotorData motor =
                switch (practice) {
                    case IEC -> MotorData.on400V("Motor", "machine", "2.2 kW");
                    case NORTH_AMERICAN -> MotorData.on480V("Motor", "machine", "3 hp");
                };
        ControlSupply control = practice == Practice.IEC ? ControlSupply.LINE_TO_NEUTRAL : ControlSupply.TRANSFORMER;
        Sheet drawn = Starter.withoutLadder(
                Wish.of(sheet.name(), practice, motor).with(control).with(choice));
        Sheet with = sheet;
        for (Device device : drawn.devices()) {
            with = new Edit.PutDevice(device).on(with);
        }
        return with.withRails(drawn.rails()).withRungs(Circuit.POWER, drawn.power());
    }
}
