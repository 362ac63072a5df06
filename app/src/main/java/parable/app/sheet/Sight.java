package parable.app.sheet;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiPredicate;
import java.util.stream.Stream;
import parable.bench.Condition;
import parable.bench.Fault;
import parable.bench.Moment;
import parable.draw.Mark;
import parable.draw.Subject;
import parable.network.NodeState;

/**
 * How the marks of a drawing look at an instant.
 *
 * @param moment the instant
 * @param concerns whether a fault of a device concerns what a symbol of it stands for
 * @param numbers numbers beside the tags of devices, so that what is said of them elsewhere is found on the drawing
 */
record Sight(Moment moment, BiPredicate<Fault, Subject> concerns, Map<String, List<Integer>> numbers) {

    private static final int MOST_DISCS = 3;

    /** The marks that are seen at all as they look, in the same order; only the first tag of a device is numbered. */
    List<Seen> of(List<Mark> marks) {
        List<Seen> seen = new ArrayList<>(marks.size());
        Set<String> numbered = new HashSet<>();
        for (Mark mark : marks) {
            if (mark instanceof Mark.WireLine wire) {
                seen.add(new Seen.OnWire(wire, stateOf(wire.number())));
            } else if (mark instanceof Mark.Junction junction) {
                seen.add(new Seen.OnJunction(junction, stateOf(junction.number())));
            } else if (mark instanceof Mark.Symbol symbol) {
                seen.add(new Seen.OfSymbol(
                        symbol, isOn(symbol.subject()), stateOf(symbol.wire()), isFaulty(symbol.subject())));
            } else if (mark instanceof Mark.Text label) {
                boolean first = label.role() == Mark.TextRole.TAG
                        && numbers.containsKey(label.text())
                        && numbered.add(label.text());
                seen.add(new Seen.OfLabel(label, first ? discs(numbers.get(label.text())) : List.of()));
            } else if (mark instanceof Mark.ConditionSpot condition) {
                seen.add(new Seen.OfCondition(condition, moment.condition(condition.tag())));
            } else if (mark instanceof Mark.Link link) {
                seen.add(new Seen.OfLink(link));
            } else if (mark instanceof Mark.Figure figure) {
                seen.add(new Seen.OfFigure(figure));
            }
        }
        return seen;
    }

    /** Of many numbers the first stand there, and how many more there are: they are not to cover the drawing. */
    private static List<String> discs(List<Integer> numbers) {
        Stream<String> first = numbers.stream().limit(MOST_DISCS).map(String::valueOf);
        int more = numbers.size() - MOST_DISCS;
        return (more > 0 ? Stream.concat(first, Stream.of("+" + more)) : first).toList();
    }

    private NodeState stateOf(String number) {
        return moment.node(number).orElse(NodeState.DEAD);
    }

    private boolean isFaulty(Subject subject) {
        return moment.faults().stream()
                .filter(fault -> fault.tag().equals(subject.tag()))
                .anyMatch(fault -> concerns.test(fault, subject));
    }

    private boolean isOn(Subject subject) {
        if (subject instanceof Subject.OfContact contact) {
            return moment.closed(contact.tag(), contact.contact());
        }
        if (subject instanceof Subject.OfLoad load) {
            return moment.energised(load.tag(), load.load());
        }
        if (subject instanceof Subject.OfMotor motor) {
            return moment.condition(motor.tag()) != Condition.STOPPED;
        }
        return moment.condition(subject.tag()) == Condition.PRESENT;
    }
}
