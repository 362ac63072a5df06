package parable.app;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableStringValue;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.card.CardModel;
import parable.app.card.CardView;
import parable.app.desk.DeskModel;
import parable.app.desk.DeskView;
import parable.app.door.Door;
import parable.app.fault.FaultMenu;
import parable.app.finding.FindModel;
import parable.app.finding.FindPage;
import parable.app.job.JobModel;
import parable.app.job.JobStep;
import parable.app.log.LogModel;
import parable.app.log.LogPage;
import parable.app.machine.MachineView;
import parable.app.menu.MenuDesk;
import parable.app.menu.SheetMenu;
import parable.app.meter.MeterModel;
import parable.app.meter.MeterView;
import parable.app.point.PointLayer;
import parable.app.point.PointModel;
import parable.app.program.ProgramPage;
import parable.app.run.Handles;
import parable.app.run.RunModel;
import parable.app.sheet.Clicks;
import parable.app.sheet.Hit;
import parable.app.sheet.Legend;
import parable.app.sheet.Marked;
import parable.app.sheet.SheetView;
import parable.app.sizing.SizingModel;
import parable.app.sizing.SizingPage;
import parable.app.sound.Hearing;
import parable.app.step.Board;
import parable.app.step.CheckStep;
import parable.app.step.DrawStep;
import parable.app.step.FindStep;
import parable.app.step.Leaf;
import parable.app.step.Leaves;
import parable.app.step.PlcStep;
import parable.app.step.RecordStep;
import parable.app.step.SizingStep;
import parable.app.step.StepPage;
import parable.app.step.StepStates;
import parable.app.step.TestingStep;
import parable.app.step.TryStep;
import parable.app.step.WireStep;
import parable.app.story.StoryView;
import parable.app.testing.TestingModel;
import parable.app.testing.TestingPage;
import parable.app.time.TimeBar;
import parable.app.time.TimeStrip;
import parable.app.wiring.PanelView;
import parable.app.wiring.WiringModel;
import parable.app.wiring.WiringPage;
import parable.bench.Moment;
import parable.card.Pick;
import parable.check.Finding;
import parable.circuit.Practice;
import parable.logbook.Logbook;
import parable.offer.Spot;
import parable.parts.Assembly;
import parable.reason.Why;

/** One sheet of the open job in the window: its run, and a page for each step of the job, which stay while the sheet is edited. */
final class SheetPage {

    private static final double BESIDE = 347;
    private static final String METER = "meter";

    private final Workplace workplace;
    private final String name;
    private final RunModel run;
    private final MeterModel meter;
    private final SheetView sheet;
    private final Door door;
    private final Board board;
    private final Hearing hearing;
    private final WiringModel wiring;
    private final LogModel log;
    private final TestingModel testing;
    private final FindModel finding;
    private final StepStates states;
    private final SheetMenu menus;
    private Optional<ContextMenu> shownMenu = Optional.empty();
    private final CardModel card;
    private final CardView cardView;
    private Optional<MeterView> meterView = Optional.empty();
    private final Map<JobStep, String> opened = new EnumMap<>(JobStep.class);
    private Leaves leaves = new Leaves(List.of(), id -> {});
    private final DrawStep draw;
    private final Map<JobStep, StepPage> steps = new EnumMap<>(JobStep.class);

    /**
     * A sheet at rest with time running.
     *
     * @param name the name of the sheet, which the job has
     */
    SheetPage(Workplace workplace, String name, Assembly assembly) {
        this.workplace = workplace;
        this.name = name;
        run = new RunModel(assembly);
        meter = new MeterModel(run);
        hearing = new Hearing(run, workplace.look().soundProperty());
        log = new LogModel(jobs(), name, workplace.person());
        card = new CardModel(run);
        cardView = new CardView(run, card, new SheetCardDesk(jobs(), name, log, workplace.window()));
        Handles handles = new Handles(run);
        Supplier<Practice> practice = () -> jobs().jobProperty().get().practice();
        menus = new SheetMenu(run, handles.byTag(), meter, new ForMenus());
        sheet = new SheetView(run, practice, workplace.look(), handles.byTag(), meter, new ForDrawing());
        card.explainedProperty().addListener((any, before, now) -> showWay());
        card.pickProperty().addListener((any, before, now) -> showWay());
        card.pointedProperty().addListener((any, before, ends) -> sheet.point(new Marked(List.of(), ends)));
        run.shownProperty().addListener((any, before, now) -> showWay());
        door = new Door(run, handles.byTag(), workplace.placing());
        board = new Board(sheet, new Legend(workplace.look()), new TimeStrip(run, workplace.look()), new TimeBar(run));
        wiring = new WiringModel(jobs(), name);
        testing = new TestingModel(jobs(), name, workplace.person());
        finding = new FindModel(jobs(), name, log);
        states = new StepStates(name, jobs(), run, wiring, testing, log);
        draw = drawing();
    }

