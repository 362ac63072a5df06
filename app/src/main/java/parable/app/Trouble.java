package parable.app;

import java.util.concurrent.atomic.AtomicInteger;
import javafx.application.Platform;
import parable.files.FailureNote;

/** What happens when something fails that nobody foresaw, on whatever thread: the unsaved work is kept first, then it is told in words. */
final class Trouble implements Thread.UncaughtExceptionHandler {

    /** What fails with every frame is told no more often. */
    private static final int MOST_TOLD = 3;

    private final AtomicInteger met = new AtomicInteger();
    private final Autosave autosave;
    private final MainWindow window;

    Trouble(Autosave autosave, MainWindow window) {
        this.autosave = autosave;
        this.window = window;
    }

    @Override
    public void uncaughtException(Thread thread, Throwable failure) {
        if (met.incrementAndGet() > MOST_TOLD) {
            return;
        }
        Platform.runLater(() -> {
            autosave.keepNow();
            window.tell(FailureNote.words(failure)
                    + " What was under way is given up; unsaved work is kept. Please save, and start Parable anew.");
        });
    }
}
