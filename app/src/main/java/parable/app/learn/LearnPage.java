package parable.app.learn;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.collections.ListChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import parable.app.job.JobModel;
import parable.app.look.Look;
import parable.app.look.PageHead;
import parable.app.meter.MeterModel;
import parable.app.run.RunModel;
import parable.app.sheet.Clicks;
import parable.app.sheet.Hit;
import parable.app.sheet.SheetView;
import parable.app.wiring.PanelView;
import parable.app.wiring.WiringModel;
import parable.bench.Bench;
import parable.bench.Moment;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.starters.Library;
import parable.training.Courses;
import parable.training.Task;

/** The courses: all tasks at the left, the drawing of the one at work, and beside it what is asked, done and answered. */
public final class LearnPage extends BorderPane {

    private static final double TASKS = 250;
    private static final double BESIDE = 380;
    private static final double PANEL = 220;

    private final LearnModel model;
    private final Look look;
    private final ListView<Task> tasks = new ListView<>();
    private final VBox said = new VBox(3);
    private final ScrollPane saidScroll = new ScrollPane(said);
    private final StackPane drawing = new StackPane();
    private final Label caption = new Label();
    private Optional<SheetView> sheet = Optional.empty();
    private final MoveButtons moves;
    private final Label title = new Label("Choose a task at the left.");
    private final TextField typed = new TextField();

    /**
     * The page.
     *
     * @param done called when one is through with it
     */
    public LearnPage(LearnModel model, Look look, Runnable done) {
        this.model = model;
        this.look = look;
        moves = new MoveButtons(model);
        setId("learn-page");
        getStyleClass().add("keys");
        setTop(new HBox(24, new PageHead("Learn", "learn-done", done), name(), seed()));
        fillTasks();
        setLeft(tasks);
        setCenter(drawing);
        drawing.setMinSize(0, 0);
        setRight(beside());
        model.workProperty().addListener((any, before, now) -> now.ifPresent(this::show));
        model.drawnProperty().addListener((any, before, now) -> now.ifPresent(this::showAsDrawn));
        model.busyProperty().addListener((any, before, now) -> moves.setDisable(now));
        model.solvedProperty().addListener((any, before, now) -> tasks.refresh());
        model.said().addListener((ListChangeListener<String>) change -> tell());
        chooseNext();
    }

    /** Whoever comes here sees a task, the first that is not solved. */
    private void chooseNext() {
        tasks.getItems().stream()
                .filter(task -> !model.solvedProperty().get().contains(task.id()))
                .findFirst()
                .ifPresent(tasks.getSelectionModel()::select);
    }

    private TextField name() {
        TextField name = new TextField();
        name.setId("learn-name");
        name.setPromptText("your name");
        name.setAccessibleText("Who learns");
        name.setPrefColumnCount(10);
        name.textProperty().bindBidirectional(model.person().nameProperty());
        name.textProperty().addListener((any, before, now) -> model.named());
        return name;
    }

