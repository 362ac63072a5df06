package parable.app;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.InputEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import parable.app.colours.ColoursView;
import parable.app.conflict.ConflictView;
import parable.app.findings.FindingsModel;
import parable.app.findings.FindingsView;
import parable.app.findings.ProofModel;
import parable.app.job.FilePrompt;
import parable.app.job.JobModel;
import parable.app.job.Person;
import parable.app.keys.KeysView;
import parable.app.look.Look;
import parable.app.look.Theme;
import parable.app.paper.PaperMenu;
import parable.app.paper.TitleView;
import parable.app.run.RunModel;
import parable.app.run.Wall;
import parable.app.start.StartModel;
import parable.app.start.StartView;
import parable.circuit.Conventions;
import parable.circuit.Fieldwork;
import parable.circuit.Job;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.drafting.Dress;
import parable.parts.Assembly;
import parable.parts.PartException;
import parable.timing.Refutation;

/** The one window: the sheet with what stands beside it, under a header with job and file. */
public final class MainWindow {

    private final JobModel jobs;
    private final BorderPane root = new BorderPane();
    private final Scene scene = new Scene(root, 1280, 800);
    private final SheetList sheetList;
    private final Header header;
    private final Look look = new Look();
    private final ViewMenu viewMenu;
    private final Mounting mounting;
    private final Acceptances acceptances;
    private final Map<String, SheetPage> pages = new LinkedHashMap<>();
    private final Person person = new Person();
    private SheetPage page;
    private String shown = "";
    private JobStep step = JobStep.TRY;
    private final Wall wall = new Wall(this::run);
    private final FindingsModel findings = new FindingsModel();
    private final ProofModel proof = new ProofModel();
    private Optional<Checked> checked = Optional.empty();
    private int opened;

    /** What the rules have looked at. */
    private record Checked(Sheet sheet, Conventions conventions) {}

    /** A window on the open job. */
    public MainWindow(JobModel jobs, FilePrompt prompt) {
        this.jobs = jobs;
        root.getStyleClass().add("window");
        scene.getStylesheets().add(MainWindow.class.getResource("parable.css").toExternalForm());
        sheetList = new SheetList(jobs, () -> shown, this::showSheet, this::showStart, prompt);
        mounting = new Mounting(jobs, () -> shown, prompt);
        acceptances = new Acceptances(jobs, () -> shown, prompt);
        viewMenu = new ViewMenu(jobs, look, this::showColours, this::showKeys);
        header = new Header(
                jobs,
                prompt,
                sheetList,
                this::showSheet,
                script -> run().play(script),
                viewMenu,
                new PaperMenu(
                        jobs.jobProperty()::get,
                        () -> shown,
                        prompt,
                        this::tell,
                        jobs::edit,
                        () -> page.logbook(),
                        this::showTitle));
        look.themeProperty().addListener((any, before, theme) -> wear(theme));
        root.setTop(header);
        jobs.jobProperty().addListener((any, before, job) -> {
            if (jobs.openedProperty().get() == opened) {
                showEdited(job);
            } else {
                showJob();
            }
        });
        jobs.shownProperty().addListener((any, before, now) -> {
            if (now.intValue() != opened) {
                showJob();
            }
        });
        jobs.conflictProperty().addListener((any, before, now) -> now.ifPresent(this::showConflict));
        scene.addEventFilter(InputEvent.ANY, event -> wall.wake());
        scene.addEventFilter(KeyEvent.ANY, event -> {
            if (!(scene.getFocusOwner() instanceof TextInputControl) && !isAsking()) {
                page.door().key(event);
            }
        });
        scene.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        scene.windowProperty().addListener((any, before, window) -> {
            if (window != null) {
                window.focusedProperty()
                        .addListener((of, had, has) -> page.door().letGo());
                window.showingProperty().addListener((of, was, is) -> setAwake(is));
                setAwake(window.isShowing());
            }
        });
        findings.findingsProperty().addListener((any, before, found) -> number());
        showJob();
    }

    /** Lets time go on while the window is shown. A window that was closed does nothing any more, and nothing is checked for it. */
    private void setAwake(boolean awake) {
        if (awake) {
            wall.start();
            check();
        } else {
            wall.stop();
            findings.forget();
            proof.forget();
            checked = Optional.empty();
        }
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
        return page.run();
    }

    private void showJob() {
        opened = jobs.openedProperty().get();
        pages.clear();
        header.showJob();
        showSheet(jobs.jobProperty().get().sheets().get(0).name());
    }

