package parable.app;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.SplitPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import parable.app.desk.DeskModel;
import parable.app.desk.DeskView;
import parable.app.door.Door;
import parable.app.door.Placing;
import parable.app.fault.FaultMenu;
import parable.app.job.JobModel;
import parable.app.job.Person;
import parable.app.log.LogModel;
import parable.app.log.LogPage;
import parable.app.look.Look;
import parable.app.machine.MachineView;
import parable.app.meter.MeterModel;
import parable.app.meter.MeterView;
import parable.app.program.ProgramPage;
import parable.app.run.Handles;
import parable.app.run.RunModel;
import parable.app.sheet.Legend;
import parable.app.sheet.Marked;
import parable.app.sheet.SheetView;
import parable.app.story.StoryView;
import parable.app.testing.TestingModel;
import parable.app.testing.TestingPage;
import parable.app.time.TimeBar;
import parable.app.time.TimeStrip;
import parable.app.wiring.PanelView;
import parable.app.wiring.WiringModel;
import parable.app.wiring.WiringPage;
import parable.check.Finding;
import parable.circuit.Places;
import parable.circuit.Practice;
import parable.circuit.Sheet;
import parable.circuit.Terminal;
import parable.logbook.Logbook;
import parable.parts.Assembly;
import parable.timing.Refutation;
import parable.wiring.PanelLayout;

/** One sheet of the open job as it stands in the window: its run, and its views, which stay while the sheet is edited. */
final class SheetPage {

    private static final double STRIP = 132;
    private static final double BESIDE = 384;
    private static final double DOOR_WHILE_TRYING = 120;
    private static final double DOOR_BESIDE_PROGRAM = 250;
    private static final double DOOR_ELSE = 90;
    private static final double LADDER_WHILE_WIRING = 0.45;
    private static final double PROBES = 230;
    private static final double DOOR_ELSE_MOST = 190;

    private final JobModel jobs;
    private final String name;
    private final RunModel run;
    private final SheetView sheet;
    private final Legend legend;
    private final VBox centre;
    private final VBox programmed;
    private final VBox tested = new VBox();
    private final TimeBar time;
    private final Door door;
    private final MachineView machine;
    private final MeterView meterView;
    private final StoryView story;
    private final ProgramPage program;
    private final WiringModel wiring;
    private final WiringPage wiringPage;
    private final TestingModel testing;
    private final TestingPage testingPage;
    private final PanelView probes;
    private final LogModel log;
    private final LogPage logPage;
    private JobStep shown = JobStep.TRY;
    private final SplitPane wired = new SplitPane();
    private Optional<DeskView> deskView = Optional.empty();
    private Optional<DeskModel> desk = Optional.empty();

