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
import parable.parts.Assembly;
import parable.proof.Equivalence;

/** The comparison of two sheets. It runs beside the window and can be cancelled. */
final class CompareModel {

    private static final long TELL_EVERY = 100_000_000;

    private final ReadOnlyObjectWrapper<Optional<Equivalence>> found = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper comparing = new ReadOnlyBooleanWrapper();
    private final ReadOnlyIntegerWrapper done = new ReadOnlyIntegerWrapper();
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
        worker.execute(() -> {
            Equivalence result = Equivalence.of(one, other, pairs -> {
                long now = System.nanoTime();
                if (now - told > TELL_EVERY) {
                    told = now;
                    Platform.runLater(() -> done.set(pairs));
                }
                return asked.get() != mine;
            });
            Platform.runLater(() -> {
                if (asked.get() == mine) {
                    found.set(Optional.of(result));
                    comparing.set(false);
                }
            });
        });
    }

    /** Ends a comparison that is under way and forgets what was found. */
    void forget() {
        asked.incrementAndGet();
        comparing.set(false);
        found.set(Optional.empty());
    }
}
