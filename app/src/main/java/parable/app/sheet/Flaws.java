package parable.app.sheet;

import java.util.List;
import java.util.Optional;
import parable.bench.Fault;
import parable.draw.Subject;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Part;

/**
 * Which symbols of a sheet a fault concerns.
 *
 * @param assembly the sheet
 */
record Flaws(Assembly assembly) {

    /** Whether a fault concerns the contact or load that a symbol stands for. */
    boolean concerns(Fault fault, Subject subject) {
        Optional<Part> part = assembly.part(subject.tag());
        if (part.isEmpty()) {
            return false;
        }
        if (subject instanceof Subject.OfContact of) {
            List<Contact> contacts = part.get().contacts();
            return of.contact() < contacts.size()
                    && fault.isBetween(
                            contacts.get(of.contact()).from(),
                            contacts.get(of.contact()).to());
        }
        return part.get().loads().stream().anyMatch(load -> fault.isBetween(load.from(), load.to()));
    }
}
