package parable.testsheet;

import java.util.List;
import java.util.stream.Collectors;

/**
 * What the devices that act do at a panel that has trouble, and whether its protection holds: {@code K1 out, P2 dark, protection opens}.
 *
 * @param tags the devices, and {@link #PROTECTION} if fuses and breakers were looked at
 */
public record Glimpse(List<String> tags) implements Observation {

    /** Stands for all fuses and breakers among the tags. */
    public static final String PROTECTION = "protection";

    private static final int MOST_NAMED = 6;

    public Glimpse {
        tags = List.copyOf(tags);
    }

    @Override
    public String words() {
        return tags.size() > MOST_NAMED
                ? "Look"
                : "Look at "
                        + tags.stream()
                                .map(tag -> tag.equals(PROTECTION) ? "fuses and breakers" : tag)
                                .collect(Collectors.joining(", "));
    }

    @Override
    public Found at(StepRehearsal.Rest rest) {
        return Found.words(tags.stream()
                .map(tag -> tag.equals(PROTECTION)
                        ? tag + (rest.wasShorted() ? " opens" : " holds")
                        : tag + " " + Observation.Glance.condition(rest, tag).word())
                .collect(Collectors.joining(", ")));
    }

    @Override
    public boolean accepts(Found expected, String written) {
        return WrittenReading.isSame(expected, written);
    }
}
