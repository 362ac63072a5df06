package parable.app.job;

import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/**
 * Works something out beside the window. Of several questions only the last is answered; one that has not been begun is not worked out. The thread for it
 * ends when nothing has been asked for a while.
 */
public final class Latest {

    private static final long IDLE_SECONDS = 5;

    private final AtomicLong asked = new AtomicLong();
    private final ThreadPoolExecutor worker;

    /**
     * A worker of its own.
     *
     * @param name of its thread
     */
    public Latest(String name) {
        worker = new ThreadPoolExecutor(1, 1, IDLE_SECONDS, TimeUnit.SECONDS, new LinkedBlockingQueue<>(), task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            return thread;
        });
        worker.allowCoreThreadTimeOut(true);
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
