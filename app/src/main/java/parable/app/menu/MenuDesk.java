package parable.app.menu;

import parable.app.desk.DeskModel;
import parable.card.Pick;
import parable.circuit.Conventions;
import parable.circuit.Sheet;
import parable.offer.Spot;

/** What the menu asks of the page of its sheet. */
public interface MenuDesk {

    /** Whether one draws, rather than tries. */
    boolean draws();

    /** Whether the meter is at hand. */
    boolean measures();

    /** The desk that the sheet is drawn at. */
    DeskModel desk();

    /** Opens the chooser at a place. */
    void choose(Spot spot);

    /** How new devices are tagged and coloured. */
    Conventions conventions();

    /** Goes on with a changed sheet. */
    void edit(Sheet changed);

    /** Says why a device is on or off. */
    void why(String tag);

    /** Shows the card of something. */
    void card(Pick pick);

    /** Shows the meter. */
    void meter();
}
