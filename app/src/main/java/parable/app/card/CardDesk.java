package parable.app.card;

import java.util.List;
import java.util.Optional;
import parable.card.Pick;
import parable.check.Finding;
import parable.circuit.Device;
import parable.circuit.Place;

/** What can be done from a card with the sheet that it is about. */
public interface CardDesk {

    /** Puts a device in the place of the one with its tag; returns why not if it says nothing sensible. */
    Optional<String> put(Device device);

    /** Gives a device another tag; returns why not if it cannot have it. */
    Optional<String> rename(String tag, String other);

    /** Writes a remark beside a rung. */
    void remark(Pick.OfRung at, String remark);

    /** Selects a place of the drawing. */
    void goTo(Place place);

    /** What the record says of a device, the last entry first. */
    List<String> notes(String tag);

    /** Enters a remark on a device into the record; returns why not if it could not be. */
    Optional<String> note(String tag, String words);

    /** What is found of a device. */
    List<Finding> findings(String tag);
}
