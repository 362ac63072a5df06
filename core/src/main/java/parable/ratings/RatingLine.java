package parable.ratings;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A row of a table.
 *
 * @param columns the heads of the columns
 * @param cells as they are written, as many as columns; a hyphen where there is no value
 */
public record RatingLine(List<String> columns, List<String> cells) {

    /** Keys are written with few digits. */
    static final double ROUNDING = 1e-9;

    private static final String NOTHING = "-";

    /** Not modified: the lists are copied. */
    public RatingLine {
        columns = List.copyOf(columns);
        cells = List.copyOf(cells);
    }

    /** Its key as it is written. */
    public String key() {
        return cells.get(0);
    }

    /** Its key as a number; not a number where it is a name, so that names have no order. */
    public double amount() {
        return numeric(key()).orElse(Double.NaN);
    }

    /** What is in a column. */
    public String word(String column) {
        return cells.get(columns.indexOf(column));
    }

    /** What is in a column as a number, empty where there is none. */
    public OptionalDouble number(String column) {
        int at = columns.indexOf(column);
        return at < 0
                ? OptionalDouble.empty()
                : numeric(cells.get(at)).map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }

    private static Optional<Double> numeric(String cell) {
        if (cell.equals(NOTHING)) {
            return Optional.empty();
        }
        try {
            return Optional.of(Double.parseDouble(cell));
        } catch (NumberFormatException name) {
            return Optional.empty();
        }
    }
}
