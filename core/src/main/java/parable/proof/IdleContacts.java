package parable.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import parable.bench.Fault;
import parable.bench.Progress;
import parable.parts.Assembly;

/**
 * Contacts of which nothing shows whether they conduct: closed for good or open for good, every claim says the same as before. Such a contact
 * is useless, or there for the sake of a safety that is not proved.
 */
public final class IdleContacts {

    private IdleContacts() {}

    /**
     * The idle contacts of a sheet, each as {@code K1 13-14}, in the table's order. Only those are proved with the contact closed and open that
     * neither break anything nor show themselves in the table.
     *
     * @param table what single faults do to the sheet
     * @param progress told how many contacts have been looked at; what is left out when it ends the work is not listed
     */
    public static List<String> of(Assembly assembly, List<FaultRow> table, Progress progress) {
        List<Fault> quiet = table.stream()
                .filter(row -> row.isHidden() && !row.isDangerous())
                .map(FaultRow::fault)
                .toList();
        List<Fault> suspects = quiet.stream()
                .filter(fault -> fault.kind() == Fault.Kind.WELDED && quiet.contains(open(fault)))
                .toList();
        List<String> idle = new ArrayList<>();
        if (suspects.isEmpty()) {
            return idle;
        }
        Set<String> healthy = told(assembly, List.of(), progress);
        for (int i = 0; i < suspects.size() && !progress.isCancelled(i); i++) {
            Fault closed = suspects.get(i);
            boolean same = told(assembly, List.of(closed), progress).equals(healthy)
                    && told(assembly, List.of(open(closed)), progress).equals(healthy);
            if (same && !progress.isCancelled(i)) {
                idle.add(closed.tag() + " " + closed.place());
            }
        }
        return idle;
    }

    private static Fault open(Fault closed) {
        return new Fault(Fault.Kind.BURNT, closed.tag(), closed.place());
    }

    private static Set<String> told(Assembly assembly, List<Fault> faults, Progress progress) {
        return Proof.with(assembly, faults, Proof.Timing.WITHIN_TIMES, progress).claims().stream()
                .map(claim -> claim.id() + " " + claim.text() + " " + claim.verdict())
                .collect(Collectors.toSet());
    }
}
