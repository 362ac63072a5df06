package parable.wiring;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import parable.circuit.Practice;
import parable.circuit.Terminal;
import parable.parts.Assembly;

/** What lands on the terminal strip. */
public final class TerminalPlan {

    /**
     * A terminal of it.
     *
     * @param at the terminal, its wire number and where it leads
     * @param inside what is joined to its upper side
     * @param outside what is joined to its lower side
     * @param cable the cable that goes off there, empty towards the door
     * @param core its core in that cable from 1 on, 0 without a cable
     */
    public record Line(StripTerminal at, List<Terminal> inside, List<Terminal> outside, String cable, int core) {

        /** Not modified: the lists are copied. */
        public Line {
            inside = List.copyOf(inside);
            outside = List.copyOf(outside);
        }
    }

    private TerminalPlan() {}

    /** The plan in the order of the strip; empty if the sheet is wired point to point. */
    public static List<Line> of(Assembly assembly, Practice practice) {
        List<Wire> wires = WireList.of(assembly, practice).wires();
        List<Cable> cables = Cables.of(assembly, practice);
        List<Line> lines = new ArrayList<>();
        for (StripTerminal at : PanelLayout.of(assembly).strip()) {
            Optional<Cable> cable = cables.stream()
                    .filter(one -> one.wires().stream().anyMatch(wire -> isAt(wire, at)))
                    .findFirst();
            int core = cable.map(one -> one.wires()
                                    .indexOf(one.wires().stream()
                                            .filter(wire -> isAt(wire, at))
                                            .findFirst()
                                            .orElseThrow())
                            + 1)
                    .orElse(0);
            lines.add(new Line(
                    at,
                    ends(wires, at, false),
                    ends(wires, at, true),
                    cable.map(Cable::name).orElse(""),
                    core));
        }
        return lines;
    }

    private static boolean isAt(Wire wire, StripTerminal at) {
        return wire.from().equals(at.terminal()) || wire.to().equals(at.terminal());
    }

    private static List<Terminal> ends(List<Wire> wires, StripTerminal at, boolean outside) {
        return wires.stream()
                .filter(wire -> isAt(wire, at) && wire.crosses() == outside)
                .flatMap(wire -> Stream.of(wire.from(), wire.to()))
                .filter(end -> !end.equals(at.terminal()))
                .toList();
    }
}
