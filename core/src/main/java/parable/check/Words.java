package parable.check;

import java.util.Collection;
import java.util.List;

/** Lists of tags as they are read aloud. */
final class Words {

    private Words() {}

    /** The tags with commas and a last "and": {@code M1, M2 and M3}. */
    static String and(Collection<String> tags) {
        return joined(List.copyOf(tags), " and ");
    }

    /** The words with commas and a last "or": {@code red, grey or white}. */
    static String or(Collection<String> words) {
        return joined(List.copyOf(words), " or ");
    }

    private static String joined(List<String> all, String last) {
        if (all.size() < 2) {
            return String.join("", all);
        }
        return String.join(", ", all.subList(0, all.size() - 1)) + last + all.get(all.size() - 1);
    }
}
