package parable.circuit;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import parable.program.Program;

/**
 * One starter: its devices, its power circuit and its control circuit. Tags, rails and wire numbers are the sheet's own.
 *
 * @param name unique in the job, for example {@code Wash pump}
 * @param duty what it is meant to do
 * @param rails the uprights of the ladder, left one first
 * @param devices in the order they are listed
 * @param power the power circuit, one rung a pole, from the supply down
 * @param control the ladder, one rung a line, top to bottom
 * @param accepted the findings that somebody has accepted
 * @param claims what somebody claims of it beside what follows from the circuit, each a sentence in plain terms
 * @param program what the sheet's controller does, empty if it has none or nothing was written for it yet
 * @param fieldwork what was done at the panel by it
 * @param stated what somebody states for its sizing
 * @param extras unknown fields
 */
public record Sheet(
        String name,
        Duty duty,
        List<Rail> rails,
        List<Device> devices,
        List<Rung> power,
        List<Rung> control,
        List<Acceptance> accepted,
        List<String> claims,
        Optional<Program> program,
        Fieldwork fieldwork,
        List<Stated> stated,
        Extras extras) {

    /** Not modified: the lists are copied. */
    public Sheet {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(duty, "duty");
        Objects.requireNonNull(program, "program");
        Objects.requireNonNull(fieldwork, "fieldwork");
        Objects.requireNonNull(extras, "extras");
        rails = List.copyOf(rails);
        devices = List.copyOf(devices);
        power = List.copyOf(power);
        control = List.copyOf(control);
        accepted = List.copyOf(accepted);
        claims = List.copyOf(claims);
        stated = List.copyOf(stated);
    }

    /** A sheet on which nothing has been accepted or claimed. */
    public Sheet(
            String name,
            Duty duty,
            List<Rail> rails,
            List<Device> devices,
            List<Rung> power,
            List<Rung> control,
            Extras extras) {
        this(
                name,
                duty,
                rails,
                devices,
                power,
                control,
                List.of(),
                List.of(),
                Optional.empty(),
                Fieldwork.NONE,
                List.of(),
                extras);
    }

    /** This sheet with other acceptances. */
    public Sheet withAccepted(List<Acceptance> others) {
        return new Sheet(
                name, duty, rails, devices, power, control, others, claims, program, fieldwork, stated, extras);
    }

    /** This sheet with other claims. */
    public Sheet withClaims(List<String> others) {
        return new Sheet(
                name, duty, rails, devices, power, control, accepted, others, program, fieldwork, stated, extras);
    }

    /** This sheet with another program, or without one. */
    public Sheet withProgram(Optional<Program> other) {
        return new Sheet(
                name, duty, rails, devices, power, control, accepted, claims, other, fieldwork, stated, extras);
    }

    /** This sheet after other work at the panel. */
    public Sheet withFieldwork(Fieldwork other) {
        return new Sheet(name, duty, rails, devices, power, control, accepted, claims, program, other, stated, extras);
    }

    /** This sheet with other statements for its sizing. */
    public Sheet withStated(List<Stated> others) {
        return new Sheet(
                name, duty, rails, devices, power, control, accepted, claims, program, fieldwork, others, extras);
    }

    /** What accepts a finding, empty if nobody has. */
    public Optional<Acceptance> acceptance(String code, List<String> where) {
        return accepted.stream().filter(one -> one.accepts(code, where)).findFirst();
    }

    /** The device of this tag, empty if the sheet has none. */
    public Optional<Device> device(String tag) {
        return devices.stream().filter(device -> device.tag().equals(tag)).findFirst();
    }

    /** The rungs of one of its circuits. */
    public List<Rung> rungs(Circuit circuit) {
        return switch (circuit) {
            case POWER -> power;
            case CONTROL -> control;
        };
    }

    /** This sheet with other devices. */
    public Sheet withDevices(List<Device> others) {
        return new Sheet(
                name, duty, rails, others, power, control, accepted, claims, program, fieldwork, stated, extras);
    }

    /** This sheet after devices were given other tags, all at once, from the old to the new. */
    public Sheet retagged(Map<String, String> tags) {
        return relabelled(new Relabelling(tags, Map.of()));
    }

    /** This sheet after devices and terminals were given other names. */
    public Sheet relabelled(Relabelling names) {
        Map<String, String> tags = names.tags();
        return new Sheet(
                name,
                duty,
                rails,
                devices.stream().map(device -> device.retagged(tags)).toList(),
                power.stream().map(rung -> rung.relabelled(names)).toList(),
                control.stream().map(rung -> rung.relabelled(names)).toList(),
                accepted.stream().map(one -> one.retagged(tags)).toList(),
                claims.stream().map(names::tagsIn).toList(),
                program.map(one -> one.renamed(tags)),
                fieldwork.relabelled(names),
                stated.stream()
                        .map(one ->
                                new Stated(tags.getOrDefault(one.about(), one.about()), one.quantity(), one.value()))
                        .toList(),
                extras);
    }

    /** This sheet with other rails. */
    public Sheet withRails(List<Rail> others) {
        return new Sheet(
                name, duty, others, devices, power, control, accepted, claims, program, fieldwork, stated, extras);
    }

    /** This sheet with other rungs in one of its circuits. */
    public Sheet withRungs(Circuit circuit, List<Rung> others) {
        return switch (circuit) {
            case POWER -> new Sheet(
                    name, duty, rails, devices, others, control, accepted, claims, program, fieldwork, stated, extras);
            case CONTROL -> new Sheet(
                    name, duty, rails, devices, power, others, accepted, claims, program, fieldwork, stated, extras);
        };
    }

    /** Whether another sheet has the same circuit, whatever it is called and whatever was done by it at the panel. */
    public boolean isSameCircuit(Sheet other) {
        return devices.equals(other.devices)
                && power.equals(other.power)
                && control.equals(other.control)
                && rails.equals(other.rails);
    }

    /** This sheet under another name. */
    public Sheet named(String other) {
        return new Sheet(
                other, duty, rails, devices, power, control, accepted, claims, program, fieldwork, stated, extras);
    }

    /** Every rung, the power circuit's first. */
    public Stream<Rung> rungs() {
        return Stream.concat(power.stream(), control.stream());
    }
}