    /** An edit takes effect at once: what survives it keeps its state, and the rest of the window stays. */
    private void showEdited(Job job) {
        pages.keySet().removeIf(name -> job.sheet(name).isEmpty());
        pages.forEach((name, one) -> {
            Sheet sheet = job.sheet(name).orElseThrow();
            Sheet before = one.run().assembly().sheet();
            if (bare(sheet).equals(bare(before)) && !sheet.equals(before)) {
                one.run().keepWith(assembled(sheet, one.run().assembly()));
            } else if (!sheet.equals(before)) {
                one.run().goOnWith(assembled(sheet, one.run().assembly()));
            }
        });
        header.showJob();
        if (job.sheet(shown).isEmpty()) {
            showSheet(job.sheets().get(0).name());
            return;
        }
        header.showSheet(shown, run());
        check();
        if (step == JobStep.PROGRAM) {
            root.setRight(page.beside(step, steps(), this::findings));
            root.setCenter(page.centre(step));
        }
        if (step.isAtThePanel()) {
            page.look(step);
        }
        if (drawing() && !page.deskView().isTyping()) {
            page.takeKeyboard(step);
        }
    }

    /** The circuit without what was done at the panel by it. */
    private static Sheet bare(Sheet sheet) {
        return sheet.withFieldwork(Fieldwork.NONE);
    }

    /**
     * Shows another sheet of the job; each runs on a bench of its own, and only the one that is shown goes on.
     *
     * @param name the name of a sheet that the job has
     */
    public void showSheet(String name) {
        wall.wake();
        shown = name;
        page = pages.computeIfAbsent(name, this::page);
        root.setRight(page.beside(step, steps(), this::findings));
        root.setCenter(page.centre(step));
        header.showSheet(name, run());
        check();
        number();
        page.takeKeyboard(step);
    }

    /** Lets the rules look at the sheet, if they have not already. */
    private void check() {
        Sheet drawn = run().assembly().sheet();
        Sheet sheet = drawn.withFieldwork(drawn.fieldwork().undone());
        Checked now = new Checked(sheet, jobs.jobProperty().get().conventions());
        if (checked.filter(now::equals).isEmpty()) {
            if (checked.filter(before -> before.sheet.name().equals(sheet.name()))
                    .isEmpty()) {
                findings.forget();
            }
            if (checked.filter(before -> before.sheet.equals(sheet)).isEmpty()) {
                proof.forget();
            }
            checked = Optional.of(now);
            findings.check(run().assembly(), now.conventions);
        }
    }

    /** While trying, the drawing is left alone; drawing and checking, what is found stands on it too. */
    private void number() {
        page.number(
                step == JobStep.TRY ? List.of() : findings.findingsProperty().get());
    }

    private Node findings() {
        return new FindingsView(
                findings,
                proof,
                () -> proof.prove(run().assembly()),
                () -> proof.tryFaults(run().assembly()),
                this::replay,
                this::goTo,
                () -> run().assembly(),
                jobs::edit,
                acceptances);
    }

    /** The steps of the work, the one that is shown selected. */
    private VBox steps() {
        HBox drawn = new HBox();
        HBox built = new HBox();
        for (JobStep one : JobStep.values()) {
            ToggleButton button = new ToggleButton(one.words());
            button.setMinWidth(Region.USE_PREF_SIZE);
            button.setId("step-" + one.name().toLowerCase(Locale.ROOT));
            button.setSelected(one == step);
            button.setOnAction(event -> setStep(one));
            if (one == JobStep.CHECK) {
                button.textProperty().bind(Bindings.createStringBinding(this::checkWords, findings.findingsProperty()));
            }
            (one.isAtThePanel() ? built : drawn).getChildren().add(button);
        }
        if (step == JobStep.TRY) {
            Region gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            built.getChildren().addAll(gap, header.recipes());
        }
        drawn.getStyleClass().add("steps");
        built.getStyleClass().add("steps");
        return new VBox(drawn, built);
    }

    private String checkWords() {
        long found = findings.findingsProperty().get().stream()
                .filter(finding -> acceptances.of(finding).isEmpty())
                .count();
        return JobStep.CHECK.words() + (found == 0 ? "" : "  (" + found + ")");
    }

    /** Opens the page of questions in the place of the drawing. */
    private void showStart() {
        StartModel start = new StartModel(jobs.jobProperty().get().conventions());
        root.setCenter(new StartView(start, this::begin, () -> showSheet(shown)));
        root.setRight(null);
    }

