package parable.app.findings;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import parable.check.Check;
import parable.check.Finding;
import parable.parts.Assembly;

/** The findings on the sheet that is shown. The rules run beside the window, and only the last sheet asked for counts. */
public final class FindingsModel {

    private final ReadOnlyObjectWrapper<List<Finding>> findings = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyBooleanWrapper checking = new ReadOnlyBooleanWrapper();
    private final AtomicLong asked = new AtomicLong();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "rules");
        thread.setDaemon(true);
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

    /** Checks a sheet; a check that is under way for an earlier one is not shown any more. */
    public void check(Assembly assembly) {
        long mine = asked.incrementAndGet();
        checking.set(true);
        worker.execute(() -> {
            if (asked.get() == mine) {
                List<Finding> found = Check.of(assembly);
                Platform.runLater(() -> show(mine, found));
            }
        });
    }

    private void show(long mine, List<Finding> found) {
        if (asked.get() == mine) {
            findings.set(found);
            checking.set(false);
        }
    }
}
