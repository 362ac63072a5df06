package parable.circuit;

import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What is done at the panel by what the sheet says.
 *
 * @param method how it is wired
 * @param choices the wires that somebody wants; those of a wire number count if they join all that it joins
 * @param wires what was ticked off, a wire at most once
 * @param readings what the tests found, a step at most once
 */
public record Fieldwork(WiringMethod method, List<WireChoice> choices, List<WireTicks> wires, List<Reading> readings) {

    /** Nothing done yet. */
    public static final Fieldwork NONE = new Fieldwork(WiringMethod.POINT_TO_POINT, List.of(), List.of(), List.of());

    /** Not modified: the lists are copied. */
    public Fieldwork {
        Objects.requireNonNull(method, "method");
        choices = List.copyOf(choices);
        wires = List.copyOf(wires);
        readings = List.copyOf(readings);
    }

    /** The same work by another method. */
    public Fieldwork by(WiringMethod other) {
        return new Fieldwork(other, choices, wires, readings);
    }

    /** The same work with other wires wanted. */
    public Fieldwork choosing(List<WireChoice> others) {
        return new Fieldwork(method, others, wires, readings);
    }

    /** How it is to be wired, with nothing done yet. */
    public Fieldwork undone() {
        return new Fieldwork(method, choices, List.of(), List.of());
    }

    /** What was ticked off for the wire between two terminals. */
    public Set<Tick> ticks(Terminal one, Terminal other) {
        return wires.stream()
                .filter(wire -> wire.isAbout(one, other))
                .map(WireTicks::ticks)
                .findFirst()
                .orElse(Set.of());
    }

    /** With a tick set, or taken away, for the wire between two terminals. */
    public Fieldwork ticked(Terminal one, Terminal other, Tick tick, boolean set) {
        Set<Tick> ticks = EnumSet.noneOf(Tick.class);
        ticks.addAll(ticks(one, other));
        if (set) {
            ticks.add(tick);
        } else {
            ticks.remove(tick);
        }
        Stream<WireTicks> others = wires.stream().filter(wire -> !wire.isAbout(one, other));
        Stream<WireTicks> changed = ticks.isEmpty() ? Stream.of() : Stream.of(new WireTicks(one, other, ticks));
        return new Fieldwork(method, choices, Stream.concat(others, changed).toList(), readings);
    }

    /** What was found at a step, empty if nothing was yet. */
    public Optional<Reading> reading(String step) {
        return readings.stream().filter(one -> one.step().equals(step)).findFirst();
    }

    /** With what was found at a step, in the place of what was found there before. */
    public Fieldwork with(Reading found) {
        return new Fieldwork(
                method,
                choices,
                wires,
                Stream.concat(without(found.step()), Stream.of(found)).toList());
    }

    /** Without what was found at a step. */
    public Fieldwork forget(String step) {
        return new Fieldwork(method, choices, wires, without(step).toList());
    }

    private Stream<Reading> without(String step) {
        return readings.stream().filter(one -> !one.step().equals(step));
    }

    /** With other readings in the place of those there are. */
    Fieldwork withReadings(List<Reading> others) {
        return new Fieldwork(method, choices, wires, others);
    }

    /** After devices and terminals were given other names. */
    Fieldwork relabelled(Relabelling names) {
        return new Fieldwork(
                method,
                choices.stream().map(wire -> wire.relabelled(names)).toList(),
                wires.stream().map(wire -> wire.relabelled(names)).toList(),
                readings.stream()
                        .map(one -> one.renamed(names.tagsAndMarkingsIn(one.step()), one.revision(), one.basis()))
                        .toList());
    }
}
