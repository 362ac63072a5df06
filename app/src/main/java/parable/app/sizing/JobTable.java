package parable.app.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import parable.sizing.JobQuestion;
import parable.sizing.JobSizing;

/** All motors of a job in one table that can be sorted, and what they have in common. */
final class JobTable {

    private static final double ROW = 26;
    private static final double HEAD = 30;
    private static final int MOST_ROWS = 14;

    private final BiFunction<String, String, String> state;
    private final Consumer<String> tell;

    /**
     * The table.
     *
     * @param state states something of the job by its key; gives why it makes no sense, or nothing
     * @param tell takes that
     */
    JobTable(BiFunction<String, String, String> state, Consumer<String> tell) {
        this.state = state;
        this.tell = tell;
    }

    List<Node> content(SizingModel.Sized sized, boolean narrow) {
        List<Node> nodes = new ArrayList<>();
        if (!sized.problem().isEmpty()) {
            nodes.add(SizingPage.words(
                    "Tables of the job: " + sized.problem() + ". Those that ship are used.", "card-refusal"));
        }
        nodes.add(SizingPage.words("All motors of " + sized.job().name(), "sizing-heading"));
        nodes.add(table(sized.sizing()));
        if (!sized.sizing().problem().isEmpty()) {
            nodes.add(SizingPage.words(sized.sizing().problem(), "card-refusal"));
        }
        sized.sizing().inputs().ifPresent(inputs -> {
            nodes.add(SizingPage.words("Supply, feeder and enclosure", "sizing-heading"));
            nodes.add(new InputGrid(JobQuestion.all(), inputs, narrow, state, tell));
        });
        nodes.add(SizingPage.words("What follows", "sizing-heading"));
        nodes.add(new ResultRows(sized.sizing().results(), narrow, state, tell));
        return nodes;
    }

    private static TableView<JobSizing.Row> table(JobSizing sizing) {
        TableView<JobSizing.Row> table = new TableView<>(FXCollections.observableArrayList(sizing.rows()));
        table.setId("sizing-motors");
        table.setAccessibleText("All motors of the job");
        table.getStyleClass().add("wire-table");
        table.setFixedCellSize(ROW);
        table.setPrefHeight(
                HEAD + ROW * Math.max(2, Math.min(MOST_ROWS, sizing.rows().size())) + 16);
        table.setMinHeight(table.getPrefHeight());
        List<String> heads = JobSizing.Row.heads();
        for (int i = 0; i < heads.size(); i++) {
            int at = i;
            TableColumn<JobSizing.Row, String> column = new TableColumn<>(heads.get(i));
            column.setCellValueFactory(
                    row -> new ReadOnlyStringWrapper(row.getValue().cells().get(at)));
            column.setComparator(JobSizing.Row::compare);
            column.setPrefWidth(width(at, sizing));
            table.getColumns().add(column);
        }
        return table;
    }

    /** As wide as its longest word, within reason. */
    private static double width(int column, JobSizing sizing) {
        int longest = sizing.rows().stream()
                .mapToInt(row -> row.cells().get(column).length())
                .max()
                .orElse(0);
        int letters = Math.max(longest, JobSizing.Row.heads().get(column).length() + 1);
        return 18 + 6.6 * Math.min(26, letters);
    }
}
