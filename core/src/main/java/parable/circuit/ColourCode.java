package parable.circuit;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Which colours operators and lamps may have. The first that is named for a use is the one that is proposed.
 *
 * @param allowed the colours for each use, none twice
 */
public record ColourCode(Map<ColourUse, List<String>> allowed) {

    /** The colours there are (IEC 60204-1:2016, 10.2.1 and 10.3.2; NFPA 79, 10.2 and 10.3, which says amber for yellow). */
    public static final List<String> COLOURS = List.of("red", "yellow", "green", "blue", "white", "grey", "black");

    private static final List<String> OTHER = List.of("black", "white", "grey", "blue", "yellow");
    private static final List<String> STOP = List.of("red", "black", "grey", "white");
    private static final List<String> TRIPPED = List.of("yellow", "red");

    private static final ColourCode IEC = new ColourCode(Map.of(
            ColourUse.START, List.of("green", "white", "grey", "black"),
            ColourUse.OTHER, OTHER,
            ColourUse.STOP, STOP,
            ColourUse.EMERGENCY_STOP, List.of("red"),
            ColourUse.RUNNING, List.of("green", "white"),
            ColourUse.STOPPED, List.of("white", "green"),
            ColourUse.TRIPPED, TRIPPED));

    private static final ColourCode NORTH_AMERICAN = new ColourCode(Map.of(
            ColourUse.START, List.of("black", "green", "white", "grey"),
            ColourUse.OTHER, OTHER,
            ColourUse.STOP, STOP,
            ColourUse.EMERGENCY_STOP, List.of("red"),
            ColourUse.RUNNING, List.of("red", "green", "white"),
            ColourUse.STOPPED, List.of("green", "white"),
            ColourUse.TRIPPED, TRIPPED));

    /** What one practice or the other allows. */
    public static final ColourCode EITHER = IEC.or(NORTH_AMERICAN);

    /** Not modified: the lists are copied; a use that is not named has no colour. */
    public ColourCode {
        Map<ColourUse, List<String>> copied = new EnumMap<>(ColourUse.class);
        for (ColourUse use : ColourUse.values()) {
            copied.put(use, List.copyOf(allowed.getOrDefault(use, List.of())));
        }
        allowed = Collections.unmodifiableMap(copied);
    }

    /**
     * What is usual in a practice. IEC 60204-1 reserves red for emergencies, so that what runs is green or white; in North American shops what runs
     * is red, for it is live, and what is stopped is green.
     */
    public static ColourCode of(Practice practice) {
        return switch (practice) {
            case IEC -> IEC;
            case NORTH_AMERICAN -> NORTH_AMERICAN;
        };
    }

    private ColourCode or(ColourCode other) {
        Map<ColourUse, List<String>> both = new EnumMap<>(ColourUse.class);
        allowed.forEach((use, colours) -> both.put(
                use,
                Stream.concat(colours.stream(), other.allowed.get(use).stream())
                        .distinct()
                        .toList()));
        return new ColourCode(both);
    }

    /** The colours for a use, the one that is proposed first. */
    public List<String> colours(ColourUse use) {
        return allowed.get(use);
    }

    /** Whether a colour is allowed for a use. */
    public boolean allows(ColourUse use, String colour) {
        return colours(use).contains(colour);
    }

    /** The code with other colours for a use. */
    public ColourCode with(ColourUse use, List<String> colours) {
        Map<ColourUse, List<String>> changed = new EnumMap<>(allowed);
        changed.put(use, colours);
        return new ColourCode(changed);
    }

    /** The code with a colour allowed for a use, as the last, or no longer. */
    public ColourCode with(ColourUse use, String colour, boolean allow) {
        List<String> others = new ArrayList<>(colours(use));
        others.remove(colour);
        if (allow) {
            others.add(colour);
        }
        return with(use, others);
    }
}
