package parable.circuit;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What has been ticked off for one wire.
 *
 * @param from one of its ends
 * @param to the other
 * @param ticks what was ticked, not empty
 */
public record WireTicks(Terminal from, Terminal to, Set<Tick> ticks) {

    /** Not modified: the set is copied. */
    public WireTicks {
        ticks = ticks.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(ticks));
    }

    /** Whether it is about the wire between two terminals, either way round. */
    public boolean isAbout(Terminal one, Terminal other) {
        return from.equals(one) && to.equals(other) || from.equals(other) && to.equals(one);
    }

    WireTicks relabelled(Relabelling names) {
        return new WireTicks(names.of(from), names.of(to), ticks);
    }

    /** As it is written in a job file: {@code S1:13 K1:13 done tugged}. */
    @Override
    public String toString() {
        return from + " " + to + ticks.stream().map(tick -> " " + tick.word()).collect(Collectors.joining());
    }
}