    private HBox seed() {
        TextField seed = new TextField("1");
        seed.setId("learn-seed");
        seed.setAccessibleText("The number of the class: the same number hides the same");
        seed.setPrefColumnCount(4);
        seed.textProperty().addListener((any, before, now) -> {
            Courses.classNumber(now).ifPresent(model::seed);
        });
        Label words = new Label("Class number");
        words.setLabelFor(seed);
        words.setMinWidth(Region.USE_PREF_SIZE);
        HBox line = new HBox(6, words, seed);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private void fillTasks() {
        tasks.setId("learn-tasks");
        tasks.setAccessibleText("The tasks, course by course");
        tasks.setPrefWidth(TASKS);
        tasks.setMinWidth(TASKS);
        tasks.setItems(FXCollections.observableArrayList(Courses.all()));
        tasks.setCellFactory(list -> new ListCell<>() {
            @Override
            protected void updateItem(Task task, boolean empty) {
                super.updateItem(task, empty);
                setText(empty || task == null ? "" : words(task));
            }
        });
        tasks.getSelectionModel().selectedItemProperty().addListener((any, before, now) -> {
            if (now != null) {
                model.begin(now);
            }
        });
    }

    private String words(Task task) {
        String course =
                task.id().endsWith("-1") ? task.course().replace('-', ' ').toUpperCase(Locale.ROOT) + "\n" : "";
        return course + (model.solvedProperty().get().contains(task.id()) ? "\u2713 " : "   ") + task.title()
                + "\n     " + task.kind().words();
    }

    private VBox beside() {
        caption.setId("learn-caption");
        caption.getStyleClass().add("finding-text");
        caption.setPadding(new Insets(4, 8, 2, 12));
        title.getStyleClass().add("finding-text");
        title.setId("learn-title");
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        saidScroll.setFitToWidth(true);
        saidScroll.setId("learn-said");
        saidScroll.setMinHeight(160);
        saidScroll.setPrefHeight(160); // and what the moves leave
        said.getStyleClass().add("findings");
        VBox.setVgrow(saidScroll, Priority.ALWAYS);
        ScrollPane pointed = new ScrollPane(moves);
        pointed.setFitToWidth(true);
        pointed.setId("learn-moves");
        pointed.setMinHeight(120);
        pointed.prefHeightProperty().bind(moves.heightProperty().add(2)); // as high as they are, where that leaves room
        typed.setId("learn-typed");
        typed.setPromptText("or type a move, and Enter");
        typed.setAccessibleText("A move that is typed");
        typed.setOnAction(event -> {
            model.move(typed.getText().strip());
            typed.clear();
        });
        VBox beside = new VBox(8, title, saidScroll, pointed, typed);
        beside.getStyleClass().add("findings");
        beside.setPrefWidth(BESIDE);
        beside.setMinWidth(BESIDE);
        beside.setMaxWidth(BESIDE);
        return beside;
    }

    private void tell() {
        said.getChildren()
                .setAll(model.said().stream()
                        .map(words -> {
                            Label line = new Label(words);
                            line.setWrapText(true);
                            line.setMinHeight(Region.USE_PREF_SIZE);
                            line.getStyleClass().add(words.startsWith("> ") ? "finding-text" : "finding-reason");
                            return line;
                        })
                        .toList());
        saidScroll.applyCss();
        saidScroll.layout(); // the bar has to know how long it is before it goes to the end
        saidScroll.setVvalue(saidScroll.getVmax());
    }

    private void show(LearnModel.Work work) {
        title.setText(work.task().title() + ": " + work.task().kind().words().toLowerCase(Locale.ROOT) + ". "
                + work.task().sheet() + ".");
        moves.show(work.exercise());
        Sheet sheet = Courses.sheet(work.task());
        SheetView view = sheet(sheet);
        this.sheet = Optional.of(view);
        caption.setText("The drawing, all of it at rest.");
        VBox.setVgrow(view, Priority.ALWAYS);
        drawing.getChildren().setAll(new VBox(4, caption, view, panel(sheet)));
    }

    private void showAsDrawn(Moment moment) {
        caption.setText("As the drawing would have it after what you did. The machine may do otherwise.");
        sheet.ifPresent(view -> view.showInstead(Optional.of(moment)));
    }

    /** The places of the machine as one sees them, each by a button; what is clicked goes into the places of a move. */
    private VBox panel(Sheet sheet) {
        WiringModel wiring =
                new WiringModel(new JobModel(job(sheet).with(List.of(sheet)), Optional.empty()), sheet.name());
        Moment rest = Bench.of(assembly(sheet)).moment();
        PanelView panel = new PanelView(wiring, look, () -> rest);
        panel.setId("learn-panel");
        panel.setPrefHeight(PANEL);
        panel.setMinHeight(PANEL);
        panel.point(List.of());
        panel.onPointedAt(moves::putPlace);
        FlowPane places = new FlowPane(4, 4);
        places.getStyleClass().add("panel-places");
        ToggleGroup group = new ToggleGroup();
        wiring.listsProperty().addListener((any, before, now) -> {
            places.getChildren().clear();
            for (String heading : panel.headings()) {
                ToggleButton button = new ToggleButton(heading);
                button.setToggleGroup(group);
                button.getStyleClass().add("symptom-choice");
                button.setOnAction(event -> panel.show(heading));
                places.getChildren().add(button);
            }
            panel.headings().stream().findFirst().ifPresent(panel::show);
            group.selectToggle(
                    group.getToggles().isEmpty() ? null : group.getToggles().get(0));
        });
        wiring.look();
        return new VBox(4, places, panel);
    }

    private static Job job(Sheet sheet) {
        return Library.jobs().stream()
                .filter(one -> one.sheets().contains(sheet))
                .findFirst()
                .orElseThrow();
    }

    private static Assembly assembly(Sheet sheet) {
        try {
            return Assembly.of(sheet);
        } catch (PartException impossible) {
            throw new IllegalStateException("the library holds a sheet that cannot be fitted out", impossible);
        }
    }

    private SheetView sheet(Sheet sheet) {
        RunModel run = new RunModel(assembly(sheet));
        Practice practice = job(sheet).practice();
        SheetView view = new SheetView(run, () -> practice, look, Map.of(), new MeterModel(run), new ForDrawing());
        run.setRunning(false);
        view.showInstead(Optional.of(run.shownProperty().get()));
        return view;
    }

    /** What is clicked goes into the places of a move. */
    private final class ForDrawing implements Clicks {

        @Override
        public void operated(String tag) {
            moves.putDevice(tag);
        }

        @Override
        public void asked(String tag) {
            moves.putDevice(tag);
        }

        @Override
        public void wire(String number) {
            moves.put(number);
        }

        @Override
        public void menu(Hit hit, double screenX, double screenY) {
            hit.tag().ifPresent(moves::putDevice);
        }
    }
}