    /** Draws what was wished for; the job wears the dress that was chosen with it. */
    private void begin(StartModel start) {
        Practice practice = start.wishProperty().get().practice();
        sheetList.add(start.starter().sheet(), Dress.of(jobs.jobProperty().get(), practice));
    }

    /** Opens the page with all keys in the place of the drawing. */
    private void showKeys() {
        root.setCenter(new KeysView(() -> showSheet(shown)));
        root.setRight(null);
    }

    /** Opens the page of colours in the place of the drawing. */
    private void showColours() {
        root.setCenter(new ColoursView(jobs, () -> showSheet(shown)));
        root.setRight(null);
    }

    /** Opens the page of the title block in the place of the drawing. */
    private void showTitle() {
        root.setCenter(new TitleView(jobs, () -> showSheet(shown)));
        root.setRight(null);
    }

    /** Opens the page that asks which of two versions is to stay, in the place of the drawing. */
    private void showConflict(JobModel.Conflict conflict) {
        root.setCenter(new ConflictView(jobs, conflict, header::saveAs, () -> showSheet(shown)));
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
        setStep(draws ? JobStep.DRAW : JobStep.TRY);
    }

    /** Goes to another step. */
    private void setStep(JobStep next) {
        step = next;
        showSheet(shown);
    }

    /** Tells why a device is on or off at the instant that is looked at. */
    private void why(String tag) {
        header.tell(run().why(tag));
    }

    /** Shows on the bench how a claim fails. */
    private void replay(Refutation refutation) {
        setStep(JobStep.TRY);
        run().replay(refutation.script(), refutation.pace(), refutation.instant());
    }

    /** Shows it on the bench of a sheet. */
    private void replayOn(String sheet, Refutation refutation) {
        showSheet(sheet);
        replay(refutation);
    }

    private boolean drawing() {
        return step == JobStep.DRAW;
    }

    /** Adds a translated sheet behind the others, under a name that none of them has, and shows its program. */
    private void addTranslated(Sheet sheet) {
        Job job = jobs.jobProperty().get();
        String name = sheet.name();
        for (int i = 2; job.sheet(name).isPresent(); i++) {
            name = sheet.name() + " " + i;
        }
        jobs.edit(job.with(sheet.named(name)));
        showSheet(name);
    }

    /** Shows a device on the drawing where it can be changed. */
    private void goTo(String tag) {
        setStep(JobStep.DRAW);
        page.desk().selection().selectDevice(tag);
    }

    private SheetPage page(String name) {
        Sheet sheet = jobs.jobProperty()
                .get()
                .sheet(name)
                .orElseThrow(() -> new IllegalArgumentException("the job has no sheet " + name));
        SheetPage made = new SheetPage(
                jobs,
                name,
                assembled(sheet),
                look,
                mounting,
                this::why,
                this::replayOn,
                this::addTranslated,
                person,
                this::tell);
        made.run().stirredProperty().addListener((any, before, now) -> wall.stirred());
        return made;
    }

    private static Assembly assembled(Sheet sheet, Assembly before) {
        try {
            return before.on(sheet);
        } catch (PartException impossible) {
            throw new IllegalStateException("the job holds a sheet that cannot be fitted out", impossible);
        }
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
                        page.desk().selection().tag().ifPresent(this::why);
                    }
                }
                case K -> setStep(JobStep.CHECK);
                case D -> setDrawing(!drawing());
                case G -> setStep(JobStep.PROGRAM);
                case L -> setStep(JobStep.WIRE);
                case B -> setStep(JobStep.TEST);
                case R -> setStep(JobStep.LOG);
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
            case P -> run().setRunning(!run().runningProperty().get());
            case B -> run().stepBack();
            case N -> run().stepForward();
            default -> {}
        }
    }

    /** Whether a page to be read or answered stands in the place of the drawing; then no key operates what is not seen. */
    private boolean isAsking() {
        return root.getCenter() instanceof StartView
                || root.getCenter() instanceof KeysView
                || root.getCenter() instanceof ColoursView
                || root.getCenter() instanceof ConflictView;
    }

    private boolean drawingKey(KeyEvent event) {
        if (step == JobStep.PROGRAM) {
            return event.isShortcutDown() && page.programKey(event);
        }
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
                && page.deskView().key(event);
    }

    /** The name of the sheet that is shown. */
    public String shown() {
        return shown;
    }

    /** A part of the window by its id; for those who drive the window from outside. */
    public Node part(String id) {
        return scene.lookup("#" + id);
    }
}
