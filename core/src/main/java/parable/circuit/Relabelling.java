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

    /** A sentence with the new tags. */
    String tagsIn(String sentence) {
        return WORD.matcher(sentence)
                .replaceAll(word -> Matcher.quoteReplacement(tags.getOrDefault(word.group(), word.group())));
    }

    /** A sentence with the new tags, and with the new markings of what is behind the tag of its device: {@code Ohms from F2 2 to M1 U1}. */
    String tagsAndMarkingsIn(String sentence) {
        Matcher words = WORD.matcher(sentence);
        StringBuilder renamed = new StringBuilder();
        String device = "";
        while (words.find()) {
            String word = words.group();
            String marking = markings.get(new Terminal(device, word));
            if (marking == null && tags.containsKey(word)) {
                device = word;
            }
            words.appendReplacement(
                    renamed, Matcher.quoteReplacement(marking == null ? tags.getOrDefault(word, word) : marking));
        }
        return words.appendTail(renamed).toString();
    }
}
