package parable.circuit;

import java.util.List;

/**
 * What is stated for the sizing of a whole job.
 *
 * @param stated what its supply, its feeder and its enclosure are like
 * @param tables the tables that it keeps as its own
 */
public record SizingBasis(List<Stated> stated, List<TableCopy> tables) {

    /** Nothing is stated, and the tables are those that ship. */
    public static final SizingBasis NONE = new SizingBasis(List.of(), List.of());

    /** Not modified: the lists are copied. */
    public SizingBasis {
        stated = List.copyOf(stated);
        tables = List.copyOf(tables);
    }

    /** The same with other statements. */
    public SizingBasis stating(List<Stated> others) {
        return new SizingBasis(others, tables);
    }

    /** The same with other tables. */
    public SizingBasis withTables(List<TableCopy> others) {
        return new SizingBasis(stated, others);
    }
}
