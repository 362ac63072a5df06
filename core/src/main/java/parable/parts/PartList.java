package parable.parts;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The parts of a sheet, in the order of its devices.
 *
 * @param parts the parts
 * @param terminals of each part, in the same order
 * @param indexByTag the position of each part by its tag
 */
record PartList(List<Part> parts, List<PartTerminals> terminals, Map<String, Integer> indexByTag) {

    /** A part with its terminals. */
    record Entry(Part part, PartTerminals terminals) {
        static Entry of(Part part) {
            return new Entry(part, PartTerminals.of(part));
        }
    }

    /** Parts of which no two have the same tag. */
    static PartList of(List<Entry> entries) {
        Map<String, Integer> indexByTag = new HashMap<>(2 * entries.size());
        for (int i = 0; i < entries.size(); i++) {
            indexByTag.put(entries.get(i).part.tag(), i);
        }
        return new PartList(
                entries.stream().map(Entry::part).toList(),
                entries.stream().map(Entry::terminals).toList(),
                indexByTag);
    }

    /** The same with other times for some of their contacts, by their tags. */
    PartList timed(Map<String, Travel> times) {
        List<Part> other = parts.stream()
                .map(part -> times.containsKey(part.tag()) ? part.taking(times.get(part.tag())) : part)
                .toList();
        return new PartList(other, terminals, indexByTag);
    }

    /** The position of the part of a tag, empty if there is none. */
    Optional<Integer> indexOf(String tag) {
        return Optional.ofNullable(indexByTag.get(tag));
    }

    /** What is known of the part of a tag, empty if there is none. */
    Optional<Entry> entry(String tag) {
        return indexOf(tag).map(index -> new Entry(parts.get(index), terminals.get(index)));
    }
}
