package parable.app;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.TextInputDialog;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import parable.app.job.FilePrompt;
import parable.files.JobFile;

/** Asks with the file chooser of the system. */
final class SystemFilePrompt implements FilePrompt {

    private final Window owner;

    SystemFilePrompt(Window owner) {
        this.owner = owner;
    }

    @Override
    public Optional<Path> toOpen() {
        return Optional.ofNullable(chooser("Open a job").showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> toSave(String suggestedName) {
        FileChooser chooser = chooser("Save the job as");
        chooser.setInitialFileName(suggestedName);
        return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> toWrite(String what, String suggestedName) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(what);
        chooser.setInitialFileName(suggestedName);
        return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> toRead(String what) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(what);
        return Optional.ofNullable(chooser.showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<String> toName(String what, String present) {
        TextInputDialog dialog = new TextInputDialog(present);
        dialog.initOwner(owner);
        dialog.setTitle(what);
        dialog.setHeaderText(what);
        return dialog.showAndWait();
    }

    private static FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.getExtensionFilters()
                .setAll(
                        new FileChooser.ExtensionFilter("Jobs (*" + JobFile.ENDING + ")", "*" + JobFile.ENDING),
                        new FileChooser.ExtensionFilter("All files", "*.*"));
        return chooser;
    }
}
