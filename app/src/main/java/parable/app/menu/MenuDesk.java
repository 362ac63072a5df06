package parable.app.menu;

import parable.app.desk.DeskModel;
import parable.card.Pick;
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

    /** Opens the chooser with the whole steps of the trade at a contactor or relay. */
    void chooseSteps(String tag);

    /** Says why a device is on or off. */
    void why(String tag);

    /** Shows the card of something. */
    void card(Pick pick);

    /** Shows the meter. */
    void meter();
}
