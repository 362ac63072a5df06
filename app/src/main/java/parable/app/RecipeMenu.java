package parable.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.Region;
import parable.app.job.JobModel;
import parable.app.look.Hint;
import parable.circuit.Sheet;
import parable.files.FileFailure;
import parable.files.PlainFile;
import parable.scenario.Scenario;
import parable.scenario.ScenarioException;

/** The recipes of the sheet that is shown, which lie in files beside the job. */
final class RecipeMenu extends MenuButton {

    private final JobModel jobs;
    private final Supplier<Sheet> shown;
    private final Consumer<Scenario> play;
    private final Consumer<String> tell;

    /**
     * The menu.
     *
     * @param shown gives the sheet that is shown
     * @param play plays a recipe on it
     * @param tell tells why one cannot be played
     */
    RecipeMenu(JobModel jobs, Supplier<Sheet> shown, Consumer<Scenario> play, Consumer<String> tell) {
        super("Recipes");
        this.jobs = jobs;
        this.shown = shown;
        this.play = play;
        this.tell = tell;
        setId("recipes");
        setMinWidth(Region.USE_PREF_SIZE);
        Hint.on(this, "Scripts that operate this sheet and say what to expect");
    }

    /** Lists the recipes of the sheet that is shown now. */
    void look() {
        getItems().clear();
        for (Path script : scripts()) {
            MenuItem item = new MenuItem(Recipes.title(script));
            item.setOnAction(event -> play(script));
            getItems().add(item);
        }
        setVisible(!getItems().isEmpty());
    }

    private List<Path> scripts() {
        Optional<Path> origin = jobs.origin();
        try {
            return origin.isPresent() ? Recipes.of(origin.get(), shown.get().name()) : List.of();
        } catch (IOException unreadable) {
            tell.accept("The recipes beside this job cannot be read: " + FileFailure.words(unreadable) + ".");
            return List.of();
        }
    }

    private void play(Path script) {
        try {
            play.accept(Scenario.read(PlainFile.text(script), shown.get()));
        } catch (ScenarioException nonsense) {
            tell.accept("The recipe " + script.getFileName() + " cannot be played: " + nonsense.getMessage() + ".");
        } catch (IOException unreadable) {
            tell.accept(
                    "The recipe " + script.getFileName() + " cannot be read: " + FileFailure.words(unreadable) + ".");
        }
    }
}
