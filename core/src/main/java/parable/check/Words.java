package parable.check;

import java.util.Collection;
import java.util.List;

/** Lists of tags as they are read aloud. */
final class Words {

    private Words() {}

    /** The tags with commas and a last "and": {@code M1, M2 and M3}. */
    static String and(Collection<String> tags) {
        List<String> all = List.copyOf(tags);
        if (all.size() < 2) {
            return String.join("", all);
        }
        return String.join(", ", all.subList(0, all.size() - 1)) + " and " + all.get(all.size() - 1);
    }
}
