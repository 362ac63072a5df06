package parable.app;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.animation.AnimationTimer;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.desk.DeskModel;
import parable.app.desk.DeskView;
import parable.app.door.Door;
import parable.app.fault.FaultMenu;
import parable.app.findings.FindingsModel;
import parable.app.findings.FindingsView;
import parable.app.findings.ProofModel;
import parable.app.keys.KeysView;
import parable.app.look.Look;
import parable.app.look.Theme;
import parable.app.machine.MachineView;
import parable.app.meter.MeterModel;
import parable.app.meter.MeterView;
import parable.app.paper.PaperMenu;
import parable.app.run.Handles;
import parable.app.run.RunModel;
import parable.app.sheet.Legend;
import parable.app.sheet.SheetView;
import parable.app.start.StartModel;
import parable.app.start.StartView;
import parable.app.story.StoryView;
import parable.app.time.TimeBar;
import parable.app.time.TimeStrip;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.parts.Assembly;
import parable.parts.Family;
import parable.parts.PartException;
import parable.proof.Refutation;

/** The one window: the sheet with what stands beside it, under a header with job and file. */
public final class MainWindow {

    private static final double STRIP = 132;
    private static final double BESIDE = 384;
    private static final double DOOR_WHILE_DRAWING = 190;

    private final JobModel jobs;
    private final BorderPane root = new BorderPane();
    private final Scene scene = new Scene(root, 1280, 800);
    private final SheetList sheetList;
    private final Header header;
    private final Look look = new Look();
    private final ViewMenu viewMenu;
    private final Mounting mounting;
    private final Map<String, RunModel> runs = new LinkedHashMap<>();
    private final Map<String, MeterModel> meters = new LinkedHashMap<>();
    private final Map<String, DeskView> desks = new LinkedHashMap<>();
    private final Map<String, DeskModel> deskModels = new LinkedHashMap<>();
    private final Map<String, Handles> handlesBySheet = new LinkedHashMap<>();
    private final Map<String, VBox> desksBeside = new LinkedHashMap<>();
    private RunModel run;
    private String shown = "";
    private Step step = Step.TRY;
    private final FindingsModel findings = new FindingsModel();
    private final ProofModel proof = new ProofModel();
    private Optional<Sheet> checked = Optional.empty();
    private int opened;
    private Door door;

