package parable.app;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.desk.DeskModel;
import parable.app.desk.DeskView;
import parable.app.door.Door;
import parable.app.fault.FaultMenu;
import parable.app.job.JobModel;
import parable.app.job.JobStep;
import parable.app.log.LogModel;
import parable.app.log.LogPage;
import parable.app.machine.MachineView;
import parable.app.meter.MeterModel;
import parable.app.meter.MeterView;
import parable.app.program.ProgramPage;
import parable.app.run.Handles;
import parable.app.run.RunModel;
import parable.app.sheet.Legend;
import parable.app.sheet.SheetView;
import parable.app.step.Board;
import parable.app.step.CheckStep;
import parable.app.step.DrawStep;
import parable.app.step.PlcStep;
import parable.app.step.RecordStep;
import parable.app.step.StepPage;
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
import parable.check.Finding;
import parable.circuit.Practice;
import parable.logbook.Logbook;
import parable.parts.Assembly;

/** One sheet of the open job in the window: its run, and a page for each step of the job, which stay while the sheet is edited. */
final class SheetPage {

    private static final double BESIDE = 384;

    private final Workplace workplace;
    private final String name;
    private final RunModel run;
    private final MeterModel meter;
    private final SheetView sheet;
    private final Door door;
    private final Board board;
    private final WiringModel wiring;
    private final LogModel log;
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
        Handles handles = new Handles(run);
        Supplier<Practice> practice = () -> jobs().jobProperty().get().practice();
        sheet = new SheetView(run, practice, workplace.look(), handles.byTag(), meter, tag -> workplace
                .window()
                .why(tag));
        door = new Door(run, handles.byTag(), workplace.placing());
        board = new Board(sheet, new Legend(workplace.look()), new TimeStrip(run, workplace.look()), new TimeBar(run));
        wiring = new WiringModel(jobs(), name);
        log = new LogModel(jobs(), name, workplace.person());
        draw = drawing();
        steps.put(JobStep.DRAW, draw);
        steps.put(JobStep.TRY, trying());
        steps.put(JobStep.CHECK, new CheckStep(board, () -> workplace.window().findings()));
        steps.put(JobStep.PROGRAM, programming());
        steps.put(
                JobStep.WIRE,
                new WireStep(board, wiring, new WiringPage(jobs(), wiring, workplace.look(), this::moment)));
        steps.put(JobStep.TEST, testing());
        steps.put(JobStep.LOG, new RecordStep(new LogPage(log, workplace.person())));
    }

    private JobModel jobs() {
        return workplace.jobs();
    }

    private Moment moment() {
        return run.shownProperty().get();
    }

    private DrawStep drawing() {
        return new DrawStep(
                board,
                () -> new DeskModel(jobs(), name, run::assembly),
                () -> new DeskView(jobs(), desk(), run.assemblyProperty()));
    }

    private TryStep trying() {
        MeterView meterView = new MeterView(run, meter, new FaultMenu(run));
        return new TryStep(board, List.of(new MachineView(run), meterView, new StoryView(run)));
    }

    private PlcStep programming() {
        WindowActions window = workplace.window();
        return new PlcStep(board, new ProgramPage(jobs(), name, run, workplace.look(), window::replay, window::add));
    }

    private TestingStep testing() {
        TestingModel testing = new TestingModel(jobs(), name, workplace.person());
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

    RunModel run() {
        return run;
    }

    Door door() {
        return door;
    }

    /** The desk of this sheet. */
    DeskModel desk() {
        return draw.desk();
    }

    /** The page of a step. */
    StepPage step(JobStep step) {
        return steps.get(step);
    }

    /**
     * What is beside the middle in a step.
     *
     * @param head what is at the top of it
     */
    Node beside(JobStep step, Node head) {
        StepPage page = step(step);
        VBox column = new VBox(head);
        door.setMinHeight(page.door().least());
        door.setMaxHeight(page.door().most());
        if (page.door().most() > 0) {
            column.getChildren().add(door);
        }
        column.getStyleClass().add("beside");
        column.setPrefWidth(BESIDE);
        column.setMinWidth(BESIDE);
        column.getChildren().addAll(page.beside());
        VBox.setVgrow(column.getChildren().get(column.getChildren().size() - 1), Priority.ALWAYS);
        return column;
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
