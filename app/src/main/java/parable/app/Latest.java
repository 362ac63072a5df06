package parable.app;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/** Works something out beside the window. Of several questions only the last is answered; one that has not been begun is not worked out. */
public final class Latest {

    private final AtomicLong asked = new AtomicLong();
    private final ExecutorService worker;

    /**
     * A worker of its own.
     *
     * @param name of its thread
     */
    public Latest(String name) {
        worker = Executors.newSingleThreadExecutor(task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            return thread;
        });
    }

    /**
     * Asks; to be called on the interface thread.
     *
     * @param work done on the worker; must not touch the window
     * @param then takes the answer on the interface thread, unless something else was asked meanwhile
     */
    public <T> void ask(Supplier<T> work, Consumer<T> then) {
        long mine = asked.incrementAndGet();
        worker.execute(() -> {
            if (asked.get() == mine) {
                T answer = work.get();
                Platform.runLater(() -> {
                    if (asked.get() == mine) {
                        then.accept(answer);
                    }
                });
            }
        });
    }
}
