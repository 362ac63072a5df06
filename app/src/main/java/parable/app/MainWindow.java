package parable.app;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.animation.AnimationTimer;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.door.Door;
import parable.app.fault.FaultMenu;
import parable.app.machine.MachineView;
import parable.app.meter.MeterModel;
import parable.app.meter.MeterView;
import parable.app.run.Handle;
import parable.app.run.RunModel;
import parable.app.sheet.Legend;
import parable.app.sheet.SheetView;
import parable.app.story.StoryView;
import parable.app.time.TimeBar;
import parable.app.time.TimeStrip;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.PartException;

/** The one window: the sheet with what stands beside it, under a header with job and file. */
public final class MainWindow {

    private static final double STRIP = 132;
    private static final double BESIDE = 384;

    private final JobModel jobs;
    private final BorderPane root = new BorderPane();
    private final Scene scene = new Scene(root, 1280, 800);
    private final Header header;
    private final Map<String, RunModel> runs = new LinkedHashMap<>();
    private RunModel run;
    private Door door;

    /** A window on the open job. */
    public MainWindow(JobModel jobs, FilePrompt prompt) {
        this.jobs = jobs;
        root.getStyleClass().add("window");
        scene.getStylesheets().add(MainWindow.class.getResource("parable.css").toExternalForm());
        header = new Header(jobs, prompt, this::showSheet, script -> run.play(script));
        root.setTop(header);
        jobs.jobProperty().addListener((any, before, job) -> showJob());
        scene.addEventFilter(KeyEvent.ANY, event -> {
            if (!(scene.getFocusOwner() instanceof TextInputControl)) {
                door.key(event);
            }
        });
        scene.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        scene.windowProperty().addListener((any, before, window) -> {
            if (window != null) {
                window.focusedProperty().addListener((of, had, has) -> door.letGo());
            }
        });
        showJob();
        new AnimationTimer() {
            private long last;

            @Override
            public void handle(long nanos) {
                if (last > 0) {
                    run.tick(Math.min(0.25, (nanos - last) / 1e9));
                }
                last = nanos;
            }
        }.start();
    }

    /** The scene to be put on a stage. */
    public Scene scene() {
        return scene;
    }

    /** The running sheet that is shown. */
    public RunModel run() {
        return run;
    }

    private void showJob() {
        runs.clear();
        header.showJob();
        showSheet(jobs.jobProperty().get().sheets().get(0).name());
    }

    /**
     * Shows another sheet of the job; each runs on a bench of its own, and only the one that is shown goes on.
     *
     * @param name the name of a sheet that the job has
     */
    public void showSheet(String name) {
        run = runs.computeIfAbsent(name, this::start);
        Map<String, Handle> handles = new LinkedHashMap<>();
        run.assembly().parts().stream()
                .filter(Handle::fits)
                .forEach(part -> handles.put(part.tag(), new Handle(run, part)));
        MeterModel meter = new MeterModel(run);
        SheetView sheet = new SheetView(run, handles, meter);
        VBox.setVgrow(sheet, Priority.ALWAYS);
        door = new Door(run, handles);
        ScrollPane doorPane = new ScrollPane(door);
        doorPane.setFitToWidth(true);
        doorPane.setMinHeight(120);
        doorPane.getStyleClass().add("door-pane");
        StoryView story = new StoryView(run);
        VBox.setVgrow(story, Priority.ALWAYS);
        VBox beside = new VBox(doorPane, new MachineView(run), new MeterView(run, meter, new FaultMenu(run)), story);
        beside.getStyleClass().add("beside");
        beside.setPrefWidth(BESIDE);
        beside.setMinWidth(BESIDE);
        TimeStrip strip = new TimeStrip(run);
        strip.setMinHeight(STRIP);
        strip.setPrefHeight(STRIP);
        root.setCenter(new VBox(sheet, new Legend(), strip, new TimeBar(run)));
        root.setRight(beside);
        header.showSheet(name, run);
        sheet.requestFirstFocus();
    }

    private RunModel start(String name) {
        Sheet sheet = jobs.jobProperty()
                .get()
                .sheet(name)
                .orElseThrow(() -> new IllegalArgumentException("the job has no sheet " + name));
        try {
            return new RunModel(Assembly.of(sheet));
        } catch (PartException impossible) {
            throw new IllegalStateException("a job that opened holds a sheet that cannot be fitted out", impossible);
        }
    }

    private void key(KeyEvent event) {
        if (event.isShortcutDown()) {
            header.key(event);
            return;
        }
        switch (event.getCode()) {
            case P -> run.setRunning(!run.runningProperty().get());
            case B -> run.stepBack();
            case N -> run.stepForward();
            default -> {}
        }
    }

    /** A part of the window by its id; for those who drive the window from outside. */
    public Node part(String id) {
        return scene.lookup("#" + id);
    }
}
