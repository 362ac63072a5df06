package parable.ratings;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * A table of a practice.
 *
 * @param name by which it is asked for, such as {@code motor-current}
 * @param title what it says
 * @param source the standard and table it is from, with its edition
 * @param columns the heads of its columns; the first is that of the key
 * @param lines its rows from the smallest on, at least one
 * @param edited whether somebody has changed it
 */
public record RatingTable(
        String name, String title, String source, List<String> columns, List<RatingLine> lines, boolean edited) {

    private static final String MARK = "= ";

    /** Not modified: the lists are copied. */
    public RatingTable {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(source, "source");
        columns = List.copyOf(columns);
        lines = List.copyOf(lines);
    }

    /**
     * A table as it is written.
     *
     * @param written {@code = name | title | source}, then a line of columns, then its rows, all cells with a bar between
     * @param edited whether somebody has changed it
     * @throws RatingFormatException if that is no table, or a row has not as many cells as there are columns
     */
    public static RatingTable read(List<String> written, boolean edited) throws RatingFormatException {
        List<String> text = written.stream().filter(line -> !line.isBlank()).toList();
        if (text.size() < 3 || !text.get(0).startsWith(MARK)) {
            throw new RatingFormatException(
                    "table", text.isEmpty() ? "nothing" : text.get(0), "'= name | title | source', columns and rows");
        }
        List<String> head = cells(text.get(0).substring(MARK.length()));
        if (head.size() != 3) {
            throw new RatingFormatException("table", text.get(0), "'= name | title | source'");
        }
        List<String> columns = cells(text.get(1));
        List<RatingLine> lines = new ArrayList<>();
        Set<String> keys = new HashSet<>();
        for (String one : text.subList(2, text.size())) {
            List<String> cells = cells(one);
            String place = head.get(0) + ", row " + cells.get(0);
            if (cells.size() != columns.size()) {
                throw new RatingFormatException(place, cells.size() + " cells", columns.size() + " cells");
            }
            if (!keys.add(cells.get(0))) {
                throw new RatingFormatException(place, "this row twice", "each row once");
            }
            lines.add(new RatingLine(columns, cells));
        }
        checkOrder(head.get(0), lines);
        return new RatingTable(head.get(0), head.get(1), head.get(2), columns, lines, edited);
    }

    private static void checkOrder(String name, List<RatingLine> lines) throws RatingFormatException {
        for (int i = 1; i < lines.size(); i++) {
            if (lines.get(i).amount() <= lines.get(i - 1).amount()) {
                throw new RatingFormatException(
                        name + ", row " + lines.get(i).key(),
                        lines.get(i).key() + " after " + lines.get(i - 1).key(),
                        "rows from the smallest to the largest");
            }
        }
    }

    private static List<String> cells(String line) {
        List<String> cells = new ArrayList<>();
        int from = 0;
        for (int bar = line.indexOf('|'); bar >= 0; bar = line.indexOf('|', from)) {
            cells.add(line.substring(from, bar).strip());
            from = bar + 1;
        }
        cells.add(line.substring(from).strip());
        return cells;
    }

    /** As it is written, so that {@link #read} gives the same. */
    public List<String> written() {
        List<String> written = new ArrayList<>();
        written.add(MARK + String.join(" | ", name, title, source));
        written.add(String.join(" | ", columns));
        lines.forEach(line -> written.add(String.join(" | ", line.cells())));
        return written;
    }

    /** Whether it has a column. */
    public boolean has(String column) {
        return columns.contains(column);
    }

    /** The row of this key, empty if there is none. */
    public Optional<RatingLine> line(String key) {
        return lines.stream().filter(line -> line.key().equals(key)).findFirst();
    }

    /** The smallest row of which something is true, empty if of none. */
    public Optional<RatingLine> first(Predicate<RatingLine> which) {
        return lines.stream().filter(which).findFirst();
    }

    /** The smallest row with at least this key, empty where it is beyond the table. */
    public Optional<RatingLine> from(double key) {
        return first(line -> line.amount() >= key * (1 - RatingLine.ROUNDING));
    }

    /** The largest row with at most this key, empty where it is before the table. */
    public Optional<RatingLine> upTo(double key) {
        return lines.stream()
                .filter(line -> line.amount() <= key * (1 + RatingLine.ROUNDING))
                .reduce((one, larger) -> larger);
    }

    /** The first row. */
    public RatingLine least() {
        return lines.get(0);
    }

    /** The last row. */
    public RatingLine most() {
        return lines.get(lines.size() - 1);
    }

    /**
     * The value of a column at a key, between two rows so that equal ratios stay equal, beyond the rows in proportion to the key. Rows without a value are left out.
     *
     * @return empty if the column has no value in any row
     */
    public Optional<Double> between(double key, String column) {
        List<RatingLine> filled =
                lines.stream().filter(line -> line.number(column).isPresent()).toList();
        if (filled.isEmpty()) {
            return Optional.empty();
        }
        RatingLine below = filled.get(0);
        RatingLine above = filled.get(filled.size() - 1);
        for (RatingLine line : filled) {
            below = line.amount() <= key ? line : below;
        }
        for (int i = filled.size() - 1; i >= 0; i--) {
            above = filled.get(i).amount() >= key ? filled.get(i) : above;
        }
        double low = below.number(column).orElseThrow();
        double high = above.number(column).orElseThrow();
        if (below.amount() > key || above.amount() < key || below.equals(above)) {
            RatingLine only = below.amount() > key ? below : above;
            return Optional.of(only.number(column).orElseThrow() * key / only.amount());
        }
        double share = Math.log(key / below.amount()) / Math.log(above.amount() / below.amount());
        return Optional.of(low * Math.pow(high / low, share));
    }
}
