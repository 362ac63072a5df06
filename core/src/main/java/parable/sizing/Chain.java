package parable.sizing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import parable.ratings.RatingTable;
import parable.ratings.RatingTables;

/** Results that follow from each other, in their order. What somebody puts in the place of one goes on from there. */
final class Chain {

    private final String about;
    private final RatingTables tables;
    private final Map<String, String> overrides;
    private final Map<String, SizingResult> results = new LinkedHashMap<>();
    private final Set<String> ofEdited = new HashSet<>();
    private final List<String> notes = new ArrayList<>();

    /**
     * A chain without results.
     *
     * @param about what it is of, for the words of a refusal
     * @param overrides what is put in the place of a result, by its key
     */
    Chain(String about, RatingTables tables, Map<String, String> overrides) {
        this.about = about;
        this.tables = tables;
        this.overrides = overrides;
    }

    RatingTable table(String name) {
        return tables.table(name);
    }

    RatingTables tables() {
        return tables;
    }

    /**
     * Adds a result and gives the number that it goes on with.
     *
     * @throws SizingException if what is in its place makes no sense
     */
    double add(ResultDraft draft) throws SizingException {
        Optional<Double> other = overridden(draft);
        add(draft, other.isPresent());
        return results.get(draft.key()).value();
    }

    /** What somebody puts in its place, in its unit; that value is in the draft then. */
    private Optional<Double> overridden(ResultDraft draft) throws SizingException {
        String written = overrides.get(draft.key());
        if (written == null) {
            return Optional.empty();
        }
        double value = Measure.of(draft.unit(), 0, 1e9).read(about + ", " + draft.key(), written);
        draft.overridden(value);
        return Optional.of(value);
    }

    /** What somebody puts in the place of a result, empty if nobody does. */
    Optional<String> override(String key) {
        return Optional.ofNullable(overrides.get(key));
    }

    /** Adds a result of which the draft has what somebody put in its place already. */
    void add(ResultDraft draft, boolean overridden) {
        results.put(draft.key(), draft.result(overridden));
        if (draft.isOfEdited() && !overridden) {
            ofEdited.add(draft.key());
        }
    }

    /** Whether the number of one of some results rests on an edited table; what somebody put in its place does not. */
    boolean isOfEdited(String... keys) {
        return Stream.of(keys).anyMatch(ofEdited::contains);
    }

    /** Something to be said beside the results. */
    void note(String sentence) {
        notes.add(sentence);
    }

    List<String> notes() {
        return List.copyOf(notes);
    }

    Optional<SizingResult> result(String key) {
        return Optional.ofNullable(results.get(key));
    }

    List<SizingResult> results() {
        return List.copyOf(results.values());
    }

    /** The keys that are overridden and belong to no result. */
    List<String> unused() {
        return overrides.keySet().stream()
                .filter(key -> !results.containsKey(key))
                .toList();
    }
}
