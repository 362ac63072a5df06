package parable.circuit;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Other names for devices and their terminals, all given at once.
 *
 * @param tags the new tags by the old ones
 * @param markings the new markings by the old terminals, those with their old tags
 */
public record Relabelling(Map<String, String> tags, Map<Terminal, String> markings) {

    private static final Pattern WORD = Pattern.compile("[A-Za-z0-9]+(\\.[A-Za-z0-9]+)*");

    /** Not modified: the maps are copied. */
    public Relabelling {
        tags = Map.copyOf(tags);
        markings = Map.copyOf(markings);
    }

    /** The same terminal under its new name. */
    public Terminal of(Terminal terminal) {
        return new Terminal(
                tags.getOrDefault(terminal.tag(), terminal.tag()), markings.getOrDefault(terminal, terminal.marking()));
    }

    /** A sentence with the new tags, and with the new markings of the devices that it names. */
    String words(String sentence) {
        return WORD.matcher(sentence).replaceAll(word -> Matcher.quoteReplacement(word(word.group(), sentence)));
    }

    private String word(String word, String sentence) {
        return markings.entrySet().stream()
                .filter(entry -> entry.getKey().marking().equals(word)
                        && WORD.matcher(sentence).results().anyMatch(other -> other.group()
                                .equals(entry.getKey().tag())))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(tags.getOrDefault(word, word));
    }
}