    /** A window on the open job. */
    public MainWindow(JobModel jobs, FilePrompt prompt) {
        this.jobs = jobs;
        root.getStyleClass().add("window");
        scene.getStylesheets().add(MainWindow.class.getResource("parable.css").toExternalForm());
        sheetList = new SheetList(jobs, () -> shown, this::showSheet, this::showStart, prompt);
        mounting = new Mounting(jobs, () -> shown, prompt);
        viewMenu = new ViewMenu(jobs, look, this::showKeys);
        header = new Header(
                jobs,
                prompt,
                sheetList,
                this::showSheet,
                script -> run.play(script),
                viewMenu,
                new PaperMenu(jobs.jobProperty()::get, () -> shown, prompt, this::tell));
        look.themeProperty().addListener((any, before, theme) -> wear(theme));
        root.setTop(header);
        jobs.jobProperty().addListener((any, before, job) -> {
            if (jobs.openedProperty().get() == opened) {
                showEdited(job);
            } else {
                showJob();
            }
        });
        scene.addEventFilter(KeyEvent.ANY, event -> {
            if (!(scene.getFocusOwner() instanceof TextInputControl) && !isAsking()) {
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

    /** Asks at the top of the window what is to become of work that was left behind. */
    void offer(String words, Runnable recover, Runnable discard) {
        header.offer(words, "Recover", recover, "Discard", discard);
    }

    /** Tells something at the top of the window. */
    void tell(String words) {
        header.tell(words);
    }

    /** The running sheet that is shown. */
    public RunModel run() {
        return run;
    }

    private void showJob() {
        opened = jobs.openedProperty().get();
        runs.clear();
        desks.clear();
        deskModels.clear();
        handlesBySheet.clear();
        desksBeside.clear();
        meters.clear();
        header.showJob();
        showSheet(jobs.jobProperty().get().sheets().get(0).name());
    }

    /** An edit takes effect at once: what survives it keeps its state, and the rest of the window stays. */
    private void showEdited(Job job) {
        boolean typing = desks.containsKey(shown) && desks.get(shown).isTyping();
        runs.keySet().removeIf(name -> job.sheet(name).isEmpty());
        runs.replaceAll((name, old) -> {
            Sheet sheet = job.sheet(name).orElseThrow();
            return sheet.equals(old.assembly().sheet()) ? old : old.on(assembled(sheet));
        });
        header.showJob();
        showSheet(job.sheet(shown).isPresent() ? shown : job.sheets().get(0).name());
        if (typing) {
            desks.get(shown).type();
        }
    }

    /**
     * Shows another sheet of the job; each runs on a bench of its own, and only the one that is shown goes on.
     *
     * @param name the name of a sheet that the job has
     */
    public void showSheet(String name) {
        shown = name;
        run = runs.computeIfAbsent(name, this::start);
        Handles handles = handlesBySheet.computeIfAbsent(name, any -> new Handles());
        handles.follow(run);
        MeterModel meter = meters.containsKey(name) ? meters.get(name).on(run) : new MeterModel(run);
        meters.put(name, meter);
        SheetView sheet = new SheetView(run, jobs.jobProperty().get().practice(), look, handles.byTag(), meter);
        VBox.setVgrow(sheet, Priority.ALWAYS);
        if (drawing() && root.getRight() == desksBeside.get(name)) {
            door.follow(run, handles.byTag());
        } else {
            root.setRight(beside(name, handles, meter));
        }
        if (drawing()) {
            sheet.selectFor(deskModels.get(name));
        } else {
            sheet.operate(this::why);
        }
        TimeStrip strip = new TimeStrip(run, look.ink());
        strip.setMinHeight(STRIP);
        strip.setPrefHeight(STRIP);
        root.setCenter(new VBox(
                sheet,
                new Legend(
                        look.ink(),
                        drawing()
                                ? "Click a symbol to select it; Ctrl+I: why it is on or off."
                                : "Dotted frame: click or Space. Others: click, read why."),
                strip,
                new TimeBar(run)));
        header.showSheet(name, run);
        check();
        if (drawing()) {
            sheet.setFocusTraversable(true);
            sheet.requestFocus();
        } else {
            sheet.requestFirstFocus();
        }
    }

    /** Lets the rules look at the sheet, if they have not already. */
    private void check() {
        Sheet sheet = run.assembly().sheet();
        if (checked.filter(sheet::equals).isEmpty()) {
            checked = Optional.of(sheet);
            findings.check(run.assembly());
            proof.forget();
        }
    }

    /** What stands beside the drawing; while drawing it stays as it is from edit to edit. */
    private VBox beside(String name, Handles handles, MeterModel meter) {
        door = new Door(run, handles.byTag(), drawing() ? Optional.of(mounting) : Optional.empty());
        ScrollPane doorPane = new ScrollPane(door);
        doorPane.setFitToWidth(true);
        doorPane.setMinHeight(step == Step.TRY ? 120 : 90);
        if (step != Step.TRY) {
            doorPane.setMaxHeight(DOOR_WHILE_DRAWING);
        }
        doorPane.getStyleClass().add("door-pane");
        VBox beside = new VBox(steps(), doorPane);
        beside.getStyleClass().add("beside");
        beside.setPrefWidth(BESIDE);
        beside.setMinWidth(BESIDE);
        if (drawing()) {
            DeskView desk = desks.computeIfAbsent(name, this::desk);
            VBox.setVgrow(desk, Priority.ALWAYS);
            beside.getChildren().add(desk);
            desksBeside.put(name, beside);
        } else if (step == Step.CHECK) {
            FindingsView view =
                    new FindingsView(findings, proof, () -> proof.prove(run.assembly()), this::replay, this::goTo);
            VBox.setVgrow(view, Priority.ALWAYS);
            beside.getChildren().add(view);
        } else {
            StoryView story = new StoryView(run);
            VBox.setVgrow(story, Priority.ALWAYS);
            beside.getChildren().addAll(new MachineView(run), new MeterView(run, meter, new FaultMenu(run)), story);
        }
        return beside;
    }

    /** The steps of the work, the one that is shown selected. */
    private HBox steps() {
        HBox steps = new HBox();
        for (Step one : Step.values()) {
            ToggleButton button = new ToggleButton(one.words());
            button.setMinWidth(Region.USE_PREF_SIZE);
            button.setId("step-" + one.name().toLowerCase(Locale.ROOT));
            button.setSelected(one == step);
            button.setOnAction(event -> setStep(one));
            if (one == Step.CHECK) {
                button.textProperty().bind(Bindings.createStringBinding(this::checkWords, findings.findingsProperty()));
            }
            steps.getChildren().add(button);
        }
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        steps.getChildren().add(gap);
        if (step == Step.TRY) {
            steps.getChildren().add(header.recipes());
        }
        steps.getStyleClass().add("steps");
        return steps;
    }

    private String checkWords() {
        int found = findings.findingsProperty().get().size();
        return Step.CHECK.words() + (found == 0 ? "" : "  (" + found + ")");
    }

    /** Opens the page of questions in the place of the drawing. */
    private void showStart() {
        StartModel start = new StartModel(jobs.jobProperty().get().practice());
        root.setCenter(new StartView(start, sheetList::add, () -> showSheet(shown)));
        root.setRight(null);
    }

    /** Opens the page with all keys in the place of the drawing. */
    private void showKeys() {
        root.setCenter(new KeysView(() -> showSheet(shown)));
        root.setRight(null);
    }

    private void wear(Theme theme) {
        String night = MainWindow.class.getResource("parable-night.css").toExternalForm();
        scene.getStylesheets().remove(night);
        if (theme == Theme.NIGHT) {
            scene.getStylesheets().add(night);
        }
        scene.setUserAgentStylesheet(
                theme == Theme.NIGHT
                        ? new PrimerDark().getUserAgentStylesheet()
                        : new PrimerLight().getUserAgentStylesheet());
        showSheet(shown);
    }

    /** How the window is looked at. */
    Look look() {
        return look;
    }

    /** Goes to the drawing desk, or from it to the bench. */
    public void setDrawing(boolean draws) {
        setStep(draws ? Step.DRAW : Step.TRY);
    }

    /** Goes to another step. */
    private void setStep(Step next) {
        step = next;
        showSheet(shown);
    }

    /** Tells why a device is on or off at the instant that is looked at. */
    private void why(String tag) {
        header.tell(run.why(tag));
    }

    /** Shows on the bench how a claim fails. */
    private void replay(Refutation refutation) {
        setStep(Step.TRY);
        run.replay(refutation.script(), refutation.instant());
    }

    private boolean drawing() {
        return step == Step.DRAW;
    }

    /** Shows a device on the drawing where it can be changed. */
    private void goTo(String tag) {
        setStep(Step.DRAW);
        deskModels.get(shown).selection().selectDevice(tag);
    }

    private DeskView desk(String name) {
        String voltage = run.assembly().parts().stream()
                .filter(part -> part.family() == Family.CONTACTOR)
                .flatMap(part -> part.device().setting("coil").stream())
                .findFirst()
                .orElse(jobs.jobProperty().get().practice() == Practice.IEC ? "230 V AC" : "120 V AC");
        DeskModel model = new DeskModel(jobs, name, voltage);
        deskModels.put(name, model);
        return new DeskView(jobs, model);
    }

    private RunModel start(String name) {
        return new RunModel(assembled(jobs.jobProperty()
                .get()
                .sheet(name)
                .orElseThrow(() -> new IllegalArgumentException("the job has no sheet " + name))));
    }

    private static Assembly assembled(Sheet sheet) {
        try {
            return Assembly.of(sheet);
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
    }

    private void key(KeyEvent event) {
        if (viewMenu.key(event)) {
            return;
        }
        if (event.isShortcutDown()) {
            switch (event.getCode()) {
                case Z -> jobs.undo();
                case Y -> jobs.redo();
                case I -> {
                    if (drawing()) {
                        deskModels.get(shown).selection().tag().ifPresent(this::why);
                    }
                }
                case K -> setStep(Step.CHECK);
                case D -> setDrawing(!drawing());
                case DIGIT1, DIGIT2, DIGIT3, DIGIT4, DIGIT5, DIGIT6, DIGIT7, J, UP, DOWN, LEFT, RIGHT -> drawingKey(
                        event);
                default -> header.key(event);
            }
            return;
        }
        if (isAsking()) {
            return;
        }
        if (drawingKey(event)) {
            event.consume();
            return;
        }
        switch (event.getCode()) {
            case P -> run.setRunning(!run.runningProperty().get());
            case B -> run.stepBack();
            case N -> run.stepForward();
            default -> {}
        }
    }

    /** Whether a page to be read or answered stands in the place of the drawing; then no key operates what is not seen. */
    private boolean isAsking() {
        return root.getCenter() instanceof StartView || root.getCenter() instanceof KeysView;
    }

    private boolean drawingKey(KeyEvent event) {
        if (!drawing()) {
            return false;
        }
        if (event.getCode() == KeyCode.ESCAPE) {
            root.getCenter().requestFocus();
            return true;
        }
        boolean inText = scene.getFocusOwner() instanceof TextInputControl;
        boolean moves = event.getCode().isArrowKey() || event.getCode() == KeyCode.DELETE;
        return !(inText && (moves || event.getCode() == KeyCode.ENTER))
                && desks.get(shown).key(event);
    }

    /** A part of the window by its id; for those who drive the window from outside. */
    public Node part(String id) {
        return scene.lookup("#" + id);
    }
}
