package parable.proof;

import java.util.List;
import java.util.Optional;
import parable.bench.Fault;

/**
 * Contacts of which nothing tells whether they conduct: closed for good or open for good, no claim breaks and nothing usual looks
 * different. Such a contact is useless, or there for the sake of a safety that is not proved.
 */
public final class IdleContacts {

    private IdleContacts() {}

    /** The idle contacts among those of which a table tells, each as {@code K1 13-14}, in the table's order. */
    public static List<String> of(List<FaultRow> table) {
        return table.stream()
                .filter(row -> row.fault().kind() == Fault.Kind.WELDED && changesNothing(row))
                .filter(row -> open(table, row.fault())
                        .filter(IdleContacts::changesNothing)
                        .isPresent())
                .map(row -> row.fault().tag() + " " + row.fault().place())
                .toList();
    }

    private static Optional<FaultRow> open(List<FaultRow> table, Fault closed) {
        Fault open = new Fault(Fault.Kind.BURNT, closed.tag(), closed.place());
        return table.stream().filter(row -> row.fault().equals(open)).findFirst();
    }

    private static boolean changesNothing(FaultRow row) {
        return row.isHidden() && !row.isDangerous();
    }
}
