package parable.app.findings;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import parable.parts.Assembly;
import parable.proof.FaultRow;
import parable.proof.IdleContacts;
import parable.proof.Proof;
import parable.proof.SingleFaults;

/** The proof of the sheet that is shown. It runs beside the window and can be cancelled. */
public final class ProofModel {

    private final ReadOnlyObjectWrapper<Optional<Proof>> proof = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper proving = new ReadOnlyBooleanWrapper();
    private final ReadOnlyObjectWrapper<Optional<List<FaultRow>>> faults =
            new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<List<String>> idle = new ReadOnlyObjectWrapper<>(List.of());
    private static final long TELL_EVERY = 100_000_000;

    private final ReadOnlyIntegerWrapper done = new ReadOnlyIntegerWrapper();
    private volatile long told;
    private final ReadOnlyBooleanWrapper trying = new ReadOnlyBooleanWrapper();
    private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
    private final AtomicLong asked = new AtomicLong();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "proof");
        thread.setDaemon(true);
        return thread;
    });

    /** The proof, empty until there is one of the sheet as it is. */
    public ReadOnlyObjectProperty<Optional<Proof>> proofProperty() {
        return proof.getReadOnlyProperty();
    }

    /** Whether states are being explored. */
    public ReadOnlyBooleanProperty provingProperty() {
        return proving.getReadOnlyProperty();
    }

    /** Goes through every state of a sheet. */
    public void prove(Assembly assembly) {
        long mine = asked.get();
        proof.set(Optional.empty());
        trouble.set("");
        done.set(0);
        proving.set(true);
        worker.execute(() -> {
            try {
                go(mine, assembly);
            } catch (OutOfMemoryError full) {
                Platform.runLater(() -> stumbled(mine, "memory ran out"));
            } catch (RuntimeException unexpected) {
                Platform.runLater(() -> stumbled(mine, unexpected.toString()));
            }
        });
    }

    private void go(long mine, Assembly assembly) {
        Proof found = Proof.of(assembly, Proof.Timing.WITHIN_TIMES, done -> isOver(mine, done));
        Platform.runLater(() -> show(mine, found));
    }

    /** Whatever the proof may stumble over is told: nobody is to wait for one that will not come. */
    private void stumbled(long mine, String words) {
        if (asked.get() == mine) {
            trouble.set(words);
            proving.set(false);
            trying.set(false);
        }
    }

    /** Why the proof could not be finished, empty if it was. */
    public ReadOnlyStringProperty troubleProperty() {
        return trouble.getReadOnlyProperty();
    }

    private void show(long mine, Proof found) {
        if (asked.get() == mine) {
            proof.set(Optional.of(found));
            proving.set(false);
        }
    }

    /** What single faults do, empty until they have been tried on the sheet as it is. */
    public ReadOnlyObjectProperty<Optional<List<FaultRow>>> faultsProperty() {
        return faults.getReadOnlyProperty();
    }

    /** Whether single faults are being tried. */
    public ReadOnlyBooleanProperty tryingProperty() {
        return trying.getReadOnlyProperty();
    }

    /** Tries every single fault on a sheet. */
    public void tryFaults(Assembly assembly) {
        long mine = asked.get();
        faults.set(Optional.empty());
        done.set(0);
        trying.set(true);
        worker.execute(() -> {
            try {
                List<FaultRow> rows = SingleFaults.of(assembly, done -> isOver(mine, done));
                List<String> found = IdleContacts.of(assembly, rows, done -> asked.get() != mine);
                Platform.runLater(() -> show(mine, rows, found));
            } catch (RuntimeException unexpected) {
                Platform.runLater(() -> stumbled(mine, unexpected.toString()));
            }
        });
    }

    /** The contacts of which nothing shows whether they conduct; there together with the faults. */
    public ReadOnlyObjectProperty<List<String>> idleProperty() {
        return idle.getReadOnlyProperty();
    }

    private void show(long mine, List<FaultRow> rows, List<String> found) {
        if (asked.get() == mine) {
            idle.set(found);
            faults.set(Optional.of(rows));
            trying.set(false);
        }
    }

    /** How far the work under way is: so many states, or so many faults. */
    public ReadOnlyIntegerProperty doneProperty() {
        return done.getReadOnlyProperty();
    }

    private boolean isOver(long mine, int now) {
        long time = System.nanoTime();
        if (now > 0 && time - told > TELL_EVERY) {
            told = time;
            Platform.runLater(() -> done.set(now));
        }
        return asked.get() != mine;
    }

    /** Ends what is under way; what was found before stays. */
    public void cancel() {
        asked.incrementAndGet();
        proving.set(false);
        trying.set(false);
    }

    /** Ends what is under way, and forgets what was proved, as when the sheet has changed. */
    public void forget() {
        asked.incrementAndGet();
        proof.set(Optional.empty());
        faults.set(Optional.empty());
        trouble.set("");
        proving.set(false);
        trying.set(false);
    }
}
