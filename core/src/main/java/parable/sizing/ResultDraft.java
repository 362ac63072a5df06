package parable.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import parable.ratings.RatingLine;
import parable.ratings.RatingTable;

/** A result while it is worked out. */
final class ResultDraft {

    private final String key;
    private final String name;
    private final List<String> inputs = new ArrayList<>();
    private double value;
    private String unit = "";
    private Optional<String> written = Optional.empty();
    private String formula = "";
    private String source = "";
    private String row = "";
    private boolean edited;
    private Optional<LimitVerdict> verdict = Optional.empty();

    private ResultDraft(String key, String name) {
        this.key = key;
        this.name = name;
    }

    static ResultDraft of(String key, String name) {
        return new ResultDraft(key, name);
    }

    /** What goes in. */
    ResultDraft from(String what, double number, String in) {
        inputs.add(what + " " + Figures.written(number) + (in.isEmpty() ? "" : " " + in));
        return this;
    }

    /** What goes in, in words. */
    ResultDraft from(String what) {
        inputs.add(what);
        return this;
    }

    ResultDraft is(double number, String in) {
        value = number;
        unit = in;
        return this;
    }

    /** As it is ordered, where that is not the number and its unit. */
    ResultDraft written(String words) {
        written = Optional.of(words);
        return this;
    }

    /** Somebody's own number in the place of what follows; words that were for the other go. */
    ResultDraft overridden(double number) {
        value = number;
        written = Optional.empty();
        return this;
    }

    ResultDraft by(String how, String where) {
        formula = how;
        source = where;
        return this;
    }

    /** Read from a row of a table. */
    ResultDraft read(RatingTable table, RatingLine line) {
        return read(table, table.columns().get(0) + " " + line.key());
    }

    /** Read from a table, at a place in words. */
    ResultDraft read(RatingTable table, String at) {
        source = joined(source, table.source());
        row = joined(row, at);
        edited |= table.edited();
        return this;
    }

    /** Rests on results of a chain too, so that it is of an edited table if one of them is. Keys without a result count for nothing. */
    ResultDraft follows(Chain chain, String... keys) {
        return follows(chain.isOfEdited(keys));
    }

    /** Rests on something else too, which may be of an edited table. */
    ResultDraft follows(boolean ofEdited) {
        edited |= ofEdited;
        return this;
    }

    private static String joined(String before, String next) {
        return before.isEmpty() ? next : before + "; " + next;
    }

    /** The limit and whether it is kept. */
    ResultDraft limit(boolean met, String words) {
        verdict = Optional.of(new LimitVerdict(met, words));
        return this;
    }

    String key() {
        return key;
    }

    String place() {
        return name;
    }

    String unit() {
        return unit;
    }

    /** Whether a number that it rests on is of an edited table. */
    boolean isOfEdited() {
        return edited;
    }

    SizingResult result(boolean overridden) {
        String as = written.orElseGet(() -> Figures.written(value) + (unit.isEmpty() ? "" : " " + unit));
        return new SizingResult(
                key,
                name,
                value,
                unit,
                as,
                inputs,
                formula,
                source,
                row,
                verdict,
                overridden,
                edited && (!overridden || verdict.isPresent()));
    }
}