    /**
     * A sheet at rest with time running.
     *
     * @param name the name of the sheet, which the job has
     * @param why takes the tag of a device about which one asks why it is as it is
     * @param replay plays on the bench of a sheet, by its name
     * @param added takes a sheet that was made of this one
     * @param person who works at the window
     * @param tell takes what is told at the top of the window
     */
    SheetPage(
            JobModel jobs,
            String name,
            Assembly assembly,
            Look look,
            Placing placing,
            Consumer<String> why,
            BiConsumer<String, Refutation> replay,
            Consumer<Sheet> added,
            Person person,
            Consumer<String> tell) {
        this.jobs = jobs;
        this.name = name;
        run = new RunModel(assembly);
        Handles handles = new Handles(run);
        MeterModel meter = new MeterModel(run);
        Supplier<Practice> practice = () -> jobs.jobProperty().get().practice();
        sheet = new SheetView(run, practice, look, handles.byTag(), meter, why);
        legend = new Legend(look);
        door = new Door(run, handles.byTag(), placing);
        machine = new MachineView(run);
        meterView = new MeterView(run, meter, new FaultMenu(run));
        story = new StoryView(run);
        program = new ProgramPage(jobs, name, run, look, replay, added);
        wiring = new WiringModel(jobs, name);
        wiringPage =
                new WiringPage(jobs, wiring, look, () -> run.shownProperty().get());
        probes = new PanelView(wiring, look, () -> run.shownProperty().get());
        probes.setPrefHeight(PROBES);
        probes.setMinHeight(PROBES);
        log = new LogModel(jobs, name, person);
        logPage = new LogPage(log, person);
        testing = new TestingModel(jobs, name, person);
        testingPage = new TestingPage(
                jobs,
                testing,
                person,
                (text, readings, complete) -> {
                    log.sign(text, readings, complete);
                    tell.accept(log.stateProperty().get());
                },
                log::signature);
        testing.selectedProperty().addListener((any, before, now) -> pointProbes());
        testing.stepsProperty().addListener((any, before, now) -> pointProbes());
        testing.momentProperty().addListener((any, before, now) -> pointProbes());
        TimeStrip strip = new TimeStrip(run, look);
        strip.setMinHeight(STRIP);
        strip.setPrefHeight(STRIP);
        VBox.setVgrow(sheet, Priority.ALWAYS);
        time = new TimeBar(run);
        centre = new VBox(sheet, legend, strip, time);
        programmed = new VBox();
        wired.setOrientation(Orientation.VERTICAL);
        wired.setDividerPositions(LADDER_WHILE_WIRING);
        wiring.selectedProperty().addListener((any, before, now) -> holdWire());
        wiring.listsProperty().addListener((any, before, now) -> holdWire());
        VBox.setVgrow(program.centre(), Priority.ALWAYS);
    }

    RunModel run() {
        return run;
    }

    Door door() {
        return door;
    }

    /** The desk of this sheet. */
    DeskModel desk() {
        return desk.orElseGet(() -> {
            desk = Optional.of(new DeskModel(jobs, name, run::assembly));
            return desk.get();
        });
    }

    /** The view of its desk. */
    DeskView deskView() {
        return deskView.orElseGet(() -> {
            deskView = Optional.of(new DeskView(jobs, desk(), run.assemblyProperty()));
            return deskView.get();
        });
    }

    /** The drawing with time under it, ready for a step. */
    Node centre(JobStep step) {
        shown = step;
        if (step == JobStep.LOG) {
            return logPage.centre();
        }
        if (step == JobStep.WIRE) {
            centre.getChildren().removeAll(sheet, legend);
            tested.getChildren().clear();
            sheet.showInstead(Optional.empty());
            wired.getItems().setAll(sheet, wiringPage.below());
            wired.setDividerPositions(LADDER_WHILE_WIRING);
            sheet.operate();
            holdWire();
            return wired;
        }
        if (!centre.getChildren().contains(sheet)) {
            wired.getItems().clear();
            tested.getChildren().clear();
            centre.getChildren().addAll(0, List.of(sheet, legend));
        }
        sheet.point(Marked.NOTHING);
        sheet.showInstead(Optional.empty());
        if (step == JobStep.TEST) {
            centre.getChildren().removeAll(sheet, legend);
            wiring.look();
            tested.getChildren().setAll(sheet, probes, legend);
            legend.hint("As it must be while this step is read; rings: the probes.");
            sheet.operate();
            pointProbes();
            return tested;
        }
        if (step == JobStep.PROGRAM && program.hasProgram()) {
            centre.getChildren().remove(time);
            programmed.getChildren().setAll(program.centre(), time);
            return programmed;
        }
        if (!centre.getChildren().contains(time)) {
            programmed.getChildren().clear();
            centre.getChildren().add(time);
        }
        if (step == JobStep.DRAW) {
            sheet.selectFor(desk());
            legend.hint("Click a symbol to select it; Ctrl+I: why it is on or off.");
        } else {
            sheet.operate();
            legend.hint("Dotted frame: click or Space. Others: click, read why.");
        }
        return centre;
    }

    private void holdWire() {
        if (!wired.getItems().isEmpty()) {
            sheet.point(wiring.wire()
                    .map(wire -> new Marked(List.of(wire.number()), List.of(wire.from(), wire.to())))
                    .orElse(Marked.NOTHING));
        }
    }

