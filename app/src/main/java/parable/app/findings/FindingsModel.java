package parable.app.findings;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import parable.check.Check;
import parable.check.Finding;
import parable.check.Repair;
import parable.circuit.Conventions;
import parable.parts.Assembly;

/** The findings on the sheet that is shown. The rules run beside the window, and only the last sheet asked for counts. */
public final class FindingsModel {

    /** So long the redrawing has the machine for itself. */
    private static final long REDRAW_MILLIS = 80;

    private static final long QUIET_MILLIS = 300;

    /** Of all windows: the same sheet is found the same in each. */
    private static final KnownFindings KNOWN = new KnownFindings();

    private final ReadOnlyObjectWrapper<List<Finding>> findings = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyBooleanWrapper checking = new ReadOnlyBooleanWrapper();
    private final ReadOnlyObjectWrapper<Map<Finding, Repair>> repairs = new ReadOnlyObjectWrapper<>(Map.of());
    private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
    private final AtomicLong asked = new AtomicLong();

    /** What was found last by reading the sheet, and by trying it; the worker's own. */
    private List<Finding> read = List.of();

    private volatile List<Finding> tried = List.of();
    private final ScheduledExecutorService worker = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "rules");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    });

    /** What was found last, the worst first. */
    public ReadOnlyObjectProperty<List<Finding>> findingsProperty() {
        return findings.getReadOnlyProperty();
    }

    /** Whether the rules are still at work, so that what is shown belongs to an earlier sheet. */
    public ReadOnlyBooleanProperty checkingProperty() {
        return checking.getReadOnlyProperty();
    }

    /** Why the rules could not be finished, empty if they were. */
    public ReadOnlyStringProperty troubleProperty() {
        return trouble.getReadOnlyProperty();
    }

    /**
     * Checks a sheet. What can be read off it is found at once; the starter is tried when no other sheet has been asked for during a
     * while. A check that is under way for an earlier sheet is given up. What is known of a sheet is shown without another check.
     *
     * @param conventions how the devices of repairs are tagged, and which colours may be
     */
    public void check(Assembly assembly, Conventions conventions) {
        long mine = asked.incrementAndGet();
        checking.set(true);
        KnownFindings.Asked sheet = new KnownFindings.Asked(assembly.sheet(), conventions);
        Platform.runLater(() -> begin(mine, assembly, sheet));
    }

    /** The while is counted from when the window is done with what it was doing, such as opening the job. */
    private void begin(long mine, Assembly assembly, KnownFindings.Asked sheet) {
        worker.schedule(
                () -> run(mine, () -> KNOWN.of(sheet)
                        .ifPresentOrElse(
                                known -> show(mine, known),
                                () -> tell(mine, read(assembly, sheet.conventions()), true))),
                REDRAW_MILLIS,
                TimeUnit.MILLISECONDS);
        worker.schedule(
                () -> run(mine, () -> {
                    if (KNOWN.of(sheet).isEmpty()) {
                        tryOut(mine, assembly, sheet);
                    }
                }),
                QUIET_MILLIS,
                TimeUnit.MILLISECONDS);
    }

    private void tryOut(long mine, Assembly assembly, KnownFindings.Asked sheet) {
        Conventions conventions = sheet.conventions();
        Check.of(assembly, conventions.colours(), () -> asked.get() != mine).ifPresent(found -> {
            keepTried(found);
            tell(mine, found, false);
            Map<Finding, Repair> repairs = repairs(mine, assembly, found, conventions);
            offer(mine, repairs);
            if (asked.get() == mine) {
                KNOWN.keep(sheet, new KnownFindings.Known(read, found, repairs));
            }
        });
    }

    private void show(long mine, KnownFindings.Known known) {
        read = known.read();
        keepTried(known.findings());
        tell(mine, known.findings(), false);
        offer(mine, known.repairs());
    }

    private void keepTried(List<Finding> found) {
        tried = found.stream().filter(one -> !read.contains(one)).toList();
    }

    /** What is read off a sheet, and until it has been tried too, what was found by trying it before. */
    private List<Finding> read(Assembly assembly, Conventions conventions) {
        read = Check.reading(assembly, conventions.colours());
        return Stream.concat(read.stream(), tried.stream().filter(one -> one.where().stream()
                        .allMatch(tag -> assembly.part(tag).isPresent())))
                .distinct()
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
    }

    private Map<Finding, Repair> repairs(long mine, Assembly assembly, List<Finding> found, Conventions conventions) {
        Map<Finding, Repair> repairs = new LinkedHashMap<>();
        for (Finding finding : found) {
            Repair.of(assembly, finding, found, conventions, () -> asked.get() != mine)
                    .ifPresent(repair -> repairs.put(finding, repair));
        }
        return repairs;
    }

    private void offer(long mine, Map<Finding, Repair> offered) {
        Platform.runLater(() -> {
            if (asked.get() == mine) {
                repairs.set(offered);
            }
        });
    }

    /** What would mend a finding; found a while after the findings themselves, and only where it is safe. */
    public ReadOnlyObjectProperty<Map<Finding, Repair>> repairsProperty() {
        return repairs.getReadOnlyProperty();
    }

    /** Forgets what was found, as when another sheet is shown. */
    public void forget() {
        asked.incrementAndGet();
        tried = List.of();
        findings.set(List.of());
        repairs.set(Map.of());
        trouble.set("");
    }

    /** Whatever a rule may stumble over is told: nobody is to wait for a check that will not come. */
    private void run(long mine, Runnable check) {
        if (asked.get() != mine) {
            return;
        }
        try {
            check.run();
        } catch (RuntimeException unexpected) {
            Platform.runLater(() -> {
                if (asked.get() == mine) {
                    trouble.set(unexpected.toString());
                    checking.set(false);
                }
            });
        }
    }

    private void tell(long mine, List<Finding> found, boolean goesOn) {
        Platform.runLater(() -> {
            if (asked.get() == mine) {
                repairs.set(Map.of());
                findings.set(found);
                trouble.set("");
                checking.set(goesOn);
            }
        });
    }
}
