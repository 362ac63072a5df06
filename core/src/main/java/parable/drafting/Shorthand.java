package parable.drafting;

import java.util.List;
import java.util.stream.Collectors;
import parable.circuit.Rung;
import parable.circuit.RungItem;
import parable.parts.Assembly;
import parable.parts.Part;

/** A rung in the words that one would type for another one like it: the same devices, the points between them left out. */
public final class Shorthand {

    private Shorthand() {}

    /** The words for a rung of an assembled sheet. */
    public static String of(Rung rung, Assembly assembly) {
        List<RungItem> items = rung.items();
        return items.stream()
                .filter(item ->
                        item instanceof RungItem.Passage || item == items.get(0) || item == items.get(items.size() - 1))
                .map(item -> item instanceof RungItem.Passage passage ? word(passage, assembly) : item.text())
                .collect(Collectors.joining(" "));
    }

    private static String word(RungItem.Passage passage, Assembly assembly) {
        Part part = assembly.part(passage.tag()).orElseThrow();
        return part.contactBetween(passage.from(), passage.to())
                .map(index -> part.contacts().get(index))
                .map(contact ->
                        contact.pole() ? passage.text() : (contact.isNormallyClosed() ? "/" : "") + passage.tag())
                .orElse("(" + passage.tag() + ")");
    }
}
