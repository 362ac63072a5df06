package parable.app;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.InputEvent;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;
import javafx.stage.Window;
import javafx.util.Duration;
import parable.app.find.FindSlip;
import parable.app.findings.FindingsView;
import parable.app.job.FilePrompt;
import parable.app.job.JobModel;
import parable.app.job.JobStep;
import parable.app.job.Lately;
import parable.app.job.OpenJob;
import parable.app.job.Person;
import parable.app.look.Look;
import parable.app.look.Magnified;
import parable.app.look.MagnifiedPopups;
import parable.app.look.Theme;
import parable.app.paper.PaperMenu;
import parable.app.run.RunModel;
import parable.app.run.Wall;
import parable.app.sizing.SizingModel;
import parable.app.step.Leaf;
import parable.app.step.StepPage;
import parable.card.Pick;
import parable.card.SheetProgress;
import parable.check.Finding;
import parable.circuit.Job;
import parable.circuit.Place;
import parable.circuit.Sheet;
import parable.logbook.Logbook;
import parable.offer.Spot;
import parable.parts.Assembly;
import parable.timing.Refutation;

/** The one window: a page for each step of the job and what is beside it, under a header with job and file. */
public final class MainWindow {

    /** After so long without an edit it is worked out how far the steps are. */
    private static final Duration QUIET = Duration.seconds(1.5);

    private final JobModel jobs;
    private final BorderPane root = new BorderPane();
    private final Magnified magnified = new Magnified(root);
    private final Scene scene = new Scene(new Region(), 1280, 800);

    /** Kept as long as the window is. */
    private final MagnifiedPopups popups;

    private final Middle middle;
    private final MessageSlip slip;
    private final FindSlip find = new FindSlip(
            () -> run().assembly().sheet(), this::showFound, () -> stepPage().takeKeyboard());
    private final RouteCard route = new RouteCard(this::setStep);
    private final RecipeMenu recipes;
    private final PauseTransition quiet = new PauseTransition(QUIET);
    private boolean asking;
    private final SheetList sheetList;
    private final Header header;
    private final Look look = new Look();
    private final ViewMenu viewMenu;
    private final Workplace workplace;
    private final Checking checking;
    private final Acceptances acceptances;
    private final Lately lately = new Lately();
    private final TourGuide tour;
    private final WindowKeys keys;
    private final OpenPages pages = new OpenPages(this::page);
    private final ChangeListener<String> noticed = (any, before, words) -> tell(words);
    private Optional<RunModel> followed = Optional.empty();
    private SheetPage page;
    private String shown = "";
    private JobStep step = JobStep.TRY;
    private final Wall wall = new Wall(this::run);

    /** A window on the open job. */
    public MainWindow(JobModel jobs, FilePrompt prompt) {
        this.jobs = jobs;
        tour = new TourGuide(this, jobs);
        root.getStyleClass().add("window");
        scene.getStylesheets().add(Wardrobe.style("parable.css"));
        magnified.factorProperty().bind(look.magnificationProperty());
        popups = new MagnifiedPopups(scene, look.magnificationProperty());
        sheetList = new SheetList(
                jobs,
                () -> shown,
                this::showSheet,
                () -> interludes().ask(),
                () -> interludes().showAll(),
                prompt);
        acceptances = new Acceptances(jobs, () -> shown, prompt);
        checking = new Checking(jobs, acceptances, () -> run().assembly(), this::replay, this::goTo);
        route.follow(Map.of(JobStep.CHECK, checking.state()));
        Mounting mounting = new Mounting(jobs, () -> shown, prompt);
        workplace = new Workplace(jobs, new Person(), look, mounting, new SizingModel(jobs), new ForPages());
        viewMenu = new ViewMenu(
                jobs, look, () -> interludes().showColours(), () -> interludes().showKeys(), tour::begin);
        header = new Header(
                jobs, prompt, sheetList, this::showSheet, viewMenu, new PaperMenu(jobs, prompt, new ForPaper()));
        keys = new WindowKeys(this, jobs, viewMenu, header, find);
        recipes = new RecipeMenu(jobs, () -> run().assembly().sheet(), script -> run().play(script), this::tell);
        slip = new MessageSlip(jobs::acknowledge);
        middle = new Middle(find, tour.slip(), slip);
        root.setTop(header);
        root.setLeft(route);
        root.setCenter(middle);
        quiet.setOnFinished(event -> page.states().look());
        follow();
        takeKeys();
        showJob();
        enter();
    }

