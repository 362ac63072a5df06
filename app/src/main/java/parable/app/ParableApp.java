package parable.app;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;
import parable.app.job.HomeFolder;
import parable.app.job.JobModel;
import parable.app.look.Theme;
import parable.app.look.Typeface;

/** Starts the window. */
public final class ParableApp extends Application {

    /** The property that says where the journal lies; without it in the user's home folder. */
    public static final String JOURNAL = HomeFolder.PROPERTY;

    private static Supplier<JobModel> jobs;
    private static Optional<RuntimeException> nothingToShow = Optional.empty();
    private JobModel shown;
    private static Consumer<MainWindow> whenShown = window -> {};

    /**
     * Opens the window and returns when it is closed. If there is nothing to show, there is no window.
     *
     * @param toShow gives the job to show; asked once the toolkit is up, so that the job can be read meanwhile. What it throws is thrown by this
     * @param afterwards called on the interface thread once the window is up
     */
    public static void show(Supplier<JobModel> toShow, Consumer<MainWindow> afterwards) {
        jobs = toShow;
        whenShown = afterwards;
        paintFewPixels();
        launch(ParableApp.class);
        nothingToShow.ifPresent(why -> {
            throw why;
        });
    }

    @Override
    public void start(Stage stage) {
        prepare();
        try {
            shown = jobs.get();
        } catch (RuntimeException nothing) {
            nothingToShow = Optional.of(nothing);
            Platform.exit();
            return;
        }
        MainWindow window = new MainWindow(shown, new SystemFilePrompt(stage));
        stage.setTitle("Parable");
        stage.setMinWidth(1000);
        stage.setMinHeight(640);
        stage.setScene(window.scene());
        stage.show();
        Autosave autosave = new Autosave(shown, window);
        Thread.setDefaultUncaughtExceptionHandler(new Trouble(autosave, window));
        autosave.begin();
        window.lately().follow(shown, HomeFolder.recent());
        whenShown.accept(window);
    }

    @Override
    public void stop() {
        if (nothingToShow.isEmpty()) {
            shown.close();
        }
    }

    /**
     * Lets the toolkit keep more places apart that have to be painted anew; with fewer it paints all that lies between them too. Must come before it starts.
     */
    public static void paintFewPixels() {
        System.setProperty("prism.dirtyregioncount", "12");
    }

    /** Fonts and theme, for everything that shows a window. */
    public static void prepare() {
        Typeface.load();
        setUserAgentStylesheet(Wardrobe.controls(Theme.DAY));
    }
}