    private void pointProbes() {
        if (shown == JobStep.TEST) {
            Marked probed = probed();
            sheet.point(probed);
            List<Terminal> ends = terminals(probed);
            probes.setVisible(!ends.isEmpty());
            probes.setManaged(!ends.isEmpty());
            probes.point(ends);
            sheet.showInstead(testing.momentProperty().get());
        }
    }

    /** Where a probe can be put: on the terminals themselves, and for a wire number on one of its terminals, on the back plate if it comes there. */
    private List<Terminal> terminals(Marked probed) {
        List<Terminal> ends = new ArrayList<>(probed.ends());
        PanelLayout layout = PanelLayout.of(run.assembly());
        run.assembly().nodes().all().stream()
                .filter(node -> probed.wires().contains(node.number()))
                .flatMap(node -> node.terminals().stream()
                        .min(Comparator.comparing(
                                end -> !layout.place(end.tag()).equals(Places.BACK_PLATE)))
                        .stream())
                .forEach(ends::add);
        return ends;
    }

    /** Where the probes of the step in hand go. */
    private Marked probed() {
        return testing.step()
                .map(step -> new Marked(TestingModel.wires(step), TestingModel.ends(step)))
                .orElse(Marked.NOTHING);
    }

    /**
     * What stands beside the drawing in a step.
     *
     * @param steps the head of it
     * @param findings what stands there in the step of checking
     */
    Node beside(JobStep step, Node steps, Supplier<Node> findings) {
        boolean programmed = step == JobStep.PROGRAM && program.hasProgram();
        door.setMinHeight(programmed ? DOOR_BESIDE_PROGRAM : step == JobStep.TRY ? DOOR_WHILE_TRYING : DOOR_ELSE);
        door.setMaxHeight(step == JobStep.TRY || programmed ? Double.MAX_VALUE : DOOR_ELSE_MOST);
        VBox column = step == JobStep.CHECK || step.isAtThePanel() ? new VBox(steps) : new VBox(steps, door);
        column.getStyleClass().add("beside");
        column.setPrefWidth(BESIDE);
        column.setMinWidth(BESIDE);
        switch (step) {
            case DRAW -> column.getChildren().add(deskView());
            case TRY -> column.getChildren().addAll(machine, meterView, story);
            case WIRE -> column.getChildren().add(wiringPage.beside());
            case TEST -> column.getChildren().add(testingPage.beside());
            case LOG -> column.getChildren().add(logPage.beside());
            case CHECK -> column.getChildren().add(findings.get());
            case PROGRAM -> column.getChildren()
                    .add(program.hasProgram() ? program.besideProgram() : program.besideDrawing());
        }
        VBox.setVgrow(column.getChildren().get(column.getChildren().size() - 1), Priority.ALWAYS);
        return column;
    }

    /** The logbook of the job, read anew. */
    Logbook logbook() {
        log.look();
        return log.logbookProperty().get();
    }

    /** Works the lists of a step at the panel out anew after an edit. */
    void look(JobStep step) {
        if (step == JobStep.WIRE) {
            wiring.look();
        } else if (step == JobStep.TEST) {
            testing.look();
        }
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

    /** Puts the keyboard on the drawing, or on the program where that stands in its place. */
    void takeKeyboard(JobStep step) {
        if (step == JobStep.PROGRAM && program.hasProgram()) {
            program.takeKeyboard();
        } else if (step == JobStep.WIRE) {
            wiringPage.takeKeyboard();
        } else if (step == JobStep.TEST) {
            testingPage.takeKeyboard();
        } else if (step == JobStep.LOG) {
            logPage.takeKeyboard();
        } else {
            sheet.takeKeyboard();
        }
    }

    /** A key with Ctrl in the step of the program; returns whether it meant anything. */
    boolean programKey(KeyEvent event) {
        return program.hasProgram() && program.key(event);
    }
}