    /** What is put into a scene part by part is styled as often; so it is put there as a whole. */
    private void enter() {
        scene.setRoot(magnified);
        stepPage().takeKeyboard();
    }

    /** What pages ask of the window. */
    private final class ForPages implements WindowActions {

        @Override
        public void why(String tag) {
            MainWindow.this.why(tag);
        }

        @Override
        public void replay(String sheet, Refutation refutation) {
            showSheet(sheet);
            MainWindow.this.replay(refutation);
        }

        @Override
        public void add(Sheet sheet) {
            addTranslated(sheet);
        }

        @Override
        public void tell(String words) {
            MainWindow.this.tell(words);
        }

        @Override
        public FindingsView findings() {
            return checking.view();
        }

        @Override
        public void askQuestions() {
            interludes().ask();
        }

        @Override
        public boolean isDrawing() {
            return drawing();
        }

        @Override
        public List<Finding> found() {
            return checking.findingsProperty().get();
        }

        @Override
        public void goTo(Place place) {
            setStep(JobStep.DRAW);
            page.desk().select(place);
        }
    }

    /** What the menu of paper asks of the window. */
    private final class ForPaper implements PaperMenu.Window {

        @Override
        public String shown() {
            return shown;
        }

        @Override
        public void tell(String words) {
            MainWindow.this.tell(words);
        }

        @Override
        public Logbook logbook() {
            return page.logbook();
        }

        @Override
        public void showTitle() {
            interludes().showTitle();
        }
    }

    private void follow() {
        look.themeProperty().addListener((any, before, theme) -> wear(theme));
        jobs.openProperty().addListener((any, before, now) -> show(before, now));
        jobs.messageProperty().addListener((any, before, message) -> tell(message));
        tell(jobs.messageProperty().get());
        jobs.conflictProperty()
                .addListener((any, before, now) ->
                        now.ifPresent(conflict -> interludes().showConflict(conflict, header::saveAs)));
        checking.findingsProperty().addListener((any, before, found) -> number());
        scene.windowProperty().addListener((any, before, window) -> {
            if (window != null) {
                follow(window);
            }
        });
    }

    private void follow(Window window) {
        window.focusedProperty().addListener((of, had, has) -> page.door().letGo());
        window.showingProperty().addListener((of, was, is) -> setAwake(is));
        setAwake(window.isShowing());
    }

    private void takeKeys() {
        scene.addEventFilter(InputEvent.ANY, event -> wall.wake());
        scene.addEventFilter(KeyEvent.ANY, event -> {
            if (!isInText() && !isAsking()) {
                page.door().key(event);
            }
        });
        scene.addEventHandler(KeyEvent.KEY_PRESSED, keys::key);
    }

    boolean isInText() {
        return scene.getFocusOwner() instanceof TextInputControl;
    }

    private void show(OpenJob before, OpenJob now) {
        if (before.generation() != now.generation()) {
            showJob();
        } else if (!before.job().equals(now.job())) {
            showEdited(now.job());
        }
    }

    /** Lets time go on while the window is shown. A window that was closed does nothing any more, and nothing is checked for it. */
    private void setAwake(boolean awake) {
        if (awake) {
            wall.start();
            checking.check();
        } else {
            wall.stop();
            checking.forget();
            pages.leave();
        }
    }

    /** The scene to be put on a stage. */
    public Scene scene() {
        return scene;
    }

    /** What there is to tell and to ask, over what is shown. */
    MessageSlip slip() {
        return slip;
    }

    /** Tells something on the slip over what is shown. */
    void tell(String words) {
        slip.tell(words);
    }

    /** The running sheet that is shown. */
    public RunModel run() {
        return page.run();
    }

    private void showJob() {
        pages.close();
        header.showJob();
        showSheet(jobs.jobProperty().get().sheets().get(0).name());
    }

    /** An edit takes effect at once: what survives it keeps its state, and the rest of the window stays. */
    private void showEdited(Job job) {
        pages.goOnWith(job);
        header.showJob();
        if (job.sheet(shown).isEmpty()) {
            showSheet(job.sheets().get(0).name());
            return;
        }
        header.showSheet(shown);
        checking.check();
        quiet.playFromStart();
        if (stepPage().edited()) {
            arrange();
        }
    }

