package parable.app.desk;

import java.util.Locale;
import parable.starters.Braking;
import parable.starters.Choice;
import parable.starters.Directions;
import parable.starters.Running;

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

    /** What stands on its button. */
    public String words() {
        return words;
    }

    /** The word for it in the line, after {@code power}: {@code star-delta}. */
    String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The answer of the library that it is drawn by. */
    Choice choice() {
        return choice;
    }
}
