package parable.app;

import java.nio.file.Path;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Application;
import javafx.stage.Stage;
import javafx.util.Duration;
import parable.app.job.JobModel;
import parable.circuit.Job;
import parable.files.JobFile;
import parable.starters.Library;

/**
 * Edits and saves in a window without end, to be killed: every edit gives the first device another label, a number, and tells it on
 * the standard output once it is made.
 */
public final class EditingScript {

    private static final int EDITS_BETWEEN_SAVES = 40;

    private EditingScript() {}

    /** Starts the script; the only argument is the file that it saves to. */
    public static void main(String[] arguments) {
        Application.launch(Script.class, arguments);
    }

    /** The window. Apart from the class with the main method, which the launcher would ask for the toolkit's modules otherwise. */
    public static final class Script extends Application {

        private int edits;

        @Override
        public void start(Stage stage) {
            ParableApp.prepare();
            Path file = Path.of(getParameters().getRaw().get(0));
            JobModel jobs = new JobModel(Library.jobs().get(0), Optional.empty());
            jobs.save(file);
            MainWindow window = new MainWindow(jobs, new SystemFilePrompt(stage));
            stage.setScene(window.scene());
            stage.show();
            new Autosave(jobs, window).begin();
            Timeline editing = new Timeline(new KeyFrame(Duration.millis(25), event -> edit(jobs, file)));
            editing.setCycleCount(Animation.INDEFINITE);
            editing.play();
        }

        private void edit(JobModel jobs, Path file) {
            edits++;
            jobs.edit(numbered(jobs.jobProperty().get(), edits));
            System.out.println(edits);
            System.out.flush();
            if (edits % EDITS_BETWEEN_SAVES == 0) {
                jobs.save(file);
            }
        }
    }

    private static Job numbered(Job job, int number) {
        var sheet = job.sheets().get(0);
        var devices = new java.util.ArrayList<>(sheet.devices());
        devices.set(0, devices.get(0).labelled(Integer.toString(number)));
        return job.with(sheet.withDevices(devices));
    }

    /** The number of the last edit that a job has seen. */
    static int editsIn(Job job) {
        String label = job.sheets().get(0).devices().get(0).label();
        return label.matches("\\d+") ? Integer.parseInt(label) : 0;
    }

    /** The file's ending, for those who start the script. */
    static String ending() {
        return JobFile.ENDING;
    }
}
