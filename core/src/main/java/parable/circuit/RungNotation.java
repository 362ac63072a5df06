package parable.circuit;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads the compact notation of a rung, for example {@code L S0[11-12] @4 S1[13-14] @5 K1[A1-A2] N ; start and stop}.
 *
 * <ul>
 *   <li>a bare word is one of the sheet's rails,
 *   <li>{@code @4} is the point with wire number 4,
 *   <li>{@code S0[11-12]} is passed through from terminal 11 to terminal 12,
 *   <li>{@code M1[U1]}, only first or last, is where the rung lands on a terminal,
 *   <li>what follows a semicolon is a remark.
 * </ul>
 *
 * Between two devices with no point named there is a node all the same; it gets its number when the sheet is numbered.
 */
public final class RungNotation {

    private static final Pattern WORD = Pattern.compile("\\S+");
    private static final Pattern PASSAGE =
            Pattern.compile("([A-Za-z0-9.]+)\\[(-|[A-Za-z0-9/+~.]+)-(-|[A-Za-z0-9/+~.]+)]");
    private static final Pattern LANDING = Pattern.compile("([A-Za-z0-9.]+)\\[(-|[A-Za-z0-9/+~.]+)]");
    private static final Pattern POINT = Pattern.compile("@([A-Za-z0-9.]+)");

    private final Set<String> rails;

    /** A reader for a sheet that has these rails; not modified. */
    public RungNotation(Set<String> rails) {
        this.rails = Set.copyOf(rails);
    }

    /**
     * The rung that this line says.
     *
     * @throws RungSyntaxException if it says none
     */
    public Rung read(String line) throws RungSyntaxException {
        int semicolon = line.indexOf(';');
        String circuit = semicolon < 0 ? line : line.substring(0, semicolon);
        String remark = semicolon < 0 ? "" : line.substring(semicolon + 1).strip();
        List<RungItem> items = new ArrayList<>();
        Matcher words = WORD.matcher(circuit);
        while (words.find()) {
            items.add(item(words.group(), words.start() + 1));
        }
        try {
            return new Rung(items, remark);
        } catch (IllegalArgumentException notARung) {
            throw new RungSyntaxException(
                    1, line.strip(), "a rung from a rail, @number or terminal to another", notARung.getMessage());
        }
    }

    private RungItem item(String word, int column) throws RungSyntaxException {
        Matcher passage = PASSAGE.matcher(word);
        if (passage.matches()) {
            return new RungItem.Passage(passage.group(1), passage.group(2), passage.group(3));
        }
        Matcher landing = LANDING.matcher(word);
        if (landing.matches()) {
            return new RungItem.TerminalEnd(new Terminal(landing.group(1), landing.group(2)));
        }
        Matcher point = POINT.matcher(word);
        if (point.matches()) {
            return new RungItem.NamedPoint(point.group(1), false);
        }
        if (rails.contains(word)) {
            return new RungItem.NamedPoint(word, true);
        }
        throw new RungSyntaxException(
                column,
                word,
                rails.isEmpty()
                        ? "@number, TAG[from-to] or TAG[terminal]"
                        : "a rail (" + String.join(", ", rails.stream().sorted().toList())
                                + "), @number, TAG[from-to] or TAG[terminal]",
                "");
    }
}
