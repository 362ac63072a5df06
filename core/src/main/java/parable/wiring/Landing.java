package parable.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import parable.circuit.Fieldwork;
import parable.circuit.Terminal;
import parable.circuit.Tick;
import parable.circuit.WireChoice;
import parable.parts.Assembly;

/**
 * Where else the ends of a wire may land, so that everything stays joined. Any terminal will do that the rest of the wires joins with that end; whether
 * it has room for one more is for whoever wires to see.
 */
public final class Landing {

    private final Wire wire;
    private final List<Terminal> group;
    private final List<WireChoice> wires;
    private final boolean chosen;

    private Landing(Wire wire, List<Terminal> group, List<WireChoice> wires, boolean chosen) {
        this.wire = wire;
        this.group = group;
        this.wires = wires;
        this.chosen = chosen;
    }

    /**
     * The landings of a wire.
     *
     * @param list the wires of the sheet
     * @param wire one of them
     * @throws IllegalArgumentException if it is none of them
     */
    public static Landing of(Assembly assembly, WireList list, Wire wire) {
        Groups groups = new Groups(assembly, PanelLayout.of(assembly));
        List<Terminal> group = groups.around(wire);
        List<WireChoice> wires = list.wires().stream()
                .filter(one -> one.number().equals(wire.number()))
                .filter(one -> group.contains(one.from()) && group.contains(one.to()))
                .map(one -> new WireChoice(one.from(), one.to()))
                .toList();
        return new Landing(wire, group, wires, groups.chosen(group).isPresent());
    }

    /** Whether the wires of its number are as somebody wants them. */
    public boolean isChosen() {
        return chosen;
    }

    /**
     * The terminals that an end of the wire may land on instead.
     *
     * @param end one of its two ends
     */
    public List<Terminal> insteadOf(Terminal end) {
        Set<Terminal> there = Reach.of(end, others().toList());
        return group.stream()
                .filter(terminal -> there.contains(terminal) && !terminal.equals(end))
                .toList();
    }

    private Stream<WireChoice> others() {
        return wires.stream().filter(one -> !one.isBetween(wire.from(), wire.to()));
    }

    /**
     * The work after an end of the wire has come to land on another terminal: the wires of its number stay as they are from then on, and what was
     * ticked off for the wire no longer is.
     *
     * @param end one of its two ends
     * @param instead one of {@link #insteadOf}
     */
    public Fieldwork moved(Fieldwork work, Terminal end, Terminal instead) {
        Terminal stays = end.equals(wire.from()) ? wire.to() : wire.from();
        List<WireChoice> choices = new ArrayList<>(outside(work));
        others().forEach(choices::add);
        choices.add(new WireChoice(stays, instead));
        Fieldwork moved = work.choosing(choices);
        for (Tick tick : work.ticks(wire.from(), wire.to())) {
            moved = moved.ticked(wire.from(), wire.to(), tick, false);
        }
        return moved;
    }

    /** The work with the wires of this number as they are proposed. */
    public Fieldwork asProposed(Fieldwork work) {
        return work.choosing(outside(work));
    }

    private List<WireChoice> outside(Fieldwork work) {
        return work.choices().stream()
                .filter(one -> !group.contains(one.one()) || !group.contains(one.other()))
                .toList();
    }
}
