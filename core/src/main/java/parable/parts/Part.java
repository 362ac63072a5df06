package parable.parts;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import parable.circuit.Device;

/**
 * A device of a sheet fitted out as its kind says: what it has inside and how it moves.
 *
 * @param device the device
 * @param family what it is
 * @param contacts its contacts and poles
 * @param loads its coils, lamps and windings
 * @param sources its sources of voltage
 * @param bare terminals that have neither contact, load nor source, such as a protective earth
 * @param drive what moves it
 * @param travel how long its contacts take
 * @param heater its thermal overload release, empty if it has none
 * @param machine its mechanical side, empty for all that is no motor
 * @param protection what makes it open by itself on too much current, empty if it never does
 * @param initial the position it is in before anything is done to it: 0 for an open breaker, 1 for a sound fuse
 */
public record Part(
        Device device,
        Family family,
        List<Contact> contacts,
        List<Load> loads,
        List<Source> sources,
        List<String> bare,
        Drive drive,
        Travel travel,
        Optional<Heater> heater,
        Optional<Machine> machine,
        Optional<Protection> protection,
        int initial) {

    /** This with other times for its contacts. */
    Part taking(Travel times) {
        return new Part(
                device, family, contacts, loads, sources, bare, drive, times, heater, machine, protection, initial);
    }

    /** The marking of the inner star point of a motor with three leads; no rung can name it. */
    static final String STAR_POINT = "*";

    /** Not modified: the lists are copied. */
    public Part {
        contacts = List.copyOf(contacts);
        loads = List.copyOf(loads);
        sources = List.copyOf(sources);
        bare = List.copyOf(bare);
    }

    /** By its tag, which is one of its sheet's alone: all that a part is made of takes long to go through, and parts are in many sets. */
    @Override
    public int hashCode() {
        return tag().hashCode();
    }

    /** The markings at which the three lines of a three-phase motor begin, in their order: U1, V1, W1 or T1, T2, T3; none of anything else. */
    public List<String> lineLeads() {
        boolean threePhase = family == Family.MOTOR
                && loads.size() == 3
                && loads.stream().allMatch(load -> load.rated().kind() == CurrentKind.AC);
        return threePhase ? loads.stream().map(Load::from).toList() : List.of();
    }

    /** Whether a source of it gives less voltage the more is drawn from it. */
    public boolean sags() {
        return sources.stream().anyMatch(Source::sags);
    }

    /** The device's tag. */
    public String tag() {
        return device.tag();
    }

    /** Whether another part of the same sheet is this one; told by the tag, for comparing all that is in them would take long. */
    public boolean is(Part other) {
        return tag().equals(other.tag());
    }

    /** The markings of all terminals that a wire can land on, in the order they are listed on the device. */
    public Set<String> terminals() {
        Set<String> markings = new LinkedHashSet<>();
        contacts.forEach(contact -> {
            markings.add(contact.from());
            markings.add(contact.to());
        });
        loads.forEach(load -> {
            markings.add(load.from());
            markings.add(load.to());
        });
        sources.forEach(source -> {
            markings.add(source.live());
            markings.add(source.reference());
        });
        markings.addAll(bare);
        markings.remove(STAR_POINT);
        return markings;
    }

    /** The position in {@link #contacts()} of the contact between these two terminals, either way round. */
    public Optional<Integer> contactBetween(String one, String other) {
        for (int i = 0; i < contacts.size(); i++) {
            if (sides(contacts.get(i).from(), contacts.get(i).to(), one, other)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    /** The position in {@link #loads()} of the load between these two terminals, either way round. */
    public Optional<Integer> loadBetween(String one, String other) {
        for (int i = 0; i < loads.size(); i++) {
            if (sides(loads.get(i).from(), loads.get(i).to(), one, other)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    /** Every pair of terminals that a rung can pass through, as it is marked. */
    List<String> passages() {
        return Stream.concat(
                        contacts.stream().map(Contact::marking),
                        loads.stream()
                                .filter(load -> !load.endsAtStarPoint())
                                .map(load -> load.from() + "-" + load.to()))
                .toList();
    }

    private static boolean sides(String from, String to, String one, String other) {
        return from.equals(one) && to.equals(other) || from.equals(other) && to.equals(one);
    }
}
