package parable.check;

import java.util.List;
import java.util.Optional;

/** {@code short-when-tried}: points of different potential are joined without a load while the starter is tried. */
final class ShortRule implements Rule {

    @Override
    public List<Finding> findings(Study study) {
        return study.trials().stream()
                .map(StartTrial::shortedBy)
                .flatMap(Optional::stream)
                .map(told -> new Finding(
                        "short-when-tried",
                        Severity.DANGER,
                        List.of(),
                        "Something is shorted once " + told + ".",
                        "Two points of different potential meet through contacts and copper alone; nothing but the breaker"
                                + " limits the current. Try it on the bench: the way of the short is drawn."))
                .distinct()
                .limit(1)
                .toList();
    }
}
