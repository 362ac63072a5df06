package parable.parts;

import java.util.List;
import java.util.Optional;
import parable.circuit.Device;

/** Puts a part together so that a kind reads as a list of what is in it. What is not said is not there. */
final class PartBuilder {

    private final Device device;
    private final Family family;
    private List<Contact> contacts = List.of();
    private List<Load> loads = List.of();
    private List<Source> sources = List.of();
    private List<String> bare = List.of();
    private Drive drive = new Drive.None();
    private Travel travel = Travel.AT_ONCE;
    private Optional<Heater> heater = Optional.empty();
    private Optional<Machine> machine = Optional.empty();
    private Optional<Protection> protection = Optional.empty();
    private int initial;

    PartBuilder(Device device, Family family) {
        this.device = device;
        this.family = family;
    }

    PartBuilder contacts(List<Contact> all) {
        contacts = all;
        return this;
    }

    PartBuilder loads(List<Load> all) {
        loads = all;
        return this;
    }

    PartBuilder sources(List<Source> all) {
        sources = all;
        return this;
    }

    PartBuilder bareTerminals(String... markings) {
        bare = List.of(markings);
        return this;
    }

    PartBuilder movedBy(Drive by, Travel taking) {
        drive = by;
        travel = taking;
        return this;
    }

    PartBuilder heatedBy(Heater release) {
        heater = Optional.of(release);
        return this;
    }

    PartBuilder turning(Machine turned) {
        machine = Optional.of(turned);
        return this;
    }

    PartBuilder opensAbove(double amperes) {
        protection = Optional.of(new Protection(amperes, Optional.empty()));
        return this;
    }

    /** Opens by itself on a short circuit, and after a while on too much current. */
    PartBuilder opensAbove(double amperes, TripCurve curve) {
        protection = Optional.of(new Protection(amperes, Optional.of(curve)));
        return this;
    }

    PartBuilder initiallyIn(int position) {
        initial = position;
        return this;
    }

    Part build() {
        return new Part(
                device, family, contacts, loads, sources, bare, drive, travel, heater, machine, protection, initial);
    }
}