    /** The pages are made when they are gone to: the window is there the sooner. */
    private StepPage made(JobStep step) {
        return switch (step) {
            case DRAW -> draw;
            case TRY -> trying();
            case CHECK -> new CheckStep(board, () -> workplace.window().findings());
            case SIZE -> new SizingStep(new SizingPage(workplace.sizing(), name, workplace.look(), words -> workplace
                    .window()
                    .tell(words)));
            case PROGRAM -> programming();
            case WIRE -> new WireStep(board, wiring, new WiringPage(jobs(), wiring, workplace.look(), this::moment));
            case TEST -> testing();
            case FIND -> finding();
            case LOG -> new RecordStep(new LogPage(log, workplace.person()));
        };
    }

    /** The way that is explained, as it is at the instant that is looked at. */
    private void showWay() {
        Moment moment = run.shownProperty().get();
        boolean shows = card.explainedProperty().get() && moment.assembly() == run.assembly();
        sheet.showWay(
                shows ? card.device().map(tag -> new Why(moment).steps(tag)).orElse(List.of()) : List.of());
    }

    private JobModel jobs() {
        return workplace.jobs();
    }

    private Moment moment() {
        return run.shownProperty().get();
    }

    /** What is clicked on the drawing is what the card is about. */
    private final class ForDrawing implements Clicks {

        @Override
        public void operated(String tag) {
            card.select(new Pick.OfDevice(tag));
        }

        @Override
        public void asked(String tag) {
            workplace.window().why(tag);
        }

        @Override
        public void wire(String number) {
            card.select(new Pick.OfWire(number));
            leaves.open(Leaf.CARD);
        }

        @Override
        public void menu(Hit hit, double screenX, double screenY) {
            hit.tag().ifPresent(tag -> card.select(new Pick.OfDevice(tag)));
            shownMenu.ifPresent(ContextMenu::hide);
            ContextMenu menu = menus.of(hit);
            shownMenu = Optional.of(menu);
            if (!menu.getItems().isEmpty()) {
                menu.show(sheet, screenX, screenY);
            }
        }
    }

    /** What the menus ask of this page. */
    private final class ForMenus implements MenuDesk {

        @Override
        public boolean draws() {
            return workplace.window().isDrawing();
        }

        @Override
        public boolean measures() {
            return leaves.has(METER);
        }

        @Override
        public DeskModel desk() {
            return draw.desk();
        }

        @Override
        public void choose(Spot spot) {
            draw.choose(spot);
        }

        @Override
        public void chooseSteps(String tag) {
            draw.chooseSteps(tag);
        }

        @Override
        public void why(String tag) {
            workplace.window().why(tag);
        }

        @Override
        public void card(Pick pick) {
            card.select(pick);
            leaves.open(Leaf.CARD);
        }

        @Override
        public void meter() {
            leaves.open(METER);
        }
    }

    private DeskModel newDesk() {
        DeskModel desk = new DeskModel(jobs(), name, run::assembly);
        desk.selection().stretchProperty().addListener((any, before, now) -> desk.selection()
                .tag()
                .ifPresent(tag -> card.select(new Pick.OfDevice(tag))));
        return desk;
    }

    private DrawStep drawing() {
        return new DrawStep(
                board,
                this::newDesk,
                () -> new DeskView(jobs(), desk(), run.assemblyProperty()),
                () -> new PointLayer(
                        sheet,
                        new PointModel(jobs(), desk(), run::assembly),
                        run.assemblyProperty(),
                        () -> jobs().jobProperty().get().practice(),
                        workplace.look(),
                        workplace.window()::askQuestions),
                () -> leaves.open(DrawStep.DESK));
    }

    private TryStep trying() {
        MeterView metering = new MeterView(run, meter);
        meterView = Optional.of(metering);
        return new TryStep(
                board,
                new MachineView(run),
                List.of(new Leaf("story", "What happens", new StoryView(run)), new Leaf(METER, "Meter", metering)));
    }

    private PlcStep programming() {
        WindowActions window = workplace.window();
        return new PlcStep(board, new ProgramPage(jobs(), name, run, workplace.look(), window::replay, window::add));
    }

    private TestingStep testing() {
        TestingPage page = new TestingPage(
                jobs(),
                testing,
                workplace.person(),
                (text, readings, complete) -> {
                    log.sign(text, readings, complete);
                    workplace.window().tell(log.stateProperty().get());
                },
                log::signature);
        PanelView probes = new PanelView(wiring, workplace.look(), this::moment);
        return new TestingStep(board, testing, page, wiring, probes, run::assembly);
    }

