package parable.finding;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import parable.bench.Fault;

/**
 * Something that may be wrong with a panel.
 *
 * @param faults one, or two at once
 */
public record Suspect(List<Fault> faults) {

    /** Not modified: the list is copied. */
    public Suspect {
        faults = List.copyOf(faults);
        if (faults.isEmpty()) {
            throw new IllegalArgumentException("faults of a suspect: found none, expected one or more");
        }
    }

    /** A single fault. */
    public static Suspect of(Fault fault) {
        return new Suspect(List.of(fault));
    }

    /** Both at once. */
    Suspect and(Suspect other) {
        return new Suspect(
                Stream.concat(faults.stream(), other.faults().stream()).toList());
    }

    /** In a sentence without its full stop: {@code K1 13-14 no longer conducts}. */
    public String words() {
        return faults.stream().map(Fault::words).collect(Collectors.joining(", and "));
    }
}
