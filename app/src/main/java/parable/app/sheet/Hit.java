package parable.app.sheet;

import java.util.Optional;
import parable.circuit.Place;
import parable.draw.Subject;

/**
 * What is on a drawing at a point.
 *
 * @param subject the contact, load or device whose symbol is there, empty if none is
 * @param place where that is on a rung, empty if it is on none
 * @param wire the number of the wire there, empty if none is near
 */
public record Hit(Optional<Subject> subject, Optional<Place> place, Optional<String> wire) {

    /** The device that is there, empty if none is. */
    public Optional<String> tag() {
        return subject.map(Subject::tag);
    }
}