    private FindStep finding() {
        PanelView probes = new PanelView(wiring, workplace.look(), this::moment);
        FindStep step =
                new FindStep(board, finding, new FindPage(finding, workplace.person()), wiring, probes, run::assembly);
        card.pickProperty()
                .addListener((any, before, now) -> now.ifPresent(pick -> {
                    if (pick instanceof Pick.OfWire wire) {
                        step.pointedAt(wire.number());
                    }
                }));
        return step;
    }

    /** The search for what is wrong with its machine. */
    FindModel finder() {
        return finding;
    }

    RunModel run() {
        return run;
    }

    Door door() {
        return door;
    }

    /** Opens the chooser at a place of the ladder. */
    void point(Spot spot) {
        draw.choose(spot);
    }

    /** The desk of this sheet. */
    DeskModel desk() {
        return draw.desk();
    }

    /** How far the steps of this sheet are. */
    StepStates states() {
        return states;
    }

    /** Nobody looks at this sheet from now on: nothing is heard of it, and no suspects are run ahead. */
    void leave() {
        hearing.silence();
        finding.rest();
    }

    /** How this sheet is to its sizing, in a word or two. */
    ObservableStringValue sizingState() {
        SizingModel sizing = workplace.sizing();
        return Bindings.createStringBinding(() -> sizing.state(name), sizing.sizedProperty());
    }

    /** How far the search for a fault is, in a word or two. */
    ObservableStringValue findingState() {
        return Bindings.createStringBinding(finding::words, finding.stateProperty());
    }

    /** The page of a step. */
    StepPage step(JobStep step) {
        return steps.computeIfAbsent(step, this::made);
    }

    /**
     * What is beside the middle in a step.
     *
     * @param recipes the menu of recipes, which is over the door where that is operated
     */
    Node beside(JobStep step, Node recipes) {
        StepPage page = step(step);
        VBox column = new VBox();
        if (step == JobStep.TRY) {
            HBox tools = new HBox(6, new FaultMenu(run), recipes);
            tools.getStyleClass().add("try-tools");
            column.getChildren().add(tools);
        }
        door.setMinHeight(page.door().least());
        door.setMaxHeight(page.door().most());
        if (page.door().most() > 0) {
            column.getChildren().add(door);
        }
        column.getStyleClass().add("beside");
        column.setPrefWidth(BESIDE);
        column.setMinWidth(BESIDE);
        column.setMinHeight(0);
        column.getChildren().addAll(page.always());
        leaves = new Leaves(leaves(page), id -> opened.put(step, id));
        leaves.open(opened.getOrDefault(step, ""));
        column.getChildren().add(leaves);
        VBox.setVgrow(leaves, Priority.ALWAYS);
        return column;
    }

    private List<Leaf> leaves(StepPage page) {
        List<Leaf> all = new ArrayList<>(page.leaves());
        if (page.hasCard()) {
            all.add(page.cardFirst() ? 0 : all.size(), new Leaf(Leaf.CARD, "Card", cardView));
        }
        return all;
    }

    /** What is selected on this sheet. */
    CardModel card() {
        return card;
    }

    /** Shows something that was found: its card, and where it is drawn. */
    void show(Pick pick) {
        card.select(pick);
        if (pick instanceof Pick.OfDevice device && workplace.window().isDrawing()) {
            desk().selection().selectDevice(device.tag());
        }
        leaves.open(Leaf.CARD);
        sheet.bringIntoView(pick);
    }

    /** Opens the meter, where the step has one, and puts the keyboard to it. */
    void measure() {
        if (leaves.has(METER)) {
            leaves.open(METER);
            meterView.ifPresent(MeterView::takeKeyboard);
        }
    }

    /** Opens the card of what is selected, where the step has one, and puts the keyboard to it. */
    void takeCard() {
        if (leaves.has(Leaf.CARD)) {
            leaves.open(Leaf.CARD);
            cardView.takeKeyboard();
        }
    }

    /** Opens the menu of what is selected. */
    void takeMenu() {
        card.pickProperty().get().ifPresent(sheet::askForMenu);
    }

    /** Opens a leaf of the step that is shown. */
    void open(String leaf) {
        leaves.open(leaf);
    }

    /** The logbook of the job, read anew. */
    Logbook logbook() {
        log.look();
        return log.logbookProperty().get();
    }

    /** Puts the numbers of findings beside the devices they are about. */
    void number(List<Finding> findings) {
        Map<String, List<Integer>> numbers = new LinkedHashMap<>();
        for (int i = 0; i < findings.size(); i++) {
            int number = i + 1;
            findings.get(i).where().stream().distinct().forEach(tag -> numbers.computeIfAbsent(
                            tag, any -> new ArrayList<>())
                    .add(number));
        }
        sheet.number(numbers);
    }
}