    StepPage stepPage() {
        return page.step(step);
    }

    /** Puts the page of the step into the window. */
    private void arrange() {
        asking = false;
        root.setRight(page.beside(step, recipes));
        middle.show(stepPage().centre());
        route.select(step);
    }

    /**
     * Shows another sheet of the job; each runs on a bench of its own, and only the one that is shown goes on.
     *
     * @param name the name of a sheet that the job has
     */
    public void showSheet(String name) {
        wall.wake();
        if (!name.equals(shown) && isEmpty(name)) {
            step = JobStep.DRAW;
        }
        shown = name;
        pages.leave();
        page = pages.of(name, jobs);
        recipes.look();
        arrange();
        route.follow(page.states().bySteps());
        route.follow(Map.of(JobStep.SIZE, page.sizingState(), JobStep.FIND, page.findingState()));
        follow(run());
        header.showSheet(name);
        checking.check();
        quiet.playFromStart();
        number();
        stepPage().takeKeyboard();
    }

    /** Whether nothing is drawn on a sheet yet, so that there is nothing to be done with it but to draw. */
    boolean isEmpty(String name) {
        return jobs.jobProperty().get().sheet(name).map(SheetProgress::of).equals(Optional.of(SheetProgress.EMPTY));
    }

    /** What is found is marked on the drawing in the steps that show it. */
    private void number() {
        page.number(stepPage().showsFindings() ? checking.findingsProperty().get() : List.of());
    }

    private Interludes interludes() {
        return new Interludes(jobs, look, sheetList, lately, workplace.person(), new ForInterludes());
    }

    /** Where pages to be read or answered lead. */
    private final class ForInterludes implements Interludes.Exits {

        @Override
        public void instead(Node page) {
            asking = true;
            middle.interrupt(page);
            root.setRight(null);
        }

        @Override
        public void open(String sheet) {
            showSheet(sheet);
        }

        @Override
        public void back() {
            showSheet(shown);
        }
    }

    /** The jobs that were opened lately. */
    Lately lately() {
        return lately;
    }

    /** The tour of this window. */
    public TourGuide tour() {
        return tour;
    }

    /** The page of the sheet that is shown. */
    SheetPage page() {
        return page;
    }

    /** The step that is shown. */
    JobStep step() {
        return step;
    }

    /** Whether every state of the sheet that is shown has been explored. */
    boolean isProved() {
        return checking.isProved();
    }

    private void wear(Theme theme) {
        Wardrobe.wear(scene, theme);
        showSheet(shown);
    }

    /** How the window is looked at. */
    Look look() {
        return look;
    }

    /** Opens the chooser at a place of the ladder, in the step of drawing. */
    public void point(Spot spot) {
        setDrawing(true);
        page.point(spot);
    }

    /** Goes to the drawing desk, or from it to the bench. */
    public void setDrawing(boolean draws) {
        setStep(draws ? JobStep.DRAW : JobStep.TRY);
    }

    /** Goes to another step. */
    void setStep(JobStep next) {
        step = next;
        showSheet(shown);
    }

    private void showFound(Pick pick) {
        page.show(pick);
    }

    /** Says on its card why a device is on or off at the instant that is looked at, and what would change it. */
    public void why(String tag) {
        page.card().select(new Pick.OfDevice(tag));
        page.card().ask();
        page.card().explain(true);
        page.open(Leaf.CARD);
    }

    /** Shows on the bench how a claim fails. */
    private void replay(Refutation refutation) {
        setStep(JobStep.TRY);
        run().replay(refutation.script(), refutation.pace(), refutation.instant());
    }

    boolean drawing() {
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

    private SheetPage page(String name, Assembly assembly) {
        SheetPage made = new SheetPage(workplace, name, assembly);
        made.run().stirredProperty().addListener((any, before, now) -> wall.stirred());
        return made;
    }

    /** What the run that is shown has to say is told; what another had to say is over. */
    private void follow(RunModel shownRun) {
        followed.ifPresent(before -> before.noticeProperty().removeListener(noticed));
        followed = Optional.of(shownRun);
        shownRun.noticeProperty().addListener(noticed);
    }

    /** Whether a page to be read or answered stands in the place of the drawing; then no key operates what is not seen. */
    boolean isAsking() {
        return asking;
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
