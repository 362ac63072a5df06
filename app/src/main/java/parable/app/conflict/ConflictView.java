package parable.app.conflict;

import java.util.List;
import javafx.collections.FXCollections;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.job.JobModel;
import parable.app.look.PageHead;
import parable.files.JobDifference;
import parable.files.JobFile;

/** Shows what the open job and its file on the disk have not in common, and asks which is to stay. */
public final class ConflictView extends BorderPane {

    /**
     * The page of a conflict.
     *
     * @param saveAs asks for another name for the open job
     * @param done called when one is through with it
     */
    public ConflictView(JobModel jobs, JobModel.Conflict conflict, Runnable saveAs, Runnable done) {
        setId("conflict");
        getStyleClass().add("keys");
        setTop(new PageHead("Two versions of " + conflict.file().getFileName(), "conflict-later", () -> {
            jobs.putOff();
            done.run();
        }));
        Label words = new Label(
                "Somebody else has written this file since it was read here. Nothing of either is lost: what is written over"
                        + " stays beside it as " + conflict.file().getFileName() + JobFile.PREVIOUS + ".");
        words.setWrapText(true);
        HBox versions = new HBox(14);
        if (conflict.theirs().isPresent()) {
            JobDifference difference =
                    JobDifference.of(jobs.jobProperty().get(), conflict.theirs().get());
            versions.getChildren()
                    .setAll(
                            version("conflict-mine", "Only in yours, open here", difference.here()),
                            version("conflict-theirs", "Only in the file", difference.there()));
        } else {
            words.setText(words.getText() + " What the file holds now is no job.");
        }
        VBox.setVgrow(versions, Priority.ALWAYS);
        VBox content = new VBox(14, words, versions, answers(jobs, conflict, saveAs, done));
        content.setPadding(new Insets(14, 0, 0, 0));
        setCenter(content);
    }

    private static HBox answers(JobModel jobs, JobModel.Conflict conflict, Runnable saveAs, Runnable done) {
        Button other = button("conflict-save-as", "Save mine under another name\u2026", () -> {
            jobs.putOff();
            done.run();
            saveAs.run();
        });
        Button take = button("conflict-take", "Go on with what the file holds", () -> {
            jobs.takeTheirs();
            done.run();
        });
        take.setDisable(conflict.theirs().isEmpty());
        Button over = button("conflict-over", "Write mine over it", () -> {
            jobs.saveOver();
            done.run();
        });
        return new HBox(8, other, take, over);
    }

    private static VBox version(String id, String heading, List<String> lines) {
        Label name = new Label(heading);
        name.getStyleClass().add("plate-name");
        ListView<String> list = new ListView<>(FXCollections.observableArrayList(lines));
        list.setId(id);
        list.setPlaceholder(new Label("Nothing."));
        list.setCellFactory(any -> new WrappedCell(list));
        VBox.setVgrow(list, Priority.ALWAYS);
        VBox version = new VBox(6, name, list);
        HBox.setHgrow(version, Priority.ALWAYS);
        version.setPrefWidth(1);
        return version;
    }

    private static Button button(String id, String words, Runnable action) {
        Button button = new Button(words);
        button.setId(id);
        button.setOnAction(event -> action.run());
        return button;
    }

    /** A line as broad as the list, however long it is. */
    private static final class WrappedCell extends ListCell<String> {

        private static final double MARGINS = 36;

        private final Label words = new Label();

        WrappedCell(ListView<String> list) {
            words.setWrapText(true);
            words.maxWidthProperty().bind(list.widthProperty().subtract(MARGINS));
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(String line, boolean empty) {
            super.updateItem(line, empty);
            words.setText(empty ? "" : line);
            setGraphic(empty ? null : words);
        }
    }
}
