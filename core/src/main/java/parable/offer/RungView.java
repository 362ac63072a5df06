package parable.offer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Circuit;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/** A rung as an electrician reads it: what stops, what starts, and what it is all for. */
public final class RungView {

    private final Assembly assembly;
    private final int rung;

    /**
     * A rung of a sheet.
     *
     * @param rung its position in the ladder, which the sheet has
     */
    public RungView(Assembly assembly, int rung) {
        this.assembly = assembly;
        this.rung = rung;
    }

    private Sheet sheet() {
        return assembly.sheet();
    }

    private Part part(RungItem.Passage passage) {
        return assembly.part(passage.tag()).orElseThrow();
    }

    static Stream<RungItem.Passage> passages(Rung rung) {
        return rung.items().stream().filter(RungItem.Passage.class::isInstance).map(RungItem.Passage.class::cast);
    }

    /** The coil, lamp or other load that the rung ends with; of a branch around something the one of the rung that it is on. */
    public Optional<RungItem.Passage> load() {
        List<Rung> rungs = sheet().control();
        Optional<RungItem.Passage> own = load(rungs.get(rung));
        if (own.isPresent()) {
            return own;
        }
        List<RungItem> items = rungs.get(rung).items();
        RungItem end = items.get(items.size() - 1);
        return rungs.stream()
                .filter(other -> other.points().anyMatch(end::equals))
                .flatMap(other -> load(other).stream())
                .findFirst();
    }

    private Optional<RungItem.Passage> load(Rung of) {
        return passages(of).filter(passage -> isLoad(assembly, passage)).reduce((one, other) -> other);
    }

    static boolean isLoad(Assembly assembly, RungItem.Passage passage) {
        return assembly.part(passage.tag())
                .flatMap(part -> part.loadBetween(passage.from(), passage.to()))
                .isPresent();
    }

    /** The contacts that current for the rung's load has to pass: those on it, and those on the rungs that lead to where it begins. */
    public List<RungItem.Passage> contacts() {
        List<RungItem.Passage> contacts = new ArrayList<>();
        collect(rung, contacts, new ArrayList<>());
        return contacts;
    }

    private void collect(int at, List<RungItem.Passage> contacts, List<Integer> seen) {
        if (seen.contains(at)) {
            return;
        }
        seen.add(at);
        Rung here = sheet().control().get(at);
        passages(here).filter(passage -> !isLoad(assembly, passage)).forEach(contacts::add);
        RungItem begin = here.items().get(0);
        if (begin instanceof RungItem.NamedPoint point && !point.rail()) {
            for (int other = 0; other < sheet().control().size(); other++) {
                if (other != at && sheet().control().get(other).points().skip(1).anyMatch(point::equals)) {
                    collect(other, contacts, seen);
                }
            }
        }
    }

    boolean has(String tag) {
        return contacts().stream().anyMatch(passage -> passage.tag().equals(tag));
    }

    /** Whether current has to pass a contact of a family that is closed at rest, or open. */
    boolean has(Family family, boolean closedAtRest) {
        return contacts().stream()
                .filter(passage -> part(passage).family() == family)
                .anyMatch(passage -> contact(passage)
                        .filter(contact -> contact.isNormallyClosed() == closedAtRest)
                        .isPresent());
    }

    private Optional<Contact> contact(RungItem.Passage passage) {
        return part(passage)
                .contactBetween(passage.from(), passage.to())
                .map(index -> part(passage).contacts().get(index));
    }

    /** Whether something on the rung is a button that is open at rest. */
    boolean isStart(int item) {
        return sheet().rungs(Circuit.CONTROL).get(rung).items().get(item) instanceof RungItem.Passage passage
                && part(passage).family() == Family.PUSH_BUTTON
                && contact(passage)
                        .filter(contact -> !contact.isNormallyClosed())
                        .isPresent();
    }
}
