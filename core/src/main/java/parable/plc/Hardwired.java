package parable.plc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import parable.parts.Contact;
import parable.parts.Family;
import parable.parts.Part;

/**
 * Which contacts stay in the circuits of the contactors' coils: as proposed overload contacts, E-stops and the interlocks of contactors. Only a
 * contact that every way to a coil leads through can stay.
 */
final class Hardwired {

    private final ControlGraph graph;
    private final Map<ControlGraph.Edge, Boolean> kept = new LinkedHashMap<>();
    private final Set<ControlGraph.Edge> interlocks = new LinkedHashSet<>();

    /**
     * What stays.
     *
     * @param relays the control relays that stay, because they switch contactors on their own
     */
    Hardwired(ControlGraph graph, TranslationChoices choices, Set<String> relays) {
        this.graph = graph;
        for (ControlGraph.Consumer consumer : graph.consumers()) {
            Part part = graph.assembly().parts().get(consumer.part());
            if (part.family() == Family.CONTACTOR || relays.contains(part.tag())) {
                for (ControlGraph.Edge edge : inSeries(consumer)) {
                    look(edge, part, choices);
                }
            }
        }
    }

    private List<ControlGraph.Edge> inSeries(ControlGraph.Consumer consumer) {
        List<ControlGraph.Edge> edges = new ArrayList<>(onLineSide(consumer));
        edges.addAll(onReturnSide(consumer));
        return edges;
    }

    private List<ControlGraph.Edge> onLineSide(ControlGraph.Consumer consumer) {
        return graph.railsFrom(consumer.from()).stream()
                .findFirst()
                .map(rail -> graph.allInSeries(rail, consumer.from()))
                .orElse(List.of());
    }

    private List<ControlGraph.Edge> onReturnSide(ControlGraph.Consumer consumer) {
        return graph.railsFrom(consumer.to()).stream()
                .findFirst()
                .map(rail -> graph.allInSeries(consumer.to(), rail))
                .orElse(List.of());
    }

    private void look(ControlGraph.Edge edge, Part coil, TranslationChoices choices) {
        Part part = graph.part(edge);
        Contact contact = graph.contact(edge);
        boolean interlock = part.family() == Family.CONTACTOR
                && contact.isNormallyClosed()
                && !part.tag().equals(coil.tag());
        if (interlock) {
            interlocks.add(edge);
        }
        boolean guards = part.family() == Family.OVERLOAD_RELAY
                || part.family() == Family.BREAKER
                || part.family() == Family.EMERGENCY_STOP
                || interlock;
        boolean stops = part.family() == Family.PUSH_BUTTON && contact.isNormallyClosed();
        if (guards || stops) {
            kept.put(edge, choices.copper().getOrDefault(graph.name(edge), guards));
        }
    }

    boolean isKept(ControlGraph.Edge edge) {
        return kept.getOrDefault(edge, false);
    }

    boolean isInterlock(ControlGraph.Edge edge) {
        return interlocks.contains(edge);
    }

    /** What stays between the rail in front of a coil and the coil, in order. */
    List<ControlGraph.Edge> inFrontOf(ControlGraph.Consumer coil) {
        return onLineSide(coil).stream().filter(this::isKept).toList();
    }

    /** What stays between a coil and the rail behind it, in order. */
    List<ControlGraph.Edge> behind(ControlGraph.Consumer coil) {
        return onReturnSide(coil).stream().filter(this::isKept).toList();
    }

    void tell(List<Split> splits) {
        kept.forEach((edge, copper) -> splits.add(new Split(graph.name(edge), copper, true, true, why(edge, copper))));
    }

    private String why(ControlGraph.Edge edge, boolean copper) {
        String tag = graph.part(edge).tag();
        if (isInterlock(edge)) {
            return copper
                    ? "In copper and in the program: the two contactors must not meet, whatever an output does; the program keeps it from being asked for."
                    : "In the program only: an output that sticks, or a contactor that hangs, lets both in.";
        }
        boolean guards = graph.part(edge).family() != Family.PUSH_BUTTON;
        if (copper) {
            return guards
                    ? tag
                            + " stays in copper, so that it stops the motor even if the controller has failed; the program is told as well."
                    : tag + " stops in copper too, even if the controller has failed; the program is told as well.";
        }
        return guards
                ? tag
                        + " in the program only: a controller that has failed, or an output that sticks, no longer lets it stop the motor."
                : tag + " goes to an input by the contact that conducts at rest: a broken wire stops the motor.";
    }
}
