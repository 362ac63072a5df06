package parable.app.program;

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
import parable.proof.Equivalence;

/** The comparison of two sheets. It runs beside the window and can be cancelled. */
final class CompareModel {

    private static final long TELL_EVERY = 100_000_000;

    private final ReadOnlyObjectWrapper<Optional<Equivalence>> found = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper comparing = new ReadOnlyBooleanWrapper();
    private final ReadOnlyIntegerWrapper done = new ReadOnlyIntegerWrapper();
    private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
    private final AtomicLong asked = new AtomicLong();
    private volatile long told;
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "comparison");
        thread.setDaemon(true);
        return thread;
    });

    /** What was found, empty until something was. */
    ReadOnlyObjectProperty<Optional<Equivalence>> foundProperty() {
        return found.getReadOnlyProperty();
    }

    ReadOnlyBooleanProperty comparingProperty() {
        return comparing.getReadOnlyProperty();
    }

    /** How many pairs of states so far. */
    ReadOnlyIntegerProperty doneProperty() {
        return done.getReadOnlyProperty();
    }

    void compare(Assembly one, Assembly other) {
        long mine = asked.incrementAndGet();
        found.set(Optional.empty());
        done.set(0);
        comparing.set(true);
        trouble.set("");
        worker.execute(() -> {
            try {
                Equivalence result = Equivalence.of(one, other, pairs -> isOver(mine, pairs));
                end(mine, () -> found.set(Optional.of(result)));
            } catch (OutOfMemoryError full) {
                end(mine, () -> trouble.set("memory ran out"));
            } catch (RuntimeException unexpected) {
                end(mine, () -> trouble.set(unexpected.toString()));
            }
        });
    }

    private boolean isOver(long mine, int pairs) {
        long now = System.nanoTime();
        if (now - told > TELL_EVERY) {
            told = now;
            Platform.runLater(() -> done.set(pairs));
        }
        return asked.get() != mine;
    }

    private void end(long mine, Runnable outcome) {
        Platform.runLater(() -> {
            if (asked.get() == mine) {
                outcome.run();
                comparing.set(false);
            }
        });
    }

    /** Why the comparison could not be finished, empty if it was. */
    ReadOnlyStringProperty troubleProperty() {
        return trouble.getReadOnlyProperty();
    }

    /** Ends a comparison that is under way and forgets what was found. */
    void forget() {
        asked.incrementAndGet();
        comparing.set(false);
        trouble.set("");
        found.set(Optional.empty());
    }
}
