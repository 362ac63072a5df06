package parable.app;

import javafx.application.Platform;
import parable.files.FailureNote;

/** What happens when something fails that nobody foresaw, on whatever thread: the unsaved work is kept first, then it is told in words. */
final class Trouble implements Thread.UncaughtExceptionHandler {

    private final Autosave autosave;
    private final MainWindow window;

    Trouble(Autosave autosave, MainWindow window) {
        this.autosave = autosave;
        this.window = window;
    }

    @Override
    public void uncaughtException(Thread thread, Throwable failure) {
        Platform.runLater(() -> {
            autosave.keepNow();
            window.tell(FailureNote.words(failure)
                    + " What was under way is given up; unsaved work is kept. Please save, and start Parable anew.");
        });
    }
}
