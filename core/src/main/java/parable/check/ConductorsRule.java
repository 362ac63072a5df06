package parable.check;

import java.util.List;
import parable.circuit.Terminal;
import parable.wiring.Crowd;

/** {@code three-conductors}: a terminal that more than two conductors were chosen to land on. */
final class ConductorsRule implements Rule {

    private static final List<String> COUNTS = List.of("three", "four", "five", "six");

    @Override
    public List<Finding> findings(Study study) {
        return Crowd.of(study.assembly()).stream().map(ConductorsRule::finding).toList();
    }

    private static Finding finding(Crowd crowd) {
        int count = crowd.from().size();
        String counted = count - 3 < COUNTS.size() ? COUNTS.get(count - 3) : String.valueOf(count);
        String others =
                Words.and(crowd.from().stream().map(ConductorsRule::words).toList());
        return new Finding(
                "three-conductors",
                Severity.ERROR,
                List.of(crowd.terminal().tag(), crowd.number()),
                words(crowd.terminal()) + " gets " + counted + " conductors of wire " + crowd.number() + ", from "
                        + others + ".",
                "Under one screw two conductors hold at the most; with a third one of them works loose. Go on from the terminal at"
                        + " the other end of a wire that has room.");
    }

    private static String words(Terminal terminal) {
        return terminal.tag() + " " + terminal.marking();
    }
}
